import { useState } from 'react';
import { LOADS, type Load } from '@/core/planning';
import type { Dog } from '@/data/read';
import { Button, SelectField, Sheet, TextField } from '@/ui';
import { useDogChange } from './use-dog-change';
import { tell } from './words';

const LOAD_WORDS: Readonly<Record<Load, string>> = {
  jumps: tell('limits-sheet.jumps'),
  'sharp-turns': tell('limits-sheet.sharp-turns'),
  'upright-holds': tell('limits-sheet.seconds-upright'),
  'run-metres': tell('limits-sheet.metres-run'),
};

/** The most of a load in a day or a week, as the person or the vet says; the program has no number of its own. */
export function LimitsSheet({ dog }: { readonly dog: Dog }) {
  const change = useDogChange(dog);
  const [of, setOf] = useState<Load>('jumps');
  const [per, setPer] = useState<'day' | 'week'>('day');
  const [typed, setTyped] = useState('');
  const [source, setSource] = useState('');
  const [problem, setProblem] = useState<string>();
  const add = (): void => {
    const most = Number(typed.trim().replace(',', '.'));
    const wrong =
      typed.trim() === '' || !(most >= 0)
        ? tell('limits-sheet.how-many-a-number-please')
        : source.trim() === ''
          ? tell('limits-sheet.who-says-so-you-or-the-vet')
          : undefined;
    setProblem(wrong);
    if (wrong !== undefined) return;
    const others = dog.limits.filter((one) => one.of !== of || one.per !== per);
    change(
      { limits: [...others, { of, per, most, source: source.trim() }] },
      tell('limits-sheet.the-number-is-kept'),
    );
    setTyped('');
  };
  return (
    <Sheet title={tell('limits-sheet.at-most')} aside={tell('limits-sheet.counted-over-all-it-does')}>
      <ul className="divide-y divide-hair">
        {dog.limits.map((one) => (
          <li key={`${one.of} ${one.per}`} className="flex items-center justify-between gap-3">
            <span className="leading-snug">
              {tell('limits-sheet.line', {
                most: one.most,
                load: LOAD_WORDS[one.of].toLowerCase(),
                per: one.per,
                source: one.source,
              })}
            </span>
            <Button
              look="quiet"
              className="!px-2"
              onClick={() =>
                change(
                  { limits: dog.limits.filter((other) => other !== one) },
                  tell('limits-sheet.the-number-is-gone'),
                )
              }
            >
              {tell('limits-sheet.take-off')}
            </Button>
          </li>
        ))}
      </ul>
      {dog.limits.length === 0 && (
        <p className="mb-2 leading-snug">{tell('limits-sheet.no-number-yet-the-pad-only-counts')}</p>
      )}
      <form
        className="mt-2 grid gap-3 sm:grid-cols-2"
        onSubmit={(event) => {
          event.preventDefault();
          add();
        }}
      >
        <SelectField
          label={tell('limits-sheet.of-what')}
          value={of}
          options={LOADS.map((load) => ({ value: load, words: LOAD_WORDS[load] }))}
          onChange={setOf}
        />
        <SelectField
          label={tell('limits-sheet.in-a')}
          value={per}
          options={[
            { value: 'day', words: tell('limits-sheet.day') },
            { value: 'week', words: tell('limits-sheet.week') },
          ]}
          onChange={setPer}
        />
        <TextField
          label={tell('limits-sheet.at-most-2')}
          inputMode="decimal"
          value={typed}
          maxLength={6}
          onChange={(event) => setTyped(event.target.value)}
        />
        <TextField
          label={tell('limits-sheet.says')}
          hint={tell('limits-sheet.for-example-the-vet')}
          value={source}
          problem={problem}
          maxLength={60}
          onChange={(event) => setSource(event.target.value)}
        />
        <p>
          <Button type="submit" look="ink">
            {tell('limits-sheet.keep-it')}
          </Button>
        </p>
      </form>
    </Sheet>
  );
}
