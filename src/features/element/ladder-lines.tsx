import { axisInWords, waitingEdits } from '@/core/breakdown';
import { fewestPerStep, fewestToTop } from '@/core/coaching';
import type { ElementRecord } from '@/data/read';
import { Button } from '@/ui';
import { wordsOf } from '@/words';
import { tell } from './words';

/** How far it is: the fewest clean reps by the rule, step by step; none where no rule counts. */
export function ToTheTop({
  element,
  steps,
  from,
}: {
  readonly element: ElementRecord;
  readonly steps: number;
  readonly from: number;
}) {
  const reps = fewestToTop(element.policy.rule, steps, from);
  const each = fewestPerStep(element.policy.rule);
  if (reps === null || each === null || reps === 0) return null;
  return (
    <p className="mb-4 leading-snug">
      {tell('ladder-page.fewest-clean-reps', { reps, each, left: steps - from })}
    </p>
  );
}

/** Steps that are left out, each to be brought back. */
export function Skipped({
  element,
  onBack,
}: {
  readonly element: ElementRecord;
  readonly onBack: (skips: ElementRecord['skips']) => void;
}) {
  if (element.skips.length === 0) return null;
  return (
    <section aria-label={tell('ladder-page.skipped-steps')} className="mt-3 border-t border-rule pt-3">
      <p className="font-semibold">{tell('ladder-page.skipped-steps')}</p>
      <ul>
        {element.skips.map((skip) => {
          const words = element.axes
            .map((axis) => wordsOf(axisInWords(axis, skip[axis.key] ?? axis.start)))
            .join(', ');
          return (
            <li key={JSON.stringify(skip)} className="flex flex-wrap items-center gap-3">
              <span>{words}</span>
              <Button
                look="quiet"
                aria-label={tell('ladder-page.bring-it-back-named', { words })}
                onClick={() => onBack(element.skips.filter((one) => one !== skip))}
              >
                {tell('ladder-page.bring-it-back')}
              </Button>
            </li>
          );
        })}
      </ul>
    </section>
  );
}

/** Values set by hand that lie on no rung of today's ladder: they wait, and come back with theirs. */
export function Waiting({
  element,
  onClear,
}: {
  readonly element: ElementRecord;
  readonly onClear: (edits: ElementRecord['edits']) => void;
}) {
  const waiting = waitingEdits(element);
  if (waiting.length === 0) return null;
  return (
    <section aria-label={tell('ladder-page.values-that-wait')} className="mt-3 border-t border-rule pt-3">
      <p className="font-semibold">{tell('ladder-page.set-by-hand-on-rungs-that-this')}</p>
      <ul>
        {waiting.map((edit) => {
          const axis = element.axes.find((one) => one.key === edit.axis);
          const on = element.axes
            .map((one) => wordsOf(axisInWords(one, edit.on[one.key] ?? one.start)))
            .join(', ');
          return (
            <li key={JSON.stringify(edit)} className="flex flex-wrap items-center gap-3">
              <span>
                {tell('ladder-page.where-the-plan-is', {
                  axis: axis ? axisInWords(axis, edit.value) : tell('ladder-page.a-criterion-that-is-gone'),
                  on,
                })}
              </span>
              <Button look="quiet" onClick={() => onClear(element.edits.filter((one) => one !== edit))}>
                {tell('ladder-page.drop-it')}
              </Button>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
