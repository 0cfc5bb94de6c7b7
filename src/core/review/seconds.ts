/** Work and rest of a bout, seconds; null where its reps keep only an order. */
export type WorkAndRest = { readonly work: number; readonly rest: number } | null;

/**
 * From the first rep to the last, apart by the rests that were taken: the time before a rep that came after a
 * rest is rest, all other time is work. Reps at 0, 20, 110 (rested) and 130 s → 40 s of work, 90 s of rest.
 */
export function workAndRest(
  reps: readonly { readonly at: number; readonly timed: boolean; readonly rested: boolean }[],
): WorkAndRest {
  if (reps.length < 2 || reps.some((one) => !one.timed)) return null;
  let [work, rest] = [0, 0];
  for (const [i, rep] of reps.entries()) {
    const before = reps[i - 1];
    if (!before) continue;
    const gap = (rep.at - before.at) / 1000;
    if (rep.rested) rest += gap;
    else work += gap;
  }
  return { work, rest };
}
