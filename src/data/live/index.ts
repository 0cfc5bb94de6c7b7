export { type DogState, useDog } from './use-dog';
export { type KennelContext, useKennel, useKennelWithDog } from './use-kennel';
export { useKit } from './use-kit';
