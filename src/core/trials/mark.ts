import type { BodySign } from '@/core/coaching';
import type { DeviceId, ExerciseKey, FaultKey, MarkId, PartKey, PersonId, RunId } from '@/core/shared';

/** What a judge can say of an exercise as a whole. `done` is faultless but for what is written beside it. */
export const EXERCISE_STATES = ['done', 'failed', 'not-attempted', 'stopped', 'excused'] as const;
export type ExerciseState = (typeof EXERCISE_STATES)[number];

/** What the steward does at a step: says words, fires a shot far off, has a dog led past. */
export const CALL_KINDS = ['word', 'shot', 'passing-dog'] as const;
export type CallKind = (typeof CALL_KINDS)[number];

/** One thing that is written on a judge’s sheet. Amounts in base units, as on a score sheet. */
export type MarkSaid =
  | {
      readonly kind: 'fault';
      readonly exercise: ExerciseKey;
      readonly part: PartKey | null;
      /** Which time, from 0, of a part that is asked several times; null where nobody says. */
      readonly time: number | null;
      readonly fault: FaultKey;
      readonly amount: number;
    }
  /** A number that is given outright; `slot`: which of those that the exercise knows (slots.ts). */
  | { readonly kind: 'given'; readonly exercise: ExerciseKey; readonly slot: string; readonly value: number }
  /** What the stop-watch showed, seconds. */
  | { readonly kind: 'watch'; readonly exercise: ExerciseKey; readonly seconds: number }
  | { readonly kind: 'state'; readonly exercise: ExerciseKey; readonly is: ExerciseState }
  /** A warning that costs nothing by itself. */
  | { readonly kind: 'warned'; readonly exercise: ExerciseKey }
  /** Run again: what was written of it before does not count any more. */
  | { readonly kind: 're-run'; readonly exercise: ExerciseKey }
  /** Something happened at this time: named when the exercise ends. */
  | { readonly kind: 'moment'; readonly exercise: ExerciseKey }
  | { readonly kind: 'sign-seen'; readonly exercise: ExerciseKey; readonly sign: BodySign }
  | { readonly kind: 'note'; readonly exercise: ExerciseKey | null; readonly text: string }
  | { readonly kind: 'take-back' }
  | { readonly kind: 'close' }
  | { readonly kind: 'sign'; readonly name: string }
  | { readonly kind: 'reopen' };

/**
 * A mark: append-only, never changed. `of` names the mark that it takes the place of (or takes back).
 * Order: (seq, by, id), as a log’s.
 */
export type Mark = MarkSaid & {
  readonly id: MarkId;
  readonly runId: RunId;
  /** Null: the person’s own sheet. */
  readonly judge: PersonId | null;
  readonly seq: number;
  readonly by: DeviceId;
  readonly at: number;
  readonly of: MarkId | null;
  readonly reason: string;
};

/** Marks in their order: by seq, then device, then id; the same on every device. */
export const marksInOrder = <M extends Pick<Mark, 'seq' | 'by' | 'id'>>(marks: readonly M[]): M[] =>
  [...marks].sort((a, b) => a.seq - b.seq || (a.by < b.by ? -1 : a.by > b.by ? 1 : a.id < b.id ? -1 : 1));
