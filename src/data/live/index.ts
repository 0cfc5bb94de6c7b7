export { type DogState, useDog } from './use-dog';
export { type KennelContext, useKennel, useKennelWithDog } from './use-kennel';
export { useKeptLogs } from './use-kept-logs';
export { useKit } from './use-kit';
export { useLastBouts } from './use-last-bouts';
