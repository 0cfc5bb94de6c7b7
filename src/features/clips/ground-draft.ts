import { type LeftOut, leaveOneOut, lineGround, type Pixel, planeGround } from '@/core/geometry';
import { fail, ok, parseOne, type Reading, type Result, say } from '@/core/shared';
import type { Clip } from '@/data/read';

/** A ground that is being written: points as they are typed, each with its place in the picture. */
export type DraftPoint = { readonly px: Pixel | null; readonly x: string; readonly y: string };
export type GroundKind = 'rectangle' | 'points' | 'line';
export type Draft = {
  readonly kind: GroundKind;
  readonly width: string;
  readonly depth: string;
  readonly points: readonly DraftPoint[];
};

const point = (x = '', y = ''): DraftPoint => ({ px: null, x, y });

/** An empty draft of each kind. */
export const emptyDraft = (kind: GroundKind): Draft => ({
  kind,
  width: '',
  depth: '',
  points: Array.from({ length: kind === 'line' ? 2 : 4 }, () => point()),
});

/** The draft of a ground that stands. */
export function draftOf({ ground }: Pick<Clip, 'ground'>): Draft | null {
  switch (ground.kind) {
    case 'none':
      return null;
    case 'points':
      return {
        ...emptyDraft('points'),
        points: ground.points.map(({ px, x, y }) => ({ px, x: `${x} m`, y: `${y} m` })),
      };
    case 'line':
      return {
        ...emptyDraft('line'),
        points: ground.marks.map(({ px, along }) => ({ px, x: `${along} m`, y: '' })),
      };
  }
}

/** The first point that has no place in the picture yet; null where all have. */
export const nextPoint = (draft: Draft): number | null => {
  const next = draft.points.findIndex(({ px }) => px === null);
  return next < 0 ? null : next;
};

export type DraftRead = { readonly ground: Clip['ground']; readonly leftOut: LeftOut | null };

/**
 * The ground that a draft comes to, tried at once: what is missing, what cannot be read and points that do not make a
 * ground are told. A rectangle is tapped near left, near right, far right, far left.
 */
export function readDraft(draft: Draft, width: number, reading: Reading): Result<DraftRead> {
  const lengths = lengthsOf(draft, reading);
  if (!lengths.ok) return lengths;
  const open = nextPoint(draft);
  if (open !== null)
    return fail('no-pixel', String(open), say('clips.ground.not-tapped', { point: open + 1 }));
  const pixels = draft.points.map(({ px }) => [...(px as Pixel)] as [number, number]);
  if (draft.kind === 'line') {
    const marks = pixels.map((px, i) => ({ px, along: lengths.value[i]?.x ?? 0 }));
    const tried = lineGround(marks, width);
    return tried.ok ? ok({ ground: { kind: 'line', marks }, leftOut: null }) : tried;
  }
  const points = pixels.map((px, i) => ({ px, x: lengths.value[i]?.x ?? 0, y: lengths.value[i]?.y ?? 0 }));
  const known = points.map(({ px, x, y }) => ({ px, place: { x, y } }));
  const tried = planeGround(known, width);
  return tried.ok ? ok({ ground: { kind: 'points', points }, leftOut: leaveOneOut(known, width) }) : tried;
}

function lengthsOf(draft: Draft, reading: Reading): Result<{ x: number; y: number }[]> {
  const read = (text: string, path: string): Result<number> => {
    if (text.trim() === '') return fail('empty', path, say('clips.ground.empty'));
    // Left of the first point, or nearer than it, a length is below nothing.
    const below = /^\s*[-−]/.test(text);
    const size = text.replace(/^\s*[-−]/, '');
    const found = parseOne(size, 'distance', reading.bareUnit('distance') ?? 'm', reading.custom);
    if (!found.ok) return { ...found, path };
    return below ? ok(-found.value) : found;
  };
  if (draft.kind === 'rectangle') {
    const [wide, deep] = [read(draft.width, 'width'), read(draft.depth, 'depth')];
    if (!wide.ok) return wide;
    if (!deep.ok) return deep;
    const [w, d] = [wide.value, deep.value];
    return ok([
      { x: 0, y: 0 },
      { x: w, y: 0 },
      { x: w, y: d },
      { x: 0, y: d },
    ]);
  }
  const found: { x: number; y: number }[] = [];
  for (const [i, { x, y }] of draft.points.entries()) {
    const across = read(x, `x${i}`);
    if (!across.ok) return across;
    const away = draft.kind === 'line' ? ok(0) : read(y, `y${i}`);
    if (!away.ok) return away;
    found.push({ x: across.value, y: away.value });
  }
  return ok(found);
}
