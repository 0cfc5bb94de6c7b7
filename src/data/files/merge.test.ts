import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { asId, type Day, type EntryId, must } from '@/core/shared';
import type { Entry, Tables } from '@/data/records';
import { makeSampleKennel } from '@/demo/sample-kennel';
import { mergeTables, readKennelFile, writeKennelFile } from '.';

const whole = makeSampleKennel('2026-06-30' as Day, 2);
const sorted = <T extends { readonly id: string }>(list: readonly T[]): T[] => [...list].sort((a, b) => (a.id < b.id ? -1 : 1));
const ordered = (tables: Tables) =>
  Object.fromEntries(Object.entries(tables).map(([name, list]) => [name, sorted(list as readonly { readonly id: string }[])]));
/** A device that has everything but the log, and of the log only some sessions, the last of them perhaps cut short. */
function device(keep: (session: number) => boolean, cut = 0): Tables {
  const sessions = whole.sessions.filter((_, i) => keep(i));
  const ids = new Set<string>(sessions.map((session) => session.id));
  const last = sessions.at(-1)?.id;
  const length = whole.entries.filter((entry) => entry.sessionId === last).length;
  const entries = whole.entries.filter((entry) => ids.has(entry.sessionId) && (entry.sessionId !== last || entry.seq < length - cut));
  return { ...whole, sessions, entries };
}

describe('bringing two kennels together', () => {
  it('gives the whole, in any order, with anything twice', () => {
    const cases = fc.array(fc.tuple(fc.integer({ min: 2, max: 7 }), fc.nat({ max: 4 })), { minLength: 1, maxLength: 4 });
    fc.assert(
      fc.property(cases, fc.boolean(), (devices, backwards) => {
        const parts = [device((i) => i % 2 === 0), device((i) => i % 2 === 1), ...devices.map(([step, cut]) => device((i) => i % step === 0, cut))];
        const order = backwards ? [...parts].reverse() : parts;
        const start = { ...whole, sessions: [], entries: [] };
        const merged = [...order, ...order].reduce<Tables>((mine, theirs) => must(mergeTables(mine, theirs)).tables, start);
        expect(ordered(merged)).toEqual(ordered(whole));
      }),
      { numRuns: 12 },
    );
  });

  it('counts what came, and nothing the second time', () => {
    const once = must(
      mergeTables(
        device((i) => i < 10),
        whole,
      ),
    );
    expect(once.added).toMatchObject({ sessions: whole.sessions.length - 10, dogs: 0 });
    expect(must(mergeTables(once.tables, whole)).added).toMatchObject({ sessions: 0, entries: 0 });
    expect(readKennelFile(writeKennelFile(once.tables, 'x'))).toMatchObject({ ok: true });
  });

  it('never overwrites: what differs is kept, a forked session keeps its own log', () => {
    const session = whole.sessions[0];
    if (!session) throw new Error('a session');
    const log = whole.entries.filter((entry) => entry.sessionId === session.id);
    const other: Entry = { ...(log.at(-1) as Entry), id: asId<EntryId>('elsewhere') };
    const theirs: Tables = {
      ...whole,
      dogs: whole.dogs.map((dog) => ({ ...dog, name: `${dog.name}!` })),
      entries: [...whole.entries.filter((entry) => entry.id !== log.at(-1)?.id), other],
    };
    const merged = must(mergeTables(whole, theirs));
    expect([merged.kept.dogs, merged.forked, merged.added.entries]).toEqual([3, [session.id], 0]);
    expect(merged.tables.dogs).toEqual(whole.dogs);
    expect(merged.tables.entries).toEqual(whole.entries);
  });

  it('fills an open end and two lines written elsewhere', () => {
    const [first, ...rest] = whole.sessions;
    if (!first) throw new Error('a session');
    const open: Tables = { ...whole, sessions: [{ ...first, endedAt: null }, ...rest] };
    const written: Tables = { ...whole, sessions: [{ ...first, debrief: { what: 'Good.', next: 'Further.' } }, ...rest] };
    const merged = must(mergeTables(open, written)).tables.sessions.find((one) => one.id === first.id);
    expect(merged).toMatchObject({ endedAt: first.endedAt, debrief: { next: 'Further.' } });
    expect(must(mergeTables(written, open)).tables.sessions[0]).toMatchObject({ debrief: { next: 'Further.' } });
  });

  it('refuses what does not fit together', () => {
    const [first, second] = whole.elements;
    if (!first || !second) throw new Error('elements');
    const mine = { ...whole, elements: [{ ...first, needs: [{ element: second.id, rung: 1 }] }, ...whole.elements.slice(1)] };
    const theirs = {
      ...whole,
      elements: [{ ...second, id: asId<typeof second.id>('new'), needs: [{ element: first.id, rung: 1 }] }, ...whole.elements],
    };
    expect(mergeTables(mine, theirs).ok).toBe(true);
    const lost = { ...whole, sessions: [], entries: whole.entries };
    expect(mergeTables({ ...lost, entries: [] }, lost)).toMatchObject({ ok: false, code: 'reference' });
  });
});
