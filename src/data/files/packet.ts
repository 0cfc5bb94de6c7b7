import type { Day, DogId } from '@/core/shared';
import { KEPT_NAMES, type KeptName, TABLE_NAMES, type TableName, type Tables } from '@/data/records';
import { linksOf } from '@/data/records/links';

type Row = { readonly id: string; readonly dogId?: string | null };

/** Of a dog, but only as far back as the packet goes: they come with their session or day. */
const BY_SESSION: readonly KeptName[] = [
  'bouts',
  'outings',
  'stops',
  'events',
  'runs',
  'marks',
  'runForecasts',
  'runLessons',
  'tracks',
  'trackPoints',
  'clips',
  'clipMarks',
  'forecasts',
  'meetings',
  'practices',
];

/**
 * What a coach gets: the chosen dogs with ladders, exercises, plan, trials and titles, their sessions of `from` on
 * with clips' marks (never the clips), and whatever those name (rule books, grounds, people). Nothing else of the
 * kennel. References are whole.
 */
export function packetTables(tables: Tables, dogs: readonly DogId[], from: Day | null): Tables {
  const chosen = new Set<string>(dogs);
  const days = new Map(tables.outings.map((one) => [one.id as string, one.day]));
  const bouts = new Set<string>(
    tables.bouts
      .filter((one) => chosen.has(one.dogId) && (from === null || (days.get(one.outingId) ?? from) >= from))
      .map((one) => one.id),
  );
  const wanted = new Set<string>(dogs.map((dog) => `dogs/${dog}`));
  for (const name of KEPT_NAMES) {
    if (BY_SESSION.includes(name)) continue;
    for (const row of tables[name] as readonly Row[])
      if (row.dogId != null && chosen.has(row.dogId)) wanted.add(`${name}/${row.id}`);
  }
  for (const bout of bouts) wanted.add(`bouts/${bout}`);
  for (const clip of tables.clips)
    if (clip.boutId && bouts.has(clip.boutId)) {
      wanted.add(`clips/${clip.id}`);
      for (const mark of tables.clipMarks) if (mark.clipId === clip.id) wanted.add(`clipMarks/${mark.id}`);
    }
  withWhatIsNamed(tables, wanted);
  const picked = Object.fromEntries(
    TABLE_NAMES.map((name) => [name, picksOf(tables, name, wanted, bouts)]),
  ) as unknown as Tables;
  return picked;
}

/** What chosen records name comes too, and what that names in turn. */
function withWhatIsNamed(tables: Tables, wanted: Set<string>): void {
  const byFrom = new Map<string, string[]>();
  for (const { from, to, id } of linksOf(tables)) {
    const list = byFrom.get(from) ?? [];
    list.push(`${to}/${id}`);
    byFrom.set(from, list);
  }
  const open = [...wanted];
  for (let one = open.pop(); one !== undefined; one = open.pop())
    for (const next of byFrom.get(one) ?? [])
      if (!wanted.has(next)) {
        wanted.add(next);
        open.push(next);
      }
}

function picksOf(
  tables: Tables,
  name: TableName,
  wanted: ReadonlySet<string>,
  bouts: ReadonlySet<string>,
): readonly unknown[] {
  if (name === 'entries') return tables.entries.filter((one) => bouts.has(one.boutId));
  // A tombstone makes a reference sound; what waits for a decision is the owner's to decide.
  if (name === 'gone') return tables.gone;
  if (name === 'apart') return [];
  return (tables[name] as readonly Row[]).filter((row) => wanted.has(`${name}/${row.id}`));
}
