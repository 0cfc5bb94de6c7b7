import { type Sentence, say } from '@/core/shared';
import type { LiveCover, LiveKind } from './events';
import type { Hole } from './holes';

/** What somebody stands before: how far into it, and how thick it is; null where nobody says. */
export type SceneHere = { readonly distance: number | null; readonly cover: LiveCover | null };
/** A scene that could be made of it, whether it fits the dog today, and why. */
export type SceneOffer = { readonly what: LiveKind; readonly fits: boolean; readonly why: Sentence };

/**
 * What fits a piece of cover, from how far each kind was trained (metres) and the holes: a mark into it, a blind
 * past it, steadiness at its edge. What lies in a hole is for home, and further than was trained does not fit. A
 * blind at 50 m, trained to 40 → it does not fit, with both figures.
 */
export function sceneHere(
  here: SceneHere,
  trained: Readonly<Partial<Record<LiveKind, number>>>,
  holes: readonly Hole[],
  unit: 'm' | 'yd',
): SceneOffer[] {
  const offer = (what: 'mark' | 'blind'): SceneOffer => {
    const hole = holes.find((one) => one.what === what && isIn(here, one));
    if (hole) return { what, fits: false, why: say('scene.in-a-hole', { right: hole.right, n: hole.n }) };
    const far = trained[what];
    if (far === undefined) return { what, fits: true, why: say('scene.untrained') };
    if (here.distance === null) return { what, fits: true, why: say('scene.say-how-far') };
    const lengths = {
      here: { quantity: 'distance', base: here.distance, unit },
      far: { quantity: 'distance', base: far, unit },
    } as const;
    return here.distance <= far + 1e-9
      ? { what, fits: true, why: say('scene.within', { here: lengths.here, far: lengths.far }) }
      : { what, fits: false, why: say('scene.too-far', { here: lengths.here, far: lengths.far }) };
  };
  return [offer('mark'), offer('blind'), { what: 'stay', fits: true, why: say('scene.steady') }];
}

/** Whether a scene lies where a hole is, as far as is known of both. */
function isIn({ distance, cover }: SceneHere, { where }: Hole): boolean {
  if (where.beyond === null && where.cover === null) return false;
  const far = where.beyond === null || (distance !== null && distance > where.beyond);
  return far && (where.cover === null || where.cover === cover);
}
