import { operatingPoint, type Rule } from '@/core/coaching';
import { Sheet } from '@/ui';
import { writeDigits } from '@/words';
import { tell } from './words';

const RATES = [0.5, 0.6, 0.7, 0.8, 0.9, 0.95];

/**
 * What the rule does with dogs of a known clean rate: how many it lets up, and in how many reps.
 */
export function OperatingCurve({ rule }: { readonly rule: Rule }) {
  const points = RATES.flatMap((p) => {
    const point = operatingPoint(rule, p);
    return point ? [{ p, ...point }] : [];
  });
  return (
    <Sheet title={tell('operating-curve.what-this-rule-lets-through')}>
      {points.length === 0 ? (
        <p className="leading-snug">{tell('operating-curve.a-clean-rate-alone-does-not-decide')}</p>
      ) : (
        <details>
          <summary className="min-h-11 cursor-pointer py-2.5 leading-snug underline decoration-rule underline-offset-4">
            {sentence(points)}
          </summary>
          <table className="mt-1 w-full text-base">
            <thead>
              <tr className="border-b-2 border-ink text-left align-bottom">
                <th className="py-1 pr-3">{tell('operating-curve.true-clean-rate')}</th>
                <th className="py-1 pr-3 text-right">{tell('operating-curve.up-at-the-first-try')}</th>
                <th className="py-1 pr-3 text-right">{tell('operating-curve.up-before-back')}</th>
                <th className="py-1 text-right">{tell('operating-curve.reps-until-either')}</th>
              </tr>
            </thead>
            <tbody>
              {points.map((point) => (
                <tr key={point.p} className="border-b border-hair">
                  <th scope="row" className="py-1 pr-3 text-left font-normal">
                    {Math.round(point.p * 100)} %
                  </th>
                  <td className="py-1 pr-3 text-right">{Math.round(point.atOnce * 100)} %</td>
                  <td className="py-1 pr-3 text-right">{Math.round(point.advances * 100)} %</td>
                  <td className="py-1 text-right">{writeDigits(point.reps, 1)}</td>
                </tr>
              ))}
            </tbody>
          </table>
          <p className="mt-2 text-sm leading-snug text-ink-soft">
            {tell('operating-curve.worked-out-exactly-for-a-dog-whose')}
          </p>
        </details>
      )}
    </Sheet>
  );
}

function sentence(
  points: readonly { readonly p: number; readonly atOnce: number; readonly advances: number }[],
): string {
  const at = points.find((point) => point.p === 0.8);
  return at
    ? tell('operating-curve.a-dog-that-is-clean-8-times-in-10', {
        round: Math.round(at.atOnce * 100),
        round2: Math.round(at.advances * 100),
      })
    : '';
}
