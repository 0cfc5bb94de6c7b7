import { useState } from 'react';
import { Link } from 'react-router';
import { SHEET_TABLES, type SheetTableName, type TableStyle } from '@/data/files';
import { useKennel } from '@/data/live';
import { Button, buttonClass, Notice, SelectField, Sheet, saveBlob } from '@/ui';
import { numberCustom, wordsOf } from '@/words';
import type { FileWork } from './use-file-work';
import { tell } from './words';

const TABLE_WORDS: Readonly<Record<SheetTableName, string>> = {
  reps: tell('tables-sheet.reps'),
  criteria: tell('tables-sheet.criteria'),
  lessons: tell('tables-sheet.lessons'),
  elements: tell('tables-sheet.elements'),
  results: tell('tables-sheet.results'),
};
const SEPARATORS: readonly (readonly [TableStyle['separator'], string])[] = [
  [',', tell('tables-sheet.comma')],
  [';', tell('tables-sheet.semicolon')],
  ['\t', tell('tables-sheet.tab')],
];

/** Where a comma stands before a fraction, a spreadsheet wants semicolons between cells. */
const usual = (): TableStyle =>
  numberCustom().decimal === ',' ? { separator: ';', decimal: ',' } : { separator: ',', decimal: '.' };

/** The kennel as tables that a spreadsheet opens. */
export function TablesSheet({ work }: { readonly work: FileWork }) {
  const { kennel, now, today } = useKennel();
  const [table, setTable] = useState<SheetTableName>('reps');
  const [style, setStyle] = useState(usual);
  const [said, setSaid] = useState<{ readonly words: string; readonly wrong: boolean } | null>(null);
  const save = async (): Promise<void> => {
    const made = await work.run({ kind: 'table', table, style, kennel: kennel.name, now: now() });
    if (!made.ok) {
      if (made.code !== 'cancelled') setSaid({ words: wordsOf(made.message), wrong: true });
      return;
    }
    saveBlob(`regulon-${table}-${today}.csv`, made.value.file);
    setSaid({ words: tell('tables-sheet.saved', { n: made.value.rows }), wrong: false });
  };
  return (
    <Sheet title={tell('tables-sheet.title')} className="mt-6">
      <div className="flex flex-wrap items-end gap-3">
        <SelectField
          label={tell('tables-sheet.table')}
          value={table}
          options={SHEET_TABLES.map((value) => ({ value, words: TABLE_WORDS[value] }))}
          onChange={setTable}
        />
        <SelectField
          label={tell('tables-sheet.between-cells')}
          value={style.separator}
          options={SEPARATORS.map(([value, words]) => ({ value, words }))}
          onChange={(separator) => setStyle({ ...style, separator })}
        />
        <SelectField
          label={tell('tables-sheet.before-a-fraction')}
          value={style.decimal}
          options={[
            { value: '.', words: tell('tables-sheet.point') },
            { value: ',', words: tell('tables-sheet.decimal-comma') },
          ]}
          onChange={(decimal) => setStyle({ ...style, decimal })}
        />
        <Button onClick={() => void save()}>{tell('tables-sheet.save')}</Button>
      </div>
      {said && (
        <div className="mt-3">
          <Notice tone={said.wrong ? 'alert' : 'plain'} role={said.wrong ? 'alert' : 'status'}>
            {said.words}
          </Notice>
        </div>
      )}
      <p className="mt-2 text-ink-soft text-sm">{tell('tables-sheet.what-it-is')}</p>
      <p className="mt-4">
        <Link className={buttonClass()} to="own-sheet">
          {tell('tables-sheet.read-my-own')}
        </Link>
      </p>
    </Sheet>
  );
}
