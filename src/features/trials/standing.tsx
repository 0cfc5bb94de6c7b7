import { Sheet } from '@/ui';
import type { SheetView } from './sheet-view';
import { tell } from './words';

/** What the sheet comes to, why, and what can still come. */
export function Standing({ view, title }: { readonly view: SheetView; readonly title?: string | undefined }) {
  const named = title ?? tell('sheet-page.score');
  return (
    <Sheet title={named} className="lg:sticky lg:top-4" label={named}>
      <div aria-live="polite">
        <p className="text-3xl font-extrabold leading-tight">{view.said}</p>
        <p
          className={`mt-1 inline-block border-2 border-ink px-2 text-lg font-bold ${view.score.passed ? '' : 'bg-signal text-on-signal'}`}
        >
          {view.verdict}
        </p>
        <ul className="mt-2 leading-snug">
          {view.reasons.map((reason) => (
            <li key={reason}>{reason}</li>
          ))}
          {view.open !== null && (
            <li>
              {view.toCome === null
                ? tell('sheet-page.sure-so-far-still-to-come', { sure: view.sure, open: view.open })
                : tell('sheet-page.exercises-to-come', { count: view.toCome })}
            </li>
          )}
          {view.score.margin !== null && view.score.passed && view.open === null && (
            <li>
              {tell('sheet-page.to-spare-over-the-pass-line', {
                margin: Number((view.score.margin * view.rules.pointsPerUnit).toFixed(4)),
              })}
            </li>
          )}
        </ul>
      </div>
      {view.deductions.length > 0 && (
        <table className="mt-3 w-full text-sm leading-snug">
          <caption className="sr-only">{tell('sheet-page.deductions')}</caption>
          <tbody>
            {view.deductions.map((deduction) => (
              <tr key={deduction.key} className="border-t border-hair align-top">
                <td className="py-1 pr-2">
                  <span className="font-semibold">{deduction.title}</span>
                  <span className="block text-ink-soft">
                    {deduction.exercise}: {deduction.rule}
                  </span>
                </td>
                <td className="py-1 text-right font-semibold">{deduction.units}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </Sheet>
  );
}
