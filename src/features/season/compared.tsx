import { tallyOf } from '@/core/review';
import { asLive, type LiveDay, type ResultRecord } from '@/data/read';
import { Sheet } from '@/ui';
import { writeDay, writeNumber } from '@/words';
import { tell } from './words';

/** Trials of a time: how many, how many passed, and their points on average; null where nobody kept any. */
type Trialled = { readonly n: number; readonly passed: number; readonly mean: number | null };

export function tallyOfResults(results: readonly ResultRecord[]): Trialled {
  const points = results.flatMap((one) => one.points ?? []);
  return {
    n: results.length,
    passed: results.filter(({ passed }) => passed).length,
    mean: points.length > 0 ? points.reduce((sum, one) => sum + one, 0) / points.length : null,
  };
}

type ComparedProps = {
  readonly days: readonly LiveDay[];
  readonly before: readonly LiveDay[];
  readonly now: Trialled;
  readonly then: Trialled;
};

/** What went right of each kind, and trials, this year beside the one before. */
export function Compared({ days, before, now: trials, then: trialsBefore }: ComparedProps) {
  const now = tallyOf(days.flatMap((one) => one.events.map(asLive)));
  const then = tallyOf(before.flatMap((one) => one.events.map(asLive)));
  if (now.length === 0 && trials.n === 0) return null;
  const points = ({ mean }: Trialled): string =>
    mean === null ? '–' : writeNumber(Math.round(mean * 10) / 10);
  return (
    <Sheet title={tell('season.beside-the-last')}>
      <table className="w-full text-left">
        <thead>
          <tr className="border-b-2 border-ink">
            <th className="py-1">{tell('season.what')}</th>
            <th className="py-1">{tell('season.now')}</th>
            <th className="py-1">{tell('season.year-before')}</th>
          </tr>
        </thead>
        <tbody>
          {now.map(({ what, n, right }) => {
            const last = then.find((one) => one.what === what);
            return (
              <tr key={what} className="border-b border-hair">
                <th scope="row" className="py-1 font-normal">
                  {tell('event.what', { what })}
                </th>
                <td>{tell('season.of', { right, n })}</td>
                <td>{last ? tell('season.of', { right: last.right, n: last.n }) : '–'}</td>
              </tr>
            );
          })}
          {trials.n > 0 && (
            <>
              <tr className="border-b border-hair">
                <th scope="row" className="py-1 font-normal">
                  {tell('season.trials')}
                </th>
                <td>{tell('season.of', { right: trials.passed, n: trials.n })}</td>
                <td>
                  {trialsBefore.n > 0
                    ? tell('season.of', { right: trialsBefore.passed, n: trialsBefore.n })
                    : '–'}
                </td>
              </tr>
              <tr className="border-b border-hair">
                <th scope="row" className="py-1 font-normal">
                  {tell('season.points')}
                </th>
                <td>{points(trials)}</td>
                <td>{points(trialsBefore)}</td>
              </tr>
            </>
          )}
        </tbody>
      </table>
      <p className="mt-2 leading-snug text-ink-soft">
        {tell('season.days', {
          list: { list: days.slice(0, 6).map((one) => writeDay(one.outing.day)), between: ', ' },
          n: days.length,
        })}
      </p>
    </Sheet>
  );
}
