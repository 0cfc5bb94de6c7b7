import { CLIP_MARKS } from '@/core/review';
import type { ClipId, DogId, EntryId } from '@/core/shared';
import type { Kennel } from '@/data/kennel';
import type { Clip, ClipMarkRecord } from '@/data/records';

/** A clip with its marks, in the order of time. */
export type MarkedClip = { readonly clip: Clip; readonly marks: readonly ClipMarkRecord[] };

/** The clips of a dog, opened last first. */
export async function listClips(kennel: Kennel, dog: DogId): Promise<MarkedClip[]> {
  const clips = await kennel.database.of('clips').where('dogId').equals(dog).toArray();
  const sorted = clips.sort((a, b) => b.changed.at - a.changed.at);
  return Promise.all(sorted.map((clip) => marked(kennel, clip)));
}

/** One clip; null where it is not there. */
export async function clipOf(kennel: Kennel, id: string): Promise<MarkedClip | null> {
  const clip = await kennel.database.of('clips').get(id);
  return clip ? marked(kennel, clip) : null;
}

async function marked(kennel: Kennel, clip: Clip): Promise<MarkedClip> {
  const marks = await kennel.database.of('clipMarks').where('clipId').equals(clip.id).toArray();
  return { clip, marks: marks.sort(inClipOrder) };
}

/** By time; what falls into one frame in the order in which it usually happens. */
const inClipOrder = (a: ClipMarkRecord, b: ClipMarkRecord): number =>
  a.at - b.at || CLIP_MARKS.indexOf(a.what) - CLIP_MARKS.indexOf(b.what) || (a.id < b.id ? -1 : 1);

/** The clips that show a bout. */
export async function clipsOfBout(
  kennel: Kennel,
  bout: string,
): Promise<readonly { id: ClipId; name: string; reps: readonly EntryId[] }[]> {
  const clips = await kennel.database.of('clips').where('boutId').equals(bout).toArray();
  return Promise.all(
    clips.map(async (clip) => {
      const { marks } = await marked(kennel, clip);
      return { id: clip.id, name: clip.name, reps: marks.flatMap(({ rep }) => (rep === null ? [] : [rep])) };
    }),
  );
}
