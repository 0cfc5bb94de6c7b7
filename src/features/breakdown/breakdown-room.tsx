import { Link } from 'react-router';
import { useDog, useKennelWithDog } from '@/data/repositories';
import { buttonClass, Chain, Notice, newestOf, PageHead, Rod, Sheet } from '@/ui';
import { type ElementView, type ExerciseView, exerciseViews, ownElements } from './breakdown-view';
import { useAssessed } from './use-assessed';

export function BreakdownRoom() {
  const { dog } = useKennelWithDog();
  const state = useDog();
  const latest = useAssessed(state);
  if (!state) return <p className="text-lg">Reading the log …</p>;
  const assessed = newestOf(latest);
  const own = ownElements(state, assessed);
  return (
    <>
      <PageHead title={`What ${dog.name} is asked, piece by piece`}>
        Each link of the chain is an element: the longer, the more it can cost; the thinner, the weaker. Open one to see or change its ladder.
      </PageHead>
      {latest.state === 'failed' && <Notice tone="alert">{latest.failure.message}</Notice>}
      <div className="grid gap-7">
        {exerciseViews(state, assessed).map((exercise) => (
          <ExerciseSheet key={exercise.key} exercise={exercise} />
        ))}
        {own.length > 0 && (
          <Sheet title="Own goals" aside="no rule book asks for these">
            <ul className="divide-y divide-hair">
              {own.map((element) => (
                <ElementRow key={element.id} element={element} />
              ))}
            </ul>
          </Sheet>
        )}
      </div>
      <RodKey />
    </>
  );
}

function ExerciseSheet({ exercise }: { readonly exercise: ExerciseView }) {
  const links = exercise.links.map((link) => ({
    key: link.part,
    title: link.title,
    weight: link.weight,
    strength: link.strength,
    note: `up to ${link.stake} points${link.strength === null ? '' : `; ${Math.round(link.strength * 100)} in 100 clean`}`,
  }));
  return (
    <Sheet title={exercise.title} aside={`${exercise.maximum} points`}>
      <Chain label={`Chain of ${exercise.title}`} links={links} />
      <ul className="mt-3 divide-y divide-hair border-t border-rule">
        {exercise.links.map((link, i) => (
          <ElementRow key={link.part} element={link} place={i + 1} />
        ))}
      </ul>
    </Sheet>
  );
}

function ElementRow({ element, place }: { readonly element: ElementView; readonly place?: number }) {
  return (
    <li className="grid gap-x-8 gap-y-3 py-4 lg:grid-cols-[17rem_1fr]">
      <div>
        <h3 className="text-lg font-bold leading-snug">
          {place !== undefined && <span className="text-ink-soft">{place}. </span>}
          {element.title}
        </h3>
        <p className="text-sm leading-snug">Rung {element.rungInWords}</p>
        <p className="text-sm leading-snug text-ink-soft">{element.chance ?? 'Weighing the reps …'}</p>
        {element.problems > 0 && <p className="text-sm font-semibold text-signal-ink">{element.problems} to look at in the ladder</p>}
        <p className="mt-1.5 flex flex-wrap gap-2">
          <Link className={buttonClass('plain')} to={element.id} aria-label={`Ladder of ${element.title}`}>
            Ladder
          </Link>
          <Link className={buttonClass('quiet')} to={`../field/${element.id}`} relative="path" aria-label={`Train ${element.title}`}>
            Train
          </Link>
        </p>
      </div>
      <div className="grid min-w-0 content-start gap-x-8 gap-y-4 md:grid-cols-2">
        {element.rods.map((rod) => (
          <Rod key={rod.title} data={rod} compact />
        ))}
      </div>
    </li>
  );
}

function RodKey() {
  return (
    <p className="mt-4 max-w-4xl text-sm leading-snug text-ink-soft">
      On a rod each band is one step of the ladder, from the start on the left to the flag, where the demand is. The filled pointer is where the dog
      stands. The hatched bar below spans where a rep is clean 8 times in 10, as far as the reps can tell (80 % interval, at home; swings between
      sessions are not in it yet). The dashed part is the proof margin.
    </p>
  );
}
