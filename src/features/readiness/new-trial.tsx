import { useState } from 'react';
import { DEFAULT_ASSUMPTIONS } from '@/core/readiness';
import { type Day, isDay, seedFromText } from '@/core/shared';
import { type DogState, useKennelWithDog } from '@/data/live';
import { addTrial } from '@/data/write';
import { Button, Notice, SelectField, Sheet, TextField } from '@/ui';

/** A trial ahead: which class, when, and when entries close. */
export function NewTrial({ state }: { readonly state: DogState }) {
  const { kennel, dog, today, done } = useKennelWithDog();
  const books = state.work.ruleBooks;
  const [book, setBook] = useState<string>(books[0]?.id ?? '');
  const [title, setTitle] = useState('');
  const [day, setDay] = useState('');
  const [closes, setCloses] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const chosen = books.find((record) => record.id === book);
  const save = async (): Promise<void> => {
    if (!chosen) return setProblem('A trial needs a rule book: read one in under Rule books.');
    if (title.trim() === '') return setProblem('A trial needs a name.');
    if (!isDay(day) || day < today) return setProblem('Say on which day it is, today or later.');
    if (closes !== '' && (!isDay(closes) || closes > day))
      return setProblem('Entries close on the day of the trial at the latest.');
    const trial = {
      dogId: dog.id,
      ruleBookId: chosen.id,
      title: title.trim(),
      day: day as Day,
      entryCloses: closes === '' ? null : (closes as Day),
      seed: seedFromText(`${dog.id}${title}${day}`),
      assumptions: DEFAULT_ASSUMPTIONS,
    };
    const added = await done('The trial is noted.', addTrial(kennel, trial));
    setProblem(added.ok ? null : added.message);
    if (added.ok) setTitle('');
  };
  return (
    <Sheet title="A trial ahead">
      {books.length === 0 ? (
        <p>Read a rule book in under Rule books; then break its exercises down.</p>
      ) : (
        <form
          className="grid gap-3 sm:grid-cols-2"
          onSubmit={(event) => {
            event.preventDefault();
            void save();
          }}
        >
          <SelectField
            className="sm:col-span-2"
            label="Rule book"
            value={book}
            options={books.map((record) => ({
              value: record.id as string,
              words: `${record.book.title}, ${record.book.edition}`,
            }))}
            onChange={setBook}
          />
          <TextField
            className="sm:col-span-2"
            label="Name of the trial"
            value={title}
            onChange={(event) => setTitle(event.target.value)}
          />
          <TextField
            label="Day of the trial"
            type="date"
            min={today}
            value={day}
            onChange={(event) => setDay(event.target.value)}
          />
          <TextField
            label="Entries close, if they do"
            type="date"
            value={closes}
            onChange={(event) => setCloses(event.target.value)}
          />
          {problem && (
            <div className="sm:col-span-2">
              <Notice tone="alert" role="alert">
                {problem}
              </Notice>
            </div>
          )}
          <p>
            <Button type="submit" look="ink">
              Note the trial
            </Button>
          </p>
        </form>
      )}
    </Sheet>
  );
}
