import { useLiveQuery } from 'dexie-react-hooks';
import { useMemo } from 'react';
import type { PictureGround } from '@/core/geometry';
import { type ClipMark, goesOf, measuresOf } from '@/core/review';
import type { Failure } from '@/core/shared';
import { useKennel } from '@/data/live';
import { clipOf, type MarkedClip } from '@/data/read';
import { type Opened, useClips } from './clip-store';
import { groundOf } from './clip-view';
import { lengthAt } from './frames';
import type { MeasuredGo } from './goes-sheet';

/** A clip with its goes measured; null where it is not there, undefined while it is read. */
export type Marked = MarkedClip & {
  readonly opened: Opened | null;
  readonly ground: PictureGround | null;
  /** Why its ground cannot be measured by. */
  readonly wrong: Failure | null;
  readonly goes: readonly MeasuredGo[];
  /** Marks before the first cue. */
  readonly loose: readonly ClipMark[];
};

export function useMarked(id: string): Marked | null | undefined {
  const { kennel } = useKennel();
  const found = useLiveQuery(() => clipOf(kennel, id), [kennel, id]);
  const opened = useClips((state) => (found ? (state.opened[found.clip.id] ?? null) : null));
  return useMemo(() => {
    if (!found) return found;
    const { clip, marks } = found;
    const built = groundOf(clip);
    const ground = built.ok ? built.value : null;
    const frame = (at: number): number => (opened ? lengthAt(opened.frames, at) : clip.frame);
    const goes = goesOf(marks).map((go): MeasuredGo => {
      const own = marks.filter((one) => one.at >= go.cue.at && (go.until === null || one.at < go.until));
      return { go, measures: measuresOf(go, frame, ground, clip.picture.width), marks: own };
    });
    const first = goes[0]?.go.cue.at ?? Number.POSITIVE_INFINITY;
    return {
      clip,
      marks,
      opened,
      ground,
      wrong: built.ok ? null : built,
      goes,
      loose: marks.filter(({ at }) => at < first),
    };
  }, [found, opened]);
}
