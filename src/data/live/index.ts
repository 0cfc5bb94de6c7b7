export { type DogState, useDog } from './use-dog';
export { useDogs, useWork } from './use-dogs';
export { useFitting } from './use-fitting';
export { type KennelContext, useKennel, useKennelWithDog } from './use-kennel';
export { useKeptLogs } from './use-kept-logs';
export { useKit } from './use-kit';
export { useLastBouts } from './use-last-bouts';
export { type PlannedToday, usePlannedToday } from './use-planned';
export { useSignals } from './use-signals';
