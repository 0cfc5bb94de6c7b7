import { type OldRung, rungsOfVersion3 } from './ladder-of-version-3';
import { type AnyTables, isRow, type Loose, type Migration } from './migration';

/**
 * Version 4: a session becomes a bout of the same id in an outing of its own; a rep says apart what
 * was asked, seen, judged and paid; nothing refers to a rung; faults are references; every record
 * carries a version vector. It uses no clock, no randomness and no living code, so that two devices
 * that migrate apart agree.
 */
export const outingsAndBouts: Migration = {
  to: 4,
  name: 'outings and bouts',
  migrate: (tables: AnyTables): AnyTables => {
    const rowsOf = (name: string): Loose[] => (tables[name] ?? []).filter(isRow);
    const elements = rowsOf('elements');
    const ladders = new Map(elements.map((element) => [String(element.id), laddered(element)]));
    const faults = faultsOf(elements, rowsOf('breakdowns'), rowsOf('ruleBooks'));
    const sessions = rowsOf('sessions');
    const logs = new Map<string, Loose[]>();
    for (const entry of rowsOf('entries')) {
      const log = logs.get(String(entry.sessionId));
      if (log) log.push(entry);
      else logs.set(String(entry.sessionId), [entry]);
    }
    const context = (session: Loose): Context => {
      const element = String(session.elementId);
      const log = [...(logs.get(String(session.id)) ?? [])].sort((a, b) => Number(a.seq) - Number(b.seq));
      const { rungs = [] } = ladders.get(element) ?? {};
      return {
        log,
        rungs,
        fault: (option) => faults(element, option),
        form: elements.find((one) => one.id === session.elementId)?.form,
      };
    };
    const bouts = sessions.map((session) => boutOf(session, context(session)));
    const known = new Set(sessions.map((session) => String(session.id)));
    const { sessions: _gone, ...others } = tables;
    return {
      ...others,
      dogs: eachKept(tables.dogs, (dog, i) => ({
        ...dog,
        order: i,
        putAway: false,
        usualHandler: null,
        limits: [],
        offWork: null,
      })),
      people: [],
      grounds: [],
      kit: eachKept(tables.kit, (thing) => ({ ...thing, sizes: [], quantity: null, unit: '' })),
      ruleBooks: eachKept(tables.ruleBooks, (record) => ({
        ...record,
        book: bookOf(record.book),
        putAway: false,
      })),
      breakdowns: eachKept(tables.breakdowns, (one) => ({ ...one, putAway: false })),
      elements: eachKept(tables.elements, (one) => elementOf(one, ladders, faults)),
      outings: eachKept(tables.sessions, outingOf),
      bouts,
      entries: [
        ...sessions.flatMap((session) => entriesOf(session, context(session))),
        // What belongs to no session is refused afterwards, with its place, by the references.
        ...rowsOf('entries').filter((entry) => !known.has(String(entry.sessionId))),
      ],
      trials: eachKept(tables.trials, (trial) => ({
        ...trial,
        meeting: null,
        number: '',
        sizeClass: null,
        status: 'thinking',
        cost: null,
      })),
      forecasts: eachKept(tables.forecasts, (one) => one),
      results: eachKept(tables.results, (one) => ({ ...one, run: null })),
      gone: [],
      apart: [],
    };
  },
};

type Ref = { readonly exercise: string | null; readonly key: string; readonly step: number | null };
type Context = {
  readonly log: readonly Loose[];
  readonly rungs: readonly OldRung[];
  readonly fault: (option: unknown) => Ref;
  readonly form: unknown;
};

const list = (value: unknown): readonly unknown[] => (Array.isArray(value) ? value : []);
const rows = (value: unknown): Loose[] => list(value).filter(isRow);

/** What is not a record is left as it is, to be refused by the schemas. */
function eachKept(value: unknown, change: (row: Loose, i: number) => Loose): readonly unknown[] {
  return list(value).map((one, i) => (isRow(one) ? { ...change(one, i), changed: changedOf(one) } : one));
}

/**
 * Both devices that hold the same row of version 3 say that they have seen the same change; rows that
 * differ have seen different ones, and merging finds both.
 */
function changedOf(row: Loose): Loose {
  const at = [row.endedAt, row.startedAt].find((one) => typeof one === 'number') ?? 0;
  return { at, by: 'v3', seen: { [printOf(row)]: 1 } };
}

/** Two 32-bit FNV-1a hashes of the row with its keys in order, in hexadecimal. */
function printOf(row: unknown): string {
  const text = JSON.stringify(inKeyOrder(row));
  const hash = (basis: number): string => {
    let value = basis;
    for (let i = 0; i < text.length; i++) value = Math.imul(value ^ text.charCodeAt(i), 0x01000193);
    return (value >>> 0).toString(16).padStart(8, '0');
  };
  return `v3-${hash(0x811c9dc5)}${hash(0x9e3779b9)}`;
}

function inKeyOrder(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(inKeyOrder);
  if (!isRow(value)) return value;
  const keys = Object.keys(value).sort();
  return Object.fromEntries(keys.map((key) => [key, inKeyOrder(value[key])]));
}

function laddered(element: Loose): { readonly rungs: readonly OldRung[] } {
  const axes = rows(element.axes);
  const sound = axes.every(
    (axis) =>
      [axis.start, axis.demand, axis.step].every((one) => typeof one === 'number') &&
      Array.isArray(axis.eases),
  );
  if (!sound) return { rungs: [] };
  const plan = {
    axes: axes as never[],
    edits: rows(element.edits) as never[],
    ladderRule: String(element.ladderRule),
    byHand: rows(element.byHand) as never[],
  };
  return { rungs: rungsOfVersion3(plan) };
}

/**
 * From an option's key to a fault: the last `:digits` is its step; the exercise is that of the one
 * place of the element which has this fault, where it is just one.
 */
function faultsOf(elements: readonly Loose[], breakdowns: readonly Loose[], ruleBooks: readonly Loose[]) {
  const places = new Map<string, { readonly exercise: string; readonly faults: ReadonlySet<string> }[]>();
  const books = new Map(
    ruleBooks.map((record) => [String(record.id), isRow(record.book) ? record.book : {}]),
  );
  for (const breakdown of breakdowns) {
    const rules = books.get(String(breakdown.ruleBookId))?.rules;
    const scored = rows(isRow(rules) ? rules.exercises : []).find(
      (one) => one.exercise === breakdown.exercise,
    );
    for (const link of rows(breakdown.links)) {
      const faults = rows(scored?.faults).filter(
        (fault) => fault.element === null || fault.element === link.part,
      );
      const known = places.get(String(link.element)) ?? [];
      known.push({
        exercise: String(breakdown.exercise),
        faults: new Set(faults.map((fault) => String(fault.id))),
      });
      places.set(String(link.element), known);
    }
  }
  const own = new Map(
    elements.map((element) => [
      String(element.id),
      new Set(rows(element.faults).map((fault) => String(fault.key))),
    ]),
  );
  return (element: string, option: unknown): Ref => {
    const text = String(option);
    if (own.get(element)?.has(text)) return { exercise: null, key: text, step: null };
    const match = /^(.*):(\d+)$/.exec(text);
    const key = match?.[1] ?? text;
    const having = new Set(
      (places.get(element) ?? []).filter((one) => one.faults.has(key)).map((one) => one.exercise),
    );
    const [only] = having;
    const step = match ? Number(match[2]) : null;
    return { exercise: having.size === 1 && only !== undefined ? only : null, key, step };
  };
}

/** Version 2 of the rule-book file: the pieces of an exercise are parts. */
function bookOf(book: unknown): unknown {
  if (!isRow(book)) return book;
  const renamed = (row: Loose, from: string, to: string): Loose => {
    const { [from]: value, ...others } = row;
    return from in row ? { ...others, [to]: value } : row;
  };
  const each = (value: unknown, change: (row: Loose) => Loose): unknown =>
    Array.isArray(value) ? value.map((one: unknown) => (isRow(one) ? change(one) : one)) : value;
  const rules = isRow(book.rules)
    ? {
        ...book.rules,
        exercises: each(book.rules.exercises, (exercise) => ({
          ...exercise,
          faults: each(exercise.faults, (fault) => renamed(fault, 'element', 'part')),
        })),
      }
    : book.rules;
  return {
    ...book,
    version: 2,
    exercises: each(book.exercises, (exercise) => renamed(exercise, 'elements', 'parts')),
    rules,
  };
}

function elementOf(
  element: Loose,
  ladders: ReadonlyMap<string, { readonly rungs: readonly OldRung[] }>,
  fault: (element: string, option: unknown) => Ref,
): Loose {
  const { rungs = [] } = ladders.get(String(element.id)) ?? {};
  const at = (list: readonly OldRung[], rung: unknown): OldRung | undefined =>
    list[Math.min(Number(rung), list.length - 1)];
  return {
    ...element,
    axes: each(element.axes, (axis) => ({
      ...axis,
      levels: each(axis.levels, (level, place) => ({ id: place, ...level })),
    })),
    edits: each(element.edits, ({ rung, axis, value }) => ({
      on: rungs[Number(rung)]?.planned ?? {},
      axis,
      value,
    })),
    countsFrom: each(element.countsFrom, (one) => ({
      fault: fault(String(element.id), one.fault),
      from: at(rungs, one.rung)?.criteria ?? {},
    })),
    needs: each(element.needs, (need) => ({
      element: need.element,
      at: at(ladders.get(String(need.element))?.rungs ?? [], need.rung)?.criteria ?? {},
    })),
    assigned: each(element.assigned, ({ session, to }) => ({ bout: session, to })),
    cues: 'repeat',
    wait: null,
    putAway: false,
  };
}

function each(value: unknown, change: (row: Loose, i: number) => Loose): unknown {
  return Array.isArray(value) ? value.map((one: unknown, i) => (isRow(one) ? change(one, i) : one)) : value;
}

function outingOf(session: Loose): Loose {
  const { temperature } = session;
  return {
    id: `o-${String(session.id)}`,
    kind: 'training',
    day: session.day,
    startedAt: session.startedAt,
    endedAt: session.endedAt,
    ground: null,
    weather: temperature === null ? null : { temperature, wind: null, words: '' },
    helpers: session.helper,
    dogs: [session.dogId],
    meeting: null,
    note: '',
  };
}

function boutOf(session: Loose, { log, rungs }: Context): Loose {
  return {
    id: session.id,
    outingId: `o-${String(session.id)}`,
    dogId: session.dogId,
    on: { kind: 'element', element: session.elementId },
    startedAt: session.startedAt,
    endedAt: session.endedAt,
    start: criteriaAt(Number(session.startRung), log, rungs),
    away: session.away,
    conditions: session.conditions,
    handler: null,
    runsFixed: session.runsFixed,
    setOut: null,
    slot: null,
    debrief: session.debrief,
    changed: changedOf(session),
  };
}

/** What a rung asked then: as the next rep on it in the same session says, else as the ladder had it. */
function criteriaAt(rung: number, following: readonly Loose[], rungs: readonly OldRung[]): unknown {
  for (const entry of following) {
    if (entry.kind === 'rep' && Number(entry.rung) === rung) return entry.criteria;
  }
  return rungs[Math.min(rung, rungs.length - 1)]?.criteria ?? {};
}

/** Reps that came nearer to one another than a hand can tap were typed in, and tell no minutes. */
const NEARER_THAN_A_TAP = 250;

function entriesOf(session: Loose, context: Context): Loose[] {
  const { log, rungs } = context;
  const reps = log.filter((entry) => entry.kind === 'rep');
  const untimed = new Set(
    reps.filter((rep, i) =>
      [reps[i - 1], reps[i + 1]].some(
        (other) => other !== undefined && Math.abs(Number(other.at) - Number(rep.at)) < NEARER_THAN_A_TAP,
      ),
    ),
  );
  return log.map((entry, i) => {
    const { id, dogId, seq, at } = entry;
    const place = { id, boutId: session.id, dogId, seq, by: 'v3', at, timed: !untimed.has(entry) };
    return { ...place, ...saidOf(entry, log.slice(i + 1), rungs, context) };
  });
}

function saidOf(entry: Loose, after: readonly Loose[], rungs: readonly OldRung[], context: Context): Loose {
  switch (entry.kind) {
    case 'rep':
      return repOf(entry, context);
    case 'correction':
      return { kind: 'amend', of: entry.supersedes, judged: judgedOf(entry, context) };
    case 'detail':
      return {
        kind: 'amend',
        of: entry.supersedes,
        ...amendmentOf(isRow(entry.details) ? entry.details : {}, entry, context),
      };
    case 'undo':
      return { kind: 'undo', of: entry.supersedes };
    case 'move':
      return { kind: 'move', to: criteriaAt(Number(entry.to), after, rungs), because: entry.by };
    case 'out-of-use':
      return { kind: 'out-of-use', article: String(entry.article) };
    default: {
      const {
        id: _id,
        sessionId: _session,
        elementId: _element,
        dogId: _dog,
        seq: _seq,
        at: _at,
        ...said
      } = entry;
      return said;
    }
  }
}

const some = (key: string, value: unknown): Loose =>
  value === undefined || value === null ? {} : { [key]: value };
const tapped = (value: unknown): Loose => ({ value, how: 'tap' });

function repOf(rep: Loose, context: Context): Loose {
  const details = isRow(rep.details) ? rep.details : {};
  const { purpose, asked = {}, seen = {}, judged = {}, paid = {} } = amendmentOf(details, rep, context);
  const { measured, ...more } = seen as Loose;
  const noted = rep.outcome === 'clean' && rep.option !== null ? [context.fault(rep.option)] : [];
  const form = isRow(context.form) ? context.form : {};
  const links = form.kind === 'chain' ? list(form.links).map((element) => ({ element, criteria: {} })) : null;
  const whole = links && rep.outcome === 'clean' ? { kind: 'chain', links, brokeAt: null } : null;
  return {
    kind: 'rep',
    purpose: purpose ?? 'training',
    asked: { criteria: rep.criteria, chips: {}, noted, call: null, ...(asked as Loose) },
    seen: {
      measured: {
        ...(typeof rep.latency === 'number' ? { latency: tapped(rep.latency) } : {}),
        ...(typeof rep.marker === 'number' ? { marker: tapped(rep.marker) } : {}),
        ...((measured as Loose | undefined) ?? {}),
      },
      timing: rep.timing,
      endedBy: null,
      run: whole,
      ...more,
    },
    judged: { ...judgedOf(rep, context), void: false, proposed: null, ...(judged as Loose) },
    paid,
    from: null,
  };
}

function judgedOf({ outcome, option, cause, aided }: Loose, { fault }: Context): Loose {
  return {
    outcome,
    faults: option === null || option === undefined ? [] : [fault(option)],
    cause,
    aids: aided === true ? ['unsaid'] : [],
  };
}

type Amendment = {
  readonly purpose?: unknown;
  readonly asked?: Loose;
  readonly seen?: Loose;
  readonly judged?: Loose;
  readonly paid?: Loose;
};

/** The details of version 3, each where it belongs. */
function amendmentOf(details: Loose, entry: Loose, { fault, form, log }: Context): Amendment {
  const { did, held, measured, crooked, grade, drive, extraCues, isVoid, pay, landed, purpose } = details;
  const calm = {
    ...some('on', details.calmOn),
    ...some('worn', details.calm),
    ...some('off', details.calmOff),
  };
  const angles = {
    ...(typeof held === 'number' ? { held: tapped(held) } : {}),
    ...(typeof measured === 'number' ? { angle: { value: measured, how: 'typed' } } : {}),
  };
  // A detail is said of a rep; whose doing that was decides what its further cues were.
  const rep = entry.kind === 'rep' ? entry : (log.find((one) => one.id === entry.supersedes) ?? entry);
  const slip = rep.cause === 'handler';
  const cues =
    typeof extraCues === 'number' ? { needed: slip ? 0 : extraCues, slip: slip ? extraCues : 0 } : null;
  const run = runOf(details, fault, form);
  const seen = {
    ...(Object.keys(angles).length > 0 ? { measured: angles } : {}),
    ...some('eye', crooked),
    ...some('grade', grade),
    ...some('drive', drive),
    ...(Object.keys(calm).length > 0 ? { calm } : {}),
    ...some('cues', cues),
    ...some('run', run),
  };
  const paid = { ...some('size', pay), ...some('where', landed) };
  return {
    ...some('purpose', purpose),
    ...(did === undefined ? {} : { asked: { chips: { action: did } } }),
    ...(Object.keys(seen).length > 0 ? { seen } : {}),
    ...(isVoid === undefined ? {} : { judged: { void: isVoid } }),
    ...(Object.keys(paid).length > 0 ? { paid } : {}),
  };
}

function runOf(details: Loose, fault: (option: unknown) => Ref, form: unknown): Loose | null {
  const { articles, brokeAt, stamps, held } = details;
  if (isRow(articles)) return { ...articles, kind: 'articles', laid: list(articles.laid).map(String) };
  if (Array.isArray(stamps))
    return {
      kind: 'legs',
      seconds: typeof held === 'number' ? held : 0,
      stamps: rows(stamps).map(({ leg, option, at }) => ({ leg, fault: fault(option), at })),
    };
  if (typeof brokeAt !== 'number') return null;
  const links = isRow(form) && form.kind === 'chain' ? list(form.links) : [];
  return { kind: 'chain', links: links.map((element) => ({ element, criteria: {} })), brokeAt };
}
