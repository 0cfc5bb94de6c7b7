import { SIGNAL_KINDS } from '@/core/coaching';
import type { DogId, ElementId } from '@/core/shared';
import type { Kennel } from '@/data/kennel';
import type { Signal } from '@/data/records';

/** All words and signals of the kennel, by what they are for and then by their word. */
export async function listSignals(kennel: Kennel): Promise<Signal[]> {
  const place = ({ kind }: Signal): number => SIGNAL_KINDS.indexOf(kind);
  return (await kennel.database.of('signals').toArray()).sort(
    (a, b) => place(a) - place(b) || a.word.localeCompare(b.word),
  );
}

/**
 * The cues that a dog hears on an element: those that belong to it, and where none does all of the dog's
 * that belong to no other.
 */
export function cuesOf(signals: readonly Signal[], dog: DogId, element: ElementId): string[] {
  const own = ownCuesOf(signals, dog, element);
  if (own.length > 0) return own;
  return wordsOf(heardBy(signals, dog).filter((one) => one.elements.length === 0));
}

/** The cues of an element itself; none where nobody has named it yet. */
export const ownCuesOf = (signals: readonly Signal[], dog: DogId, element: ElementId): string[] =>
  wordsOf(heardBy(signals, dog).filter((one) => one.elements.includes(element)));

const heardBy = (signals: readonly Signal[], dog: DogId): Signal[] =>
  signals.filter((one) => one.kind === 'cue' && (one.dogId === null || one.dogId === dog));

const wordsOf = (signals: readonly Signal[]): string[] => [...new Set(signals.map((one) => one.word))];
