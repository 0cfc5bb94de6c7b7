import Papa from 'papaparse';
import { type ReactNode, useRef } from 'react';
import { tell } from '@/words/shell';
import { useTokens } from './chart-tokens';
import { saveBlob, saveText } from './save-text';

/** A cell; what is shown in words, such as a day, is saved as a machine reads it. */
type Cell = string | number | { readonly shown: string; readonly saved: string };
export type ChartTable = {
  readonly head: readonly string[];
  readonly rows: readonly (readonly Cell[])[];
};
const shown = (cell: Cell): string | number => (typeof cell === 'object' ? cell.shown : cell);
const saved = (cell: Cell): string | number => (typeof cell === 'object' ? cell.saved : cell);
type Props = {
  /** What the chart says, in a sentence. */
  readonly sentence: string;
  readonly table: ChartTable;
  /** File name without its ending. */
  readonly name: string;
  readonly children: ReactNode;
};

/** A chart with its sentence and its table, both to be taken along. */
export function ChartFigure({ sentence, table, name, children }: Props) {
  const figure = useRef<HTMLElement>(null);
  const { sheet } = useTokens();
  const savePicture = (): void => {
    const canvas = figure.current?.querySelector('canvas');
    if (!canvas) return;
    // The chart has no ground of its own: on another page its lines would stand on anything.
    const copy = document.createElement('canvas');
    [copy.width, copy.height] = [canvas.width, canvas.height];
    const pen = copy.getContext('2d');
    if (!pen) return;
    pen.fillStyle = sheet;
    pen.fillRect(0, 0, copy.width, copy.height);
    pen.drawImage(canvas, 0, 0);
    copy.toBlob((blob) => blob && saveBlob(`${name}.png`, blob));
  };
  return (
    <figure ref={figure}>
      <div className="h-56">{children}</div>
      <figcaption className="mt-1 text-sm leading-snug text-ink-soft">{sentence}</figcaption>
      <details className="mt-1 text-sm">
        <summary className="min-h-6 cursor-pointer underline underline-offset-4">
          {tell('chart-figure.the-same-as-a-table-and-to-save')}
        </summary>
        <p className="my-1 flex flex-wrap gap-4">
          <button type="button" className="min-h-11 underline underline-offset-4" onClick={savePicture}>
            {tell('chart-figure.save-the-picture-png')}
          </button>
          <button
            type="button"
            className="min-h-11 underline underline-offset-4"
            onClick={() =>
              saveText(
                `${name}.csv`,
                Papa.unparse(
                  { fields: [...table.head], data: table.rows.map((row) => row.map(saved)) },
                  { escapeFormulae: true },
                ),
                'text/csv',
              )
            }
          >
            {tell('chart-figure.save-the-table-csv')}
          </button>
        </p>
        <table className="mt-1">
          <thead>
            <tr>
              {table.head.map((title) => (
                <th key={title} scope="col" className="pr-6 text-left">
                  {title}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {table.rows.map((row) => (
              <tr key={row.map(saved).join(' ')}>
                {row.map((cell, i) => (
                  <td key={table.head[i]} className="pr-6">
                    {shown(cell)}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </details>
    </figure>
  );
}
