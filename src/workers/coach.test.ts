import { describe, expect, it } from 'vitest';
import { plainRep } from '@/core/log';
import { addDays, must, type Result } from '@/core/shared';
import { readKennelFile } from '@/data/files';
import { type KennelName, openKennel } from '@/data/kennel';
import { exportTables } from '@/data/kennel.test-helper';
import { listComments, pupilOf, waitingApart } from '@/data/read';
import {
  addComment,
  addSlot,
  addTables,
  changeElement,
  coachesOf,
  decide,
  decideAll,
  record,
  removeSlot,
  replaceTables,
  startBout,
  takeBack,
} from '@/data/write';
import { makeSampleKennel } from '@/demo/sample-kennel';
import { TODAY } from '@/demo/sample-state.test-helper';
import { wordsOf } from '@/words';
import type { FileAnswers, FileTask } from './file-tasks';
import { fileWork } from './file-work';

const NOW = Date.parse('2026-06-30T12:00:00Z');
let count = 0;

/** A browser: its kennels, and the worker for files. */
function browser() {
  const name = `coach-${count++}`;
  let now = NOW;
  const tick = (): number => {
    now += 1000;
    return now;
  };
  const open = (kennel: KennelName, at: () => number) => openKennel(kennel, at, `${name}-${kennel}`);
  const work = fileWork(open);
  const ask = async <T extends FileTask>(task: T) =>
    (await work(task, () => undefined)) as Result<FileAnswers[T['kind']]>;
  return {
    ask,
    run: async <T extends FileTask>(task: T) => must(await ask(task)),
    now: tick,
    kennel: async (kennel: KennelName) => must(await open(kennel, tick)),
  };
}

/** An owner with the sample, a packet of one dog, and a coach who has opened it. */
async function opened(weeks: number | null = 12) {
  const [owner, coach] = [browser(), browser()];
  const own = await owner.kennel('own');
  must(await replaceTables(own, makeSampleKennel(TODAY, 2)));
  const [dog] = (await own.database.of('dogs').toArray()).filter((one) => one.name === 'Quill');
  if (!dog) throw new Error('the sample has Quill');
  const packet = await owner.run({
    kind: 'packet',
    dogs: [dog.id],
    weeks,
    today: TODAY,
    by: 'Ines',
    kennel: 'own',
    now: owner.now(),
  });
  await coach.run({ kind: 'look', file: packet.file });
  const { kennel: name } = await coach.run({ kind: 'open-packet', now: coach.now() });
  return { owner, coach, own, dog, packet, name, pupil: await coach.kennel(name) };
}

describe('a packet for a coach', () => {
  it('holds the chosen dog with its ladders, plan and last weeks, is whole, and nothing else', async () => {
    const { packet, dog, pupil, own } = await opened(4);
    const { tables } = must(readKennelFile(await packet.file.text()));
    expect(tables.dogs.map(({ name }) => name)).toEqual(['Quill']);
    expect(tables.elements.length).toBeGreaterThan(5);
    expect(tables.elements.every((one) => one.dogId === dog.id)).toBe(true);
    const from = addDays(TODAY, -28);
    const days = tables.bouts.map((bout) => tables.outings.find(({ id }) => id === bout.outingId)?.day ?? '');
    expect(days.every((day) => day >= from)).toBe(true);
    const all = (await exportTables(own)).bouts.filter((one) => one.dogId === dog.id);
    expect(tables.bouts.length).toBeLessThan(all.length);
    const reps = tables.entries.filter((one) => one.kind === 'rep').length;
    expect(reps).toBeGreaterThan(100);
    expect(await pupilOf(pupil)).toMatchObject({ by: 'Ines', dogs: ['Quill'], weeks: 4 });
    expect((await exportTables(pupil)).elements).toHaveLength(tables.elements.length);
  });

  it('is a kennel of its own: neither added to one’s own nor put in its place; a second one brings what is new', async () => {
    const { owner, coach, packet, pupil, dog, own } = await opened();
    await coach.run({ kind: 'look', file: packet.file });
    const mixed = await coach.ask({ kind: 'bring', how: 'add', kennel: 'own', now: coach.now() });
    expect(wordsOf(mixed.ok ? '' : mixed.message)).toContain('is not mixed with a kennel');
    expect((await exportTables(await coach.kennel('own'))).dogs).toEqual([]);
    const [element] = await own.database.of('elements').where('dogId').equals(dog.id).toArray();
    if (!element) throw new Error('it has elements');
    const bout = must(await startBout(own, element, { day: TODAY, away: false, start: {} })).made;
    must(await record(own, bout, { kind: 'rep', ...plainRep({}, { outcome: 'clean' }) }));
    const again = await owner.run({
      kind: 'packet',
      dogs: [dog.id],
      weeks: 12,
      today: TODAY,
      by: 'Ines',
      kennel: 'own',
      now: owner.now(),
    });
    await coach.run({ kind: 'look', file: again.file });
    await coach.run({ kind: 'open-packet', now: coach.now() });
    expect((await exportTables(pupil)).bouts.some(({ id }) => id === bout.id)).toBe(true);
  });
});

describe('what a coach sends back', () => {
  async function answered() {
    const all = await opened();
    const { coach, pupil, name, dog } = all;
    const [element] = await pupil.database.of('elements').toArray();
    if (!element) throw new Error('it has elements');
    const axes = element.axes.map((axis, i) => (i === 0 ? { ...axis, step: axis.step / 2 } : axis));
    must(await changeElement(pupil, element.id, { axes }));
    must(
      await addComment(pupil, {
        dogId: dog.id,
        about: { kind: 'element', element: element.id },
        words: 'Half steps for a week.',
        by: 'Made-up coach',
      }),
    );
    const answer = await coach.run({ kind: 'answer', by: 'Made-up coach', kennel: name, now: coach.now() });
    return { ...all, element, answer };
  }

  it('is small, comes as comments and proposals; what stands is untouched until it is taken', async () => {
    const { owner, own, element, answer } = await answered();
    expect([answer.records, answer.entries, answer.comments]).toEqual([2, 0, 1]);
    expect(await owner.run({ kind: 'look', file: answer.file })).toMatchObject({
      answer: { by: 'Made-up coach' },
    });
    const before = await own.database.of('elements').get(element.id);
    expect(await owner.run({ kind: 'take-answer', kennel: 'own', now: owner.now() })).toEqual({
      comments: 1,
      proposals: 1,
      entries: 0,
      by: 'Made-up coach',
    });
    expect(await own.database.of('elements').get(element.id)).toEqual(before);
    expect((await listComments(own)).map(({ words, by }) => [words, by])).toEqual([
      ['Half steps for a week.', 'Made-up coach'],
    ]);
    const [waiting] = await waitingApart(own);
    const by = waiting?.apart.versions[1]?.changed.by;
    expect((await coachesOf(own))[by ?? ('' as never)]?.by).toBe('Made-up coach');
    // A file of the owner's other device decides nothing in silence.
    must(await addTables(own, await exportTables(own)));
    expect(await own.database.of('elements').get(element.id)).toEqual(before);
    const undo = must(await decide(own, waiting?.apart.id ?? '', waiting?.apart.versions[1]?.record ?? null));
    const taken = await own.database.of('elements').get(element.id);
    expect(taken?.axes[0]?.step).toBe((before?.axes[0]?.step ?? 0) / 2);
    must(await takeBack(own, undo));
    expect(await own.database.of('elements').get(element.id)).toEqual(before);
    expect(await waitingApart(own)).toHaveLength(1);
  });

  it('asked again after it was left, it is not asked again; and it can be taken back whole', async () => {
    const { owner, own, answer } = await answered();
    const before = await exportTables(own);
    await owner.run({ kind: 'look', file: answer.file });
    await owner.run({ kind: 'take-answer', kennel: 'own', now: owner.now() });
    await owner.run({ kind: 'take-back', kennel: 'own', now: owner.now() });
    expect(await exportTables(own)).toEqual(before);
    await owner.run({ kind: 'look', file: answer.file });
    await owner.run({ kind: 'take-answer', kennel: 'own', now: owner.now() });
    const [waiting] = await waitingApart(own);
    must(await decide(own, waiting?.apart.id ?? '', waiting?.apart.versions[0]?.record ?? null));
    await owner.run({ kind: 'look', file: answer.file });
    expect(await owner.run({ kind: 'take-answer', kennel: 'own', now: owner.now() })).toMatchObject({
      comments: 0,
      proposals: 0,
    });
  });

  it('a lesson planned, moved and taken out are proposals too; all are taken or left in one, and undone in one', async () => {
    const { owner, own, coach, pupil, name, dog } = await opened();
    const slots = await pupil.database.of('slots').where('dogId').equals(dog.id).toArray();
    const [element] = await pupil.database.of('elements').toArray();
    if (!element) throw new Error('it has elements');
    const said = {
      dog: dog.id,
      piece: element.id,
      at: {},
      purpose: 'build',
      goes: 5,
      sets: 1,
      minutes: 5,
      why: null,
    } as const;
    const made = must(await addSlot(pupil, { ...said, day: TODAY })).made;
    const answer = await coach.run({ kind: 'answer', by: 'Made-up coach', kennel: name, now: coach.now() });
    await owner.run({ kind: 'look', file: answer.file });
    expect(await owner.run({ kind: 'take-answer', kennel: 'own', now: owner.now() })).toMatchObject({
      proposals: 1,
    });
    const [first] = await waitingApart(own);
    must(await decide(own, first?.apart.id ?? '', first?.apart.versions[1]?.record ?? null));
    expect(await own.database.of('slots').count()).toBe(slots.length + 1);
    // The coach thinks otherwise: out with it, and another one.
    must(await removeSlot(pupil, made.id));
    const other = must(await addSlot(pupil, { ...said, day: addDays(TODAY, 1) })).made;
    const second = await coach.run({ kind: 'answer', by: 'Made-up coach', kennel: name, now: coach.now() });
    await owner.run({ kind: 'look', file: second.file });
    expect(await owner.run({ kind: 'take-answer', kennel: 'own', now: owner.now() })).toMatchObject({
      proposals: 2,
    });
    const before = await exportTables(own);
    const undo = must(
      await decideAll(
        own,
        (await waitingApart(own)).map(({ apart }) => ({
          id: apart.id,
          chosen: apart.versions[1]?.record ?? null,
        })),
      ),
    );
    expect((await own.database.of('slots').toArray()).map(({ id }) => id)).toContain(other.id);
    expect((await own.database.of('slots').toArray()).map(({ id }) => id)).not.toContain(made.id);
    must(await takeBack(own, undo));
    expect(await exportTables(own)).toEqual(before);
  });

  it('is refused where its packet was not made', async () => {
    const { answer, coach } = await answered();
    await coach.run({ kind: 'look', file: answer.file });
    const refused = await coach.ask({ kind: 'take-answer', kennel: 'own', now: coach.now() });
    expect(wordsOf(refused.ok ? '' : refused.message)).toContain('a packet that was not made in this kennel');
  });
});
