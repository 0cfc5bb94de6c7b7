import type { RuleBook } from '@/core/rulebooks';
import type { Day, DogId } from '@/core/shared';
import { type Beyond, beyondLimits } from '@/core/trials';
import type { Kennel } from '@/data/kennel';
import type { Dog } from '@/data/records';
import { keptOfDog } from './evidence';
import { type StandingSign, standingSigns } from './signs';
import { isOffWork } from './start';

/** What speaks against a dog’s run today. */
export type TrialSafety = {
  readonly dog: Dog;
  readonly offWork: boolean;
  readonly signs: readonly StandingSign[];
  readonly beyond: readonly Beyond[];
};

/** What is known of a dog before it is called; null for a dog that is not in this kennel. */
export async function trialSafety(
  kennel: Kennel,
  id: DogId,
  book: RuleBook,
  today: Day,
): Promise<TrialSafety | null> {
  const dog = await kennel.database.of('dogs').get(id);
  if (!dog) return null;
  return {
    dog,
    offWork: isOffWork(dog, today),
    signs: standingSigns(await keptOfDog(kennel, id), today).filter(
      ({ kind, sign }) => kind === 'stop' || sign === 'growled',
    ),
    beyond: beyondLimits(book, dog.limits),
  };
}
