import type { FaultRef } from '@/core/rulebooks';
import type { ExerciseKey, PartKey } from '@/core/shared';

/** One go of one part in a run: `time` from 0; a further try of the same part comes after all times asked. */
export type PartPlace = { readonly exercise: ExerciseKey; readonly part: PartKey; readonly time: number };

/** What a judged part says as a rep. */
export type TaughtPart = PartPlace & {
  readonly outcome: 'clean' | 'flawed' | 'miss';
  /** The dog’s faults, each as often as it was written. */
  readonly faults: readonly FaultRef[];
  /** The handler’s own faults but for extra cues. */
  readonly handler: readonly FaultRef[];
  /** Extra cues, by whose they are under the rule book. */
  readonly cues: { readonly needed: number; readonly slip: number };
};

/** Of a go that nothing was written of. */
export const NOTHING_CHARGED = { faults: [], handler: [], cues: { needed: 0, slip: 0 } } as const;
