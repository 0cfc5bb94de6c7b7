import { useLiveQuery } from 'dexie-react-hooks';
import { useMemo } from 'react';
import {
  type DogWork,
  type EvidenceByElement,
  evidenceByElement,
  type KeptEvidence,
  keptOfDog,
  type OtherWork,
  otherWorkOf,
  type StandsByElement,
  standsOf,
  type Trial,
  trialsOf,
  workOf,
} from '@/data/read';
import { useKennelWithDog } from './use-kennel';

export type DogState = {
  readonly work: DogWork;
  /** What each element's bouts say; those dated after today are left out. */
  readonly evidence: EvidenceByElement;
  /** The same, bout by bout, oldest first. */
  readonly bouts: readonly KeptEvidence[];
  /** Where the dog stands, by element; elements that were never worked are not there. */
  readonly stands: StandsByElement;
  readonly trials: readonly Trial[];
  /** What was done outside the log. */
  readonly other: readonly OtherWork[];
  /** Bouts dated after today: a clock was wrong, or another time zone. They wait for their day to be put right. */
  readonly ahead: readonly KeptEvidence[];
};

/**
 * All that the database holds of the dog in hand, and no entry of a log; null until first read. Work,
 * trials and evidence are read apart, so that a rep reads neither rule books nor elements again.
 */
export function useDog(): DogState | null {
  const { kennel, dog, today } = useKennelWithDog();
  const work = useLiveQuery(() => workOf(kennel, dog.id), [kennel, dog.id]);
  const trials = useLiveQuery(() => trialsOf(kennel, dog.id), [kennel, dog.id]);
  const bouts = useLiveQuery(() => keptOfDog(kennel, dog.id), [kennel, dog.id]);
  const other = useLiveQuery(() => otherWorkOf(kennel, dog.id), [kennel, dog.id]);
  return useMemo(
    () => (work && trials && bouts && other ? dogState(work, trials, bouts, today, other) : null),
    [work, trials, bouts, other, today],
  );
}

/**
 * What a room is given, from what is stored.
 * @internal
 */
export const dogState = (
  work: DogWork,
  trials: readonly Trial[],
  bouts: readonly KeptEvidence[],
  today: KeptEvidence['day'],
  other: readonly OtherWork[] = [],
): DogState => ({
  work,
  bouts: bouts.filter((bout) => !bout.link),
  evidence: evidenceByElement(
    bouts.filter((bout) => bout.day <= today),
    work.elements,
  ),
  stands: standsOf(bouts),
  trials,
  other,
  ahead: bouts.filter((bout) => bout.day > today && !bout.link),
});
