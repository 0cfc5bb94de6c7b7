import { joinDemands } from '@/core/breakdown';
import {
  type FromSheet,
  foldLog,
  HANDLER_CHIP,
  PLACE_CHIP,
  plainRep,
  type RepSaid,
  type StandingRep,
} from '@/core/log';
import { bookForSize, type FaultRef, type RuleBook } from '@/core/rulebooks';
import type { DogId, ElementId } from '@/core/shared';
import {
  foldSheet,
  type JudgeSheet,
  joinSheets,
  NOTHING_CHARGED,
  type PartPlace,
  type Taught,
  type TaughtPart,
  taughtBy,
  type Untold,
} from '@/core/trials';
import type { Kennel } from '@/data/kennel';
import type { Bout, ElementRecord, MarkRecord, Run, RunLesson } from '@/data/records';
import { boutOfRun } from './run-bouts';
import { type DogWork, namedFaults, workOf } from './work';

/** What somebody confirms of a run besides what stands on its sheets. */
export type LessonSaid = Pick<RunLesson, 'away' | 'another' | 'paid' | 'of' | 'said'>;

/** Until somebody says otherwise: a trial is away from home, a mock trial is not; nobody pays in the ring. */
export const usualLesson = ({ kind }: Pick<Run, 'kind'>): LessonSaid => ({
  away: kind === 'trial',
  another: false,
  paid: false,
  of: [],
  said: [],
});

/** A rep that a sheet says: of which element, and what it was. */
export type RunRep = { readonly element: ElementRecord; readonly from: FromSheet; readonly said: RepSaid };

/** A rep that a sheet wrote, as it stands in the log now. */
export type WrittenRep = { readonly bout: Bout; readonly rep: StandingRep };

export type RunTeaching = {
  readonly run: Run;
  readonly book: RuleBook;
  readonly taught: Taught;
  readonly lesson: RunLesson | null;
  readonly reps: readonly RunRep[];
  /** Parts that were judged and that nothing trains. */
  readonly untrained: readonly PartPlace[];
  /** Goes of which neither the sheet nor the person says how they were. */
  readonly untold: readonly Untold[];
  readonly written: readonly WrittenRep[];
};

/**
 * What a run says as reps, by its closed sheets and what was confirmed; null where it teaches nothing: a
 * stranger’s dog, a run to practise, a sheet that is open or cannot be scored.
 */
export async function runTeaching(
  kennel: Kennel,
  run: Run,
  marks: readonly MarkRecord[],
  book: RuleBook,
  said: LessonSaid | null = null,
): Promise<RunTeaching | null> {
  const { dogId } = run;
  if (dogId === null || run.kind === 'practice' || run.kind === 'try') return null;
  const { database } = kennel;
  const [work, lesson, bouts] = await Promise.all([
    workOf(kennel, dogId),
    database.of('runLessons').get(run.id),
    boutsOfRun(kennel, run.id, dogId),
  ]);
  const written: WrittenRep[] = [];
  for (const bout of bouts) {
    const log = await database
      .of('entries')
      .where('[boutId+seq]')
      .between([bout.id, 0], [bout.id, Number.POSITIVE_INFINITY])
      .toArray();
    for (const rep of foldLog(bout.start, log).reps)
      if (rep.from?.run === run.id) written.push({ bout, rep });
  }
  return taughtReps({ run, book, marks, work, lesson: lesson ?? null, said, written });
}

/** The bouts that a run wrote. */
export async function boutsOfRun({ database }: Kennel, run: Run['id'], dog: DogId): Promise<Bout[]> {
  const elements = await database.of('elements').where('dogId').equals(dog).primaryKeys();
  const found = await database
    .of('bouts')
    .bulkGet((elements as string[]).map((id) => boutOfRun(run, id as ElementId)));
  return found.flatMap((one) => one ?? []);
}

type Known = {
  readonly run: Run;
  readonly book: RuleBook;
  readonly marks: readonly MarkRecord[];
  readonly work: DogWork;
  readonly lesson: RunLesson | null;
  readonly said: LessonSaid | null;
  readonly written: readonly WrittenRep[];
};

/** The same from what has been read. */
function taughtReps({ run, book, marks, work, lesson, said, written }: Known): RunTeaching | null {
  const judges = run.judges.length > 0 ? run.judges : [null];
  const sheets = judges.map((judge) => foldSheet(marks, judge));
  if (sheets.some((sheet) => sheet.is === 'open')) return null;
  const sized = bookForSize(book, run.size);
  const joined = joinSheets(sized, run.size, sheets as unknown as readonly [JudgeSheet, ...JudgeSheet[]]);
  if (!joined.ok) return null;
  const facts = said ?? lesson ?? usualLesson(run);
  const taught = taughtBy(
    sized,
    joined.value,
    sheets,
    new Map(facts.of.map(({ mark, part }) => [mark, part])),
  );
  const reps: RunRep[] = [];
  const untrained: PartPlace[] = [];
  const untold: Untold[] = [];
  const byHand = new Map(facts.said.map((one) => [placeText(one), one.outcome]));
  const places: TaughtPart[] = [
    ...taught.parts,
    ...taught.untold.flatMap((one) => {
      const outcome = byHand.get(placeText(one));
      return outcome === undefined || outcome === 'none' ? [] : [{ ...one, ...NOTHING_CHARGED, outcome }];
    }),
  ];
  for (const one of taught.untold) {
    const outcome = byHand.get(placeText(one));
    if (outcome === undefined || outcome === 'none') untold.push(one);
  }
  for (const one of places) {
    const outcome = byHand.get(placeText(one)) ?? one.outcome;
    if (outcome === 'none') continue;
    const trained = trainedBy(work, run, one);
    if (trained.length === 0) untrained.push(one);
    // Of a piece that was split nobody knows which of its halves was at fault.
    else if (trained.length > 1 && outcome !== 'clean') untold.push({ ...one, why: 'which-part' });
    else
      for (const element of trained)
        reps.push({
          element,
          from: { run: run.id, exercise: one.exercise, part: one.part, time: one.time },
          said: repSaid(element, work, sized, { ...one, outcome }, run, facts),
        });
  }
  return { run, book: sized, taught, lesson, reps, untrained, untold, written };
}

/** A text that is the same for the same go of a part. */
export const placeText = ({ exercise, part, time }: PartPlace): string =>
  JSON.stringify([exercise, part, time]);

/** The elements that train a part of the class of a run. */
function trainedBy(
  { breakdowns, elements }: DogWork,
  run: Run,
  { exercise, part }: PartPlace,
): ElementRecord[] {
  return breakdowns
    .filter((one) => one.ruleBookId === run.book && one.exercise === exercise)
    .flatMap((one) => one.links)
    .filter((link) => link.part === part)
    .flatMap((link) => elements.find((one) => one.id === link.element) ?? []);
}

function repSaid(
  element: ElementRecord,
  work: DogWork,
  book: RuleBook,
  taught: TaughtPart,
  run: Run,
  { away, another, paid }: LessonSaid,
): RepSaid {
  const part = book.exercises
    .find((one) => one.id === taught.exercise)
    ?.parts.find((one) => one.id === taught.part);
  const demands = part ? joinDemands(part.demands, element.axes).criteria : {};
  const criteria = Object.fromEntries(
    element.axes.map((axis) => [axis.key, demands[axis.key] ?? axis.demand]),
  );
  const named = namedFaults(element, work);
  // A fault that several exercises have is one fault of the element.
  const asNamed = (ref: FaultRef): FaultRef =>
    named.some((one) => one.ref.exercise === ref.exercise && one.ref.key === ref.key)
      ? ref
      : named.some((one) => one.ref.exercise === null && one.ref.key === ref.key)
        ? { ...ref, exercise: null }
        : ref;
  const byHandler = taught.outcome === 'clean' && taught.handler.length > 0;
  const plain = plainRep(criteria, {
    outcome: byHandler ? 'flawed' : taught.outcome,
    faults: (byHandler ? taught.handler : taught.outcome === 'clean' ? [] : taught.faults).map(asNamed),
    cause: byHandler ? 'handler' : 'dog',
  });
  const { needed, slip } = taught.cues;
  return {
    ...plain,
    purpose: 'rehearsal',
    asked: {
      ...plain.asked,
      chips: { [PLACE_CHIP]: away ? 'away' : 'usual', [HANDLER_CHIP]: another ? 'another' : 'usual' },
    },
    seen: { ...plain.seen, ...(needed + slip > 0 ? { cues: { needed, slip } } : {}) },
    paid: { size: paid ? 'small' : 'none' },
    from: { run: run.id, exercise: taught.exercise, part: taught.part, time: taught.time },
  };
}

/** What would change in the log if the run were confirmed as it is now. */
export type RunChange =
  | { readonly kind: 'new'; readonly rep: RunRep }
  | { readonly kind: 'other'; readonly rep: RunRep; readonly was: WrittenRep }
  | { readonly kind: 'gone'; readonly was: WrittenRep };

/**
 * What confirming a run would write, amend or take back: nothing where the log says already what the sheets
 * say. Told apart by run, exercise, part, go and element, so that no go stands twice.
 */
export function changesOf({ reps, written }: Pick<RunTeaching, 'reps' | 'written'>): RunChange[] {
  const changes = reps.flatMap((rep): RunChange[] => {
    const was = written.find((one) => isOf(one, rep));
    if (!was) return [{ kind: 'new', rep }];
    return sameSaid(rep.said, was.rep) ? [] : [{ kind: 'other', rep, was }];
  });
  const gone = written.filter((one) => !reps.some((rep) => isOf(one, rep)));
  return [...changes, ...gone.map((was): RunChange => ({ kind: 'gone', was }))];
}

const isOf = ({ bout, rep }: WrittenRep, { element, from }: RunRep): boolean =>
  bout.on.kind === 'element' &&
  bout.on.element === element.id &&
  rep.from !== null &&
  placeText(rep.from) === placeText(from);

/** Whether a rep in the log says what the sheet says; the rest of it is the person’s. */
function sameSaid(said: RepSaid, stands: StandingRep): boolean {
  const print = (one: RepSaid): string =>
    JSON.stringify([
      one.judged.outcome,
      one.judged.cause,
      one.judged.faults.map(({ exercise, key, step }) => [exercise, key, step]),
      one.seen.cues ? [one.seen.cues.needed, one.seen.cues.slip] : [0, 0],
      one.asked.chips[PLACE_CHIP],
      one.asked.chips[HANDLER_CHIP],
      one.paid.size ?? '',
      Object.entries(one.asked.criteria).sort(([a], [b]) => (a < b ? -1 : 1)),
    ]);
  return print(said) === print(stands);
}
