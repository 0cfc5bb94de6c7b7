import { useState } from 'react';
import { DEFAULT_ASSUMPTIONS } from '@/core/readiness';
import type { RuleBook } from '@/core/rulebooks';
import { type Day, isDay, seedFromText } from '@/core/shared';
import { useKennelWithDog } from '@/data/live';
import { addTrial } from '@/data/write';
import { Button, TextField } from '@/ui';
import { tell } from './words';

/** A trial of this class that could be entered: its name and its day are enough. */
export function AddEntry({ book }: { readonly book: RuleBook }) {
  const { kennel, dog, today, done } = useKennelWithDog();
  const [title, setTitle] = useState('');
  const [day, setDay] = useState('');
  const [problem, setProblem] = useState<'title' | 'day'>();
  const add = async (): Promise<void> => {
    const name = title.trim();
    if (name === '') return setProblem('title');
    if (!isDay(day) || day < today) return setProblem('day');
    setProblem(undefined);
    const added = await done(
      tell('titles.added', { title: name }),
      addTrial(kennel, {
        dogId: dog.id,
        ruleBookId: book.id,
        title: name,
        day: day as Day,
        entryCloses: null,
        seed: seedFromText(`${dog.id}${name}${day}`),
        assumptions: DEFAULT_ASSUMPTIONS,
      }),
    );
    if (!added.ok) return;
    setTitle('');
    setDay('');
  };
  return (
    <form
      aria-label={tell('titles.add-trial')}
      className="mt-2 grid items-end gap-3 sm:grid-cols-[1fr_1fr_auto]"
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        void add();
      }}
    >
      <TextField
        label={tell('titles.trial-name')}
        value={title}
        maxLength={120}
        problem={problem === 'title' ? tell('titles.trial-needs-a-name') : undefined}
        onChange={(event) => setTitle(event.target.value)}
      />
      <TextField
        label={tell('titles.trial-day')}
        type="date"
        min={today}
        value={day}
        problem={problem === 'day' ? tell('titles.trial-needs-a-day') : undefined}
        onChange={(event) => setDay(event.target.value)}
      />
      <Button type="submit">{tell('titles.add-trial')}</Button>
    </form>
  );
}
