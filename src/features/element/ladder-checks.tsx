import { buildLadder, checkKit, checkLadder } from '@/core/breakdown';
import { type AxisKey, asId, type Failure } from '@/core/shared';
import { useKit } from '@/data/live';
import type { ElementRecord } from '@/data/read';
import { Button, Notice, Sheet } from '@/ui';
import { wordsOf } from '@/words';
import { tell } from './words';

type Props = { readonly element: ElementRecord; readonly onPlan: (rung: number, axis: AxisKey) => void };

/**
 * What is wrong with a ladder, in words, as it stands now. Easing on a hand-set rung can be called
 * planned.
 */
export function LadderChecks({ element, onPlan }: Props) {
  const kit = useKit();
  const missing =
    kit === null
      ? []
      : checkKit(
          element.kit,
          kit.map((thing) => thing.title),
        );
  const problems = [...checkLadder(buildLadder(element)), ...missing];
  return (
    <Sheet title={tell('ladder-checks.checks')} label={tell('ladder-checks.checks-of-the-ladder')}>
      <div aria-live="polite">
        {problems.length === 0 ? (
          <p className="text-lg">{tell('ladder-checks.sound-one-thing-at-a-time-no-step')}</p>
        ) : (
          <ul className="grid gap-2">
            {problems.map((problem) => {
              const cell = element.ladderRule === 'by-hand' ? easedCell(problem) : null;
              return (
                <li key={`${problem.path}${problem.code}`}>
                  <Notice tone="alert">
                    {wordsOf(problem.message)}
                    {cell && (
                      <Button
                        look="quiet"
                        className="ml-2 !min-h-9 !px-1"
                        onClick={() => onPlan(cell.rung, cell.axis)}
                      >
                        {tell('ladder-checks.it-is-planned')}
                      </Button>
                    )}
                  </Notice>
                </li>
              );
            })}
          </ul>
        )}
      </div>
    </Sheet>
  );
}

/** The cell that a check of easing without a plan points at: `rungs[3].height`. */
function easedCell(problem: Failure): { readonly rung: number; readonly axis: AxisKey } | null {
  const match = problem.code === 'easier-unplanned' ? /^rungs\[(\d+)\]\.(.+)$/.exec(problem.path) : null;
  return match ? { rung: Number(match[1]), axis: asId<AxisKey>(match[2] ?? '') } : null;
}
