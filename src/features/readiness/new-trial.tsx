import { valibotResolver } from '@hookform/resolvers/valibot';
import { useForm } from 'react-hook-form';
import { DEFAULT_ASSUMPTIONS } from '@/core/readiness';
import { asId, type Day, type RuleBookId, seedFromText } from '@/core/shared';
import { type DogState, useKennelWithDog } from '@/data/live';
import { inUse } from '@/data/read';
import { addTrial } from '@/data/write';
import { Button, SelectField, Sheet, TextField } from '@/ui';
import { type TrialFields, trialFields } from './trial-form';
import { tell } from './words';

/** A trial ahead: which class, when, and when entries close. */
export function NewTrial({ state }: { readonly state: DogState }) {
  const { kennel, dog, today, done } = useKennelWithDog();
  const books = inUse(state.work.ruleBooks);
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
    const added = await done(tell('new-trial.the-trial-is-noted'), addTrial(kennel, trial));
    if (added.ok) reset({ book, title: '', day: '', closes: '' });
  });
  return (
    <Sheet title={tell('new-trial.a-trial-ahead')}>
      {books.length === 0 ? (
        <p>{tell('new-trial.read-a-rule-book-in-under-rule')}</p>
      ) : (
        <form className="grid gap-3 sm:grid-cols-2" noValidate onSubmit={save}>
          <SelectField
            className="sm:col-span-2"
            label={tell('new-trial.rule-book')}
            value={watch('book')}
            options={books.map((record) => ({
              value: record.id as string,
              words: `${record.book.title}, ${record.book.edition}`,
            }))}
            onChange={(book) => setValue('book', book)}
          />
          <TextField
            className="sm:col-span-2"
            label={tell('new-trial.name-of-the-trial')}
            {...register('title')}
            problem={errors.title?.message}
          />
          <TextField
            label={tell('new-trial.day-of-the-trial')}
            type="date"
            min={today}
            {...register('day')}
            problem={errors.day?.message}
          />
          <TextField
            label={tell('new-trial.entries-close-if-they-do')}
            type="date"
            {...register('closes')}
            problem={errors.closes?.message}
          />
          <p>
            <Button type="submit" look="ink">
              {tell('new-trial.note-the-trial')}
            </Button>
          </p>
        </form>
      )}
    </Sheet>
  );
}
