import type { Criteria } from '@/core/breakdown';
import { type Entry, plainRep, type RepSaid, type Said } from '@/core/log';
import { type BoutId, type Day, type EntryId, type OutingId, ok, printOf, type Result } from '@/core/shared';
import type { SheetRow } from '@/data/files/spreadsheet/own';
import { type Kennel, newId } from '@/data/kennel';
import type { ElementRecord } from '@/data/records';
import { dogsFor, elementKey, elementsFor, keyOf, type NewAxes } from './sheet-names';
import { mustBeSound, transact, type Undo, type Write } from './transact';

export type SheetBrought = {
  readonly bouts: number;
  readonly reps: number;
  readonly dogs: readonly string[];
  readonly elements: readonly string[];
  /** Rows that came in before, and are not doubled. */
  readonly known: number;
};

/**
 * Takes the rows of a sheet into the log, all in one transaction: a bout for each dog, element and day; dogs and
 * elements that are not there by that name are made. The hour was not kept: noon (`noonOf`), and no minutes. A row
 * that came in before is left out, so that the same sheet, longer, can be read again.
 */
export async function takeSheetRows(
  kennel: Kennel,
  rows: readonly SheetRow[],
  axes: NewAxes,
  noonOf: (day: Day) => number,
  onProgress?: (share: number) => void,
): Promise<Result<Undo<SheetBrought>>> {
  const taken = await transact(kennel, SHEET_TABLES, async (write) => {
    const fresh = await withoutKnown(kennel, rows);
    const dogs = await dogsFor(
      write,
      fresh.map(({ row }) => row),
    );
    const elements = await elementsFor(
      write,
      fresh.map(({ row }) => row),
      dogs.byName,
      axes,
    );
    const entries: Entry[] = [];
    let written = 0;
    const groups = grouped(fresh);
    for (const group of groups) {
      const [first] = group;
      const dog = first && dogs.byName.get(keyOf(first.row.dog));
      const element = dog && elements.byName.get(elementKey(dog.id, first.row.element));
      if (first && element)
        entries.push(...(await writeBout(kennel, write, element, group, noonOf(first.row.day))));
      written += 1;
      onProgress?.(written / groups.length);
    }
    // As rows, not as additions to a log: taken back, they go with their bout as if they had never been there. And
    // all at once: pages that look on are told of each write.
    await write.raw(
      entries.map((entry) => ({ table: 'entries', id: entry.id, before: null, after: { ...entry } })),
    );
    return {
      bouts: groups.length,
      reps: entries.filter(({ kind }) => kind === 'rep').length,
      dogs: dogs.made,
      elements: elements.made,
      known: rows.length - fresh.length,
    };
  });
  return taken.ok ? ok({ ...taken.value, asItWas: true }) : taken;
}

const SHEET_TABLES = ['dogs', 'elements', 'outings', 'bouts', 'entries'] as const;

/** A row with the print by which it is known again: what it says, and the how-manieth that says so. */
type Printed = { readonly row: SheetRow; readonly print: string };

async function withoutKnown({ database }: Kennel, rows: readonly SheetRow[]): Promise<Printed[]> {
  const times = new Map<string, number>();
  const printed = rows.map((row): Printed => {
    const { line: _, ...said } = row;
    const print = printOf({ ...said, dog: keyOf(said.dog), element: keyOf(said.element) });
    const nth = (times.get(print) ?? 0) + 1;
    times.set(print, nth);
    return { row, print: `row-${print}-${nth}-` };
  });
  const fresh: Printed[] = [];
  for (const one of printed) {
    const before = await database.of('entries').where('id').startsWith(one.print).first();
    const stands = before && (await database.of('bouts').get(before.boutId));
    if (!stands) fresh.push(one);
  }
  return fresh;
}

/** Rows of one dog, element and day, in the order of the sheet. */
function grouped(rows: readonly Printed[]): Printed[][] {
  const groups = new Map<string, Printed[]>();
  for (const one of rows) {
    const key = JSON.stringify([one.row.day, keyOf(one.row.dog), keyOf(one.row.element)]);
    const group = groups.get(key);
    if (group) group.push(one);
    else groups.set(key, [one]);
  }
  return [...groups.values()];
}

/** What was asked of a row: its value where the element has a criterion of that kind, else where the ladder begins. */
function askedOf({ axes }: ElementRecord, { asked }: SheetRow): { criteria: Criteria; fits: boolean } {
  const start = Object.fromEntries(axes.map((axis) => [axis.key, axis.start]));
  const axis = asked && axes.find((one) => one.quantity === asked.quantity && one.role === 'criterion');
  return { criteria: asked && axis ? { ...start, [axis.key]: asked.base } : start, fits: !asked || !!axis };
}

async function writeBout(
  kennel: Kennel,
  write: Write,
  element: ElementRecord,
  group: readonly Printed[],
  noon: number,
): Promise<readonly Entry[]> {
  const [first] = group;
  if (!first) return [];
  const outing = (await write.outingsOn(first.row.day)).find(
    ({ kind, endedAt }) => kind === 'training' && endedAt !== null,
  );
  const dogs = [...new Set([...(outing?.dogs ?? []), element.dogId])];
  const kept = await write.put('outings', {
    ...(outing ?? {
      id: newId<OutingId>(),
      kind: 'training' as const,
      day: first.row.day,
      startedAt: noon,
      endedAt: noon,
      ground: null,
      weather: null,
      helpers: '',
      meeting: null,
      note: '',
    }),
    dogs,
  });
  const bout = await write.put('bouts', {
    id: newId<BoutId>(),
    outingId: kept.id,
    dogId: element.dogId,
    on: { kind: 'element', element: element.id },
    startedAt: noon,
    endedAt: noon,
    start: askedOf(element, first.row).criteria,
    away: false,
    conditions: {},
    handler: null,
    runsFixed: null,
    setOut: null,
    slot: null,
    debrief: null,
  });
  const entries: Entry[] = [];
  const add = (print: string, said: Said): void => {
    const place = entries.length;
    const entry: Entry = {
      ...said,
      id: `${print}${newId()}` as EntryId,
      boutId: bout.id,
      dogId: bout.dogId,
      seq: place,
      by: kennel.device,
      at: noon + place,
      timed: false,
    };
    mustBeSound('entries', entry);
    entries.push(entry);
  };
  for (const { row, print } of group) {
    const { criteria, fits } = askedOf(element, row);
    for (const outcome of row.goes) add(print, { kind: 'rep', ...repOf(row, criteria, outcome) });
    const notes = [row.note, fits ? '' : row.askedText].filter(Boolean);
    if (notes.length > 0) add(print, { kind: 'note', text: notes.join('; ') });
  }
  return entries;
}

/** What was measured belongs to a row of one go; of several nobody knows whose it was, and it is not laid on all. */
function repOf(row: SheetRow, criteria: Criteria, outcome: SheetRow['goes'][number]): RepSaid {
  const rep = plainRep(criteria, { outcome });
  if (row.goes.length > 1) return rep;
  const measured = {
    ...(row.latency === null ? {} : { latency: { value: row.latency, how: 'typed' as const } }),
    ...(row.held === null ? {} : { held: { value: row.held, how: 'typed' as const } }),
  };
  return { ...rep, seen: { ...rep.seen, measured } };
}
