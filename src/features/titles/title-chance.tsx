import { useMemo } from 'react';
import type { TrialId } from '@/core/shared';
import { useKennelWithDog } from '@/data/live';
import type { DogTitle } from '@/data/read';
import { enterTrials } from '@/data/write';
import { Button } from '@/ui';
import { wordsOf } from '@/words';
import { chanceView, weighable } from './title-view';
import { tell } from './words';

type Props = {
  readonly title: DogTitle;
  readonly chances: readonly (readonly number[])[];
  /** So many counted reps they rest on. */
  readonly reps: number;
};

/** The chance of a title with what is entered, and which entries would be best, each to be taken. */
export function TitleChance({ title, chances, reps }: Props) {
  const { kennel, done } = useKennelWithDog();
  const view = useMemo(() => chanceView(title, chances), [title, chances]);
  if (!view.ok) return <p className="mb-2 leading-snug">{wordsOf(view.message)}</p>;
  const { now, ever, best, lines } = view.value;
  const take = (entries: readonly string[]): void =>
    void done(
      tell('titles.chosen'),
      enterTrials(
        kennel,
        weighable(title.trials).map(({ trial }) => trial.id),
        entries as readonly TrialId[],
      ),
    );
  return (
    <div role="status" className="mb-3 leading-snug">
      <p className="text-lg font-bold">{now}</p>
      {ever && <p>{ever}</p>}
      {best && <p>{best}</p>}
      {title.aim?.worth == null && lines.length > 0 && <p>{tell('titles.say-worth')}</p>}
      <ul>
        {lines.map((line) => (
          <li key={line.key} className="flex flex-wrap items-center gap-x-3 border-b border-hair py-1">
            <span className="flex-1">{line.words}</span>
            <Button
              aria-label={tell('titles.choose-of', { titles: line.words })}
              onClick={() => take(line.entries)}
            >
              {tell('titles.choose')}
            </Button>
          </li>
        ))}
      </ul>
      <p className="mt-1 text-sm text-ink-soft">{tell('titles.rests-on', { reps })}</p>
    </div>
  );
}
