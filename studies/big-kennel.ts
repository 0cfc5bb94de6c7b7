import { buildLadder, type Criteria } from '@/core/breakdown';
import { type Entry, plainRep } from '@/core/log';
import {
  addDays,
  asId,
  type BoutId,
  type Day,
  type DeviceId,
  type DogId,
  dayNumber,
  type EntryId,
  type OutingId,
  type Random,
  seeded,
} from '@/core/shared';
import type { Bout, Outing, Tables } from '@/data/records';
import { makeSampleKennel } from '@/demo/sample-kennel';

/** Three years of five dogs: what a busy kennel comes to. */
export const BIG = { dogs: 5, days: 1_095, reps: 200_000, perBout: 25 } as const;

const BY = asId<DeviceId>('big');
const CHANGED = { at: 0, by: BY, seen: { [BY]: 1 } };

/**
 * A kennel of many reps from a seed: the sample's dogs, elements, rule books and trials once for each
 * dog, and a bout of one element after the other over the days, each of 25 reps with times, faults,
 * aids, corrections and things taken back. The same seed and day give the same records.
 */
export function makeBigKennel(today: Day, seed: number, reps: number = BIG.reps): Tables {
  const sample = makeSampleKennel(today, seed);
  const random = seeded(seed);
  const copies = Array.from({ length: BIG.dogs }, (_, i) => copyOf(sample, i));
  const work = copies.map((copy) => copy.elements);
  const [outings, bouts, entries]: [Map<Day, Outing>, Bout[], Entry[]] = [new Map(), [], []];
  const count = Math.ceil(reps / BIG.perBout);
  for (let n = 0; n < count; n++) {
    // The dogs take turns, each going through its elements, evenly over the days.
    const elements = work[n % BIG.dogs] ?? [];
    const element = elements[Math.floor(n / BIG.dogs) % elements.length];
    if (!element) continue;
    const past = n / count;
    const day = addDays(today, Math.floor(past * BIG.days) - BIG.days);
    const startedAt = dayNumber(day) * 86_400_000 + (6 + (n % 12)) * 3_600_000 + n;
    const outing = outings.get(day) ?? outingOf(day, startedAt);
    outings.set(day, { ...outing, dogs: [...new Set([...outing.dogs, element.dogId])] });
    const { rungs } = buildLadder(element);
    const rung = Math.min(rungs.length - 1, Math.floor(rungs.length * past * (0.6 + 0.4 * random.uniform())));
    const start = rungs[rung]?.criteria ?? {};
    const id = asId<BoutId>(`big-${n}`);
    bouts.push(boutOf(id, outing.id, element, startedAt, start, random.uniform() < 0.15));
    entries.push(...logOf({ id, dogId: element.dogId, start, startedAt }, 0.6 + 0.3 * past, random));
  }
  return {
    ...sample,
    dogs: copies.flatMap((copy) => copy.dogs),
    elements: copies.flatMap((copy) => copy.elements),
    breakdowns: copies.flatMap((copy) => copy.breakdowns),
    trials: copies.flatMap((copy) => copy.trials),
    signals: [
      ...sample.signals.filter((one) => one.dogId === null),
      ...copies.flatMap((copy) => copy.signals),
    ],
    outings: [...outings.values()],
    bouts,
    entries,
    // They name the sample's own dogs.
    setOuts: [],
    events: [],
    seasons: [],
    clips: [],
    clipMarks: [],
    tracks: [],
    trackPoints: [],
    runForecasts: [],
    runLessons: [],
    practices: [],
    legs: [],
    held: [],
    titleAims: [],
    comments: [],
    meetings: [],
    runs: [],
    marks: [],
  };
}

type Copied = Pick<Tables, 'dogs' | 'elements' | 'breakdowns' | 'trials' | 'signals'>;

/** The sample's first dog under another name and ids, with its elements, exercises, trial and signals. */
function copyOf(sample: Tables, i: number): Copied {
  const [dog] = sample.dogs;
  const rename = <T>(value: T): T =>
    JSON.parse(JSON.stringify(value).replaceAll(/"sample-(?!book|rule)([^"]*)"/g, `"big${i}-$1"`)) as T;
  const mine = <T extends { readonly dogId: string | null }>(list: readonly T[]): T[] =>
    list.filter((one) => one.dogId === dog?.id).map(rename);
  return {
    dogs: sample.dogs.slice(0, 1).map((one) => ({ ...rename(one), name: `${one.name} ${i + 1}`, order: i })),
    elements: mine(sample.elements),
    breakdowns: mine(sample.breakdowns),
    trials: mine(sample.trials),
    signals: mine(sample.signals),
  };
}

const outingOf = (day: Day, startedAt: number): Outing => ({
  id: asId<OutingId>(`big-${day}`),
  kind: 'training',
  day,
  startedAt,
  endedAt: startedAt + 3_600_000,
  ground: null,
  weather: null,
  helpers: '',
  dogs: [],
  meeting: null,
  note: '',
  changed: CHANGED,
});

const boutOf = (
  id: BoutId,
  outingId: OutingId,
  { id: element, dogId }: Tables['elements'][number],
  startedAt: number,
  start: Criteria,
  away: boolean,
): Bout => ({
  id,
  outingId,
  dogId,
  on: { kind: 'element', element },
  startedAt,
  endedAt: startedAt + 900_000,
  start,
  away,
  conditions: {},
  handler: null,
  runsFixed: null,
  setOut: null,
  slot: null,
  debrief: null,
  changed: CHANGED,
});

type In = {
  readonly id: BoutId;
  readonly dogId: DogId;
  readonly start: Criteria;
  readonly startedAt: number;
};

function logOf({ id: boutId, dogId, start, startedAt }: In, clean: number, random: Random): Entry[] {
  const entries: Entry[] = [];
  const add = (said: Parameters<typeof entryOf>[0]): EntryId => {
    const seq = entries.length;
    const id = asId<EntryId>(`${boutId}-${seq}`);
    entries.push(entryOf(said, { id, boutId, dogId, seq, at: startedAt + seq * 30_000 }));
    return id;
  };
  for (let rep = 0; rep < BIG.perBout; rep++) {
    const outcome = random.uniform() < clean ? 'clean' : random.uniform() < 0.6 ? 'flawed' : 'miss';
    const aids = random.uniform() < 0.05 ? (['hand'] as const) : [];
    const said = plainRep(start, { outcome, aids: [...aids] });
    const latency = { value: Math.exp(0.3 * random.normal()), how: 'tap' } as const;
    const seen = outcome === 'miss' ? said.seen : { ...said.seen, measured: { latency } };
    const id = add({ kind: 'rep', ...said, seen });
    const whim = random.uniform();
    if (whim < 0.02) add({ kind: 'amend', of: id, judged: { cause: 'handler' } });
    else if (whim < 0.03) {
      add({ kind: 'undo', of: id });
      rep--;
    }
  }
  return entries;
}

const entryOf = (said: object, where: Pick<Entry, 'id' | 'boutId' | 'dogId' | 'seq' | 'at'>): Entry =>
  ({ ...said, ...where, by: BY, timed: true }) as Entry;
