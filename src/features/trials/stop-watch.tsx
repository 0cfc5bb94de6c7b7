import { useEffect, useState } from 'react';
import { describeCost, type PreparedRules, watchFaults } from '@/core/rulebooks';
import type { RunId } from '@/core/shared';
import { useKennel } from '@/data/live';
import { Button } from '@/ui';
import type { Pen } from './pen';
import { useScreen } from './screen-store';
import type { SheetExercise } from './sheet-view';
import { tell } from './words';

type Props = {
  readonly run: RunId;
  readonly exercise: SheetExercise;
  readonly rules: PreparedRules;
  readonly pen: Pen;
};

/** Seconds as a watch shows them, to a tenth: 12.4. */
const shownSeconds = (seconds: number): number => Math.round(seconds * 10) / 10;

/**
 * A stop-watch for an exercise. Stopped, its time stays on the sheet, and what it would cost by the rules is
 * proposed: it is a fault only when somebody takes it.
 */
export function StopWatch({ run, exercise, rules, pen }: Props) {
  const { now } = useKennel();
  const { watch, runWatch } = useScreen();
  const mine = watch?.run === run && watch.exercise === exercise.key ? watch : null;
  const at = useTicking(mine !== null, now);
  const { watches, faults } = exercise.written;
  const last = watches.at(-1);
  const prepared = rules.exercises.find((one) => one.exercise === exercise.key);
  const limits = prepared ? watchFaults(prepared, last?.seconds ?? 0) : [];
  // What is on the sheet at this very time is not proposed again.
  const proposed = last
    ? limits.filter(
        ({ fault, charged }) =>
          charged && !faults.some((mark) => mark.fault === fault.id && mark.amount === last.seconds),
      )
    : [];
  const press = (): void => {
    runWatch(mine ? null : { run, exercise: exercise.key, since: now() });
    if (!mine) return;
    const seconds = shownSeconds((now() - mine.since) / 1000);
    void pen.write({ kind: 'watch', exercise: exercise.key, seconds }, last ? { of: last.id } : {});
  };
  return (
    <div>
      <div className="flex flex-wrap items-center gap-3">
        <Button look={mine ? 'signal' : 'plain'} size="big" onClick={press}>
          {mine ? tell('stop-watch.stop') : tell('stop-watch.start')}
        </Button>
        <output
          aria-label={tell('stop-watch.time')}
          aria-live="off"
          className="text-2xl font-bold tabular-nums"
        >
          {mine
            ? tell('stop-watch.seconds', { seconds: { number: (at - mine.since) / 1000, digits: 1 } })
            : last
              ? tell('stop-watch.seconds', { seconds: { number: last.seconds, digits: 1 } })
              : ''}
        </output>
        {limits.length > 0 && !mine && !last && (
          <span className="text-sm text-ink-soft">
            {tell('stop-watch.limits', {
              limits: {
                list: limits.map(({ fault, free }) => tell('stop-watch.limit', { title: fault.title, free })),
                between: '; ',
              },
            })}
          </span>
        )}
      </div>
      {!mine &&
        proposed.map(({ fault }) => (
          <p key={fault.id} role="status" className="mt-2 flex flex-wrap items-center gap-2 leading-snug">
            <span>
              {tell('stop-watch.would-cost', {
                title: fault.title,
                cost: describeCost(fault.cost, rules.word),
              })}
            </span>
            <Button
              look="ink"
              onClick={() =>
                void pen.write({
                  kind: 'fault',
                  exercise: exercise.key,
                  part: fault.part,
                  time: null,
                  fault: fault.id,
                  amount: last?.seconds ?? 0,
                })
              }
            >
              {tell('stop-watch.take-it', { title: fault.title })}
            </Button>
          </p>
        ))}
    </div>
  );
}

/** The time, renewed ten times a second while something runs. */
function useTicking(runs: boolean, now: () => number): number {
  const [at, setAt] = useState(now);
  useEffect(() => {
    if (!runs) return;
    setAt(now());
    const timer = setInterval(() => setAt(now()), 100);
    return () => clearInterval(timer);
  }, [runs, now]);
  return at;
}
