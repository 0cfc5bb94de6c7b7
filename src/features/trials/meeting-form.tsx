import { valibotResolver } from '@hookform/resolvers/valibot';
import { useForm } from 'react-hook-form';
import { useNavigate } from 'react-router';
import * as v from 'valibot';
import type { RuleBook } from '@/core/rulebooks';
import { type Day, isDay } from '@/core/shared';
import { useKennel } from '@/data/live';
import type { Meeting } from '@/data/read';
import { saveMeeting } from '@/data/write';
import { Button, SelectField, Sheet, TextField } from '@/ui';
import { tell } from './words';

const day = v.pipe(
  v.string(),
  v.check(isDay, () => tell('new-run.which-day')),
);
const fields = v.object({
  title: v.pipe(
    v.string(),
    v.trim(),
    v.minLength(1, () => tell('meeting-form.a-name')),
  ),
  kind: v.picklist(['mock', 'trial']),
  day,
  closes: v.union([v.literal(''), day]),
  place: v.string(),
  starts: v.pipe(
    v.string(),
    v.regex(/^\d{1,2}:\d{2}$/, () => tell('meeting-form.a-time')),
  ),
  minutes: v.pipe(
    v.string(),
    v.check(
      (text) => minutesOf(text) > 0,
      () => tell('meeting-form.minutes'),
    ),
  ),
  judges: v.record(v.string(), v.string()),
  books: v.pipe(
    v.array(v.string()),
    v.minLength(1, () => tell('meeting-form.a-class')),
  ),
});
type Fields = v.InferInput<typeof fields>;

const minutesOf = (text: string): number => Number(text.trim().replace(',', '.'));
export const clockOf = (minutes: number): string =>
  `${String(Math.floor(minutes / 60) % 24).padStart(2, '0')}:${String(Math.round(minutes % 60)).padStart(2, '0')}`;

type Props = {
  readonly books: readonly RuleBook[];
  /** Null: a new one. */
  readonly meeting: Meeting | null;
  readonly judgeNames: (book: string) => string;
  readonly onSaved?: () => void;
};

/** What a meeting is: when, where, which classes under whom. */
export function MeetingForm({ books, meeting, judgeNames, onSaved }: Props) {
  const { kennel, today, done } = useKennel();
  const navigate = useNavigate();
  const { register, handleSubmit, watch, setValue, formState } = useForm<Fields>({
    resolver: valibotResolver(fields),
    defaultValues: {
      title: meeting?.title ?? '',
      kind: meeting?.kind ?? 'mock',
      day: meeting?.day ?? today,
      closes: meeting?.closes ?? '',
      place: meeting?.place ?? '',
      starts: clockOf(meeting?.starts ?? 9 * 60),
      minutes: String(meeting?.minutesEach ?? 8),
      judges: Object.fromEntries(books.map(({ id }) => [id, judgeNames(id)])),
      books: meeting?.classes.map(({ book }) => book) ?? (books[0] ? [books[0].id] : []),
    },
  });
  const { errors } = formState;
  const chosen = watch('books');
  const save = handleSubmit(async (said) => {
    const [hours = 0, minutes = 0] = said.starts.split(':').map(Number);
    const saved = await done(
      tell('meeting-form.saved'),
      saveMeeting(kennel, meeting?.id ?? null, {
        title: said.title,
        kind: said.kind,
        day: said.day as Day,
        closes: said.closes === '' ? null : (said.closes as Day),
        place: said.place.trim(),
        starts: Math.min(1439, hours * 60 + minutes),
        minutesEach: minutesOf(said.minutes),
        classes: books
          .filter(({ id }) => said.books.includes(id))
          .map(({ id }) => ({ book: id, judges: (said.judges[id] ?? '').split(',') })),
        starters: meeting?.starters ?? [],
      }),
    );
    if (!saved.ok) return;
    onSaved?.();
    if (!meeting) await navigate(`/${kennel.name}/trials/meetings/${saved.value.made.id}`, { replace: true });
  });
  return (
    <Sheet title={tell('meeting-form.meeting')}>
      <form className="grid gap-3 sm:grid-cols-2" noValidate onSubmit={save}>
        <TextField label={tell('meeting-form.name')} {...register('title')} problem={errors.title?.message} />
        <SelectField
          label={tell('new-run.kind')}
          value={watch('kind')}
          options={(['mock', 'trial'] as const).map((value) => ({
            value,
            words: tell('new-run.kind-of', { kind: value }),
          }))}
          onChange={(value) => setValue('kind', value)}
        />
        <TextField
          label={tell('new-run.day')}
          type="date"
          {...register('day')}
          problem={errors.day?.message}
        />
        <TextField
          label={tell('meeting-form.entries-close')}
          type="date"
          {...register('closes')}
          problem={errors.closes?.message}
        />
        <TextField label={tell('meeting-form.place')} {...register('place')} />
        <div className="grid grid-cols-2 gap-3">
          <TextField
            label={tell('meeting-form.starts')}
            type="time"
            {...register('starts')}
            problem={errors.starts?.message}
          />
          <TextField
            label={tell('meeting-form.minutes-a-dog')}
            inputMode="decimal"
            {...register('minutes')}
            problem={errors.minutes?.message}
          />
        </div>
        <fieldset className="grid gap-2 sm:col-span-2">
          <legend className="text-sm font-semibold">{tell('meeting-form.classes')}</legend>
          {books.map(({ id, title }) => (
            <div key={id} className="grid items-end gap-x-4 sm:grid-cols-2">
              <label className="flex min-h-11 items-center gap-2">
                <input
                  type="checkbox"
                  className="size-5"
                  checked={chosen.includes(id)}
                  onChange={(event) =>
                    setValue(
                      'books',
                      event.target.checked ? [...chosen, id] : chosen.filter((one) => one !== id),
                    )
                  }
                />
                {title}
              </label>
              {chosen.includes(id) && (
                <TextField
                  label={tell('meeting-form.judges')}
                  aria-label={tell('meeting-form.judges-of', { title })}
                  {...register(`judges.${id}`)}
                />
              )}
            </div>
          ))}
          {errors.books && (
            <p role="alert" className="text-sm font-semibold text-signal-ink">
              {errors.books.message}
            </p>
          )}
        </fieldset>
        <p>
          <Button type="submit" look="signal" size="big">
            {tell('meeting-form.save')}
          </Button>
        </p>
      </form>
    </Sheet>
  );
}
