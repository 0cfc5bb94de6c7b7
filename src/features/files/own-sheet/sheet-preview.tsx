import type { SheetRow } from '@/data/files';
import { Button } from '@/ui';
import { wordsOf, writeDay } from '@/words';
import type { FileAnswers } from '@/workers/client';
import { tell } from '../words';

type Props = { readonly read: FileAnswers['read-sheet']; readonly onTake: () => void };

/** What comes of the sheet as it is understood now, before anything is written. */
export function SheetPreview({ read, onTake }: Props) {
  const { rows, goes, first, problems, wrong, left, filled, unordered, unasked } = read;
  const more = wrong - problems.length;
  return (
    <div className="grid gap-3">
      <p className="text-lg leading-snug" role="status">
        {tell('own-sheet.what-comes', { rows, goes, left, wrong })}
      </p>
      <ul className="list-disc pl-5 leading-snug">
        {filled > 0 && <li>{tell('own-sheet.filled', { filled })}</li>}
        {unordered > 0 && <li>{tell('own-sheet.unordered', { unordered })}</li>}
        {unasked > 0 && <li>{tell('own-sheet.unasked', { unasked })}</li>}
      </ul>
      {first.length > 0 && (
        <div className="overflow-x-auto">
          <table className="w-full border-collapse text-left leading-snug">
            <caption className="text-left font-semibold">{tell('own-sheet.the-first-rows')}</caption>
            <thead>
              <tr className="border-b-2 border-ink">
                {HEADS.map((head) => (
                  <th key={head} scope="col" className="py-1 pr-4 font-semibold">
                    {head}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {first.map((row) => (
                <tr key={row.line} className="border-b border-hair">
                  {cellsOf(row).map((cell, i) => (
                    // biome-ignore lint/suspicious/noArrayIndexKey: the columns of a row never change places
                    <td key={i} className="py-1 pr-4">
                      {cell}
                    </td>
                  ))}
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
      {problems.length > 0 && (
        <details open={rows === 0 || wrong <= 8}>
          <summary className="min-h-11 cursor-pointer py-2 font-semibold underline underline-offset-4">
            {tell('own-sheet.not-taken', { wrong })}
          </summary>
          <ul className="leading-snug">
            {problems.map(({ line, what }) => (
              <li key={line} className="border-b border-hair py-1">
                {tell('own-sheet.line', { line, what })}
              </li>
            ))}
            {more > 0 && <li className="py-1">{tell('own-sheet.and-more', { more })}</li>}
          </ul>
        </details>
      )}
      <p>
        <Button look="signal" size="big" aria-disabled={rows === 0} onClick={() => rows > 0 && onTake()}>
          {tell('own-sheet.take-in', { goes })}
        </Button>
      </p>
    </div>
  );
}

const HEADS = [
  tell('own-sheet.means-day'),
  tell('own-sheet.means-dog'),
  tell('own-sheet.means-element'),
  tell('own-sheet.asked'),
  tell('own-sheet.goes'),
  tell('own-sheet.means-note'),
];

const SIGNS = { clean: '✓', flawed: '~', miss: '✗' } as const;

const cellsOf = ({ day, dog, element, asked, goes, note }: SheetRow): string[] => [
  writeDay(day),
  dog,
  element,
  asked ? wordsOf(asked) : '',
  goes.length > 12
    ? tell('own-sheet.so-many', { n: goes.length, clean: goes.filter((one) => one === 'clean').length })
    : goes.map((one) => SIGNS[one]).join(' '),
  note,
];
