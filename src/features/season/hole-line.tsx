import { useState } from 'react';
import { Link } from 'react-router';
import type { Hole, LiveKind } from '@/core/review';
import { useKennelWithDog } from '@/data/live';
import { type ElementRecord, elementOfKind, reachAxis } from '@/data/read';
import { changeElement } from '@/data/write';
import { Button, buttonClass, SelectField } from '@/ui';
import { writeShare } from '@/words';
import { useSeasonUnit } from './use-season-unit';
import { tell } from './words';

type HoleProps = {
  readonly hole: Hole;
  readonly elements: readonly ElementRecord[];
  readonly trained: number | null;
};

/** A hole in one sentence, with its grounds, and the work that it becomes in one tap. */
export function HoleLine({ hole, elements, trained }: HoleProps) {
  const { kennel, done } = useKennelWithDog();
  const unit = useSeasonUnit(elements);
  const usual = elementOfKind(hole.what, elements);
  const [chosen, setChosen] = useState<string>(usual?.id ?? '');
  const element = elements.find((one) => one.id === chosen) ?? null;
  const axis = element && reachAxis(element);
  const goal = hole.goal;
  const further = axis !== null && goal !== null && goal > axis.demand + 1e-6;
  const length = (metres: number) => ({ quantity: 'distance', base: metres, unit }) as const;
  const raise = (): void => {
    if (!element || !axis || goal === null) return;
    void done(
      tell('season.is-work', { title: element.title, goal: length(goal) }),
      changeElement(kennel, element.id, {
        axes: element.axes.map((one) => (one.key === axis.key ? { ...one, demand: goal } : one)),
      }),
    );
  };
  return (
    <li className="grid gap-1.5 py-3">
      <p className="text-lg font-semibold leading-snug">
        {tell('season.hole', {
          what: whatOf(hole.what),
          where: whereOf(hole, length),
          right: hole.right,
          n: hole.n,
        })}
      </p>
      <p className="leading-snug">
        {hole.thin
          ? tell('season.thin')
          : tell('season.share', { low: writeShare(hole.low), high: writeShare(hole.high) })}{' '}
        {tell('season.cost', { cost: hole.cost })}{' '}
        {trained !== null && tell('season.trained-to', { trained: length(trained) })}
      </p>
      {elements.length === 0 ? (
        <Link className={buttonClass('ink')} to={`/${kennel.name}/breakdown/methods`}>
          {tell('season.choose-a-method')}
        </Link>
      ) : (
        <div className="flex flex-wrap items-end gap-3">
          <SelectField
            label={tell('season.work-it-with')}
            value={chosen}
            options={[
              { value: '', words: tell('season.nothing-yet') },
              ...elements.map((one) => ({ value: one.id as string, words: one.title })),
            ]}
            onChange={setChosen}
          />
          {further && goal !== null && (
            <Button look="ink" onClick={raise}>
              {tell('season.make-it-work', { goal: length(goal) })}
            </Button>
          )}
          {element && !further && (
            <Link className={buttonClass('ink')} to={`/${kennel.name}/field/${element.id}`}>
              {tell('season.to-its-card')}
            </Link>
          )}
          {element && (
            <Link
              className={buttonClass('plain')}
              to={`/${kennel.name}/set-outs/new?element=${element.id}${goal === null ? '' : `&far=${goal}`}`}
            >
              {tell('season.set-it-up')}
            </Link>
          )}
          {!element && (
            <Link className={buttonClass('plain')} to={`/${kennel.name}/breakdown/methods`}>
              {tell('season.choose-a-method')}
            </Link>
          )}
        </div>
      )}
    </li>
  );
}

const whatOf = (what: LiveKind): string => tell('season.plural', { what });

function whereOf(
  { where }: Hole,
  length: (metres: number) => {
    readonly quantity: 'distance';
    readonly base: number;
    readonly unit: 'm' | 'yd';
  },
): string {
  const parts = [
    where.beyond === null ? '' : tell('season.past', { distance: length(where.beyond) }),
    where.wind === null ? '' : tell('event.wind', { wind: where.wind }),
    where.cover === null ? '' : tell('event.cover', { cover: where.cover }),
  ].filter((one) => one !== '');
  return parts.length > 0 ? ` ${parts.join(', ')}` : '';
}
