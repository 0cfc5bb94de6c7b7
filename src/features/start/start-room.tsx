import { valibotResolver } from '@hookform/resolvers/valibot';
import { useForm } from 'react-hook-form';
import { Link, useNavigate } from 'react-router';
import { buildLadder } from '@/core/breakdown';
import { useKennel } from '@/data/live';
import { addDogWithElement, startBout } from '@/data/write';
import { Button, buttonClass, PageHead, Sheet, TextField } from '@/ui';
import { wordsOf } from '@/words';
import {
  choiceById,
  FIRST_CHOICES,
  type FirstElementFields,
  firstElementFields,
  toFirstElement,
} from './first-element';
import { tell } from './words';

/** From nothing to the first rep: a name, what to teach, where it stands, where it should go. */
export function StartRoom() {
  const { kennel, today, done } = useKennel();
  const navigate = useNavigate();
  const { register, handleSubmit, watch, formState } = useForm<FirstElementFields>({
    resolver: valibotResolver(firstElementFields),
    defaultValues: { name: '', method: FIRST_CHOICES[0]?.id ?? '', start: '', goal: '' },
  });
  const chosen = choiceById(watch('method'));
  const begin = handleSubmit(async (fields) => {
    const first = toFirstElement(fields);
    if (!first) return;
    const added = await done(
      tell('start-room.is-in-the-kennel', { dogName: first.dogName }),
      addDogWithElement(kennel, first),
    );
    if (!added.ok) return;
    const element = added.value.made;
    const start = buildLadder(element).rungs[0]?.criteria ?? {};
    const begun = await done(null, startBout(kennel, element, { day: today, away: false, start }));
    if (!begun.ok) return;
    await navigate(`../field/${element.id}`, { relative: 'path' });
  });
  const { errors } = formState;
  return (
    <>
      <PageHead title={tell('start-room.start-with-one-dog-and-one-thing')}>
        {tell('start-room.four-answers-make-a-ladder-of')}
      </PageHead>
      <div className="grid gap-6 lg:grid-cols-[3fr_2fr]">
        <Sheet title={tell('start-room.your-dog')}>
          <form onSubmit={begin} noValidate className="grid gap-5">
            <TextField
              label={tell('start-room.name')}
              autoComplete="off"
              {...register('name')}
              problem={errors.name?.message}
            />
            <fieldset>
              <legend className="text-sm font-semibold">{tell('start-room.what-to-teach')}</legend>
              <div className="mt-1 grid gap-2">
                {FIRST_CHOICES.map((one) => (
                  <label
                    key={one.id}
                    className="flex min-h-14 cursor-pointer items-start gap-3 border-2 border-rule px-3 py-2 has-checked:border-ink has-checked:bg-paper"
                  >
                    <input
                      type="radio"
                      value={one.id}
                      {...register('method')}
                      className="mt-1.5 size-4 accent-(--ink)"
                    />
                    <span>
                      <span className="block text-lg font-semibold leading-snug">{one.element.title}</span>
                      <span className="block leading-snug text-ink-soft">{one.element.teaches}</span>
                    </span>
                  </label>
                ))}
              </div>
            </fieldset>
            <div className="grid gap-5 sm:grid-cols-2">
              <TextField
                label={tell('start-room.now', { title: chosen?.axis.axis.title ?? tell('start-room.value') })}
                hint={wordsOf(chosen?.axis.askStart)}
                autoComplete="off"
                {...register('start')}
                problem={errors.start?.message}
              />
              <TextField
                label={tell('start-room.wanted', {
                  title: chosen?.axis.axis.title ?? tell('start-room.value'),
                })}
                hint={wordsOf(chosen?.axis.askDemand)}
                autoComplete="off"
                {...register('goal')}
                problem={errors.goal?.message}
              />
            </div>
            <Button type="submit" look="signal" size="big" disabled={formState.isSubmitting}>
              {tell('start-room.make-the-ladder-and-begin')}
            </Button>
          </form>
        </Sheet>
        <div className="grid content-start gap-6">
          {chosen && (
            <Sheet title={tell('start-room.how-to-teach', { title: chosen.element.title.toLowerCase() })}>
              <dl className="grid gap-2 leading-snug">
                <dt className="font-semibold">{tell('start-room.bring')}</dt>
                <dd>{chosen.method.kit.join(', ')}</dd>
                <dt className="font-semibold">{tell('start-room.keep-in-mind')}</dt>
                <dd>{chosen.method.advice.join(' ')}</dd>
                <dt className="font-semibold">{tell('start-room.when-it-goes-wrong')}</dt>
                {chosen.method.trouble.map((one) => (
                  <dd key={one.seen}>
                    <span className="font-semibold">{one.seen}: </span>
                    {one.remedy}
                  </dd>
                ))}
              </dl>
            </Sheet>
          )}
          <Sheet title={tell('start-room.or-look-around-first')}>
            <p className="mb-3 leading-snug">{tell('start-room.the-sample-kennel-has-an-invented')}</p>
            <p className="flex flex-wrap gap-3">
              <Link className={buttonClass('plain')} to="/sample/today">
                {tell('start-room.open-the-sample-kennel')}
              </Link>
              <Link className={buttonClass('quiet')} to={`/${kennel.name}/files`}>
                {tell('start-room.read-in-a-saved-kennel')}
              </Link>
            </p>
          </Sheet>
        </div>
      </div>
    </>
  );
}
