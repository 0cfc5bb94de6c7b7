import type { Ref } from 'react';
import { type PictureGround, type Pixel, pixelBy } from '@/core/geometry';
import type { ClipMeasure, Go } from '@/core/review';
import { type LengthUnit, valueInWords } from './clip-view';

type Props = {
  readonly ref: Ref<SVGSVGElement>;
  readonly width: number;
  readonly height: number;
  readonly go: Go | null;
  readonly measures: readonly ClipMeasure[];
  readonly ground: PictureGround | null;
  /** Points that are being set: of a ground, of an angle. */
  readonly setting: readonly (Pixel | null)[];
  /** A metre of grid lies over the ground. */
  readonly grid: boolean;
  readonly unit: LengthUnit;
};

/** What is drawn over the picture: where the dog was, its way, the goal, angles, and what they measure. */
export function Overlay({ ref, width, height, go, measures, ground, setting, grid, unit }: Props) {
  const size = width / 90;
  return (
    <svg
      ref={ref}
      viewBox={`0 0 ${width} ${height}`}
      width={width}
      height={height}
      aria-hidden="true"
      className="pointer-events-none absolute inset-0 size-full"
      style={{ font: `700 ${width / 42}px system-ui, sans-serif` }}
    >
      {grid && ground?.kind === 'plane' && <Grid ground={ground} />}
      {go && <Way go={go} size={size} />}
      {go?.goal && <Cross at={go.goal.px} size={size * 1.6} />}
      {go?.handler && <Square at={go.handler.px} size={size * 1.2} />}
      {go && <Labels go={go} measures={measures} unit={unit} size={size} />}
      {setting.map((px, i) =>
        px ? (
          // biome-ignore lint/suspicious/noArrayIndexKey: the points of a ground are told by their number.
          <g key={i}>
            <Cross at={px} size={size} />
            <Text at={[px[0] + size, px[1] - size]}>{String(i + 1)}</Text>
          </g>
        ) : null,
      )}
    </svg>
  );
}

/** Drawn twice: a light rim under a dark line is seen on snow and on a black dog. */
const RIM = { stroke: '#fff', strokeWidth: 7, fill: 'none' } as const;
const LINE = { stroke: '#111', strokeWidth: 3, fill: 'none' } as const;

function Way({ go, size }: { readonly go: Go; readonly size: number }) {
  const points = go.places.map(({ px }) => px.join(',')).join(' ');
  return (
    <g>
      <polyline points={points} {...RIM} />
      <polyline points={points} {...LINE} />
      {go.places.map(({ px, at }) => (
        <circle key={at} cx={px[0]} cy={px[1]} r={size * 0.7} fill="#fff" stroke="#111" strokeWidth={3} />
      ))}
      {go.angles.map(({ id, px }) => (
        <g key={id}>
          <polyline points={px.map((one) => one.join(',')).join(' ')} {...RIM} />
          <polyline points={px.map((one) => one.join(',')).join(' ')} {...LINE} strokeDasharray="10 6" />
        </g>
      ))}
    </g>
  );
}

function Labels({
  go,
  measures,
  unit,
  size,
}: Pick<Props, 'measures' | 'unit'> & { readonly go: Go; readonly size: number }) {
  const of = (kind: ClipMeasure['kind']): string | null => {
    const found = measures.find((one) => one.kind === kind);
    return found ? valueInWords(found, unit) : null;
  };
  const last = go.places.at(-1)?.px;
  const [offset, body, front] = [of('offset'), of('body'), of('front')];
  const [bodyAt, frontAt] = (['body', 'front'] as const).map(
    (which) => go.angles.find(({ says }) => says === which)?.px[1],
  );
  return (
    <g>
      {offset && go.goal && last && (
        <>
          <line x1={go.goal.px[0]} y1={go.goal.px[1]} x2={last[0]} y2={last[1]} {...RIM} />
          <line
            x1={go.goal.px[0]}
            y1={go.goal.px[1]}
            x2={last[0]}
            y2={last[1]}
            {...LINE}
            strokeDasharray="4 6"
          />
          <Text at={[last[0] + size, last[1] - size]}>{offset}</Text>
        </>
      )}
      {body && bodyAt && <Text at={[bodyAt[0] + size, bodyAt[1] - size]}>{body}</Text>}
      {front && frontAt && <Text at={[frontAt[0] + size, frontAt[1] - size]}>{front}</Text>}
    </g>
  );
}

function Text({ at, children }: { readonly at: Pixel; readonly children: string }) {
  return (
    <text x={at[0]} y={at[1]} fill="#111" stroke="#fff" strokeWidth={5} paintOrder="stroke">
      {children}
    </text>
  );
}

function Cross({ at: [x, y], size }: { readonly at: Pixel; readonly size: number }) {
  const path = `M${x - size} ${y}H${x + size}M${x} ${y - size}V${y + size}`;
  return (
    <g>
      <path d={path} {...RIM} />
      <path d={path} {...LINE} />
    </g>
  );
}

function Square({ at: [x, y], size }: { readonly at: Pixel; readonly size: number }) {
  return (
    <g>
      <rect x={x - size} y={y - size} width={2 * size} height={2 * size} {...RIM} />
      <rect x={x - size} y={y - size} width={2 * size} height={2 * size} {...LINE} />
    </g>
  );
}

/** Metres of a grid to either side of the middle of the points. */
const REACH = 8;

/** A metre of grid: where it does not lie on the grass, the ground is wrong. */
function Grid({ ground }: { readonly ground: PictureGround }) {
  const { plane } = ground;
  if (!plane) return null;
  const [x0, y0] = plane.ground.at.map(Math.round) as [number, number];
  const lines = Array.from({ length: 2 * REACH + 1 }, (_, i) => i - REACH).flatMap((i) => [
    [
      { x: x0 + i, y: y0 - REACH },
      { x: x0 + i, y: y0 + REACH },
    ] as const,
    [
      { x: x0 - REACH, y: y0 + i },
      { x: x0 + REACH, y: y0 + i },
    ] as const,
  ]);
  return (
    <g data-screen>
      {lines.map(([from, to]) => {
        const [a, b] = [pixelBy(plane, from), pixelBy(plane, to)];
        return a && b ? (
          <line
            key={`${from.x} ${from.y} ${to.x}`}
            x1={a[0]}
            y1={a[1]}
            x2={b[0]}
            y2={b[1]}
            stroke="#fff"
            strokeOpacity={0.75}
            strokeWidth={2}
          />
        ) : null;
      })}
    </g>
  );
}
