import { hindsightOf, type LookedBack } from '@/core/review/hindsight';
import type { Random } from '@/core/shared';

/** A bout of a dog whose truth is known: usual chance, the sway of the day, and from where it falls (none: null). */
export type Bout = {
  readonly usual: number;
  readonly sway: number;
  readonly reps: number;
  readonly known: number;
  readonly falls: { readonly from: number; readonly odds: number } | null;
};

/** Its reps, written down apart from the look back. */
function boutOf({ usual, sway, reps, known, falls }: Bout, random: Random): LookedBack[] {
  const before = Array.from({ length: known }, () => random.uniform() < usual).filter(Boolean).length;
  const odds = (usual / (1 - usual)) * Math.exp(sway * random.normal());
  return Array.from({ length: reps }, (_, i) => {
    const here = falls && i >= falls.from ? odds / falls.odds : odds;
    return { clean: random.uniform() < here / (1 + here), known: { clean: before, reps: known } };
  });
}

/** Of so many bouts, the share that is given a point, and of those the share within two reps of the truth. */
export function told(bout: Bout, count: number, random: Random): { share: number; near: number } {
  let [points, near] = [0, 0];
  for (let i = 0; i < count; i++) {
    const found = hindsightOf(boutOf(bout, random));
    if (found.kind !== 'point') continue;
    points++;
    if (bout.falls && Math.abs(found.after - bout.falls.from) <= 2) near++;
  }
  return { share: points / count, near: points === 0 ? 0 : near / points };
}
