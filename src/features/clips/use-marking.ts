import type { Pixel } from '@/core/geometry';
import type { ClipMark, ClipStamp, Go } from '@/core/review';
import type { ClipId } from '@/core/shared';
import { useKennel } from '@/data/live';
import { type MarkSaid, putMark, removeMark } from '@/data/write';
import { useClips } from './clip-store';
import { clockOf } from './clip-view';
import { type Draft, nextPoint } from './ground-draft';
import { tell } from './words';

/** Everything that puts a mark into a clip or takes one off; each is said, with its undo. */
export function useMarking(clip: ClipId, draft: Draft | null, onDraft: (draft: Draft) => void) {
  const { kennel, done } = useKennel();
  const { tool, take } = useClips();
  const put = (said: MarkSaid): void => {
    const what = said.what === 'place' || said.what === 'angle' ? (said.says ?? 'dog') : said.what;
    const words = tell('marks.put', { what, at: clockOf(said.at) });
    void done(words, putMark(kennel, clip, said));
  };
  return {
    stamp: (what: ClipStamp, at: number): void => put({ what, at, px: [], says: null }),
    remove: (mark: ClipMark): void => void done(tell('marks.taken-off'), removeMark(kennel, mark.id)),
    /** How a go is judged or graded now: the mark stands at its last time. Empty takes it off. */
    say: (what: 'judged' | 'grade', go: Go, marks: readonly ClipMark[], says: string): void => {
      const known = marks.find((one) => one.what === what);
      if (says === '') {
        if (known) void done(tell('marks.taken-off'), removeMark(kennel, known.id));
        return;
      }
      const at = go.at.marker ?? go.at.response ?? go.cue.at;
      put({ what, at: known?.at ?? at, px: [], says });
    },
    /** A tap on the picture, by the tool in hand. */
    point: (px: Pixel, at: number): void => {
      switch (tool.kind) {
        case 'none':
          return;
        case 'place':
          put({ what: 'place', at, px: [px], says: tool.of });
          // A dog goes on; a goal and a handler are one tap each.
          if (tool.of !== 'dog') take({ kind: 'none' });
          return;
        case 'angle': {
          const points = [...tool.px, px];
          if (points.length < 3) take({ ...tool, px: points });
          else {
            put({ what: 'angle', at, px: points, says: tool.of });
            take({ kind: 'none' });
          }
          return;
        }
        case 'ground': {
          if (!draft) return;
          const next = {
            ...draft,
            points: draft.points.map((one, i) => (i === tool.point ? { ...one, px } : one)),
          };
          onDraft(next);
          const open = nextPoint(next);
          take(open === null ? { kind: 'none' } : { kind: 'ground', point: open });
        }
      }
    },
  };
}
