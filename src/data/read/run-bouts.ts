import { asId, type BoutId, type ElementId, type RunId } from '@/core/shared';

const OF_RUN = 'run-';

/** The id of the bout that a run writes for an element: the same wherever it is confirmed. */
export const boutOfRun = (run: RunId, element: ElementId): BoutId =>
  asId<BoutId>(`${OF_RUN}${run}-${element}`);

/** The run that wrote a bout of this element; null where none did. */
export function runOfBout(bout: BoutId, element: ElementId): RunId | null {
  const end = `-${element}`;
  return bout.startsWith(OF_RUN) && bout.endsWith(end)
    ? asId<RunId>(bout.slice(OF_RUN.length, bout.length - end.length))
    : null;
}

/** Bouts of elements by the run that wrote them; those that no run wrote are left out. */
export function boutsByRun(
  elements: readonly { readonly id: ElementId; readonly bouts: readonly { readonly bout: BoutId }[] }[],
): BoutId[][] {
  const found = new Map<RunId, BoutId[]>();
  for (const { id, bouts } of elements)
    for (const { bout } of bouts) {
      const run = runOfBout(bout, id);
      if (run !== null) found.set(run, [...(found.get(run) ?? []), bout]);
    }
  return [...found.values()];
}
