/**
 * Branded ids: mixing a dog's id with an element's is a type error, though both are strings at run
 * time.
 */
declare const brand: unique symbol;
export type Id<Kind extends string> = string & { readonly [brand]: Kind };

export type DogId = Id<'dog'>;
export type RuleBookId = Id<'rule-book'>;
export type BreakdownId = Id<'breakdown'>;
export type ElementId = Id<'element'>;
export type OutingId = Id<'outing'>;
export type BoutId = Id<'bout'>;
export type EntryId = Id<'entry'>;
export type TrialId = Id<'trial'>;
export type ForecastId = Id<'forecast'>;
export type ResultId = Id<'result'>;
export type KitId = Id<'kit'>;
export type SignalId = Id<'signal'>;
export type GroundId = Id<'ground'>;
export type PersonId = Id<'person'>;
export type RunId = Id<'run'>;
export type SetOutId = Id<'set-out'>;
export type SeasonEventId = Id<'season-event'>;
export type TrackId = Id<'track'>;
export type ClipId = Id<'clip'>;
export type CommentId = Id<'comment'>;
export type ExchangeId = Id<'exchange'>;
export type ClipMarkId = Id<'clip-mark'>;
export type SlotId = Id<'slot'>;
export type UsualId = Id<'usual'>;
export type DogPlanId = Id<'dog-plan'>;
export type OtherWorkId = Id<'other-work'>;
export type MeetingId = Id<'meeting'>;
export type MarkId = Id<'mark'>;
export type LegId = Id<'leg'>;
export type HeldId = Id<'held'>;
export type TitleAimId = Id<'title-aim'>;
export type StarterId = Id<'starter'>;
export type DeviceId = Id<'device'>;

/**
 * Ids inside a rule book are written by people in a file: short words, unique within their parent.
 */
export type ExerciseKey = Id<'exercise-key'>;
export type SizeKey = Id<'size-key'>;
export type PartKey = Id<'part-key'>;
export type FaultKey = Id<'fault-key'>;
export type AxisKey = Id<'axis-key'>;

/**
 * A step of an ordered list, told from its neighbours for ever: names, anchors and order may
 * change. A number, so that criteria are numbers throughout; it says nothing about the place.
 */
export type LevelId = number & { readonly [brand]: 'level' };

/**
 * A number as the id of a level, at the borders where one comes in. Ids are whole numbers from 1
 * that are never used again.
 */
export const asLevel = (id: number): LevelId => id as LevelId;

/** Brands a string that is known to be an id of that kind. */
export function asId<T extends Id<string>>(text: string): T {
  return text as T;
}
