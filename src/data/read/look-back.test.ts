import { describe, expect, it } from 'vitest';
import { testAxis } from '@/core/breakdown/axis.test-helper';
import { plainRep } from '@/core/log';
import { asId, type EntryId, must } from '@/core/shared';
import type { Kennel } from '@/data/kennel';
import { kennelWithDog, testElement } from '@/data/kennel.test-helper';
import { endBout, markStop, record, startBout, takeBack, unmarkStop } from '@/data/write';
import { boutsOn, diaryDays, diaryOf, inPeriod, logged, lookBack, marksBeside } from '.';

const DISTANCE = testAxis().key;
const element = testElement('stop');
const at = { [DISTANCE]: 5 };
const DAYS = ['2026-06-01', '2026-06-04', '2026-06-09'] as const;

async function begin(): Promise<Kennel> {
  const kennel = await kennelWithDog();
  await kennel.database
    .of('elements')
    .add({ ...element, changed: { at: 0, by: asId('t'), seen: { t: 1 } } } as never);
  return kennel;
}
/** A bout of the day, its reps by their marks. */
async function work(kennel: Kennel, day: (typeof DAYS)[number], marks: string) {
  const bout = must(await startBout(kennel, element, { day: day as never, away: false, start: at })).made;
  for (const one of marks)
    must(
      await record(kennel, bout, {
        kind: 'rep',
        ...plainRep(at, { outcome: one === '1' ? 'clean' : 'miss' }),
      }),
    );
  must(await endBout(kennel, bout.id));
  return bout;
}
const look = async (kennel: Kennel, id: string) => {
  const bout = (await boutsOn(kennel, element.id)).find((one) => one.id === id);
  if (!bout) throw new Error('it is there');
  const log = await logged(kennel, bout);
  return { log, back: await lookBack(kennel, element as never, bout, log.folded) };
};

describe('a bout from afterwards', () => {
  it('could have ended where it fell off, by what was known before; a rep judged again changes it', async () => {
    const kennel = await begin();
    for (const day of [DAYS[0], DAYS[1]]) await work(kennel, day, '1111111101');
    const { id } = await work(kennel, DAYS[2], '1111111100010000');
    const { log, back } = await look(kennel, id);
    expect(back.hindsight).toMatchObject({ kind: 'point', after: 8 });
    expect(back.beside).toMatchObject({
      now: { day: DAYS[2], reps: 16, clean: 9 },
      before: { day: DAYS[1], reps: 10, clean: 9 },
    });
    // The misses were the handler's: nothing of the dog fell off.
    for (const rep of log.folded.reps.slice(8))
      must(
        await record(
          kennel,
          { id, dogId: element.dogId, start: at },
          { kind: 'amend', of: rep.id, judged: { cause: 'handler' } },
        ),
      );
    expect((await look(kennel, id)).back.hindsight.kind).not.toBe('point');
  });

  it('of a first bout has nothing beside it', async () => {
    const kennel = await begin();
    const { id } = await work(kennel, DAYS[0], '111');
    const { back } = await look(kennel, id);
    expect(back).toMatchObject({ hindsight: { kind: 'few', reps: 3 }, beside: null });
  });

  it('keeps the person’s own mark beside it: said, said otherwise, taken back', async () => {
    const kennel = await begin();
    const { id } = await work(kennel, DAYS[0], '1110');
    const { log } = await look(kennel, id);
    const [first, second] = log.folded.reps.map((one) => one.id);
    if (!first || !second) throw new Error('reps');
    must(await markStop(kennel, id, first));
    const moved = must(await markStop(kennel, id, second));
    expect((await diaryOf(kennel, DAYS[0] as never, DAYS[0] as never))[0]?.stop).toBe(second);
    must(await takeBack(kennel, moved));
    expect((await diaryOf(kennel, DAYS[0] as never, DAYS[0] as never))[0]?.stop).toBe(first);
    must(await unmarkStop(kennel, id));
    expect((await diaryOf(kennel, DAYS[0] as never, DAYS[0] as never))[0]?.stop).toBeNull();
    expect(await markStop(kennel, id, asId<EntryId>('ghost'))).toMatchObject({ ok: false, code: 'gone' });
  });
});

describe('marks over time', () => {
  it('stand beside what the counts say of the same bouts, oldest first', async () => {
    const kennel = await begin();
    for (const day of [DAYS[0], DAYS[1]]) await work(kennel, day, '1111111101');
    const fell = await work(kennel, DAYS[2], '1111111100010000');
    const { log } = await look(kennel, fell.id);
    must(await markStop(kennel, fell.id, log.folded.reps[9]?.id as EntryId));
    const [early] = await boutsOn(kennel, element.id);
    if (!early) throw new Error('it is there');
    const { log: first } = await look(kennel, early.id);
    must(await markStop(kennel, early.id, first.folded.reps[2]?.id as EntryId));
    expect(await marksBeside(kennel)).toEqual([
      { day: DAYS[0], title: 'stop', own: 3, said: null },
      { day: DAYS[2], title: 'stop', own: 10, said: 8 },
    ]);
  });
});

describe('the diary', () => {
  it('has every bout of its days, the newest day first, and adds them up oldest first', async () => {
    const kennel = await begin();
    for (const day of DAYS) await work(kennel, day, '11');
    const bouts = await diaryOf(kennel, DAYS[0] as never, DAYS[1] as never);
    expect(bouts.map((one) => [one.outing.day, one.title, one.kept.reps])).toEqual([
      [DAYS[1], 'stop', 2],
      [DAYS[0], 'stop', 2],
    ]);
    expect(inPeriod(bouts).map((one) => [one.piece, one.clean, one.from])).toEqual([
      ['stop', 2, 0],
      ['stop', 2, 0],
    ]);
    expect(await diaryDays(kennel)).toEqual([...DAYS].reverse());
    expect(await diaryOf(kennel, '2025-01-01' as never, '2025-02-01' as never)).toEqual([]);
  });
});
