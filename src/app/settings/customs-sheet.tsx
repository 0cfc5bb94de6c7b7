import { useState } from 'react';
import { SelectField, Sheet } from '@/ui';
import {
  CUSTOMS,
  chosenLocale,
  chosenWeekStart,
  nameOfWeekday,
  takeChosenLocale,
  takeWeekStart,
  WEEK_STARTS,
  weekStart,
  writeDay,
  writeNumber,
} from '@/words';
import { now, todayOf } from '../clock';
import { tell } from './words';

/** How numbers and days are written, and on which day a week begins. */
export function CustomsSheet() {
  const [, again] = useState(0);
  const start = chosenWeekStart();
  return (
    <Sheet title={tell('settings.numbers-and-days')}>
      <div className="grid grid-cols-1 gap-3 sm:grid-cols-2">
        <SelectField
          label={tell('settings.language')}
          value={chosenLocale() ?? ''}
          options={[
            { value: '', words: tell('settings.by-browser') },
            ...CUSTOMS.map(([value, words]) => ({ value: value as string, words: words as string })),
          ]}
          onChange={(id) => {
            takeChosenLocale(id === '' ? null : id);
            // Every word that is on the page already would keep the old custom.
            globalThis.location.reload();
          }}
        />
        <SelectField
          label={tell('settings.week-begins')}
          value={start === null ? '' : String(start)}
          options={[
            { value: '', words: start === null ? byLanguage() : tell('settings.by-browser') },
            ...WEEK_STARTS.map((one) => ({ value: String(one), words: nameOfWeekday(one) })),
          ]}
          onChange={(next) => {
            takeWeekStart(WEEK_STARTS.find((one) => String(one) === next) ?? null);
            again((n) => n + 1);
          }}
        />
      </div>
      <p className="mt-2 leading-snug">
        {tell('settings.looks-so', { number: writeNumber(12.5), day: writeDay(todayOf(now())) })}
      </p>
      <p className="text-sm leading-snug text-ink-soft">{tell('settings.language-hint')}</p>
    </Sheet>
  );
}

const byLanguage = (): string => tell('settings.by-language', { day: nameOfWeekday(weekStart()) });
