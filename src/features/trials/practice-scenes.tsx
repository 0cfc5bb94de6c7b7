import { useEffect, useRef, useState } from 'react';
import { useSearchParams } from 'react-router';
import type { RuleBook } from '@/core/rulebooks';
import type { RunId } from '@/core/shared';
import type { PracticeRun } from '@/core/trials';
import { Button } from '@/ui';
import { useShown } from './practice-store';
import { tell } from './practice-words';

type Props = { readonly run: RunId; readonly script: PracticeRun; readonly book: RuleBook };

/** What can be seen of the run, one scene after another: by hand, or by the clock as it happened. */
export function PracticeScenes({ run, script, book }: Props) {
  const shown = useShown();
  const count = shown.run === run ? shown.count : 0;
  const [ticks, setTicks] = useState(false);
  const { events } = script;
  const next = events[count];
  const last = events[count - 1];
  const wait = next ? Math.max(0.5, next.at - (last?.at ?? next.at)) : 0;
  const [, setParams] = useSearchParams();
  const show = (to: number): void => {
    shown.show(run, to);
    // The sheet turns to the exercise that is shown.
    const now = events[to - 1]?.exercise;
    if (now && now !== last?.exercise)
      setParams((before) => {
        before.set('exercise', now);
        return before;
      });
  };
  const latest = useRef(show);
  useEffect(() => {
    latest.current = show;
  });
  useEffect(() => {
    if (!ticks || !next) return;
    const timer = setTimeout(() => latest.current(count + 1), wait * 1000);
    return () => clearTimeout(timer);
  }, [ticks, next, wait, count]);
  // A judge sees it once: the scene, and the one before it.
  const scenes = events.slice(Math.max(0, count - 2), count).filter((one) => one.exercise === last?.exercise);
  const title = book.exercises.find(({ id }) => id === last?.exercise)?.title;
  return (
    <section aria-label={tell('practice.seen')} className="mb-4 border-2 border-ink bg-sheet p-3">
      {title && <p className="font-bold">{tell('practice.exercise', { title })}</p>}
      <ol aria-live="polite" className="leading-snug">
        {scenes.map((one, i) => (
          <li key={one.at} className={i === scenes.length - 1 ? 'text-lg font-semibold' : 'text-ink-soft'}>
            <span className="mr-2 text-sm tabular-nums text-ink-soft">
              {tell('practice.seconds', { s: one.at })}
            </span>
            {one.text}
          </li>
        ))}
      </ol>
      {next ? (
        <p className="mt-2 flex flex-wrap items-center gap-3">
          <Button look="signal" size="big" onClick={() => show(count + 1)}>
            {count === 0 ? tell('practice.start') : tell('practice.next')}
          </Button>
          <Button aria-pressed={ticks} onClick={() => setTicks(!ticks)}>
            {tell('practice.clock')}
          </Button>
          <span className="text-sm text-ink-soft">
            {tell('practice.to-come', { n: events.length - count })}
          </span>
        </p>
      ) : (
        <p role="status" className="mt-2 font-semibold leading-snug">
          {tell('practice.all-shown')}
        </p>
      )}
    </section>
  );
}
