import { describe, expect, it } from 'vitest';
import { foldLog, plainRep } from '@/core/log';
import { goesOf } from '@/core/review';
import { asId, type ClipMarkId, type Day, type DogId, must } from '@/core/shared';
import type { Kennel } from '@/data/kennel';
import { CHANGED, DOG, exportTables, kennelWithDog, testElement } from '@/data/kennel.test-helper';
import {
  type Bout,
  boutLog,
  type Clip,
  clipOf,
  clipsOfBout,
  type ElementRecord,
  listClips,
} from '@/data/read';
import { UNKNOWN_DOG } from '@/data/records';
import { checkReferences } from '@/data/records/references';
import {
  addMarks,
  addRepOf,
  amendReps,
  changeClip,
  endBout,
  layClip,
  type MarkSaid,
  openClip,
  putMark,
  record,
  removeClip,
  removeMark,
  startBout,
  takeBack,
} from '.';

const FILE = {
  dogId: DOG,
  name: 'down.mp4',
  print: { size: 1_000, seconds: 12, ends: 'abcd' },
  picture: { width: 1280, height: 720 },
  frame: 0.04,
};
const opened = async (kennel: Kennel, change: Partial<typeof FILE> = {}): Promise<Clip> =>
  must(await openClip(kennel, { ...FILE, ...change })).made;
const time = (what: MarkSaid['what'], at: number): MarkSaid => ({ what, at, px: [], says: null });
const standing = async (kennel: Kennel, bout: Bout) =>
  foldLog(bout.start, await boutLog(kennel, bout.id)).reps;
const marksOf = async (kennel: Kennel, clip: Clip) => (await clipOf(kennel, clip.id))?.marks ?? [];

describe('clips in the kennel', () => {
  it('tell a file again by its print, whatever it is called, and another of the same name apart', async () => {
    const kennel = await kennelWithDog();
    const clip = await opened(kennel);
    must(await putMark(kennel, clip.id, time('cue', 2)));
    const renamed = await opened(kennel, { name: 'kept.mp4' });
    expect([renamed.id, renamed.name]).toEqual([clip.id, 'kept.mp4']);
    expect(await marksOf(kennel, renamed)).toHaveLength(1);
    const other = await opened(kennel, { print: { ...FILE.print, ends: 'ffff' } });
    expect(other.id).not.toBe(clip.id);
    expect((await listClips(kennel, DOG)).length).toBe(2);
    expect(checkReferences(await exportTables(kennel))).toBeNull();
  });

  it('have one time of each kind a go: said again it moves, and an undo brings the old one back', async () => {
    const kennel = await kennelWithDog();
    const clip = await opened(kennel);
    for (const said of [time('cue', 2), time('response', 3), time('cue', 10), time('response', 11)])
      must(await putMark(kennel, clip.id, said));
    const moved = must(await putMark(kennel, clip.id, time('response', 3.2)));
    must(await putMark(kennel, clip.id, time('cue', 2.08)));
    const times = async () => goesOf(await marksOf(kennel, clip)).map(({ at }) => at);
    expect(await times()).toEqual([
      { cue: 2.08, response: 3.2 },
      { cue: 10, response: 11 },
    ]);
    must(await takeBack(kennel, moved));
    expect(await times()).toEqual([
      { cue: 2.08, response: 3 },
      { cue: 10, response: 11 },
    ]);
    // Places of one kind in one frame are one, in another frame another.
    for (const [at, x] of [
      [2.5, 1],
      [2.5, 2],
      [2.54, 3],
    ] as const)
      must(await putMark(kennel, clip.id, { what: 'place', at, px: [[x, 0]], says: 'dog' }));
    expect(goesOf(await marksOf(kennel, clip))[0]?.places.map(({ px }) => px[0])).toEqual([2, 3]);
  });

  it('take marks of a file in once, all or none, and refuse what no mark can be', async () => {
    const kennel = await kennelWithDog();
    const clip = await opened(kennel);
    const list = [time('cue', 1), time('response', 2), time('cue', 1.1)];
    expect(must(await addMarks(kennel, clip.id, list)).made).toBe(3);
    expect(must(await addMarks(kennel, clip.id, list)).made).toBe(0);
    // As a file holds them: whole milliseconds, hundredths of a pixel.
    const exact = { what: 'place' as const, at: 2.0353687, px: [[100.12345, 7]] as const, says: 'dog' };
    must(await putMark(kennel, clip.id, exact));
    const rounded = { ...exact, at: 2.035, px: [[100.12, 7]] as const };
    expect(must(await addMarks(kennel, clip.id, [rounded])).made).toBe(0);
    expect(must(await addMarks(kennel, clip.id, [{ ...rounded, px: [[101, 7]] }])).made).toBe(1);
    const wrong = await addMarks(kennel, clip.id, [time('cue', 5), { ...time('judged', 6), says: 'well' }]);
    expect(wrong).toMatchObject({ ok: false, code: 'record' });
    expect(await marksOf(kennel, clip)).toHaveLength(5);
  });

  it('go out with their marks, and come back whole', async () => {
    const kennel = await kennelWithDog();
    const clip = await opened(kennel);
    must(await putMark(kennel, clip.id, time('cue', 1)));
    const out = must(await removeClip(kennel, clip.id));
    expect(await clipOf(kennel, clip.id)).toBeNull();
    expect((await exportTables(kennel)).clipMarks).toEqual([]);
    expect(await putMark(kennel, clip.id, time('cue', 2))).toMatchObject({ ok: false, code: 'gone' });
    must(await takeBack(kennel, out));
    expect(await marksOf(kennel, clip)).toHaveLength(1);
  });
});

describe('a clip and the log of its bout', () => {
  async function withBout() {
    const kennel = await kennelWithDog();
    const element = { ...testElement('down'), changed: CHANGED } as unknown as ElementRecord;
    await kennel.database.of('elements').add(element);
    const bout = must(
      await startBout(kennel, element, { day: '1970-01-01' as Day, away: false, start: {} }),
    ).made;
    const rep = must(
      await record(kennel, bout, { kind: 'rep', ...plainRep(bout.start, { outcome: 'clean' }) }),
    ).made;
    must(await endBout(kennel, bout.id));
    const clip = must(await changeClip(kennel, (await opened(kennel)).id, { boutId: bout.id })).made;
    const cue = must(await putMark(kennel, clip.id, time('cue', 1))).made;
    return { kennel, bout, rep, clip, cue };
  }

  it('joins a go with its rep; another bout, or another dog, takes the joins off', async () => {
    const { kennel, bout, rep, clip, cue } = await withBout();
    must(await layClip(kennel, clip.id, 5_000, [{ cue: cue.id, rep: rep.id }]));
    expect((await marksOf(kennel, clip))[0]?.rep).toBe(rep.id);
    expect(await clipsOfBout(kennel, bout.id)).toEqual([{ id: clip.id, name: clip.name, reps: [rep.id] }]);
    expect(checkReferences(await exportTables(kennel))).toBeNull();
    const away = must(await changeClip(kennel, clip.id, { boutId: null }));
    expect([away.made.offset, (await marksOf(kennel, clip))[0]?.rep]).toEqual([null, null]);
    must(await takeBack(kennel, away));
    const mate = asId<DogId>('mate');
    await kennel.database.of('dogs').add({ ...UNKNOWN_DOG, id: mate, name: 'Tansy', changed: CHANGED });
    const other = must(await changeClip(kennel, clip.id, { dogId: mate }));
    expect([other.made.boutId, other.made.offset, (await marksOf(kennel, clip))[0]?.rep]).toEqual([
      null,
      null,
      null,
    ]);
    expect(checkReferences(await exportTables(kennel))).toBeNull();
    must(await takeBack(kennel, other));
    expect([(await clipOf(kennel, clip.id))?.clip.offset, (await marksOf(kennel, clip))[0]?.rep]).toEqual([
      5_000,
      rep.id,
    ]);
  });

  it('corrects reps all at once, and takes it back whole', async () => {
    const { kennel, bout, rep } = await withBout();
    const change = { seen: { measured: { latency: { value: 1.24, how: 'clip' as const } } } };
    const corrected = must(await amendReps(kennel, bout, [{ of: rep.id, change }]));
    const [now] = await standing(kennel, bout);
    expect(now?.seen.measured.latency).toEqual({ value: 1.24, how: 'clip' });
    must(await takeBack(kennel, corrected));
    expect((await standing(kennel, bout))[0]?.seen.measured.latency).toBeUndefined();
  });

  it('adds a rep at its own time, joined, and not without a bout', async () => {
    const { kennel, bout, clip, cue } = await withBout();
    const plain = plainRep(bout.start, { outcome: 'miss' });
    const added = must(
      await addRepOf(kennel, clip, cue.id, { ...plain, judged: { outcome: 'miss' } }, 123_456.7),
    );
    const reps = await standing(kennel, bout);
    expect(reps.map(({ judged, at, timed }) => [judged.outcome, at === 123_457, timed])).toEqual([
      ['clean', false, true],
      ['miss', true, true],
    ]);
    expect((await marksOf(kennel, clip))[0]?.rep).toBe(reps[1]?.id);
    must(await takeBack(kennel, added));
    expect(await standing(kennel, bout)).toHaveLength(1);
    const nowhere = await addRepOf(
      kennel,
      { ...clip, boutId: null },
      cue.id,
      { ...plain, judged: { outcome: 'miss' } },
      0,
    );
    expect(nowhere).toMatchObject({ ok: false, code: 'no-bout' });
  });

  it('removes a single mark', async () => {
    const { kennel, clip, cue } = await withBout();
    must(await removeMark(kennel, cue.id));
    must(await removeMark(kennel, asId<ClipMarkId>('none')));
    expect(await marksOf(kennel, clip)).toEqual([]);
  });
});
