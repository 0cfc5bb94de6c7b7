import { openness } from '@/core/breakdown';
import { useDog, usePlannedToday } from '@/data/live';
import { type DatedBout, type ElementRecord, pieceOf, prerequisiteGraph } from '@/data/read';
import { BeforeCard } from './before-card';
import { tell } from './words';

/** The card before a session, with all that it says of the dog, the plan and what stands before it. */
export function Before({
  element,
  last,
}: {
  readonly element: ElementRecord;
  readonly last: DatedBout | null;
}) {
  const state = useDog();
  const today = usePlannedToday();
  if (!state || !today) return <p className="text-lg">{tell('session-page.reading-the-log')}</p>;
  const planned = today.slots.find((one) => one.state === 'ahead' && pieceOf(one.slot) === element.id);
  return (
    <BeforeCard
      element={element}
      last={last}
      stands={state.stands.get(element.id) ?? null}
      work={state.work}
      evidence={state.evidence}
      waits={openness(element, prerequisiteGraph(state)).waits}
      other={state.other}
      planned={planned?.slot ?? null}
      strange={today.strange}
    />
  );
}
