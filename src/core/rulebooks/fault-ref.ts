import * as v from 'valibot';
import { asId, type ExerciseKey, type FaultKey, say } from '@/core/shared';

/**
 * Names a fault wherever one is stored or counted. `exercise` is the rule book's exercise that
 * prices it; null for a fault of the element's own, or where several exercises have it. `step` is
 * the band or the judge's price within it, from 0; null where the fault has none.
 */
export const faultRefSchema = v.strictObject({
  exercise: v.nullable(v.pipe(v.string(), v.minLength(1), v.transform(asId<ExerciseKey>))),
  key: v.pipe(v.string(), v.minLength(1), v.transform(asId<FaultKey>)),
  step: v.nullable(v.pipe(v.number(), v.integer(), v.minValue(0))),
});
export type FaultRef = {
  readonly exercise: ExerciseKey | null;
  readonly key: FaultKey;
  readonly step: number | null;
};

/**
 * A text that is the same for the same fault and no other, for keys of maps and lists:
 * `faultText({ exercise: null, key: 'late', step: 1 })` → `["",  "late", 1]` as JSON.
 */
export const faultText = ({ exercise, key, step }: FaultRef): string =>
  JSON.stringify([exercise ?? '', key, step]);

/** Whether two references name the same fault, step and exercise. */
export const sameFault = (a: FaultRef, b: FaultRef): boolean =>
  a.key === b.key && a.step === b.step && a.exercise === b.exercise;

/** A fault of an element's own, without steps. `ownFault('late')` → `{ exercise: null, key: 'late', step: null }`. */
export const ownFault = (key: string): FaultRef => ({ exercise: null, key: asId<FaultKey>(key), step: null });

/**
 * Whether a logged fault is charged as this one of a rule book: the same fault and step, of its
 * exercise or of none in particular.
 */
export const isChargedAs = (logged: FaultRef, charged: FaultRef): boolean =>
  logged.key === charged.key &&
  logged.step === charged.step &&
  (logged.exercise === null || logged.exercise === charged.exercise);

/** On a scale of responses: it went the other way, which lies below the lowest step. */
export const BACKS_AWAY = { key: 'backs-away', label: say('rulebooks.fault-ref.backs-away') } as const;
