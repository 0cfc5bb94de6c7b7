import 'fake-indexeddb/auto';
import { bench, describe } from 'vitest';
import { testAxis } from '@/core/breakdown/axis.test-helper';
import { type Entry, plainRep } from '@/core/log';
import { type AxisKey, asId, type Day, type DogId, type ElementId, type EntryId, must } from '@/core/shared';
import { openKennel } from './kennel';
import { type ElementRecord, type New, PLAIN_ELEMENT } from './records';
import { endBout, record, startBout } from './write';

/** One rep recorded must not cost more because a hundred thousand stand before it. */
const element: New<ElementRecord> = {
  ...PLAIN_ELEMENT,
  id: asId<ElementId>('e'),
  dogId: asId<DogId>('d'),
  title: 'Hold',
  axes: [
    testAxis({
      key: asId<AxisKey>('t'),
      title: 'Time',
      quantity: 'duration',
      unit: 's',
      start: 1,
      demand: 8,
      step: 1,
      limit: 1,
    }),
  ],
};
const rep = { kind: 'rep' as const, ...plainRep({ [asId<AxisKey>('t')]: 1 }, { outcome: 'clean' }) };
const start = { day: '2026-06-01' as Day, away: false, start: { [asId<AxisKey>('t')]: 1 } };

async function kennelWith(name: string, entries: number): Promise<() => Promise<void>> {
  const kennel = must(await openKennel('own', () => 0, name));
  const begin = async () => must(await startBout(kennel, element, start)).made;
  let bout = await begin();
  const history = Array.from(
    { length: entries },
    (_, seq): Entry => ({
      ...rep,
      id: asId<EntryId>(`${name}-${seq}`),
      boutId: bout.id,
      dogId: bout.dogId,
      seq,
      by: kennel.device,
      at: seq,
      timed: true,
    }),
  );
  await kennel.database.of('entries').bulkAdd(history);
  // A fresh bout for every few reps, as in the field: its own log stays short.
  let count = 0;
  return async () => {
    if (count++ % 12 === 0) {
      must(await endBout(kennel, bout.id));
      bout = await begin();
    }
    must(await record(kennel, bout, rep));
  };
}

const short = await kennelWith('bench-short', 100);
const long = await kennelWith('bench-long', 100_000);

describe('one rep recorded (bound: independent of the history)', () => {
  const options = { time: 1500, warmupTime: 200 };
  bench('yardstick: after 100 reps', short, options);
  bench('after 100,000 reps (bound: 1.2 ×)', long, options);
});
