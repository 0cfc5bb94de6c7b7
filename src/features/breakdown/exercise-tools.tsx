import { ArrowDown, ArrowUp, X } from 'lucide-react';
import { useState } from 'react';
import { Link } from 'react-router';
import { asId, type PartKey } from '@/core/shared';
import { type DogState, useDogs, useKennel } from '@/data/live';
import { activeElements, type Breakdown, type Dog, exerciseTitle, wholeId } from '@/data/read';
import { changeBreakdown, copyExercises, putExerciseAway } from '@/data/write';
import { Button, buttonClass, SelectField, TextField } from '@/ui';
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

type ToolsProps = { readonly exercise: Breakdown; readonly state: DogState };

/**
 * An exercise as a whole: run it, give it to another dog, put it away; and of an own one its name and a
 * further link. Its elements stay either way.
 */
export function ExerciseTools({ exercise, state }: ToolsProps) {
  const { kennel, done } = useKennel();
  return (
    <div className="mt-3 grid gap-3 border-t border-rule pt-3">
      {exercise.own && <FurtherLink exercise={exercise} state={state} />}
      <div className="flex flex-wrap items-center gap-3">
        <Link className={buttonClass('ink')} to={`/${kennel.name}/field/${wholeId(exercise.id)}`}>
          {tell('exercise-tools.run-the-whole')}
        </Link>
        <GiveAway exercise={exercise} state={state} />
        <Button
          look="quiet"
          onClick={() =>
            void done(
              tell('exercise-tools.the-exercise-is-put-away'),
              putExerciseAway(kennel, exercise.id, true),
            )
          }
        >
          {tell('exercise-tools.put-this-exercise-away')}
        </Button>
      </div>
      {exercise.own && <OwnName exercise={exercise} own={exercise.own} />}
    </div>
  );
}

/** An own exercise under another name. */
function OwnName({
  exercise,
  own,
}: {
  readonly exercise: Breakdown;
  readonly own: NonNullable<Breakdown['own']>;
}) {
  const { kennel, done } = useKennel();
  const [title, setTitle] = useState(own.title);
  const clean = title.trim();
  const keep = (): void => {
    if (clean === '' || clean === own.title) return;
    void done(
      tell('exercise-tools.name-changed'),
      changeBreakdown(kennel, exercise.id, ({ own: stored }) => ({
        own: stored && { ...stored, title: clean },
      })),
    );
  };
  return (
    <details>
      <summary className="min-h-11 cursor-pointer py-2.5 underline decoration-rule underline-offset-4">
        {tell('exercise-tools.call-it-otherwise')}
      </summary>
      <TextField
        label={tell('exercise-tools.name-of-the-exercise')}
        className="max-w-md"
        value={title}
        maxLength={120}
        problem={clean === '' ? tell('exercise-tools.an-exercise-needs-a-name') : undefined}
        onChange={(event) => setTitle(event.target.value)}
        onBlur={keep}
        onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
      />
    </details>
  );
}

/** The whole exercise for another dog, broken down as it is here. */
function GiveAway({ exercise, state }: ToolsProps) {
  const { kennel, dog, done } = useKennel();
  const others = (useDogs() ?? []).filter((one) => one.id !== dog?.id);
  const title = exerciseTitle(exercise, state.work);
  const give = async (other: Dog): Promise<void> => {
    const words = (made: readonly unknown[]): string =>
      tell('exercise-tools.has-it-now', { name: other.name, title, made: made.length });
    await done(words, copyExercises(kennel, [exercise.id], other.id));
  };
  return (
    <>
      {others.map((other) => (
        <Button key={other.id} onClick={() => void give(other)}>
          {tell('exercise-tools.give-it-to', { name: other.name })}
        </Button>
      ))}
    </>
  );
}

function FurtherLink({ exercise, state }: ToolsProps) {
  const change = useLinks(exercise);
  const linked = new Set(exercise.links.map((link) => link.element));
  const free = activeElements(state.work).filter((element) => !linked.has(element.id));
  const [chosen, setChosen] = useState<string | null>(null);
  const element = free.find((one) => one.id === chosen) ?? free[0];
  if (!element) return null;
  const part = asId<PartKey>(`${exercise.exercise}-${exercise.links.length + 1}-${element.id}`);
  return (
    <div className="flex flex-wrap items-end gap-3">
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
    </div>
  );
}
