import type { Sentence } from '@/core/shared';
import type { WrittenDemand } from './demands';
import type { WrittenCost } from './read-cost';

/** What a line of a pasted sheet can be. */
export const LINE_KINDS = [
  'title',
  'edition',
  'exercise',
  'asks',
  'part',
  'demand',
  'fault',
  'pass',
  'award',
  'total',
  'nothing',
] as const;
export type LineKind = (typeof LINE_KINDS)[number];

/** A line as it stands, and what somebody said that it is; null where nobody has. */
export type PastedLine = { readonly text: string; readonly as: LineKind | null };

/** What one line, or a piece of it, says. Points are as they are written; of a coefficient it is the factor. */
export type SheetReading =
  | { readonly is: 'title' | 'edition' | 'asks' | 'part'; readonly text: string }
  | {
      readonly is: 'exercise';
      readonly title: string;
      readonly points: number | null;
      readonly coefficient: boolean;
    }
  | { readonly is: 'demand'; readonly demand: WrittenDemand }
  | ({
      readonly is: 'fault';
      readonly title: string;
      readonly by: 'dog' | 'handler';
      /** What is charged when the part is not done at all. */
      readonly miss: boolean;
    } & WrittenCost)
  | { readonly is: 'pass'; readonly kind: 'total'; readonly atLeast: number; readonly percent: boolean }
  | { readonly is: 'pass'; readonly kind: 'each'; readonly percent: number }
  | {
      readonly is: 'award';
      readonly title: string;
      readonly from: number;
      readonly percent: boolean;
      /** A rating that is given below the pass line too. */
      readonly below: boolean;
    }
  | { readonly is: 'total'; readonly points: number }
  | { readonly is: 'nothing' };

/** A line with what was read from it; a doubt where somebody has to look: nothing was read, or it can be meant otherwise. */
export type ReadLine = {
  readonly text: string;
  readonly readings: readonly SheetReading[];
  readonly doubt: Sentence | null;
};
