import { valibotResolver } from '@hookform/resolvers/valibot';
import { useForm } from 'react-hook-form';
import { buildLadder, describeRung } from '@/core/breakdown';
import type { Day } from '@/core/shared';
import { useKennelWithDog } from '@/data/live';
import type { ElementRecord } from '@/data/read';
import { typeInBout } from '@/data/write';
import { Button, SelectField, Sheet, TextField } from '@/ui';
import { wordsOf, writeDay } from '@/words';
import { tell } from './later-words';
import { type PaperFields, paperFields, readPaper } from './paper';

/** A session that was kept on paper, typed in later: its day, its rung, its reps in order. */
export function TypeIn({ element }: { readonly element: ElementRecord }) {
  const { kennel, now, today, done } = useKennelWithDog();
  const ladder = buildLadder(element);
  const { register, handleSubmit, watch, setValue, resetField, formState } = useForm<PaperFields>({
    resolver: valibotResolver(paperFields(today)),
    defaultValues: { day: today, rung: '0', place: 'usual', reps: '' },
  });
  const { errors } = formState;
  const save = handleSubmit(async ({ day, rung, place, reps }) => {
    const read = readPaper(reps);
    if (!read.ok) return;
    // The hour was not kept, and the order of the reps is what counts.
    const noon = day === today ? now() : new Date(`${day}T12:00:00`).getTime();
    const start = ladder.rungs[Number(rung)]?.criteria ?? {};
    const paper = { day: day as Day, away: place === 'away', start, noon };
    const words = tell('type-in.reps-of-are-in-the-log', {
      valueCount: read.value.length,
      writeDay: writeDay(day as Day),
    });
    const typed = await done(words, typeInBout(kennel, element, paper, read.value));
    if (typed.ok) resetField('reps');
  });
  return (
    <Sheet title={tell('type-in.type-in-a-session-from-paper')} className="mb-6">
      <form className="grid gap-3 sm:grid-cols-[11rem_1fr]" noValidate onSubmit={save}>
        <TextField
          label={tell('type-in.day')}
          type="date"
          max={today}
          {...register('day')}
          problem={errors.day?.message}
        />
        <SelectField
          label={tell('type-in.rung')}
          value={watch('rung')}
          options={ladder.rungs.map((_, i) => ({
            value: String(i),
            words: wordsOf(describeRung(ladder, i)),
          }))}
          onChange={(rung) => setValue('rung', rung)}
        />
        <SelectField
          label={tell('type-in.place')}
          value={watch('place')}
          options={[
            { value: 'usual', words: tell('type-in.usual') },
            { value: 'away', words: tell('type-in.strange') },
          ]}
          onChange={(place) => setValue('place', place)}
        />
        <TextField
          label={tell('type-in.reps-in-order-c-clean-f-flawed-m')}
          hint={tell('type-in.for-example-c-c-f-m-c')}
          {...register('reps')}
          problem={errors.reps?.message}
        />
        <p className="sm:col-span-2">
          <Button type="submit" look="ink">
            {tell('type-in.put-it-in-the-log')}
          </Button>
        </p>
      </form>
    </Sheet>
  );
}
