import { describe, expect, it } from 'vitest';
import { plainRep } from '@/core/log';
import { type ExchangeId, must, type Result } from '@/core/shared';
import { writeKennelFile } from '@/data/files/files.test-helper';
import type { KennelName } from '@/data/kennel';
import { openKennel } from '@/data/kennel';
import { exportTables } from '@/data/kennel.test-helper';
import { listExchanges, waitingApart } from '@/data/read';
import { addDog, amendReps, changeDog, decideRep, record, startBout, takeBack } from '@/data/write';
import { makeSampleKennel } from '@/demo/sample-kennel';
import { TODAY } from '@/demo/sample-state.test-helper';
import { wordsOf } from '@/words';
import type { FileAnswers, FileTask } from './file-tasks';
import { fileWork } from './file-work';

const NOW = Date.parse('2026-06-30T12:00:00Z');
let count = 0;

/** A device of a person: a database of its own and the worker for files, as the page asks it. */
function device(clock = NOW) {
  const name = `exchange-${count++}`;
  let now = clock;
  const open = (kennel: KennelName, at: () => number) => openKennel(kennel, at, name);
  const work = fileWork(open);
  const run = async <T extends FileTask>(task: T): Promise<FileAnswers[T['kind']]> =>
    must((await work(task, () => undefined)) as Result<FileAnswers[T['kind']]>);
  const tick = (): number => {
    now += 1000;
    return now;
  };
  const to = () => ({ kennel: 'own' as const, now: tick() });
  const exchanges = async () => listExchanges(await kennel());
  const kennel = async () => must(await open('own', tick));
  return {
    kennel,
    exchanges,
    save: (since: ExchangeId | null) => run({ kind: 'save', since, ...to() }),
    /** What is new since the newest file that both have. */
    saveNew: async () => run({ kind: 'save', since: (await exchanges()).files[0]?.id ?? null, ...to() }),
    look: (file: Blob) => run({ kind: 'look', file }),
    bring: async (file: Blob) => {
      await run({ kind: 'look', file });
      return (await work({ kind: 'bring', how: 'add', ...to() }, () => undefined)) as Result<
        FileAnswers['bring']
      >;
    },
    replace: async (file: Blob) => {
      await run({ kind: 'look', file });
      return work({ kind: 'bring', how: 'replace', ...to() }, () => undefined);
    },
    back: () => run({ kind: 'take-back', ...to() }),
  };
}

/** A laptop with the sample, and a phone that has taken all of it. */
async function both() {
  const [laptop, phone] = [device(), device(NOW + 60_000)];
  must(await laptop.replace(new Blob([writeKennelFile(makeSampleKennel(TODAY, 2), 'x')])));
  must(await phone.bring((await laptop.save(null)).file));
  return { laptop, phone };
}
type Device = ReturnType<typeof device>;

async function train(on: Device) {
  const kennel = await on.kennel();
  const [element] = await kennel.database.of('elements').toArray();
  if (!element) throw new Error('the sample has elements');
  const bout = must(await startBout(kennel, element, { day: TODAY, away: false, start: {} })).made;
  const rep = must(await record(kennel, bout, { kind: 'rep', ...plainRep({}, { outcome: 'clean' }) })).made;
  return { bout, rep };
}

describe('small files between two devices', () => {
  it('hold only what is new, come to the same kennel, and are nothing where nothing is new', async () => {
    const { laptop, phone } = await both();
    await train(phone);
    const small = await phone.saveNew();
    expect([small.entries, small.records, small.file.size < 6_000]).toEqual([1, 2, true]);
    expect(await laptop.look(small.file)).toMatchObject({ after: expect.any(Number), counts: { bouts: 1 } });
    expect(must(await laptop.bring(small.file))).toMatchObject({ bouts: 1, entries: 1, apart: 0 });
    expect(must(await laptop.bring(small.file))).toMatchObject({ bouts: 0, entries: 0, apart: 0 });
    expect(await laptop.saveNew()).toMatchObject({ entries: 0, records: 0 });
    expect(await exportTables(await laptop.kennel())).toEqual(await exportTables(await phone.kennel()));
  });

  it('one that goes on from a file which is not here is refused in words, and changes nothing', async () => {
    const { laptop, phone } = await both();
    await train(phone);
    const lost = await phone.saveNew();
    await train(phone);
    const next = await phone.saveNew();
    const refused = await laptop.bring(next.file);
    expect(wordsOf(refused.ok ? '' : refused.message)).toMatch(
      /goes on from the one that was saved on .*, and that one was not brought in here/,
    );
    must(await laptop.bring(lost.file));
    expect(must(await laptop.bring(next.file))).toMatchObject({ entries: 1 });
  });

  it('what was taken back is not thought to be here: the next file is refused, and the first comes again', async () => {
    const { laptop, phone } = await both();
    await train(phone);
    const first = await phone.saveNew();
    must(await laptop.bring(first.file));
    await laptop.back();
    await train(phone);
    const second = await phone.saveNew();
    expect(await laptop.bring(second.file)).toMatchObject({ ok: false, code: 'missing' });
    expect(must(await laptop.bring(first.file))).toMatchObject({ entries: 1 });
    expect(must(await laptop.bring(second.file))).toMatchObject({ entries: 1 });
  });

  it('cannot stand in the place of a kennel, and after one did, none of before is gone on from', async () => {
    const { laptop, phone } = await both();
    await train(phone);
    const small = await phone.saveNew();
    expect(await laptop.replace(small.file)).toMatchObject({ ok: false, code: 'part' });
    must(await laptop.replace((await phone.save(null)).file));
    expect(await laptop.exchanges()).toMatchObject({ files: [], held: [] });
  });

  it('a removal and a name come over, and what was made twice is two', async () => {
    const { laptop, phone } = await both();
    const there = await phone.kennel();
    const [dog] = await there.database.of('dogs').toArray();
    if (!dog) throw new Error('the sample has dogs');
    must(await changeDog(there, dog.id, { breed: 'of the phone' }));
    must(await addDog(there, 'Merle'));
    must(await addDog(await laptop.kennel(), 'Merle'));
    must(await laptop.bring((await phone.saveNew()).file));
    const dogs = await (await laptop.kennel()).database.of('dogs').toArray();
    expect(dogs.find(({ id }) => id === dog.id)?.breed).toBe('of the phone');
    expect(dogs.filter(({ name }) => name === 'Merle')).toHaveLength(2);
  });
});

describe('a rep that both put right', () => {
  it('waits with what each said; deciding it goes over, and can be taken back', async () => {
    const { laptop, phone } = await both();
    const { bout, rep } = await train(phone);
    must(await laptop.bring((await phone.saveNew()).file));
    const [here, there] = [await laptop.kennel(), await phone.kennel()];
    must(await amendReps(here, bout, [{ of: rep.id, change: { judged: { outcome: 'miss' } } }]));
    must(await amendReps(there, bout, [{ of: rep.id, change: { judged: { outcome: 'flawed' } } }]));
    expect(must(await laptop.bring((await phone.saveNew()).file))).toMatchObject({ entries: 1, apart: 1 });
    const [waiting] = await waitingApart(here);
    expect(waiting?.rep).toMatchObject({ go: 1, forks: [{ path: ['judged', 'outcome'] }] });
    expect(waiting?.rep?.forks[0]?.said.map(({ value }) => value).sort()).toEqual(['flawed', 'miss']);
    const undo = must(await decideRep(here, bout, rep.id, { judged: { outcome: 'flawed' } }));
    expect(await waitingApart(here)).toEqual([]);
    must(await takeBack(here, undo));
    expect(await waitingApart(here)).toHaveLength(1);
    must(await decideRep(here, bout, rep.id, { judged: { outcome: 'miss' } }));
    must(await phone.bring((await laptop.saveNew()).file));
    expect(await waitingApart(there)).toEqual([]);
    expect(await exportTables(there)).toEqual(await exportTables(here));
  });
});
