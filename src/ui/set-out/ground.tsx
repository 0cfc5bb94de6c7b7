import type { Picture } from '@/core/breakdown';
import { wordsOf } from '@/words/shell';
import { type Frame, pointsText } from './frame';
import { Unread, Written } from './written';

type Props = { readonly picture: Picture; readonly frame: Frame };

/** The ground under the things: its edge, what is drawn on it, wind, scent, corridors, where things fell before. */
export function GroundLayer({ picture, frame }: Props) {
  const { plan } = picture;
  return (
    <>
      {plan && (
        <polygon
          points={pointsText(frame, [
            { x: 0, y: 0 },
            { x: plan.wide, y: 0 },
            { x: plan.wide, y: plan.deep },
            { x: 0, y: plan.deep },
          ])}
          fill="none"
          stroke="var(--rule)"
          strokeWidth="2"
          strokeDasharray="2 5"
        />
      )}
      {picture.features.map((one) => (
        <Feature key={one.key} feature={one} frame={frame} />
      ))}
      {picture.corridors.map(({ key, outline }) => (
        <polygon
          key={key}
          points={pointsText(frame, outline)}
          fill="var(--ink)"
          fillOpacity="0.1"
          stroke="var(--ink)"
          strokeWidth="1"
          strokeDasharray="3 4"
        />
      ))}
      {picture.scent.map(({ key, outline }) => (
        <polygon
          key={key}
          points={pointsText(frame, outline)}
          fill="var(--signal)"
          fillOpacity="0.3"
          stroke="var(--signal-ink)"
          strokeWidth="1"
        />
      ))}
      {picture.oldFalls.map(({ at, days }) => {
        const { x, y } = frame.to(at);
        return (
          <g key={`${at.x} ${at.y}`} transform={`translate(${x} ${y})`}>
            <circle r="9" fill="none" stroke="var(--ink-soft)" strokeWidth="2" strokeDasharray="2 3" />
            <Written x={0} y={4} words={`−${days}`} size={12} />
          </g>
        );
      })}
      {picture.things.map((one) => (
        <Area key={one.key} thing={one} frame={frame} />
      ))}
    </>
  );
}

const FILLS = { refused: 'var(--signal)', care: 'url(#set-out-care)', plain: 'var(--hair)' } as const;

function Feature({
  feature,
  frame,
}: {
  readonly feature: Picture['features'][number];
  readonly frame: Frame;
}) {
  const { points, closed, wide, level, name, kind } = feature;
  const fill = FILLS[level];
  const width = Math.max(3, wide * frame.perMetre);
  const middle = points[Math.floor((points.length - 1) / 2)];
  const next = points[Math.floor((points.length - 1) / 2) + 1] ?? middle;
  if (!middle || !next) return null;
  const label = closed
    ? {
        x: points.reduce((sum, { x }) => sum + x, 0) / points.length,
        y: points.reduce((sum, { y }) => sum + y, 0) / points.length,
      }
    : { x: (middle.x + next.x) / 2, y: (middle.y + next.y) / 2 };
  const at = frame.to(label);
  const inside = at.x > 0 && at.y > 0 && at.x < frame.wide && at.y < frame.high;
  return (
    <g data-kind={kind}>
      {closed ? (
        <polygon points={pointsText(frame, points)} fill={fill} stroke="var(--ink)" strokeWidth="2" />
      ) : (
        <>
          <polyline
            points={pointsText(frame, points)}
            fill="none"
            stroke="var(--ink)"
            strokeWidth={width + 3}
            strokeLinejoin="round"
          />
          <polyline
            points={pointsText(frame, points)}
            fill="none"
            stroke={level === 'plain' ? 'var(--hair)' : fill}
            strokeWidth={width}
            strokeLinejoin="round"
            strokeDasharray={kind === 'fence' || kind === 'wire' || kind === 'railway' ? '6 6' : undefined}
          />
        </>
      )}
      {inside && <Written x={at.x} y={at.y + 5} words={wordsOf(name)} size={14} />}
    </g>
  );
}

/** A lane, a square, a piece of cover: as wide and long as it is. */
function Area({ thing, frame }: { readonly thing: Picture['things'][number]; readonly frame: Frame }) {
  if (thing.outline.length === 0) return null;
  const cover = thing.kind === 'cover';
  return (
    <polygon
      points={pointsText(frame, thing.outline)}
      fill={cover ? 'url(#set-out-cover)' : 'var(--sheet)'}
      fillOpacity={cover ? 1 : 0.6}
      stroke="var(--ink)"
      strokeWidth="2"
      strokeDasharray={thing.kind === 'lane' ? '8 5' : undefined}
    />
  );
}

/** North, wind and the bar of the scale: in the corners, of their own size. */
export function Margins({ picture, frame }: Props) {
  const { north, wind, scale } = picture;
  const bar = scale.metres * frame.perMetre;
  const turn = (north.turn * Math.PI) / 180;
  return (
    <>
      <Unread transform={`translate(${frame.wide - 30} 34)`}>
        <circle r="22" fill="var(--sheet)" stroke="var(--ink)" strokeWidth="1.5" />
        <g transform={`rotate(${north.turn})`}>
          <path d="M0 -18 L5 4 L0 1 L-5 4 Z" fill="var(--ink)" />
        </g>
        <Written
          x={-Math.sin(turn) * 12}
          y={Math.cos(turn) * 12 + 5}
          words={wordsOf(north.words)}
          size={13}
        />
      </Unread>
      {wind && (
        <Unread transform={`translate(${frame.wide - 30} 92)`}>
          <g transform={`rotate(${wind.from + 180})`}>
            <path
              d="M0 16 L0 -16 M-6 -8 L0 -17 L6 -8 M-6 12 L6 12 M-6 17 L6 17"
              stroke="var(--signal-ink)"
              strokeWidth="3"
              fill="none"
            />
          </g>
          <Written x={0} y={36} words={wordsOf(wind.words)} size={13} />
        </Unread>
      )}
      <Unread transform={`translate(14 ${frame.high - 14})`}>
        <path d={`M0 -6 L0 0 L${bar} 0 L${bar} -6`} fill="none" stroke="var(--ink)" strokeWidth="2.5" />
        <Written x={bar / 2} y={-8} words={wordsOf(scale.words)} size={13} />
      </Unread>
    </>
  );
}
/** Patterns that tell hazards and cover apart without colour. */
export const Patterns = () => (
  <defs>
    <pattern
      id="set-out-care"
      width="9"
      height="9"
      patternUnits="userSpaceOnUse"
      patternTransform="rotate(35)"
    >
      <rect width="9" height="9" fill="var(--sheet)" />
      <path d="M0 4.5 L9 4.5" stroke="var(--ink-soft)" strokeWidth="2" />
    </pattern>
    <pattern id="set-out-cover" width="10" height="10" patternUnits="userSpaceOnUse">
      <rect width="10" height="10" fill="var(--hair)" />
      <path d="M2 9 L4 4 M6 8 L7 3" stroke="var(--ink-soft)" strokeWidth="1.6" />
    </pattern>
  </defs>
);
