import { isAboutSafety, openBook } from '@/core/planning';
import type { Day } from '@/core/shared';
import { useKennelWithDog } from '@/data/live';
import type { Planning } from '@/data/read';
import { moveSlot } from '@/data/write';
import { useUndo } from '@/ui';
import { writeWeekday } from '@/words';
import { type Block, titlesOf } from './plan-view';
import { brokenInWords } from './plan-words';
import { tell } from './words';

/**
 * What a move would break, in words; `refused` where it is about safety.
 * @internal
 */
export function brokenBy(
  planning: Planning,
  blocks: readonly Block[],
  block: Block,
  day: Day,
): { readonly lines: readonly string[]; readonly refused: boolean } {
  const book = openBook(planning.question.frame);
  const { today } = planning.question.frame;
  for (const one of blocks)
    if (one.key !== block.key && one.state === 'ahead' && one.bout.day >= today) book.enter(one.bout);
  const broken = book.problems({ ...block.bout, day });
  const titles = titlesOf(planning);
  return {
    lines: broken.map((one) =>
      brokenInWords(one, block.title, block.dogName, one.other ? (titles.get(one.other) ?? null) : null),
    ),
    refused: broken.some(isAboutSafety),
  };
}

/** Moves a block to a day by hand: it is pinned there. What is about safety is refused, the rest is said. */
export function useMove(planning: Planning, blocks: readonly Block[]): (block: Block, day: Day) => void {
  const { kennel, done } = useKennelWithDog();
  const fail = useUndo((state) => state.fail);
  return (block, day) => {
    if (!block.slot || block.state !== 'ahead') return;
    const { lines, refused } = brokenBy(planning, blocks, block, day);
    if (refused) {
      fail(tell('use-move.refused', { why: lines.join(' ') }));
      return;
    }
    const said = tell('use-move.moved', { title: block.title, day: writeWeekday(day) });
    void done([said, ...lines].join(' '), moveSlot(kennel, block.slot, day));
  };
}
