import {
  type Day,
  type DogId,
  type HeldId,
  type LegId,
  type Result,
  type ResultId,
  type RuleBookId,
  say,
  type TitleAimId,
  type TrialId,
} from '@/core/shared';
import { type Kennel, newId } from '@/data/kennel';
import type { Leg, New, TitleAim } from '@/data/records';
import { judgesNamed } from './meetings';
import { refuse, transact, type Undo, type Write } from './transact';

/**
 * A leg of a title: under whom a result was, by name, or a pass from before there was a log. Said again, it takes
 * the place of what was said of that result. Fails with `ahead` for a day to come.
 */
export function sayLeg(
  kennel: Kennel,
  said: {
    readonly dogId: DogId;
    readonly book: RuleBookId;
    readonly result: ResultId | null;
    readonly day: Day;
    readonly judges: readonly string[];
    readonly note?: string;
  },
  today: Day,
): Promise<Result<Undo<Leg>>> {
  return transact(kennel, ['legs', 'people'], async (write) => {
    if (said.day > today) refuse('ahead', 'day', say('data.trials.a-result-cannot-be-from-a-day-to'));
    const known =
      said.result === null
        ? undefined
        : (await write.all('legs')).find((one) => one.result === said.result && one.dogId === said.dogId);
    const judges = await judgesNamed(write, said.judges);
    return write.put('legs', {
      id: known?.id ?? newId<LegId>(),
      dogId: said.dogId,
      book: said.book,
      result: said.result,
      day: said.day,
      judges,
      note: said.note ?? '',
    });
  });
}

export function removeLeg(kennel: Kennel, id: LegId): Promise<Result<Undo>> {
  return transact(kennel, ['legs'], (write) => write.remove('legs', id));
}

/** Whether a dog holds what a rule book asks before. */
export function sayHeld(kennel: Kennel, dogId: DogId, what: string, holds: boolean): Promise<Result<Undo>> {
  return transact(kennel, ['held'], async (write) => {
    const known = (await write.all('held')).filter((one) => one.dogId === dogId && one.what === what);
    if (!holds) for (const one of known) await write.remove('held', one.id);
    else if (known.length === 0) await write.put('held', { id: newId<HeldId>(), dogId, what, day: null });
  });
}

/** What is said of a title so far; nothing yet. */
async function storedAim(write: Write, dogId: DogId, book: RuleBookId): Promise<New<TitleAim>> {
  const known = (await write.all('titleAims')).find((one) => one.dogId === dogId && one.book === book);
  return known ?? { id: newId<TitleAimId>(), dogId, book, by: null, worth: null, plans: false, judges: [] };
}

type AimSaid = Partial<Pick<TitleAim, 'by' | 'worth' | 'plans'>>;

/** What a dog is meant for: by when, what it is worth, whether the weeks are planned for it. */
export function sayTitleAim(
  kennel: Kennel,
  dogId: DogId,
  book: RuleBookId,
  said: AimSaid,
): Promise<Result<Undo<TitleAim>>> {
  return transact(kennel, ['titleAims'], async (write) => {
    const base = await storedAim(write, dogId, book);
    return write.put('titleAims', { ...base, ...said });
  });
}

/** Enters a dog in these of some trials, and only thinks of the others. Those that were withdrawn stay so. */
export function enterTrials(
  kennel: Kennel,
  of: readonly TrialId[],
  entered: readonly TrialId[],
): Promise<Result<Undo>> {
  return transact(kennel, ['trials'], async (write) => {
    for (const id of of) {
      const trial = await write.get('trials', id);
      if (!trial || trial.status === 'withdrawn') continue;
      const status = entered.includes(id) ? 'entered' : 'thinking';
      if (status !== trial.status) await write.put('trials', { ...trial, status });
    }
  });
}

/** Under whom an entry for a title is, by name; an empty list: nobody says. */
export function sayEntryJudges(
  kennel: Kennel,
  dogId: DogId,
  book: RuleBookId,
  trial: TrialId,
  names: readonly string[],
): Promise<Result<Undo<TitleAim>>> {
  return transact(kennel, ['titleAims', 'people'], async (write) => {
    const base = await storedAim(write, dogId, book);
    const judges = await judgesNamed(write, names);
    return write.put('titleAims', {
      ...base,
      judges: [
        ...base.judges.filter((one) => one.trial !== trial),
        ...(judges.length > 0 ? [{ trial, judges }] : []),
      ],
    });
  });
}
