import { ArrowDown, ArrowUp, X } from 'lucide-react';
import { useState } from 'react';
import { asId, type PartKey } from '@/core/shared';
import { type DogState, useKennel } from '@/data/live';
import { activeElements, type Breakdown } from '@/data/read';
import { changeBreakdown, removeBreakdown } from '@/data/write';
import { Button, SelectField } from '@/ui';
import { moved } from './exercise-draft';
import { tell } from './words';

type Links = Breakdown['links'];

/** Saves other links of an own exercise and the undo line takes it back. */
function useLinks(exercise: Breakdown): (links: Links, words: string) => void {
  const { kennel, done } = useKennel();
  return (links, words) => void done(words, changeBreakdown(kennel, exercise.id, { links }));
}

/**
 * A link of an own exercise: put it elsewhere, or take it out. A rule book's order is the rule
 * book's.
 */
export function LinkTools({
  exercise,
  at,
  title,
}: {
  readonly exercise: Breakdown;
  readonly at: number;
  readonly title: string;
}) {
  const change = useLinks(exercise);
  const { links } = exercise;
  const icon = (label: string, Icon: typeof X, disabled: boolean, next: () => Links, words: string) => (
    <Button
      look="quiet"
      className="!px-2"
      aria-label={`${label} ${title}`}
      disabled={disabled}
      onClick={() => change(next(), words)}
    >
      <Icon aria-hidden="true" className="size-5" />
    </Button>
  );
  return (
    <>
      {icon(
        tell('exercise-tools.move-up'),
        ArrowUp,
        at === 0,
        () => moved(links, at, at - 1),
        tell('exercise-tools.order-changed'),
      )}
      {icon(
        tell('exercise-tools.move-down'),
        ArrowDown,
        at === links.length - 1,
        () => moved(links, at, at + 1),
        tell('exercise-tools.order-changed'),
      )}
      {icon(
        tell('exercise-tools.take-out'),
        X,
        links.length === 1,
        () => links.filter((_, i) => i !== at),
        tell('exercise-tools.is-out-of-the-exercise-it-stays-as', { title }),
      )}
    </>
  );
}

/**
 * An own exercise as a whole: a further link, or no exercise any more. Its elements stay either
 * way.
 */
export function ExerciseTools({
  exercise,
  state,
}: {
  readonly exercise: Breakdown;
  readonly state: DogState;
}) {
  const { kennel, done } = useKennel();
  const change = useLinks(exercise);
  const free = activeElements(state.work).filter(
    (element) => !exercise.links.some((link) => link.element === element.id),
  );
  const [chosen, setChosen] = useState('');
  const element = free.find((one) => one.id === chosen) ?? free[0];
  const part = asId<PartKey>(`${exercise.exercise}-${exercise.links.length + 1}-${element?.id ?? ''}`);
  return (
    <div className="mt-3 flex flex-wrap items-end gap-3 border-t border-rule pt-3">
      {element && (
        <>
          <SelectField
            label={tell('exercise-tools.a-further-link')}
            value={element.id as string}
            options={free.map((one) => ({ value: one.id as string, words: one.title }))}
            onChange={setChosen}
          />
          <Button
            onClick={() =>
              change(
                [...exercise.links, { part, element: element.id }],
                tell('exercise-tools.is-a-link-now', { title: element.title }),
              )
            }
          >
            {tell('exercise-tools.add-it')}
          </Button>
        </>
      )}
      <Button
        look="quiet"
        onClick={() =>
          void done(
            tell('exercise-tools.the-exercise-is-gone-its-pieces'),
            removeBreakdown(kennel, exercise.id),
          )
        }
      >
        {tell('exercise-tools.take-the-exercise-apart')}
      </Button>
    </div>
  );
}
