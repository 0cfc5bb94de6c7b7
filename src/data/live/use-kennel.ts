import { useOutletContext } from 'react-router';
import type { Day, DogId, Result } from '@/core/shared';
import type { Kennel } from '@/data/kennel';
import type { Dog } from '@/data/records';
import type { Undo } from '@/data/write';

/**
 * What every room is given: the open kennel, the dog in hand (null in an empty kennel), and the
 * clock.
 */
export type KennelContext = {
  readonly kennel: Kennel;
  readonly dog: Dog | null;
  /** Takes a dog in hand; it stays chosen over reloads. */
  readonly choose: (dog: DogId) => void;
  readonly now: () => number;
  readonly today: Day;
  /** Makes the sample kennel anew; null in a person's own, which nothing may make anew. */
  readonly renew: (() => Promise<Result<Undo>>) | null;
  /**
   * Waits for a write and says what was done, with its undo, or why it was not: the one way for every
   * room. Without words only a failure is said.
   */
  readonly done: <T>(
    words: string | ((made: T) => string) | null,
    writing: Promise<Result<Undo<T>>>,
  ) => Promise<Result<Undo<T>>>;
};

export function useKennel(): KennelContext {
  return useOutletContext<KennelContext>();
}

/** The same in rooms that are only entered with a dog. */
export function useKennelWithDog(): KennelContext & { readonly dog: Dog } {
  const context = useKennel();
  if (!context.dog) throw new Error('this room needs a dog; the frame should have led to the start');
  return { ...context, dog: context.dog };
}
