import { useLiveQuery } from 'dexie-react-hooks';
import type { Axis } from '@/core/breakdown';
import type { CallKind } from '@/core/coaching';
import { type WordReach, wordReach } from '@/core/evidence';
import { useKennelWithDog } from '@/data/live';
import { type DatedBout, type ElementRecord, keptOn } from '@/data/read';
import { confusedIn, nextCall } from './calls';
import type { padView } from './pad-view';

/** What is called next: by the dog's own cues, within what this rung asks, confused ones more often. */
export const calledNext = (
  kind: CallKind,
  words: readonly string[],
  bout: DatedBout,
  view: ReturnType<typeof padView>,
  reach: { readonly axis: Axis; readonly words: readonly WordReach[] } | null,
) =>
  nextCall({
    kind,
    bout: bout.id,
    repCount: view.repCount,
    words,
    longest: view.hold,
    confused: confusedIn(view.reps),
    reach: reach && { ...reach, asked: view.criteria[reach.axis.key] ?? reach.axis.start },
  });

/** How far each word is answered, from what is kept of earlier bouts; read once, and only for a mix. */
export function useWordReach(element: ElementRecord | null, axis: Axis | null): readonly WordReach[] {
  const { kennel } = useKennelWithDog();
  const found = useLiveQuery(
    async () => (element && axis ? wordReach(await keptOn(kennel, element.id), axis) : []),
    [kennel, element?.id, axis?.key],
  );
  return found ?? NO_REACH;
}
const NO_REACH: readonly WordReach[] = [];
