import { type KeyboardEvent, type PointerEvent, type Ref, useLayoutEffect, useRef, useState } from 'react';
import type { Picture, PictureThing } from '@/core/breakdown';
import type { Point } from '@/core/geometry';
import { wordsOf } from '@/words/shell';
import { type Frame, frameOf, pointsText } from './frame';
import { GroundLayer, Margins, Patterns } from './ground';
import { ThingSymbol } from './symbol';
import { Unread, Written } from './written';

/** What somebody does with a thing; without it the drawing is a picture. */
export type Hold = {
  readonly chosen: string | null;
  readonly onChoose: (key: string) => void;
  /** While it is held, when it is let go, and by a press of an arrow key, which says exactly how far. */
  readonly onMove: (key: string, to: Point, done: boolean, byKey: boolean) => void;
  readonly onRemove: (key: string) => void;
  /** Metres of one press of an arrow key. */
  readonly nudge: number;
  /** What is read of a thing that has the focus. */
  readonly label: (key: string) => string;
};

type Props = {
  readonly picture: Picture;
  /** What is read in place of the picture. */
  readonly title: string;
  readonly highest?: number;
  readonly hold?: Hold;
  readonly svg?: Ref<SVGSVGElement>;
  /** What was run: places in a row, one of them in hand. */
  readonly tracks?: readonly {
    readonly key: string;
    readonly places: readonly Point[];
    readonly chosen: boolean;
  }[];
  /** Places that are pointed at. */
  readonly here?: readonly Point[];
};

/** A set-out to scale, painted in its own width. Things are taken by the pointer or by their arrow keys. */
export function SetOutDrawing({ picture, title, highest = 560, hold, svg, tracks = [], here = [] }: Props) {
  const paper = useRef<HTMLDivElement>(null);
  const width = useWidth(paper);
  const frame = frameOf(picture.box, width, highest);
  return (
    <div ref={paper} className="border-2 border-ink bg-sheet">
      <svg
        ref={svg}
        viewBox={`0 0 ${frame.wide} ${frame.high}`}
        width={frame.wide}
        height={frame.high}
        role={hold ? 'group' : 'img'}
        aria-label={title}
        fontFamily="'Atkinson Hyperlegible Next Variable', system-ui, sans-serif"
        className="block max-w-full select-none"
      >
        <Patterns />
        <rect width={frame.wide} height={frame.high} fill="var(--sheet)" />
        <GroundLayer picture={picture} frame={frame} />
        {picture.lines.map((line) => (
          <Line key={line.key} line={line} frame={frame} />
        ))}
        {picture.arcs.map((arc) => (
          <Arc key={arc.key} arc={arc} frame={frame} />
        ))}
        {tracks.map((track) => (
          <Unread key={track.key}>
            <polyline
              points={pointsText(frame, track.places)}
              fill="none"
              stroke={track.chosen ? 'var(--signal-ink)' : 'var(--ink-soft)'}
              strokeWidth={track.chosen ? 3.5 : 1.5}
              strokeLinejoin="round"
            />
          </Unread>
        ))}
        {here.map((place) => (
          <Here key={`${place.x} ${place.y}`} at={frame.to(place)} />
        ))}
        {dogLast(picture.things).map((thing) => (
          <Thing key={thing.key} thing={thing} frame={frame} hold={hold} />
        ))}
        <Margins picture={picture} frame={frame} />
      </svg>
    </div>
  );
}

function Here({ at }: { readonly at: Point }) {
  return (
    <Unread>
      <circle cx={at.x} cy={at.y} r={9} fill="none" stroke="var(--signal-ink)" strokeWidth={3} />
    </Unread>
  );
}

/** Whoever stands by the dog does not hide it. */
const dogLast = (things: Picture['things']): PictureThing[] =>
  [...things].sort((a, b) => Number(a.kind === 'dog') - Number(b.kind === 'dog'));

/** The width that the page gives, followed as it changes. */
function useWidth(at: { readonly current: HTMLElement | null }): number {
  const [width, setWidth] = useState(640);
  useLayoutEffect(() => {
    const box = at.current;
    if (!box) return;
    const take = (): void => setWidth(Math.max(200, Math.round(box.clientWidth)));
    take();
    const watch = new ResizeObserver(take);
    watch.observe(box);
    return () => watch.disconnect();
  }, [at]);
  return width;
}

type LineProps = { readonly line: Picture['lines'][number]; readonly frame: Frame };

/** What is run is drawn through, what is only measured dotted; its words stand beyond the middle. */
function Line({ line, frame }: LineProps) {
  const [from, to] = [frame.to(line.from), frame.to(line.to)];
  const share = line.run ? 0.62 : 0.5;
  const [x, y] = [from.x + (to.x - from.x) * share, from.y + (to.y - from.y) * share];
  // Beside a line that goes up, over one that lies.
  const lies = Math.abs(to.x - from.x) > 1.5 * Math.abs(to.y - from.y);
  const long = Math.hypot(to.x - from.x, to.y - from.y);
  return (
    <Unread>
      <line
        x1={from.x}
        y1={from.y}
        x2={to.x}
        y2={to.y}
        stroke="var(--ink)"
        strokeWidth={line.run ? 2.5 : 1.5}
        strokeDasharray={line.run ? undefined : '2 5'}
      />
      {long > 50 && (
        <Written
          x={lies ? x : x + 8}
          y={lies ? y - 8 : y + 5}
          words={wordsOf(line.words)}
          bold={line.run}
          anchor={lies ? 'middle' : 'start'}
        />
      )}
    </Unread>
  );
}

function Arc({ arc, frame }: { readonly arc: Picture['arcs'][number]; readonly frame: Frame }) {
  const middle = arc.along[Math.floor(arc.along.length / 2)];
  const at = middle && frame.to(middle);
  return (
    <Unread>
      <polyline
        points={pointsText(frame, arc.along)}
        fill="none"
        stroke="var(--signal-ink)"
        strokeWidth="2"
      />
      {at && <Written x={at.x} y={at.y - 4} words={`${arc.degrees}°`} />}
    </Unread>
  );
}

const ARROWS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, 1],
  ArrowDown: [0, -1],
};

type ThingProps = { readonly thing: PictureThing; readonly frame: Frame; readonly hold: Hold | undefined };

function Thing({ thing, frame, hold }: ThingProps) {
  const [held, setHeld] = useState<Point | null>(null);
  const { x, y } = frame.to(thing);
  const name = wordsOf(thing.name);
  const painted = (
    <>
      {hold && <circle r="22" fill="transparent" />}
      {hold?.chosen === thing.key && (
        <circle r="19" fill="none" stroke="var(--signal-ink)" strokeWidth="3" data-screen />
      )}
      <ThingSymbol thing={thing} />
      {NAMED.has(thing.kind) && <Written {...besideOf(thing.kind)} words={name} size={14} />}
    </>
  );
  const at = `translate(${x.toFixed(1)} ${y.toFixed(1)})`;
  if (!hold) return <g transform={at}>{painted}</g>;
  const placeOf = (event: PointerEvent<SVGGElement>): Point | null => {
    const from = event.currentTarget.ownerSVGElement?.getScreenCTM()?.inverse();
    if (!from) return null;
    return frame.back(new DOMPoint(event.clientX, event.clientY).matrixTransform(from));
  };
  const onKeyDown = (event: KeyboardEvent): void => {
    const way = ARROWS[event.key];
    if (event.key === 'Delete' || event.key === 'Backspace') {
      event.preventDefault();
      hold.onRemove(thing.key);
    }
    if (event.key === 'Enter' || event.key === ' ') {
      event.preventDefault();
      hold.onChoose(thing.key);
    }
    if (!way) return;
    event.preventDefault();
    const metres = hold.nudge * (event.shiftKey ? 10 : event.altKey ? 0.1 : 1);
    hold.onMove(thing.key, { x: thing.x + way[0] * metres, y: thing.y + way[1] * metres }, true, true);
  };
  return (
    // biome-ignore lint/a11y/useSemanticElements: a button cannot stand in a drawing
    <g
      transform={at}
      role="button"
      tabIndex={0}
      aria-label={hold.label(thing.key)}
      aria-pressed={hold.chosen === thing.key}
      className="cursor-grab touch-none outline-none focus-visible:[&>circle:first-child]:stroke-[var(--signal-ink)] focus-visible:[&>circle:first-child]:stroke-[4px]"
      onFocus={() => hold.onChoose(thing.key)}
      onKeyDown={onKeyDown}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        const place = placeOf(event);
        if (place) setHeld({ x: place.x - thing.x, y: place.y - thing.y });
        hold.onChoose(thing.key);
      }}
      onPointerMove={(event) => {
        const place = held && placeOf(event);
        if (held && place) hold.onMove(thing.key, { x: place.x - held.x, y: place.y - held.y }, false, false);
      }}
      onPointerUp={(event) => {
        const place = held && placeOf(event);
        setHeld(null);
        if (held && place) hold.onMove(thing.key, { x: place.x - held.x, y: place.y - held.y }, true, false);
      }}
      onPointerCancel={() => setHeld(null)}
    >
      {painted}
    </g>
  );
}

/** The dog and whoever stands by it do not write over one another. */
const besideOf = (kind: PictureThing['kind']) =>
  kind === 'dog'
    ? ({ x: -15, y: 5, anchor: 'end' } as const)
    : kind === 'handler'
      ? ({ x: 15, y: 6, anchor: 'start' } as const)
      : ({ x: 17, y: -11, anchor: 'start' } as const);

/** Things whose shape alone does not say enough. */
const NAMED: ReadonlySet<PictureThing['kind']> = new Set([
  'dog',
  'handler',
  'mark',
  'memory',
  'blind',
  'gun',
  'toy',
  'square',
  'platform',
  'pole',
  'hurdle',
  'decoy',
  'cover',
] as const);
