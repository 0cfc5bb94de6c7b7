import type { Pixel } from '@/core/geometry';
import type { ClipMarkId, EntryId } from '@/core/shared';

/** What happens at a time of a go, in the order in which it usually does. */
export const CLIP_STAMPS = ['cue', 'movement', 'response', 'marker', 'reward', 'release'] as const;
export type ClipStamp = (typeof CLIP_STAMPS)[number];
/** Beside the times: places and angles in the picture, and how a go is judged when it is looked at. */
export const CLIP_MARKS = [...CLIP_STAMPS, 'place', 'angle', 'judged', 'grade'] as const;
export type ClipMarkKind = (typeof CLIP_MARKS)[number];

/** Whose place it is: the dog's feet, where it was to be, the handler's feet. */
export const PLACES_OF = ['dog', 'goal', 'handler'] as const;
export type PlaceOf = (typeof PLACES_OF)[number];
/**
 * Which angle: of a body line in the picture by three points, or how crooked a dog sits before its handler, on the
 * ground: tail, head, the handler's middle.
 */
export const ANGLES_OF = ['body', 'front'] as const;
export type AngleOf = (typeof ANGLES_OF)[number];
export const LATE_OUTCOMES = ['clean', 'flawed', 'miss'] as const;

/**
 * A mark in a clip, `at` seconds from its beginning: the time stamp of the frame in which it is first seen. `says`:
 * whose place, which angle, how judged, which grade; null for a time. `rep`: of a cue, the rep of the log.
 */
export type ClipMark = {
  readonly id: ClipMarkId;
  readonly at: number;
  readonly what: ClipMarkKind;
  readonly px: readonly Pixel[];
  readonly says: string | null;
  readonly rep: EntryId | null;
};

/** A mark at a place in the picture. */
export type Placed = { readonly at: number; readonly of: PlaceOf; readonly px: Pixel };

/** One go of a clip: from its cue to the next one, or to the end. */
export type Go = {
  readonly cue: ClipMark;
  /** Where the next one begins; null at the last. */
  readonly until: number | null;
  readonly at: Readonly<Partial<Record<ClipStamp, number>>>;
  readonly places: readonly Placed[];
  /** Where it was to be: the last goal up to its end, which stays from go to go. */
  readonly goal: Placed | null;
  readonly handler: Placed | null;
  readonly angles: readonly ClipMark[];
  readonly judged: (typeof LATE_OUTCOMES)[number] | null;
  readonly grade: string | null;
  readonly rep: EntryId | null;
};

const byTime = (a: ClipMark, b: ClipMark): number => a.at - b.at || (a.id < b.id ? -1 : 1);

/**
 * The marks of a clip as goes. A cue begins one; of each kind of time the first after it counts. What lies before
 * the first cue belongs to none, but for a goal and a handler, which stay where they are.
 */
export function goesOf(marks: readonly ClipMark[]): Go[] {
  const sorted = [...marks].sort(byTime);
  const cues = sorted.filter((mark) => mark.what === 'cue');
  return cues.map((cue, i) => {
    const until = cues[i + 1]?.at ?? null;
    const before = (mark: ClipMark): boolean => until === null || mark.at < until;
    const own = sorted.filter((mark) => mark.at >= cue.at && before(mark));
    const first = (what: ClipStamp): Partial<Record<ClipStamp, number>> => {
      const found = own.find((mark) => mark.what === what);
      return found ? { [what]: found.at } : {};
    };
    const last = (what: 'judged' | 'grade'): string | null =>
      own.findLast((mark) => mark.what === what)?.says ?? null;
    const standing = (of: PlaceOf): Placed | null =>
      placed(sorted.filter(before)).findLast((one) => one.of === of) ?? null;
    return {
      cue,
      until,
      at: Object.assign({}, ...CLIP_STAMPS.map(first)),
      places: placed(own).filter(({ of }) => of === 'dog'),
      goal: standing('goal'),
      handler: standing('handler'),
      angles: own.filter((mark) => mark.what === 'angle' && mark.px.length === 3),
      judged: last('judged') as Go['judged'],
      grade: last('grade'),
      rep: cue.rep,
    };
  });
}

const placed = (marks: readonly ClipMark[]): Placed[] =>
  marks.flatMap(({ what, at, says, px }) =>
    what === 'place' && px[0] ? [{ at, of: (says ?? 'dog') as PlaceOf, px: px[0] }] : [],
  );
