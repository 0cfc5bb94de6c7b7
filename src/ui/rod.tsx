import { lazy, Suspense } from 'react';
import type { RodData } from '@/core/evidence';
import { tell, wordsOf } from '@/words/shell';

const LEFT = -0.12;

type Props = {
  readonly data: RodData;
  readonly compact?: boolean;
  /**
   * Where a mark was let go, on the rod's own scale (0 start, 1 demand). Without it the rod is only
   * read.
   */
  readonly onMove?: ((which: 'start' | 'demand', at: number) => void) | null;
};

// Where nothing is moved the handles stay away: the pad has none.
const RodHandles = lazy(async () => ({ default: (await import('./rod-handles')).RodHandles }));

/**
 * The rod: a graduated pole for one criterion axis. Reads without colour; the sentence says the
 * same to a screen reader.
 */
export function Rod({ data, compact = false, onMove = null }: Props) {
  const right = Math.max(1.12, data.proofAt + 0.08);
  const place = (at: number): number => ((Math.min(right, Math.max(LEFT, at)) - LEFT) / (right - LEFT)) * 100;
  const marks = [...new Set([0, ...data.rungs, 1].filter((at) => at >= 0 && at <= 1))].sort((a, b) => a - b);
  return (
    <figure className="relative min-w-0" aria-label={wordsOf(data.sentence)}>
      <div aria-hidden="true">
        <div className="flex justify-between gap-2 text-sm leading-none">
          <span className="font-semibold">{data.title}</span>
          {data.proof !== null && (
            <span className="whitespace-nowrap text-ink-soft">
              {tell('rod.proof', { proof: data.proof })}
            </span>
          )}
        </div>
        <div className={`relative ${compact ? 'h-[4.6rem]' : 'h-[4.9rem]'}`}>
          <Pole marks={marks} place={place} />
          {data.proofAt > 1 && (
            <div
              className="absolute top-7 h-4 border-2 border-l-0 border-dashed border-rule"
              style={{ left: `${place(1)}%`, width: `${place(data.proofAt) - place(1)}%` }}
            />
          )}
          <Flag at={place(1)} />
          {data.here && <Here at={place(data.here.at)} label={wordsOf(data.here.label)} />}
          {data.reach && (
            <Reach low={place(data.reach.low)} mid={place(data.reach.mid)} high={place(data.reach.high)} />
          )}
          <span
            className="absolute top-[3.75rem] max-w-[45%] truncate text-sm leading-none"
            style={{ left: `${place(0)}%` }}
          >
            {wordsOf(data.start)}
          </span>
          <span
            className={`absolute top-[3.75rem] max-w-[50%] truncate text-sm font-bold leading-none ${wordsOf(data.demand).length > 9 ? '-translate-x-[85%]' : '-translate-x-1/2'}`}
            style={{ left: `${place(1)}%` }}
          >
            {wordsOf(data.demand)}
          </span>
        </div>
      </div>
      {onMove && (
        <Suspense>
          <RodHandles data={data} left={LEFT} right={right} onMove={onMove} />
        </Suspense>
      )}
    </figure>
  );
}

function Pole({
  marks,
  place,
}: {
  readonly marks: readonly number[];
  readonly place: (at: number) => number;
}) {
  return (
    <div>
      {marks.slice(1).map((mark, i) => {
        const from = place(marks[i] ?? 0);
        return (
          <div
            key={mark}
            className={`absolute top-7 h-4 border-y-2 border-r border-ink ${i === 0 ? 'border-l-2' : ''} ${i % 2 === 0 ? 'bg-ink' : 'bg-sheet'}`}
            style={{ left: `${from}%`, width: `${place(mark) - from}%` }}
          />
        );
      })}
    </div>
  );
}

function Here({ at, label }: { readonly at: number; readonly label: string }) {
  const side = at > 60 ? '-translate-x-full -ml-2.5' : 'ml-2.5';
  return (
    <div className="absolute top-0" style={{ left: `${at}%` }}>
      <svg
        className="absolute top-2.5 -ml-[9px]"
        width="18"
        height="17"
        viewBox="0 0 18 17"
        aria-hidden="true"
      >
        <path
          d="M1.5 1.5h15L9 15.5z"
          className="fill-signal stroke-ink"
          strokeWidth="2"
          strokeLinejoin="round"
        />
      </svg>
      <span
        className={`absolute top-2 whitespace-nowrap bg-sheet px-0.5 text-sm font-bold leading-none ${side}`}
      >
        {label}
      </span>
    </div>
  );
}

function Flag({ at }: { readonly at: number }) {
  return (
    <svg
      className="absolute top-0.5 -ml-[2px]"
      style={{ left: `${at}%` }}
      width="24"
      height="44"
      viewBox="0 0 24 44"
      aria-hidden="true"
    >
      <path d="M2 1v42" className="stroke-ink" strokeWidth="3" />
      <path d="M3 2l19 6-19 6z" className="fill-ink" />
    </svg>
  );
}

function Reach({ low, mid, high }: { readonly low: number; readonly mid: number; readonly high: number }) {
  return (
    <>
      <div
        className="hatch absolute top-[2.95rem] h-2 border-x-2 border-ink-soft"
        style={{ left: `${low}%`, width: `${Math.max(0.8, high - low)}%` }}
      />
      <div
        className="absolute top-[2.8rem] h-3 w-[3px] -translate-x-1/2 bg-ink"
        style={{ left: `${mid}%` }}
      />
    </>
  );
}
