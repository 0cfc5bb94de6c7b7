import { useState } from 'react';
import type { RuleBook } from '@/core/rulebooks';
import { useKennelWithDog } from '@/data/live';
import { sayEarns } from '@/data/write';
import { Button, SelectField, Sheet, TextField } from '@/ui';
import { tell } from './words';

/** Where no book says it: what passes of a class earn, in the words and numbers of the event’s own rules. */
export function SayEarns({ books }: { readonly books: readonly RuleBook[] }) {
  const { kennel, done } = useKennelWithDog();
  const [id, setId] = useState<string>(books[0]?.id ?? '');
  const [title, setTitle] = useState('');
  const [numbers, setNumbers] = useState({ passes: '', judges: '', months: '' });
  const [problem, setProblem] = useState<'title' | 'passes' | 'judges' | 'months'>();
  const book = books.find((one) => one.id === id) ?? books[0];
  const save = async (): Promise<void> => {
    const [passes, judges] = [wholeIn(numbers.passes, 50), wholeIn(numbers.judges || '1', 50)];
    const months = numbers.months.trim() === '' ? undefined : wholeIn(numbers.months, 240);
    if (title.trim() === '') return setProblem('title');
    if (passes === null) return setProblem('passes');
    if (judges === null || judges > passes) return setProblem('judges');
    if (months === null) return setProblem('months');
    setProblem(undefined);
    if (!book) return;
    await done(
      tell('titles.earns-said', { title: title.trim() }),
      sayEarns(kennel, book.id, {
        title: title.trim(),
        passes,
        judges,
        ...(months === undefined ? {} : { months }),
      }),
    );
  };
  const number = (key: keyof typeof numbers, label: string) => (
    <TextField
      label={label}
      inputMode="numeric"
      value={numbers[key]}
      problem={problem === key ? tell('titles.earns-problem', { key }) : undefined}
      onChange={(event) => setNumbers({ ...numbers, [key]: event.target.value })}
    />
  );
  return (
    <Sheet title={tell('titles.earns-title')} aside={tell('titles.earns-aside')}>
      <form
        className="grid gap-3 sm:grid-cols-2"
        noValidate
        onSubmit={(event) => {
          event.preventDefault();
          void save();
        }}
      >
        <SelectField
          label={tell('titles.earns-class')}
          value={book?.id ?? ''}
          options={books.map((one) => ({ value: one.id as string, words: `${one.title}, ${one.edition}` }))}
          onChange={setId}
        />
        <TextField
          label={tell('titles.earns-name')}
          value={title}
          maxLength={120}
          problem={problem === 'title' ? tell('titles.earns-problem', { key: 'title' }) : undefined}
          onChange={(event) => setTitle(event.target.value)}
        />
        {number('passes', tell('titles.earns-passes'))}
        {number('judges', tell('titles.earns-judges'))}
        {number('months', tell('titles.earns-months'))}
        <p className="self-end">
          <Button type="submit" look="ink">
            {tell('titles.earns-keep')}
          </Button>
        </p>
      </form>
    </Sheet>
  );
}

/** A whole number from 1 to `most`; null where it is none. */
const wholeIn = (text: string, most: number): number | null => {
  const value = Number(text.trim());
  return /^\d{1,3}$/.test(text.trim()) && value >= 1 && value <= most ? value : null;
};
