import {
  asId,
  type Day,
  type DogId,
  type DogPlanId,
  type OtherWorkId,
  type Result,
  type SlotId,
  say,
  type UsualId,
} from '@/core/shared';
import { type Kennel, newId } from '@/data/kennel';
import { usualId } from '@/data/read/plan-days';
import { matchPlan, type PlanMatch, rowOf, type SlotSaid } from '@/data/read/plan-match';
import type { DogPlan, New, OtherWork, Slot, Usual } from '@/data/records';
import { begunSlots } from './slots-begun';
import { refuse, transact, type Undo } from './transact';

/** Says what time there is on a weekday of a usual week, or on one day. */
export function putUsual(kennel: Kennel, said: Omit<New<Usual>, 'id'>): Promise<Result<Undo<Usual>>> {
  return transact(kennel, ['usuals'], (write) => write.put('usuals', { ...said, id: usualId(said.on) }));
}

/** The same of a whole week in one step. */
export function putWeek(
  kennel: Kennel,
  week: readonly Omit<New<Usual>, 'id'>[],
): Promise<Result<Undo<readonly Usual[]>>> {
  return transact(kennel, ['usuals'], async (write) => {
    const made: Usual[] = [];
    for (const said of week) made.push(await write.put('usuals', { ...said, id: usualId(said.on) }));
    return made;
  });
}

/** A day is as its weekday again. */
export const removeUsual = (kennel: Kennel, id: UsualId): Promise<Result<Undo>> =>
  transact(kennel, ['usuals'], (write) => write.remove('usuals', id));

export function putDogPlan(
  kennel: Kennel,
  dogId: DogId,
  said: Pick<DogPlan, 'daysAWeek' | 'warmUp' | 'weight'>,
): Promise<Result<Undo<DogPlan>>> {
  return transact(kennel, ['dogPlans'], (write) =>
    write.put('dogPlans', { ...said, dogId, id: asId<DogPlanId>(`plan-${dogId}`) }),
  );
}

/** Tables of which a planned bout is told to be begun. */
const PLAN_TABLES = ['slots', 'bouts', 'outings'] as const;

/**
 * Puts a plan in the place of what was planned from today on, in one step. What is pinned, what has begun and
 * what is past stays. A bout that goes on being planned keeps its id, on its day or moved to another, so that
 * a calendar finds it again. A plan that says the same writes nothing.
 */
export function takePlan(
  kennel: Kennel,
  bouts: readonly SlotSaid[],
  today: Day,
): Promise<Result<Undo<PlanMatch>>> {
  return transact(kennel, PLAN_TABLES, async (write) => {
    const begun = await begunSlots(write, today);
    const ahead = (await write.all('slots')).filter((one) => one.day >= today);
    const isOpen = (one: Slot): boolean => !one.pinned && !begun.has(one.id);
    const match = matchPlan(
      ahead.filter(isOpen),
      ahead.filter((one) => !isOpen(one)),
      bouts,
    );
    for (const one of match.removed) await write.remove('slots', one.id);
    for (const row of match.added) await write.put('slots', { ...row, id: newId<SlotId>() });
    for (const { row } of match.moved) await write.put('slots', row);
    for (const row of match.changed) await write.put('slots', row);
    return match;
  });
}

/** Moves a planned bout, and keeps it there. Fails with `gone` where it is not planned any more. */
export function moveSlot(kennel: Kennel, id: SlotId, day: Day): Promise<Result<Undo<Slot>>> {
  return changeSlot(kennel, id, { day, pinned: true });
}

/** Keeps a planned bout where it is, or lets it be planned again. */
export const pinSlot = (kennel: Kennel, id: SlotId, pinned: boolean): Promise<Result<Undo<Slot>>> =>
  changeSlot(kennel, id, { pinned });

function changeSlot(
  kennel: Kennel,
  id: SlotId,
  change: Partial<Pick<Slot, 'day' | 'pinned'>>,
): Promise<Result<Undo<Slot>>> {
  return transact(kennel, ['slots'], async (write) => {
    const slot = (await write.get('slots', id)) ?? refuse('gone', id, say('data.plan.not-planned-any-more'));
    const others = (await write.all('slots')).filter(
      (one) => one.dogId === slot.dogId && one.day === change.day && one.id !== id,
    );
    const order =
      change.day === undefined || change.day === slot.day
        ? slot.order
        : 1 + Math.max(-1, ...others.map((one) => one.order));
    return write.put('slots', { ...slot, ...change, order });
  });
}

/** Plans a bout by hand: it stays. */
export function addSlot(kennel: Kennel, said: SlotSaid): Promise<Result<Undo<Slot>>> {
  return transact(kennel, ['slots'], async (write) => {
    const others = (await write.all('slots')).filter((one) => one.dogId === said.dog && one.day === said.day);
    const order = 1 + Math.max(-1, ...others.map((one) => one.order));
    return write.put('slots', { ...rowOf(said, order), id: newId<SlotId>(), pinned: true });
  });
}

export const removeSlot = (kennel: Kennel, id: SlotId): Promise<Result<Undo>> =>
  transact(kennel, ['slots'], (write) => write.remove('slots', id));

/** Work outside the log, in a line. Fails with `ahead` for a day to come, `empty` where nothing is said. */
export function addOtherWork(
  kennel: Kennel,
  said: Omit<New<OtherWork>, 'id'>,
  today: Day,
): Promise<Result<Undo<OtherWork>>> {
  return transact(kennel, ['otherWork'], (write) => {
    if (said.day > today) refuse('ahead', 'day', say('data.bouts.the-day-must-be-today-or-before'));
    const isEmpty =
      said.minutes === 0 &&
      said.elements.length === 0 &&
      said.words.trim() === '' &&
      Object.keys(said.loads).length === 0;
    if (isEmpty) refuse('empty', '', say('data.plan.say-what-was-done'));
    return write.put('otherWork', { ...said, words: said.words.trim(), id: newId<OtherWorkId>() });
  });
}

export const removeOtherWork = (kennel: Kennel, id: OtherWorkId): Promise<Result<Undo>> =>
  transact(kennel, ['otherWork'], (write) => write.remove('otherWork', id));
