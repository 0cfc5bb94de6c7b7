import { type Entry, foldLog, inOrder, PLACE_CHIP, type StandingRep } from '@/core/log';
import { sameFault } from '@/core/rulebooks';
import { fromBase, type Name } from '@/core/shared';
import { type DogWork, exerciseTitle, namedFaults } from '@/data/read';
import type { Bout, ElementRecord, Outing, Tables } from '@/data/records';

/** A cell: a number is written with the decimal sign that is wanted, null is empty. */
export type Cell = string | number | boolean | null;
export type SheetTable = { readonly columns: readonly string[]; readonly rows: readonly (readonly Cell[])[] };

/** The tables that a kennel is written as; docs/formats/tables.md says what each column holds. */
export const SHEET_TABLES = ['reps', 'criteria', 'lessons', 'elements', 'results'] as const;
export type SheetTableName = (typeof SHEET_TABLES)[number];

/** One table of a kennel: a row each rep, each value asked of one, each bout, each criterion, each result. */
export function sheetTable(name: SheetTableName, tables: Tables): SheetTable {
  switch (name) {
    case 'reps':
      return { columns: REP_COLUMNS, rows: boutsOf(tables).flatMap(repRows) };
    case 'criteria':
      return {
        columns: ['rep', 'criterion', 'value', 'unit'],
        rows: boutsOf(tables).flatMap(criteriaRows),
      };
    case 'lessons':
      return { columns: LESSON_COLUMNS, rows: boutsOf(tables).map((one) => lessonRow(one, tables)) };
    case 'elements':
      return { columns: ['dog', 'element', 'criterion', 'start', 'goal', 'unit'], rows: elementRows(tables) };
    case 'results':
      return {
        columns: ['dog', 'day', 'trial', 'class', 'kind', 'passed', 'points', 'note'],
        rows: resultRows(tables),
      };
  }
}

type OpenBout = {
  readonly bout: Bout;
  readonly outing: Outing | undefined;
  readonly dog: string;
  readonly title: string;
  readonly element: ElementRecord | null;
  readonly reps: readonly StandingRep[];
  readonly faultName: (ref: StandingRep['judged']['faults'][number]) => string;
};

/** Every bout with its standing reps, oldest first. */
function boutsOf(tables: Tables): OpenBout[] {
  const logs = new Map<string, Entry[]>();
  for (const entry of tables.entries) {
    const log = logs.get(entry.boutId);
    if (log) log.push(entry);
    else logs.set(entry.boutId, [entry]);
  }
  const works = new Map(tables.dogs.map((dog) => [dog.id as string, workOf(tables, dog.id)]));
  const outings = new Map(tables.outings.map((outing) => [outing.id, outing]));
  const names = new Map<string, ReturnType<typeof namedFaults>>();
  return [...tables.bouts]
    .sort((a, b) => a.startedAt - b.startedAt || (a.id < b.id ? -1 : 1))
    .map((bout) => {
      const work = works.get(bout.dogId) ?? { elements: [], breakdowns: [], ruleBooks: [] };
      const { on } = bout;
      const element =
        on.kind === 'element' ? (work.elements.find((one) => one.id === on.element) ?? null) : null;
      const breakdown =
        on.kind === 'exercise' ? work.breakdowns.find((one) => one.id === on.breakdown) : undefined;
      const known = element ? (names.get(element.id) ?? namedFaults(element, work)) : [];
      if (element) names.set(element.id, known);
      return {
        bout,
        outing: outings.get(bout.outingId),
        dog: tables.dogs.find((one) => one.id === bout.dogId)?.name ?? '',
        title: element?.title ?? (breakdown ? exerciseTitle(breakdown, work) : ''),
        element,
        reps: foldLog(bout.start, inOrder(logs.get(bout.id) ?? [])).reps,
        faultName: (ref) =>
          nameOf(
            (known.find((one) => sameFault(one.ref, ref)) ?? known.find((one) => one.ref.key === ref.key))
              ?.label,
            ref.key,
          ),
      };
    });
}

/** A fault by the name that the book or the person gives it; a step of one by the name of the whole. */
function nameOf(label: Name | undefined, key: string): string {
  if (typeof label === 'string') return label;
  const title = label?.with?.title;
  return typeof title === 'string' ? title : key.replaceAll('-', ' ');
}

const workOf = ({ elements, breakdowns, ruleBooks }: Tables, dog: string): DogWork => ({
  elements: elements.filter((one) => one.dogId === dog),
  breakdowns: breakdowns.filter((one) => one.dogId === dog),
  ruleBooks,
});

const REP_COLUMNS = [
  'rep',
  'lesson',
  'day',
  'dog',
  'element',
  'go',
  'purpose',
  'result',
  'faults',
  'cause',
  'counts',
  'extra_cues',
  'latency_s',
  'held_s',
  'help',
  'paid',
  'place',
] as const;

function repRows({ bout, outing, dog, title, reps, faultName }: OpenBout): Cell[][] {
  return reps.map((rep, i) => [
    rep.id,
    bout.id,
    outing?.day ?? '',
    dog,
    title,
    i + 1,
    rep.purpose,
    rep.judged.outcome,
    rep.judged.faults.map(faultName).join(' + '),
    rep.judged.cause,
    !rep.judged.void,
    rep.seen.cues ? rep.seen.cues.needed + rep.seen.cues.slip : null,
    rep.seen.measured.latency?.value ?? null,
    rep.seen.measured.held?.value ?? null,
    rep.judged.aids.join(' + '),
    rep.paid.size ?? null,
    rep.asked.chips[PLACE_CHIP] ?? (bout.away ? 'away' : 'usual'),
  ]);
}

/** A value in the unit that its criterion is shown in; of a list the name of its step. */
function valueIn(axis: ElementRecord['axes'][number], base: number): Cell {
  if (axis.levels)
    return axis.levels.find((level) => level.id === base)?.name ?? axis.levels[base]?.name ?? base;
  const value = fromBase(axis.quantity, base, axis.unit);
  return value.ok ? value.value : base;
}

function criteriaRows({ element, reps }: OpenBout): Cell[][] {
  return reps.flatMap((rep) =>
    (element?.axes ?? []).flatMap((axis) => {
      const asked = rep.asked.criteria[axis.key];
      return asked === undefined
        ? []
        : [[rep.id, axis.title, valueIn(axis, asked), axis.levels ? '' : axis.unit]];
    }),
  );
}

const LESSON_COLUMNS = [
  'lesson',
  'day',
  'dog',
  'element',
  'kind',
  'place',
  'ground',
  'minutes',
  'reps',
  'clean',
  'temperature_c',
  'what_was_seen',
  'next_time',
] as const;

function lessonRow({ bout, outing, dog, title, reps }: OpenBout, tables: Tables): Cell[] {
  return [
    bout.id,
    outing?.day ?? '',
    dog,
    title,
    outing?.kind ?? null,
    bout.away ? 'away' : 'usual',
    tables.grounds.find((one) => one.id === outing?.ground)?.name ?? null,
    bout.endedAt === null ? null : Math.round((bout.endedAt - bout.startedAt) / 6_000) / 10,
    reps.length,
    reps.filter((rep) => rep.judged.outcome === 'clean' && !rep.judged.void).length,
    outing?.weather?.temperature ?? null,
    bout.debrief?.what ?? null,
    bout.debrief?.next ?? null,
  ];
}

const elementRows = ({ dogs, elements }: Tables): Cell[][] =>
  elements.flatMap((element) =>
    element.axes.map((axis): Cell[] => [
      dogs.find((dog) => dog.id === element.dogId)?.name ?? '',
      element.title,
      axis.title,
      valueIn(axis, axis.start),
      valueIn(axis, axis.demand),
      axis.levels ? '' : axis.unit,
    ]),
  );

const resultRows = ({ dogs, trials, results, ruleBooks }: Tables): Cell[][] =>
  [...results]
    .sort((a, b) => (a.day < b.day ? -1 : a.day > b.day ? 1 : 0))
    .map((result): Cell[] => {
      const trial = trials.find((one) => one.id === result.trialId);
      return [
        dogs.find((dog) => dog.id === result.dogId)?.name ?? '',
        result.day,
        trial?.title ?? '',
        ruleBooks.find((one) => one.id === trial?.ruleBookId)?.book.title ?? '',
        result.kind,
        result.passed,
        result.points,
        result.note,
      ];
    });
