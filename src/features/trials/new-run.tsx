import { valibotResolver } from '@hookform/resolvers/valibot';
import { useForm } from 'react-hook-form';
import { useNavigate } from 'react-router';
import * as v from 'valibot';
import { type RuleBook, sizeOf } from '@/core/rulebooks';
import { type Day, isDay, type RuleBookId } from '@/core/shared';
import { useDogs, useKennel } from '@/data/live';
import { type NewRun as NewRunSaid, startRun } from '@/data/write';
import { Button, SelectField, Sheet, TextField } from '@/ui';
import { tell } from './words';

const OTHER = 'other';

const fields = v.pipe(
  v.object({
    dog: v.string(),
    name: v.string(),
    book: v.string(),
    kind: v.picklist(['mock', 'trial', 'practice']),
    day: v.pipe(
      v.string(),
      v.check(isDay, () => tell('new-run.which-day')),
    ),
    judges: v.string(),
  }),
  v.forward(
    v.check(
      ({ dog, name }) => dog !== OTHER || name.trim() !== '',
      () => tell('new-run.which-dog'),
    ),
    ['name'],
  ),
);
type Fields = v.InferInput<typeof fields>;

/** A run to be judged: today’s mock trial, or one of another day from paper. */
export function NewRun({
  books,
  usual,
}: {
  readonly books: readonly RuleBook[];
  /** The class that this dog is meant for. */
  readonly usual: RuleBookId | null;
}) {
  const { kennel, dog, today, done } = useKennel();
  const navigate = useNavigate();
  const dogs = useDogs() ?? [];
  const { register, handleSubmit, watch, setValue, formState } = useForm<Fields>({
    resolver: valibotResolver(fields),
    defaultValues: {
      dog: dog?.id ?? OTHER,
      name: '',
      book: (books.find(({ id }) => id === usual) ?? books[0])?.id ?? '',
      kind: 'mock',
      day: today,
      judges: '',
    },
  });
  const { errors } = formState;
  const begin = (then: 'sheet' | 'steward') =>
    handleSubmit(async (said) => {
      const book = books.find((one) => one.id === said.book);
      const mine = dogs.find((one) => one.id === said.dog);
      if (!book) return;
      const run: Omit<NewRunSaid, 'judges'> = {
        meeting: null,
        starter: null,
        trial: null,
        dogId: mine?.id ?? null,
        name: mine?.name ?? said.name.trim(),
        number: null,
        book: book.id,
        kind: said.kind,
        turn: 0,
        size: mine ? sizeOf(book, mine.height) : null,
        day: said.day as Day,
      };
      const made = await done(null, startRun(kennel, run, said.judges.split(',')));
      if (!made.ok) return;
      const to = `/${kennel.name}/trials/runs/${made.value.made.id}`;
      await navigate(then === 'sheet' ? to : `${to}/steward`);
    });
  return (
    <Sheet title={tell('new-run.a-run')} aside={tell('new-run.mock-or-real')}>
      <form className="grid gap-3 sm:grid-cols-2" noValidate onSubmit={begin('sheet')}>
        <SelectField
          label={tell('new-run.dog')}
          value={watch('dog')}
          options={[
            ...dogs.map((one) => ({ value: one.id as string, words: one.name })),
            { value: OTHER, words: tell('new-run.another-dog') },
          ]}
          onChange={(value) => setValue('dog', value)}
        />
        {watch('dog') === OTHER && (
          <TextField label={tell('new-run.its-name')} {...register('name')} problem={errors.name?.message} />
        )}
        <SelectField
          label={tell('new-run.class')}
          value={watch('book')}
          options={books.map((one) => ({ value: one.id as string, words: one.title }))}
          onChange={(value) => setValue('book', value)}
        />
        <SelectField
          label={tell('new-run.kind')}
          value={watch('kind')}
          options={(['mock', 'trial', 'practice'] as const).map((value) => ({
            value,
            words: tell('new-run.kind-of', { kind: value }),
          }))}
          onChange={(value) => setValue('kind', value)}
        />
        <TextField
          label={tell('new-run.day')}
          type="date"
          max={today}
          {...register('day')}
          problem={errors.day?.message}
        />
        <TextField
          label={tell('new-run.judges')}
          hint={tell('new-run.judges-hint')}
          {...register('judges')}
        />
        <p className="flex flex-wrap gap-3 sm:col-span-2">
          <Button type="submit" look="signal" size="big">
            {tell('new-run.open-the-sheet')}
          </Button>
          <Button size="big" onClick={() => void begin('steward')()}>
            {tell('new-run.with-a-steward')}
          </Button>
        </p>
      </form>
    </Sheet>
  );
}
