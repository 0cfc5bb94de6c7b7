/** Branded ids: mixing a dog's id with an element's is a type error, though both are strings at run time. */
declare const brand: unique symbol;
export type Id<Kind extends string> = string & { readonly [brand]: Kind };

export type DogId = Id<'dog'>;
export type RuleBookId = Id<'rule-book'>;
export type BreakdownId = Id<'breakdown'>;
export type ElementId = Id<'element'>;
export type SessionId = Id<'session'>;
export type EntryId = Id<'entry'>;
export type TrialId = Id<'trial'>;
export type ForecastId = Id<'forecast'>;
export type ResultId = Id<'result'>;
export type KitId = Id<'kit'>;

/** Ids inside a rule book are written by people in a file: short words, unique within their parent. */
export type ExerciseKey = Id<'exercise-key'>;
export type ElementKey = Id<'element-key'>;
export type FaultKey = Id<'fault-key'>;
export type AxisKey = Id<'axis-key'>;

/** Brands a string that is known to be an id of that kind. */
export function asId<T extends Id<string>>(text: string): T {
  return text as T;
}
