import type { RuleBook } from '@/core/rulebooks';
import {
  asId,
  type ExerciseKey,
  type FaultKey,
  must,
  type PersonId,
  type RunId,
  type SizeKey,
} from '@/core/shared';
import { type ExerciseState, foldSheet, type MarkSaid } from '@/core/trials';
import type { Kennel, Run } from '@/data/read';
import { runWithMarks } from '@/data/read';
import { startRun, takeMarkBack, writeMark } from '@/data/write';
import { readMeasure } from './fault-buttons';
import { readGiven } from './given-slots';
import { type SheetView, sheetView } from './sheet-view';

/** One press on a sheet, in short. Text is as somebody types it. */
export type Tap =
  | readonly ['fault', exercise: string, fault: string, amount?: number]
  | readonly ['measure', exercise: string, fault: string, text: string]
  | readonly ['give', exercise: string, text: string, slot?: string]
  | readonly ['is', exercise: string, state: ExerciseState]
  | readonly ['re-run', exercise: string, reason: string]
  | readonly ['moment', exercise: string]
  | readonly ['name', exercise: string, fault: string]
  | readonly ['off', exercise: string, fault: string]
  | readonly ['undo']
  | readonly ['close'];

const key = (id: string): ExerciseKey => asId<ExerciseKey>(id);

/** A run on a sheet of its own, by the commands that the pages call. */
export async function startedRun(
  kennel: Kennel,
  book: RuleBook,
  judges: readonly string[] = [],
  size: string | null = null,
  dogId: Run['dogId'] = null,
): Promise<Run> {
  const started = await startRun(
    kennel,
    {
      meeting: null,
      starter: null,
      trial: null,
      dogId,
      name: 'Wren',
      number: null,
      book: book.id,
      kind: 'mock',
      turn: 0,
      size: size as SizeKey | null,
      day: '2026-06-01' as Run['day'],
    },
    judges,
  );
  return must(started).made;
}

/** Presses one thing after another, each read and written as the page does it; gives the view after them. */
export async function tapped(
  kennel: Kennel,
  book: RuleBook,
  run: Run,
  taps: readonly Tap[],
  judge: PersonId | null = run.judges[0] ?? null,
): Promise<SheetView> {
  for (const tap of taps) await press(kennel, book, run, judge, tap);
  return viewNow(kennel, book, run.id, judge);
}

async function viewNow(
  kennel: Kennel,
  book: RuleBook,
  id: RunId,
  judge: PersonId | null,
): Promise<SheetView> {
  const found = await runWithMarks(kennel, id);
  return must(sheetView(book, foldSheet(found?.marks ?? [], judge), found?.run.size ?? null));
}

async function press(
  kennel: Kennel,
  book: RuleBook,
  run: Run,
  judge: PersonId | null,
  tap: Tap,
): Promise<void> {
  const view = await viewNow(kennel, book, run.id, judge);
  const of = (exercise: string) => {
    const found = view.exercises.find((one) => one.key === exercise);
    if (!found) throw new Error(`no exercise ${exercise}`);
    return found;
  };
  const button = (exercise: string, fault: string) => {
    const found = of(exercise)
      .groups.flatMap((group) => group.faults)
      .find((one) => one.fault.id === fault);
    if (!found) throw new Error(`no fault ${fault}`);
    return found;
  };
  const write = async (said: MarkSaid, more = {}) => must(await writeMark(kennel, run, judge, said, more));
  const charge = (exercise: string, fault: string, amount: number): MarkSaid => ({
    kind: 'fault',
    exercise: key(exercise),
    part: button(exercise, fault).fault.part,
    time: null,
    fault: asId<FaultKey>(fault),
    amount,
  });
  switch (tap[0]) {
    case 'fault':
      return void (await write(charge(tap[1], tap[2], tap[3] ?? 1)));
    case 'measure': {
      const { measured } = button(tap[1], tap[2]);
      if (!measured) throw new Error('nothing is measured');
      return void (await write(charge(tap[1], tap[2], must(readMeasure(measured, tap[3])))));
    }
    case 'give': {
      const slot = of(tap[1]).slots.find((one) => one.slot.key === (tap[3] ?? 'whole'));
      if (!slot) throw new Error('no such number');
      const value = must(readGiven(slot.slot, tap[2]));
      const said = { kind: 'given', exercise: key(tap[1]), slot: slot.slot.key, value } as const;
      return void (await write(said, slot.id ? { of: slot.id } : {}));
    }
    case 'is':
      return void (await write({ kind: 'state', exercise: key(tap[1]), is: tap[2] }));
    case 're-run':
      return void (await write({ kind: 're-run', exercise: key(tap[1]) }, { reason: tap[2] }));
    case 'moment':
      return void (await write({ kind: 'moment', exercise: key(tap[1]) }));
    case 'name': {
      const [moment] = of(tap[1]).written.moments;
      if (!moment) throw new Error('no moment');
      return void (await write(charge(tap[1], tap[2], 1), { of: moment.id }));
    }
    case 'off': {
      const [mark] = button(tap[1], tap[2]).marks;
      if (!mark) throw new Error('not on the sheet');
      return void (await write({ kind: 'take-back' }, { of: mark.id }));
    }
    case 'undo':
      return void must(await takeMarkBack(kennel, run, judge));
    case 'close':
      return void (await write({ kind: 'close' }));
  }
}
