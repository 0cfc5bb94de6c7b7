import { Link } from 'react-router';
import type { ExerciseKey, PersonId } from '@/core/shared';
import { useKennel } from '@/data/live';
import { buttonClass } from '@/ui';
import type { RunState } from './run-state';
import { tell } from './words';

type Props = {
  readonly state: RunState;
  readonly judge: PersonId | null;
  readonly exercise: ExerciseKey | null;
};

/** The dogs that are judged at the same time: one tap changes, at the same exercise. Nothing where there is one. */
export function BesideBar({ state, judge, exercise }: Props) {
  const { kennel } = useKennel();
  if (state.beside.length < 2) return null;
  return (
    <nav aria-label={tell('beside-bar.dogs')} className="-mx-1 flex gap-1 overflow-x-auto px-1 py-1">
      {state.beside.map((run) => {
        const asked = new URLSearchParams({
          ...(judge === null ? {} : { judge }),
          ...(exercise === null ? {} : { exercise }),
        });
        const here = run.id === state.run.id;
        return (
          <Link
            key={run.id}
            replace
            aria-current={here ? 'page' : undefined}
            className={`${buttonClass(here ? 'ink' : 'plain')} shrink-0`}
            to={`/${kennel.name}/trials/runs/${run.id}?${asked}`}
          >
            {tell('one-exercise.dog', { number: run.number, name: run.name })}
          </Link>
        );
      })}
    </nav>
  );
}
