/** The rooms of the kitchen table, in the order in which somebody is likely to enter them. */
const ROOMS: readonly (() => Promise<unknown>)[] = [
  () => import('@/ui/dialog-sheet'),
  () => import('@/features/field/heard'),
  () => import('@/features/field/caller'),
  () => import('@/features/field/rep-details'),
  () => import('@/features/field/load-lines'),
  () => import('@/features/field/falling-off-line'),
  () => import('@/features/field/add-to-lesson'),
  () => import('./search-dialog'),
  () => import('@/features/field/end-page'),
  () => import('@/features/today'),
  () => import('@/features/field/article-pad'),
  () => import('@/features/field/continuous-pad'),
  () => import('@/features/field/game-pad'),
  () => import('@/features/element'),
  () => import('@/features/breakdown'),
  () => import('@/features/field/laid-out-card'),
  () => import('@/features/field/lying-things'),
  () => import('@/features/set-outs'),
  () => import('@/features/season'),
  () => import('@/features/readiness'),
  () => import('@/features/field/log-page'),
  () => import('@/features/rule-books'),
  () => import('@/features/kennel'),
  () => import('@/features/files'),
  () => import('@/features/start'),
];

/**
 * Fetches the rooms that were not entered yet, one at a time and only while nothing else is to be done,
 * so that entering one is as quick as if it had come with the first page.
 */
export function fetchAhead(): void {
  const idle = globalThis.requestIdleCallback ?? ((go: () => void) => setTimeout(go, 2_000));
  const next = (i: number): void => {
    const room = ROOMS[i];
    if (!room) return;
    idle(() => {
      // Without a network it is fetched when it is entered.
      room()
        .catch(() => undefined)
        .finally(() => next(i + 1));
    });
  };
  next(0);
}
