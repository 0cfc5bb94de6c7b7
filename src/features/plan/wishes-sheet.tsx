import { Link } from 'react-router';
import { LOADS } from '@/core/planning';
import { useKennelWithDog } from '@/data/live';
import { type DogWishes, PLAIN_DOG_PLAN, type Planning } from '@/data/read';
import { putDogPlan } from '@/data/write';
import { NumberField, SelectField, Sheet } from '@/ui';
import { loadWords } from './plan-words';
import { tell } from './words';

const WEIGHTS = ['0.5', '1', '2'] as const;

/** What only a plan asks of each dog: days of rest, warm-up, its share of the time; and whose numbers loads keep to. */
export function WishesSheet({ planning }: { readonly planning: Planning }) {
  const { kennel, done } = useKennelWithDog();
  return (
    <Sheet title={tell('wishes-sheet.title')}>
      {planning.dogs.map((dog) => {
        const wishes = planning.plans.get(dog.id) ?? PLAIN_DOG_PLAN;
        const { daysAWeek, warmUp, weight } = wishes;
        const put = (change: Partial<DogWishes>): void =>
          void done(
            tell('wishes-sheet.kept'),
            putDogPlan(kennel, dog.id, { daysAWeek, warmUp, weight, ...change }),
          );
        return (
          <section key={dog.id} aria-label={dog.name} className="mb-4">
            <h3 className="font-bold">{dog.name}</h3>
            <div className="mt-1 grid gap-3 sm:grid-cols-3">
              <NumberField
                label={tell('wishes-sheet.days-a-week')}
                value={daysAWeek}
                least={1}
                most={7}
                onTake={(value) => value !== null && put({ daysAWeek: value })}
              />
              <NumberField
                label={tell('wishes-sheet.warm-up')}
                value={warmUp}
                least={0}
                most={60}
                onTake={(value) => value !== null && put({ warmUp: value })}
              />
              {planning.dogs.length > 1 && (
                <SelectField
                  label={tell('wishes-sheet.share')}
                  value={String(weight) as (typeof WEIGHTS)[number]}
                  options={WEIGHTS.map((value) => ({
                    value,
                    words: tell('wishes-sheet.share-is', {
                      value: value === '0.5' ? 'half' : value === '1' ? 'one' : 'two',
                    }),
                  }))}
                  onChange={(value) => put({ weight: Number(value) as DogWishes['weight'] })}
                />
              )}
            </div>
            <Asks planning={planning} dog={dog.id} name={dog.name} />
          </section>
        );
      })}
      <p className="leading-snug text-ink-soft">{tell('wishes-sheet.our-own-figures')}</p>
    </Sheet>
  );
}

/** Loads without a number: the plan keeps to the heaviest week of the log, and asks. */
function Asks({
  planning,
  dog,
  name,
}: {
  readonly planning: Planning;
  readonly dog: string;
  readonly name: string;
}) {
  const { choose } = useKennelWithDog();
  const found = planning.question.frame.dogs.find((one) => one.id === dog);
  if (!found) return null;
  const loads = LOADS.filter(
    (of) =>
      !found.limits.some((one) => one.of === of) &&
      planning.question.frame.pieces.some(
        (piece) => piece.dog === dog && piece.rungs.some((rung) => rung.perGo[of] > 0),
      ),
  );
  if (loads.length === 0) return null;
  return (
    <p className="mt-2 border-l-[6px] border-signal bg-paper px-3 py-1.5 leading-snug">
      {tell('wishes-sheet.asks', {
        name,
        loads: loads.map((of) => loadWords(of, found.heaviest[of])).join(', '),
      })}{' '}
      <Link className="underline" to="../kennel" relative="path" onClick={() => choose(found.id)}>
        {tell('wishes-sheet.say-a-number')}
      </Link>
    </p>
  );
}
