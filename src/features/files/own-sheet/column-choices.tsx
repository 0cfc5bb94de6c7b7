import { ASKED_UNITS, type AskedUnit, DAY_ORDERS, type DayOrder, MEANINGS, type Meaning } from '@/data/files';
import { SelectField } from '@/ui';
import { tell } from '../words';
import type { OpenSheet, OwnSheetState } from './use-own-sheet';

const MEANING_WORDS: Readonly<Record<Meaning, string>> = {
  day: tell('own-sheet.means-day'),
  dog: tell('own-sheet.means-dog'),
  element: tell('own-sheet.means-element'),
  outcome: tell('own-sheet.means-outcome'),
  goes: tell('own-sheet.means-goes'),
  clean: tell('own-sheet.means-clean'),
  flawed: tell('own-sheet.means-flawed'),
  missed: tell('own-sheet.means-missed'),
  asked: tell('own-sheet.means-asked'),
  latency: tell('own-sheet.means-latency'),
  held: tell('own-sheet.means-held'),
  note: tell('own-sheet.means-note'),
  nothing: tell('own-sheet.means-nothing'),
};
const ORDER_WORDS: Readonly<Record<DayOrder, string>> = {
  'year-month-day': tell('own-sheet.year-month-day'),
  'day-month-year': tell('own-sheet.day-month-year'),
  'month-day-year': tell('own-sheet.month-day-year'),
};
const UNIT_WORDS: Readonly<Record<AskedUnit, string>> = {
  m: tell('own-sheet.metres'),
  yd: tell('own-sheet.yards'),
  ft: tell('own-sheet.feet'),
  paces: tell('own-sheet.paces'),
  s: tell('own-sheet.seconds'),
  min: tell('own-sheet.minutes'),
  cm: tell('own-sheet.centimetres'),
};

type Props = { readonly sheet: OpenSheet; readonly change: OwnSheetState['change'] };

/** What each column holds, with what stands in it; guessed, and the person's to say. */
export function ColumnChoices({ sheet: { opened, mapping }, change }: Props) {
  const take = (i: number, meaning: Meaning): void =>
    void change({ columns: mapping.columns.map((one, at) => (at === i ? meaning : one)) });
  return (
    <ul className="grid gap-2">
      {opened.heads.map((head, i) => {
        const name = head || tell('own-sheet.column', { n: i + 1 });
        return (
          // Columns never change places, and two may be called alike.
          // biome-ignore lint/suspicious/noArrayIndexKey: a column is known by its place
          <li key={i} className="grid gap-x-4 gap-y-1 border-t border-hair pt-2 sm:grid-cols-[16rem_1fr]">
            <SelectField
              label={name}
              value={mapping.columns[i] ?? 'nothing'}
              options={MEANINGS.map((value) => ({ value, words: MEANING_WORDS[value] }))}
              onChange={(meaning) => take(i, meaning)}
            />
            <p className="self-end truncate pb-2 text-ink-soft">
              {opened.first
                .map((row) => row[i])
                .filter(Boolean)
                .slice(0, 4)
                .join(' · ') || tell('own-sheet.empty-at-first')}
            </p>
          </li>
        );
      })}
    </ul>
  );
}

/** How days and numbers are written in it, and what the sheet leaves open. */
export function HowWritten({ sheet: { opened, mapping, read }, change }: Props) {
  const has = (meaning: Meaning): boolean => mapping.columns.includes(meaning);
  const counts = has('clean') || has('goes') || (read?.unordered ?? 0) > 0;
  return (
    <div className="mt-4 flex flex-wrap items-end gap-3">
      {has('day') && (
        <SelectField
          label={opened.daysSure ? tell('own-sheet.days-are') : tell('own-sheet.days-unsure')}
          value={mapping.days}
          options={DAY_ORDERS.map((value) => ({ value, words: ORDER_WORDS[value] }))}
          onChange={(days) => void change({ days })}
        />
      )}
      {has('asked') && (
        <SelectField
          label={tell('own-sheet.bare-numbers-are')}
          value={mapping.unit}
          options={ASKED_UNITS.map((value) => ({ value, words: UNIT_WORDS[value] }))}
          onChange={(unit) => void change({ unit })}
        />
      )}
      {(has('asked') || has('latency') || has('held')) && (
        <SelectField
          label={tell('tables-sheet.before-a-fraction')}
          value={mapping.decimal}
          options={[
            { value: '.', words: tell('tables-sheet.point') },
            { value: ',', words: tell('tables-sheet.decimal-comma') },
          ]}
          onChange={(decimal) => void change({ decimal })}
        />
      )}
      {counts && (
        <SelectField
          label={tell('own-sheet.the-others-were')}
          value={mapping.others}
          options={[
            { value: 'miss', words: tell('own-sheet.is-miss') },
            { value: 'flawed', words: tell('own-sheet.is-flawed') },
          ]}
          onChange={(others) => void change({ others })}
        />
      )}
    </div>
  );
}
