import { Link } from 'react-router';
import { Sheet } from '@/ui';
import { writeDigits } from '@/words';
import type { LedgerExercise, LedgerRow } from './ledger-view';
import { tell } from './words';

type Props = {
  readonly exercises: readonly LedgerExercise[];
  readonly expected: string;
  readonly maximum: number;
  readonly line: number | null;
};

/**
 * Points available, kept and likely lost. Each loss opens to the faults that cause it and the reps
 * that it rests on.
 */
export function Ledger({ exercises, expected, maximum, line }: Props) {
  return (
    <Sheet title={tell('ledger.the-ledger')} aside={tell('ledger.points-on-average-over-all-runs')}>
      {exercises.map((exercise) => (
        <section key={exercise.key} className="mb-4">
          <h3 className="flex justify-between gap-4 border-b-2 border-ink pb-0.5 font-bold">
            <span>{exercise.title}</span>
            <span>
              {exercise.kept >= 0
                ? tell('ledger.kept-of', {
                    kept: { number: exercise.kept, digits: 1 },
                    maximum: exercise.maximum,
                  })
                : tell('ledger.its-and-of-later-ones-lost', {
                    maximum: exercise.maximum,
                    kept: { number: -exercise.kept, digits: 1 },
                  })}
            </span>
          </h3>
          <ul>
            {exercise.rows.map((row) => (
              <Row key={row.key} row={row} />
            ))}
          </ul>
        </section>
      ))}
      <p className="flex justify-between gap-4 border-t-2 border-ink pt-1 text-lg font-bold">
        <span>{tell('ledger.expected-score')}</span>
        <span>{tell('ledger.of', { expected, maximum })}</span>
      </p>
      {line !== null && (
        <p className="flex justify-between gap-4 text-lg">
          <span>{tell('ledger.pass-line')}</span>
          <span>{line}</span>
        </p>
      )}
    </Sheet>
  );
}

function Row({ row }: { readonly row: LedgerRow }) {
  return (
    <li className="border-b border-hair">
      <details>
        <summary className="grid min-h-11 cursor-pointer grid-cols-[1fr_6rem_4.5rem] items-center gap-3 hover:bg-paper">
          <span className="leading-snug">
            <span className="font-semibold">{row.title}</span>
          </span>
          <span aria-hidden="true" className="h-3 border-l-2 border-ink">
            <span
              className="hatch block h-full border-y border-r border-ink"
              style={{ width: `${row.bar * 100}%` }}
            />
          </span>
          <span className="text-right font-semibold">−{writeDigits(row.lost, 1)}</span>
        </summary>
        <div className="pb-3 pl-3">
          <p className="text-sm text-ink-soft">
            {tell('ledger.rests-on', { grounds: row.grounds })}{' '}
            {row.element !== null && (
              <Link
                className="underline underline-offset-4"
                to={`../breakdown/${row.element}/evidence`}
                relative="path"
              >
                {tell('ledger.see-its-reps')}
              </Link>
            )}
          </p>
          <ul className="text-sm">
            {row.faults.map((fault) => (
              <li key={fault.key} className="flex justify-between gap-4">
                <span>{fault.label}</span>
                <span>−{writeDigits(fault.lost, 2)}</span>
              </li>
            ))}
          </ul>
        </div>
      </details>
    </li>
  );
}
