import fc from 'fast-check';
import { type Entry, inOrder, lastAmendments, plainRep } from '@/core/log';
import { asId, type DeviceId, type EntryId, must } from '@/core/shared';
import type { Changed, Tables } from '@/data/records';
import { HOLDS_NOTHING, type Holding, lacks, noting } from './holding';
import { mergeTables } from './merge';

/** What somebody does on one of two devices, or between them. */
export type Deed =
  | { readonly does: 'rename'; readonly on: number; readonly name: string }
  | { readonly does: 'climb'; readonly on: number; readonly demand: number }
  | { readonly does: 'drop' | 'make'; readonly on: number; readonly kit: number }
  | { readonly does: 'rep'; readonly on: number }
  | { readonly does: 'judge'; readonly on: number; readonly outcome: 'clean' | 'flawed' | 'miss' }
  | { readonly does: 'send'; readonly on: number; readonly whole: boolean }
  | { readonly does: 'again'; readonly on: number };
const on = fc.nat({ max: 1 });
export const anyHistory = fc.array(
  fc.oneof(
    fc.record({
      does: fc.constant('rename' as const),
      on,
      name: fc.constantFrom('Wren', 'Merle', 'Kestrel'),
    }),
    fc.record({ does: fc.constant('climb' as const), on, demand: fc.constantFrom(3, 4, 5) }),
    fc.record({ does: fc.constantFrom('drop' as const, 'make' as const), on, kit: fc.nat({ max: 1 }) }),
    fc.record({ does: fc.constant('rep' as const), on }),
    fc.record({
      does: fc.constant('judge' as const),
      on,
      outcome: fc.constantFrom('clean' as const, 'flawed' as const, 'miss' as const),
    }),
    fc.record({ does: fc.constant('send' as const), on, whole: fc.boolean() }),
    fc.record({ does: fc.constant('again' as const), on }),
  ),
  { maxLength: 24 },
);

type File = { readonly id: number; readonly after: number | null; readonly tables: Tables };

/** An edit, and all edits of the same thing that were known where it was made: an oracle without vectors. */
type Edit = { readonly knew: ReadonlySet<Edit>; readonly says: string };

/** Two devices that begin alike, with the files that go between them. */
export class Device {
  tables: Tables;
  readonly id: DeviceId;
  clock: number;
  /** What files from and to here told, by their id. */
  readonly holdings = new Map<number, Holding>();
  readonly knows = new Map<string, Set<Edit>>();
  readonly got: File[] = [];

  constructor(start: Tables, name: string, clock: number) {
    this.tables = start;
    this.id = asId<DeviceId>(name);
    this.clock = clock;
  }

  private stamp(before: Changed | undefined): Changed {
    this.clock += 1;
    const count = (before?.seen[this.id] ?? 0) + 1;
    return { at: this.clock, by: this.id, seen: { ...before?.seen, [this.id]: count } };
  }

  private edited(what: string, says: string): void {
    const known = this.knows.get(what) ?? new Set<Edit>();
    this.knows.set(what, new Set([...known, { knew: new Set(known), says }]));
  }

  does(deed: Exclude<Deed, { does: 'send' | 'again' }>): void {
    const { tables } = this;
    switch (deed.does) {
      case 'rename':
        this.edited(`dogs/${tables.dogs[0]?.id}`, `${this.clock}`);
        this.tables = {
          ...tables,
          dogs: tables.dogs.map((dog, i) =>
            i > 0 ? dog : { ...dog, name: deed.name, changed: this.stamp(dog.changed) },
          ),
        };
        return;
      case 'climb':
        this.edited(`elements/${tables.elements[0]?.id}`, `${this.clock}`);
        this.tables = {
          ...tables,
          elements: tables.elements.map((one, i) =>
            i > 0 ? one : { ...one, setOut: `to ${deed.demand}`, changed: this.stamp(one.changed) },
          ),
        };
        return;
      case 'make':
      case 'drop':
        this.kit(`k${deed.kit}`, deed.does);
        return;
      case 'rep':
        this.log({ kind: 'rep', ...plainRep({}, { outcome: 'clean' }) });
        return;
      case 'judge': {
        const rep = tables.entries.find((one) => one.boutId === tables.bouts[0]?.id && one.kind === 'rep');
        if (!rep) return;
        this.edited(`entries/${rep.id}`, deed.outcome);
        const after = lastAmendments(tables.entries, rep.id);
        this.log({ kind: 'amend', of: rep.id, after, judged: { outcome: deed.outcome } });
      }
    }
  }

  private kit(id: string, does: 'make' | 'drop'): void {
    const { tables } = this;
    const before = tables.kit.find((one) => one.id === id);
    const gone = tables.gone.find((one) => one.id === `kit/${id}`);
    if (does === 'drop' && !before) return;
    this.edited(`kit/${id}`, `${this.clock}`);
    const changed = this.stamp(before?.changed ?? gone?.changed);
    const kit = tables.kit.filter((one) => one !== before);
    this.tables =
      does === 'drop'
        ? { ...tables, kit, gone: [...tables.gone, { id: `kit/${id}`, changed }] }
        : {
            ...tables,
            kit: [
              ...kit,
              { id: asId(id), title: `${id} of ${this.id}`, sizes: [], quantity: null, unit: '', changed },
            ],
            gone: tables.gone.filter((one) => one !== gone),
          };
  }

  private log(said: Record<string, unknown>): void {
    const bout = this.tables.bouts[0];
    if (!bout) return;
    const log = this.tables.entries.filter((one) => one.boutId === bout.id);
    this.clock += 1;
    const entry = {
      ...said,
      id: asId<EntryId>(`${this.id}-${this.clock}`),
      boutId: bout.id,
      dogId: bout.dogId,
      seq: Math.max(-1, ...log.map((one) => one.seq)) + 1,
      by: this.id,
      at: this.clock,
      timed: true,
    } as Entry;
    this.tables = { ...this.tables, entries: inOrder([...this.tables.entries, entry]) };
  }

  /** A file with everything, or with what is new since the last one that both have. */
  file(id: number, whole: boolean): File {
    const after = whole ? null : ([...this.holdings.keys()].at(-1) ?? null);
    const base = after === null ? HOLDS_NOTHING : (this.holdings.get(after) ?? HOLDS_NOTHING);
    const known = noting(base);
    const tables = Object.fromEntries(
      Object.entries(this.tables).map(([name, rows]) => [
        name,
        rows.filter((row) => {
          const takes = after === null || lacks(base, name as keyof Tables, row);
          if (takes) known.note(name as keyof Tables, row);
          return takes;
        }),
      ]),
    ) as unknown as Tables;
    this.holdings.set(id, known.holding());
    return { id, after, tables };
  }

  /** Takes a file in; false where the one from which it goes on is not here. */
  take(file: File, from: Device): boolean {
    if (file.after !== null && !this.holdings.has(file.after)) return false;
    this.tables = must(mergeTables(this.tables, file.tables)).tables;
    const known = noting(
      file.after === null ? HOLDS_NOTHING : (this.holdings.get(file.after) ?? HOLDS_NOTHING),
    );
    for (const [name, rows] of Object.entries(file.tables))
      for (const row of rows) known.note(name as keyof Tables, row);
    this.holdings.set(file.id, known.holding());
    this.got.push(file);
    for (const [what, edits] of from.knows)
      this.knows.set(what, new Set([...(this.knows.get(what) ?? []), ...edits]));
    return true;
  }

  /** What the oracle says waits for a decision: edits that no other knew, of a rep only where they say otherwise. */
  apart(): string[] {
    return [...this.knows]
      .filter(([what, edits]) => {
        const heads = [...edits].filter((one) => ![...edits].some((other) => other.knew.has(one)));
        return what.startsWith('entries/')
          ? new Set(heads.map((one) => one.says)).size > 1
          : heads.length > 1;
      })
      .map(([what]) => what)
      .sort();
  }
}
