import { useLiveQuery } from 'dexie-react-hooks';
import { Plus } from 'lucide-react';
import { lazy, Suspense, useEffect, useRef, useState } from 'react';
import { Link } from 'react-router';
import { buildLadder, placeOn } from '@/core/breakdown';
import type { BoutId } from '@/core/shared';
import { useKennelWithDog } from '@/data/live';
import {
  addressOf,
  type DatedBout,
  isWhole,
  type KeptEvidence,
  keptOfBouts,
  type Lesson,
  type LessonBout,
  lessonNow,
} from '@/data/read';
import { record } from '@/data/write';
import { Button } from '@/ui';
import { useLesson } from './lesson-store';
import { nextSteps } from './next-steps';
import { clockText, Seconds } from './seconds';
import { tell } from './words';

const AddToLesson = lazy(async () => ({ default: (await import('./add-to-lesson')).AddToLesson }));

type Props = {
  /** What is on the page: an element, or an exercise that is run whole. */
  readonly current: string;
  /** Its bout, where one is open. */
  readonly bout: DatedBout | null;
};

/**
 * The lesson: its elements and dogs, each with its place, the step that comes next and the time since it last
 * worked. One tap changes; what is open stays open.
 */
export function SwitchBar({ current, bout }: Props) {
  const { kennel, dog, today, done } = useKennelWithDog();
  // Apart: a rep changes what its bout comes to, and neither bouts nor dogs.
  const lesson = useLiveQuery(() => lessonNow(kennel, today), [kennel, today]);
  const ids = lesson?.bouts.map((one) => one.bout.id) ?? NO_BOUTS;
  const kept = useLiveQuery(() => keptOfBouts(kennel, ids), [kennel, ids.join(' ')]);
  // What is on the pad has its advice there; the logs of the others do not change with a rep of it, and
  // where no pad is open none is read.
  const others = bout ? (lesson?.bouts ?? []).filter((one) => one.running && one.bout.id !== bout.id) : [];
  const next = useLiveQuery(() => nextSteps(kennel, others), [kennel, lesson, bout?.id]);
  const [adding, setAdding] = useState(false);
  if (!lesson) return null;
  const several = lesson.bouts.some((one) => one.dog.id !== dog.id);
  return (
    <section aria-label={tell('switch-bar.this-lesson')} className="-mt-3 mb-3 mx-auto max-w-5xl lg:mt-0">
      <nav className="flex gap-1.5" aria-label={tell('switch-bar.elements-and-dogs')}>
        <ul className="flex min-w-0 flex-1 gap-1.5 overflow-x-auto lg:flex-initial">
          {lesson.bouts.map((one) => (
            <li key={one.bout.id} className="shrink-0">
              <Chip
                one={one}
                kept={kept?.get(one.bout.id) ?? null}
                next={next?.get(one.bout.id) ?? null}
                current={addressOf(one.bout) === current}
                named={several}
              />
            </li>
          ))}
        </ul>
        {bout && (
          <Button
            size="big"
            className="w-16 shrink-0 !px-1 text-base leading-tight"
            onClick={() =>
              void done(
                tell('switch-bar.an-easy-one-is-logged'),
                record(kennel, bout, { kind: 'easy', what: tell('switch-bar.an-easy-one') }),
              )
            }
          >
            {tell('switch-bar.easy-one')}
          </Button>
        )}
        <Button
          size="big"
          className="shrink-0 !px-3"
          aria-label={tell('switch-bar.add-to-the-lesson')}
          onClick={() => setAdding(true)}
        >
          <Plus aria-hidden="true" className="size-6" />
        </Button>
      </nav>
      <LessonClock lesson={lesson} />
      {adding && (
        <Suspense>
          <AddToLesson lesson={lesson} current={current} onClose={() => setAdding(false)} />
        </Suspense>
      )}
    </section>
  );
}

const NO_BOUTS: readonly BoutId[] = [];

function Chip({
  one,
  kept,
  next,
  current,
  named,
}: {
  readonly one: LessonBout;
  readonly kept: KeptEvidence | null;
  readonly next: number | null;
  readonly current: boolean;
  readonly named: boolean;
}) {
  const { kennel } = useKennelWithDog();
  const at = useRef<HTMLAnchorElement>(null);
  useEffect(() => {
    if (current) at.current?.scrollIntoView({ block: 'nearest', inline: 'nearest' });
  }, [current]);
  return (
    <Link
      ref={at}
      to={`/${kennel.name}/field/${addressOf(one.bout)}`}
      aria-current={current ? 'page' : undefined}
      className={`flex min-h-14 max-w-44 flex-col justify-center border-2 border-ink px-2.5 py-1 leading-tight ${current ? 'bg-ink text-paper' : 'bg-sheet'}`}
    >
      <span className="truncate font-bold">{named ? one.dog.name : one.element.title}</span>
      <span className="flex gap-2 text-sm">
        {named && <span className="truncate">{one.element.title}</span>}
        <span className="shrink-0">{placeInShort(one, kept, next)}</span>
        {one.running && kept ? <Seconds since={kept.last} /> : <span>{tell('switch-bar.ended')}</span>}
      </span>
    </Link>
  );
}

/** "3 of 9", "3 of 9, next 4", and for a whole run how many there were. */
function placeInShort({ element, bout }: LessonBout, kept: KeptEvidence | null, next: number | null): string {
  if (isWhole(element)) return tell('switch-bar.runs', { n: kept?.reps ?? 0 });
  const ladder = buildLadder(element);
  return tell('switch-bar.step-of', {
    step: placeOn(ladder, kept?.stands ?? bout.start).rung + 1,
    steps: ladder.rungs.length,
    next: next === null ? 'none' : String(next + 1),
  });
}

/** How long the lesson and its warm-up have lasted, in minutes. */
function LessonClock({ lesson }: { readonly lesson: Lesson }) {
  const { warmUp } = useLesson();
  const here = warmUp && lesson.bouts.some((one) => one.bout.id === warmUp.bout) ? warmUp : null;
  return (
    <p className="mt-1 text-sm text-ink-soft">
      {tell('switch-bar.lesson')} <Seconds since={lesson.outing.startedAt} />
      {here && (
        <>
          {' · '}
          {tell('switch-bar.warm-up')} <Seconds since={here.since} />
        </>
      )}
    </p>
  );
}

/** Seconds of each clock of a lesson, from its log: "warm-up 2:10, work 0:45, rest 1:30". */
export const clocksInWords = (sums: Readonly<Record<'warm-up' | 'work' | 'rest', number>>): string =>
  (['warm-up', 'work', 'rest'] as const)
    .flatMap((what) =>
      sums[what] > 0 ? [tell('switch-bar.clock', { what, time: clockText(sums[what]) })] : [],
    )
    .join(', ');
