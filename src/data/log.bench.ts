import 'fake-indexeddb/auto';
import { bench, describe } from 'vitest';
import { testAxis } from '@/core/breakdown/axis.test-helper';
import { asId, type Day, type DogId, type ElementId, must } from '@/core/shared';
import { openDatabase } from './database';
import { type ElementRecord, type Entry, PLAIN_ELEMENT } from './records';
import { type Kennel, recordRep, startSession } from './repositories';

/** One rep recorded must not cost more because a hundred thousand stand before it. */
const element: ElementRecord = {
  ...PLAIN_ELEMENT,
  id: asId<ElementId>('e'),
  dogId: asId<DogId>('d'),
  title: 'Hold',
  axes: [testAxis({ key: 't', title: 'Time', quantity: 'duration', unit: 's', start: 1, demand: 8, step: 1, limit: 1 })],
};
const rep = { at: 1, outcome: 'clean' as const, option: null, cause: 'dog' as const, aided: false, rung: 0, criteria: { t: 1 }, latency: null };

async function kennelWith(name: string, entries: number): Promise<() => Promise<void>> {
  const kennel: Kennel = { name: 'own', database: must(await openDatabase(name)) };
  const start = { now: 0, day: '2026-06-01' as Day, away: false, rung: 0 };
  const old = await startSession(kennel, element, start);
  const { id: sessionId, dogId, elementId } = old;
  const history = Array.from(
    { length: entries },
    (_, seq) => ({ kind: 'rep', ...rep, id: `${name}-${seq}`, sessionId, dogId, elementId, seq }) as unknown as Entry,
  );
  await kennel.database.entries.bulkAdd(history);
  // A fresh session for every few reps, as in the field: its own log stays short.
  let session = await startSession(kennel, element, start);
  let count = 0;
  return async () => {
    if (++count % 12 === 0) session = await startSession(kennel, element, start);
    must(await recordRep(kennel, session, rep));
  };
}

const short = await kennelWith('bench-short', 100);
const long = await kennelWith('bench-long', 100_000);

describe('one rep recorded (bound: independent of the history)', () => {
  const options = { time: 1500, warmupTime: 200 };
  bench('yardstick: after 100 reps', short, options);
  bench('after 100,000 reps (bound: 1.2 ×)', long, options);
});
