import { valibotResolver } from '@hookform/resolvers/valibot';
import { useForm } from 'react-hook-form';
import { DEFAULT_ASSUMPTIONS } from '@/core/readiness';
import { asId, type Day, type RuleBookId, seedFromText } from '@/core/shared';
import { type DogState, useKennelWithDog } from '@/data/live';
import { addTrial } from '@/data/write';
import { Button, SelectField, Sheet, TextField } from '@/ui';
import { type TrialFields, trialFields } from './trial-form';

/** A trial ahead: which class, when, and when entries close. */
export function NewTrial({ state }: { readonly state: DogState }) {
  const { kennel, dog, today, done } = useKennelWithDog();
  const books = state.work.ruleBooks;
  const { register, handleSubmit, watch, setValue, reset, formState } = useForm<TrialFields>({
    resolver: valibotResolver(trialFields(today)),
    defaultValues: { book: books[0]?.id ?? '', title: '', day: '', closes: '' },
  });
  const { errors } = formState;
  const save = handleSubmit(async ({ book, title, day, closes }) => {
    const trial = {
      dogId: dog.id,
      ruleBookId: asId<RuleBookId>(book),
      title,
      day: day as Day,
      entryCloses: closes === '' ? null : (closes as Day),
      seed: seedFromText(`${dog.id}${title}${day}`),
      assumptions: DEFAULT_ASSUMPTIONS,
    };
    const added = await done('The trial is noted.', addTrial(kennel, trial));
    if (added.ok) reset({ book, title: '', day: '', closes: '' });
  });
  return (
    <Sheet title="A trial ahead">
      {books.length === 0 ? (
        <p>Read a rule book in under Rule books; then break its exercises down.</p>
      ) : (
        <form className="grid gap-3 sm:grid-cols-2" noValidate onSubmit={save}>
          <SelectField
            className="sm:col-span-2"
            label="Rule book"
            value={watch('book')}
            options={books.map((record) => ({
              value: record.id as string,
              words: `${record.book.title}, ${record.book.edition}`,
            }))}
            onChange={(book) => setValue('book', book)}
          />
          <TextField
            className="sm:col-span-2"
            label="Name of the trial"
            {...register('title')}
            problem={errors.title?.message}
          />
          <TextField
            label="Day of the trial"
            type="date"
            min={today}
            {...register('day')}
            problem={errors.day?.message}
          />
          <TextField
            label="Entries close, if they do"
            type="date"
            {...register('closes')}
            problem={errors.closes?.message}
          />
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
