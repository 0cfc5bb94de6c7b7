import { type Amendment, plainRep, type RepSaid, type Said } from '@/core/log';
import { CLIP_STAMPS, type ClipMark, type ClipMarkKind } from '@/core/review';
import { type BoutId, type ClipId, type ClipMarkId, type EntryId, type Result, say } from '@/core/shared';
import { type Kennel, newId } from '@/data/kennel';
import type { Bout, Clip, ClipMarkRecord } from '@/data/records';
import { refuse, transact, type Undo, type Write } from './transact';

export type ClipSaid = Pick<Clip, 'dogId' | 'name' | 'print' | 'picture' | 'frame'>;
export type MarkSaid = Pick<ClipMark, 'at' | 'what' | 'px' | 'says'>;

/**
 * The clip of a file that was opened: the one with the same print, whatever it was called, or a new one without a
 * mark.
 */
export function openClip(kennel: Kennel, said: ClipSaid): Promise<Result<Undo<Clip>>> {
  return transact(kennel, ['clips'], async (write) => {
    const known = (await write.all('clips')).find((one) => samePrint(one.print, said.print));
    if (known && known.name === said.name) return known;
    if (known) return write.put('clips', { ...known, name: said.name });
    return write.put('clips', {
      ...said,
      id: newId<ClipId>(),
      boutId: null,
      offset: null,
      ground: { kind: 'none' },
    });
  });
}

/** Whether two files are one: its size and both its ends say so, not its name. */
const samePrint = (a: Clip['print'], b: Clip['print']): boolean => a.size === b.size && a.ends === b.ends;

/** Says of a clip which dog it shows, which bout, its ground. Fails with `gone`. */
export function changeClip(
  kennel: Kennel,
  id: ClipId,
  change: Partial<Pick<Clip, 'dogId' | 'boutId' | 'offset' | 'ground'>>,
): Promise<Result<Undo<Clip>>> {
  return transact(kennel, ['clips', 'clipMarks'], async (write) => {
    const stored = await clipIn(write, id);
    // Another dog's or another bout's reps are not these.
    const otherDog = change.dogId !== undefined && change.dogId !== stored.dogId;
    const elsewhere = otherDog || (change.boutId !== undefined && change.boutId !== stored.boutId);
    if (elsewhere) await unjoin(write, id);
    const off = { ...(otherDog ? { boutId: null } : {}), ...(elsewhere ? { offset: null } : {}) };
    return write.put('clips', { ...stored, ...off, ...change });
  });
}

async function clipIn(write: Write, id: ClipId): Promise<Clip> {
  return (await write.get('clips', id)) ?? refuse('gone', id, say('data.clips.gone'));
}

async function unjoin(write: Write, id: ClipId): Promise<void> {
  for (const mark of await write.marksOfClip(id))
    if (mark.rep !== null) await write.put('clipMarks', { ...mark, rep: null });
}

/** Takes a clip and its marks out of the kennel; the file stays where it is. */
export function removeClip(kennel: Kennel, id: ClipId): Promise<Result<Undo>> {
  return transact(kennel, ['clips', 'clipMarks'], async (write) => {
    for (const mark of await write.marksOfClip(id)) await write.remove('clipMarks', mark.id);
    await write.remove('clips', id);
  });
}

/** Of these a go has one: saying it again moves it. A cue begins a go of its own. */
const ONCE: ReadonlySet<ClipMarkKind> = new Set(
  [...CLIP_STAMPS, 'judged', 'grade'].filter((one) => one !== 'cue') as ClipMarkKind[],
);
/** Two cues nearer than this are one that was put right, seconds. */
const SAME_CUE = 0.25;

/** Puts a mark into a clip; a time that its go has already is moved there. Fails with `gone`. */
export function putMark(kennel: Kennel, clip: ClipId, said: MarkSaid): Promise<Result<Undo<ClipMarkRecord>>> {
  return transact(kennel, ['clips', 'clipMarks'], async (write) => {
    await clipIn(write, clip);
    return putInto(write, clip, await write.marksOfClip(clip), said);
  });
}

async function putInto(
  write: Write,
  clip: ClipId,
  marks: readonly ClipMarkRecord[],
  said: MarkSaid,
): Promise<ClipMarkRecord> {
  const same = marks.find((one) => one.what === said.what && replaces(marks, one, said));
  return write.put('clipMarks', {
    id: same?.id ?? newId<ClipMarkId>(),
    clipId: clip,
    rep: same?.rep ?? null,
    ...said,
    px: said.px.map(([x, y]) => [x, y] as [number, number]),
  });
}

/** Whether what is said now is what stands there already, said otherwise. */
function replaces(marks: readonly ClipMarkRecord[], was: ClipMarkRecord, said: MarkSaid): boolean {
  if (said.what === 'cue') return Math.abs(was.at - said.at) < SAME_CUE;
  // One place of each kind in a frame.
  if (said.what === 'place') return was.says === said.says && was.at === said.at;
  if (!ONCE.has(said.what)) return false;
  const cueOf = (at: number): number =>
    marks.reduce((last, one) => (one.what === 'cue' && one.at <= at ? Math.max(last, one.at) : last), -1);
  return cueOf(was.at) === cueOf(said.at);
}

/** Many marks at once, as they were read from a file: all of them, or none. */
export function addMarks(
  kennel: Kennel,
  clip: ClipId,
  marks: readonly MarkSaid[],
): Promise<Result<Undo<number>>> {
  return transact(kennel, ['clips', 'clipMarks'], async (write) => {
    await clipIn(write, clip);
    const before = await write.marksOfClip(clip);
    const news = marks.filter((one) => !before.some((known) => isSameMark(known, one)));
    for (const one of news) await putInto(write, clip, [], one);
    return news.length;
  });
}

/** A file holds whole milliseconds and hundredths of a pixel: what differs by less is the same mark. */
function isSameMark(a: MarkSaid, b: MarkSaid): boolean {
  const near = (x: number, y: number, by: number): boolean => Math.abs(x - y) <= by;
  return (
    a.what === b.what &&
    a.says === b.says &&
    near(a.at, b.at, 0.001) &&
    a.px.length === b.px.length &&
    a.px.every(([x, y], i) => near(x, b.px[i]?.[0] as number, 0.01) && near(y, b.px[i]?.[1] as number, 0.01))
  );
}

export const removeMark = (kennel: Kennel, id: ClipMarkId): Promise<Result<Undo>> =>
  transact(kennel, ['clipMarks'], (write) => write.remove('clipMarks', id));

/** Which rep each go is, by its cue; null takes it off. */
export type Join = { readonly cue: ClipMarkId; readonly rep: EntryId | null };

/** Lays a clip beside the log of its bout, and says which rep each go is. Fails with `gone`. */
export function layClip(
  kennel: Kennel,
  id: ClipId,
  offset: number | null,
  joins: readonly Join[],
): Promise<Result<Undo<Clip>>> {
  return transact(kennel, ['clips', 'clipMarks'], async (write) => {
    const stored = await clipIn(write, id);
    for (const { cue, rep } of joins) {
      const mark = await write.get('clipMarks', cue);
      if (mark && mark.rep !== rep) await write.put('clipMarks', { ...mark, rep });
    }
    return write.put('clips', { ...stored, offset });
  });
}

/** Corrections of several reps of a log, all of them or none. */
export function amendReps(
  kennel: Kennel,
  bout: Pick<Bout, 'id' | 'dogId'>,
  changes: readonly { readonly of: EntryId; readonly change: Amendment }[],
): Promise<Result<Undo>> {
  return transact(kennel, ['entries'], async (write) => {
    for (const { of, change } of changes) await write.append(bout, { kind: 'amend', of, ...change });
  });
}

/**
 * A rep that the log lacks, as it was seen in a clip: at its own time, last in the log, joined with its go. Fails with
 * `no-bout` where the clip shows none.
 */
export function addRepOf(
  kennel: Kennel,
  clip: Pick<Clip, 'id' | 'boutId' | 'dogId'>,
  cue: ClipMarkId,
  rep: Pick<RepSaid, 'asked' | 'seen'> & { readonly judged: Parameters<typeof plainRep>[1] },
  at: number,
): Promise<Result<Undo>> {
  return transact(kennel, ['bouts', 'entries', 'clips', 'clipMarks'], async (write) => {
    const boutId: BoutId = clip.boutId ?? refuse('no-bout', clip.id, say('data.clips.no-bout'));
    const plain = plainRep(rep.asked.criteria, rep.judged);
    const said: Said = { kind: 'rep', ...plain, asked: rep.asked, seen: { ...plain.seen, ...rep.seen } };
    const entry = await write.append({ id: boutId, dogId: clip.dogId }, said, {
      at: Math.round(at),
      timed: true,
    });
    const mark = await write.get('clipMarks', cue);
    if (mark) await write.put('clipMarks', { ...mark, rep: entry.id });
  });
}
