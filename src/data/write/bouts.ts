import type { Criteria } from '@/core/breakdown';
import { foldLog, plainRep, type RepSaid, type StandingRep } from '@/core/log';
import { addDays, type BoutId, type Day, type OutingId, type Result, say } from '@/core/shared';
import { type Kennel, newId } from '@/data/kennel';
import { isRecent } from '@/data/read/bouts';
import { boutOn } from '@/data/read/whole';
import type { Bout, ElementRecord, New, Outing, SetOut } from '@/data/records';
import { same } from '@/data/records/same';
import { slotFor } from './slots-begun';
import { refuse, transact, type Undo, type Write } from './transact';

/** What is said of a bout before it begins. */
export type BoutStart = {
  readonly day: Day;
  readonly away: boolean;
  readonly start: Criteria;
  readonly conditions?: Bout['conditions'];
  readonly helpers?: string;
  readonly temperature?: number | null;
  readonly runsFixed?: number | null;
  /** What was laid out for it, and where. */
  readonly setOut?: Pick<SetOut, 'id' | 'ground'> | null;
  /** Of the outing, where this begins one; training where nothing is said. */
  readonly kind?: Outing['kind'];
};

/** An element, or an exercise that is run whole. */
type Trainable = Pick<ElementRecord, 'id' | 'dogId' | 'axes'>;

const BOUT_TABLES = ['outings', 'bouts', 'entries'] as const;
/** A bout that begins looks for what was planned of it. */
const BEGUN_TABLES = [...BOUT_TABLES, 'slots'] as const;

/**
 * Begins a bout. While another of this day is still open it belongs to the same outing; one of this
 * element in that outing goes on. A bout of this element that was forgotten open on an earlier day is
 * ended at its last entry.
 */
export async function startBout(
  kennel: Kennel,
  element: Trainable,
  start: BoutStart,
): Promise<Result<Undo<Bout>>> {
  const begun = await transact(kennel, BEGUN_TABLES, async (write) => {
    const mine = await boutsOf(write, element);
    const outing = await openOuting(write, start.day, kennel.now());
    for (const one of mine)
      if (one.endedAt === null && one.outingId !== outing?.id) await endAtLastEntry(write, one);
    const known = mine.find((one) => one.outingId === outing?.id);
    return known ? goOn(write, known, start) : begin(kennel, write, element, start, outing);
  });
  // Asks the browser not to clear the log when space runs short; a browser that cannot promise it goes
  // on as before.
  globalThis.navigator?.storage?.persist?.().catch(() => false);
  return begun;
}

function boutsOf(write: Write, element: Trainable): Promise<Bout[]> {
  const on = boutOn(element);
  return on.kind === 'element'
    ? write.boutsBy('on.element', on.element)
    : write.boutsBy('on.breakdown', on.breakdown);
}

/**
 * The outing of this day that nobody has ended, or one of the evening before that goes on past midnight;
 * null where there is none.
 */
async function openOuting(write: Write, day: Day, now: number): Promise<Outing | null> {
  // A live day has no bouts: training beside it is an outing of its own.
  const open = (one: Outing): boolean => one.endedAt === null && one.kind !== 'hunt';
  const today = (await write.outingsOn(day)).find(open);
  const evening = (await write.outingsOn(addDays(day, -1))).find(
    (one) => open(one) && isRecent(one.startedAt, now),
  );
  return today ?? evening ?? null;
}

async function begin(
  kennel: Kennel,
  write: Write,
  element: Trainable,
  start: BoutStart,
  open: Outing | null,
): Promise<Bout> {
  const now = kennel.now();
  const { helpers = '', temperature = null } = start;
  const outing: New<Outing> = open ?? {
    id: newId<OutingId>(),
    kind: start.kind ?? 'training',
    day: start.day,
    startedAt: now,
    endedAt: null,
    ground: null,
    weather: null,
    helpers: '',
    dogs: [],
    meeting: null,
    note: '',
  };
  const weather =
    temperature === null ? outing.weather : { wind: null, words: '', ...outing.weather, temperature };
  const dogs = outing.dogs.includes(element.dogId) ? outing.dogs : [...outing.dogs, element.dogId];
  const ground = outing.ground ?? start.setOut?.ground ?? null;
  await write.put('outings', { ...outing, dogs, weather, ground, helpers: helpers || outing.helpers });
  return write.put('bouts', {
    id: newId<BoutId>(),
    outingId: outing.id,
    dogId: element.dogId,
    on: boutOn(element),
    startedAt: now,
    endedAt: null,
    start: start.start,
    away: start.away,
    conditions: start.conditions ?? {},
    handler: null,
    runsFixed: start.runsFixed ?? null,
    setOut: start.setOut?.id ?? null,
    slot: await slotFor(write, boutOn(element), element.dogId, start.day),
    debrief: null,
  });
}

/** Coming back to a bout of the same outing: open again, and moved where it was asked to begin. */
async function goOn(write: Write, bout: Bout, { start, setOut }: BoutStart): Promise<Bout> {
  const { stands } = foldLog(bout.start, await write.log(bout.id));
  const open = await write.put('bouts', { ...bout, endedAt: null, setOut: setOut?.id ?? bout.setOut });
  if (!same(stands, start)) await write.append(bout, { kind: 'move', to: start, because: 'hand' });
  return open;
}

async function endAtLastEntry(write: Write, bout: Bout): Promise<void> {
  const last = (await write.log(bout.id)).at(-1);
  await end(write, bout, last?.at ?? bout.startedAt);
}

/** The bout ends, and its outing with the last of its bouts. */
async function end(write: Write, bout: Bout, at: number): Promise<void> {
  await write.put('bouts', { ...bout, endedAt: at });
  const others = (await write.boutsBy('outingId', bout.outingId)).filter((one) => one.id !== bout.id);
  const outing = await write.get('outings', bout.outingId);
  if (outing && others.every((one) => one.endedAt !== null))
    await write.put('outings', { ...outing, endedAt: at });
}

async function stored(write: Write, id: BoutId): Promise<Bout> {
  return (
    (await write.get('bouts', id)) ?? refuse('gone', id, say('data.bouts.this-bout-is-not-in-the-log-any'))
  );
}

/** Ends a bout. Gives its standing reps: what a page has in hand may lack the last one. */
export function endBout(kennel: Kennel, id: BoutId): Promise<Result<Undo<readonly StandingRep[]>>> {
  return transact(kennel, BOUT_TABLES, async (write) => {
    const bout = await stored(write, id);
    await end(write, bout, kennel.now());
    return foldLog(bout.start, await write.log(id)).reps;
  });
}

/** Ends a lesson: every bout of the outing that is still open, and the outing. Gives how many were. */
export function endOuting(kennel: Kennel, id: OutingId): Promise<Result<Undo<number>>> {
  return transact(kennel, BOUT_TABLES, async (write) => {
    const open = (await write.boutsBy('outingId', id)).filter((one) => one.endedAt === null);
    for (const bout of open) await end(write, bout, kennel.now());
    return open.length;
  });
}

/**
 * Puts the day of an outing right, for all that was done in it. Fails with `ahead` for a day after
 * `today`, and with `gone` where the outing is not there any more.
 */
export function redateOuting(kennel: Kennel, id: OutingId, day: Day, today: Day): Promise<Result<Undo>> {
  return transact(kennel, BOUT_TABLES, async (write) => {
    if (day > today) refuse('ahead', 'day', say('data.bouts.the-day-must-be-today-or-before'));
    const outing = await write.get('outings', id);
    if (!outing) return refuse('gone', id, say('data.bouts.this-outing-is-not-in-the-kennel'));
    return write.put('outings', { ...outing, day });
  });
}

/** Two lines after a bout: what happened, and what next. */
export function debriefBout(kennel: Kennel, id: BoutId, debrief: Bout['debrief']): Promise<Result<Undo>> {
  return transact(kennel, ['bouts'], async (write) => {
    await write.put('bouts', { ...(await stored(write, id)), debrief });
  });
}

/** Of something kept on paper: its day, and noon where the hour was not kept. */
type Paper = { readonly day: Day; readonly away: boolean; readonly noon: number };
type PaperLine = {
  readonly element: Trainable;
  /** Where the dog stood. */
  readonly start: Criteria;
  readonly outcomes: readonly RepSaid['judged']['outcome'][];
};

/**
 * A bout that was kept on paper, typed in later: its day, where the dog stood, its reps in order. The
 * hour was not kept: noon, and none of it counts as minutes. Fails with `running` while a bout of it
 * is open.
 */
export async function typeInBout(
  kennel: Kennel,
  element: Trainable,
  { start, ...paper }: Paper & { readonly start: Criteria },
  outcomes: readonly RepSaid['judged']['outcome'][],
): Promise<Result<Undo<Bout>>> {
  const typed = await typeInBouts(kennel, paper, [{ element, start, outcomes }]);
  return typed.ok ? { ...typed, value: { ...typed.value, made: typed.value.made[0] as Bout } } : typed;
}

/** The lines of a sheet of paper, all of one day, in one outing: all of them or none. Fails as `typeInBout` does. */
export function typeInBouts(
  kennel: Kennel,
  { day, away, noon }: Paper,
  lines: readonly PaperLine[],
): Promise<Result<Undo<readonly Bout[]>>> {
  return transact(kennel, BEGUN_TABLES, async (write) => {
    const bouts: Bout[] = [];
    let outing: Outing | null = null;
    for (const { element, start, outcomes } of lines) {
      if ((await boutsOf(write, element)).some((one) => one.endedAt === null))
        refuse('running', '', say('data.bouts.a-bout-of-it-is-open-end-that-one'));
      const at = { ...kennel, now: () => noon };
      const bout: Bout = await begin(at, write, element, { day, away, start }, outing);
      outing = await write.get('outings', bout.outingId);
      for (const [i, outcome] of outcomes.entries())
        await write.append(
          bout,
          { kind: 'rep', ...plainRep(start, { outcome }) },
          { at: noon + i, timed: false },
        );
      bouts.push(bout);
    }
    for (const bout of bouts) await end(write, bout, noon);
    return bouts.map((bout) => ({ ...bout, endedAt: noon }));
  });
}
