import { valibotResolver } from '@hookform/resolvers/valibot';
import { useForm } from 'react-hook-form';
import { Link, useNavigate, useSearchParams } from 'react-router';
import type { DogId } from '@/core/shared';
import { useDogs, useKennel } from '@/data/live';
import type { Shareable } from '@/data/read';
import { addDog, addFirstElement, copyExercises, copyForDog } from '@/data/write';
import { Button, buttonClass, PageHead, SelectField, Sheet, TextField } from '@/ui';
import { wordsOf } from '@/words';
import {
  askedAxis,
  asksOf,
  choiceById,
  type FirstElementFields,
  firstElementFields,
  OWN_KINDS,
  toFirstElement,
  USUAL_FIRST,
} from './first-element';
import { SameAs } from './same-as';
import { HowTo, WhatToTeach } from './what-to-teach';
import { tell } from './words';

/**
 * From nothing to the first rep: a name, what to teach, where it stands, where it should go. Any method, a
 * rule book, something of one's own, or the name alone; for a dog that is there already its name is known.
 */
export function StartRoom() {
  const dogs = useDogs();
  const [search] = useSearchParams();
  if (!dogs) return <p className="text-lg">{tell('start-room.reading-the-kennel')}</p>;
  const known = dogs.find((one) => one.id === search.get('dog'));
  return (
    <Start
      key={known?.id ?? ''}
      known={known ?? null}
      another={dogs.length > 0}
      method={search.get('method')}
    />
  );
}

type Props = {
  readonly known: {
    readonly id: Parameters<ReturnType<typeof useKennel>['choose']>[0];
    readonly name: string;
  } | null;
  /** Whether there are dogs already. */
  readonly another: boolean;
  readonly method: string | null;
};

function Start({ known, another, method }: Props) {
  const { kennel, choose, done } = useKennel();
  const navigate = useNavigate();
  const { register, handleSubmit, watch, setValue, trigger, getValues, formState } =
    useForm<FirstElementFields>({
      resolver: valibotResolver(firstElementFields),
      defaultValues: {
        name: known?.name ?? '',
        what: choiceById(method ?? '')?.id ?? USUAL_FIRST[0],
        title: '',
        kind: OWN_KINDS[0]?.id ?? '',
        start: '',
        goal: '',
      },
    });
  const [what, kind] = [watch('what'), watch('kind')];
  const chosen = choiceById(what);
  const axis = askedAxis({ what, kind });
  const begin = handleSubmit(async (fields) => {
    const first = toFirstElement(fields);
    if (first) {
      const added = await done(
        tell('start-room.is-in-the-kennel', { dogName: fields.name }),
        addFirstElement(kennel, known ? { id: known.id } : { name: fields.name }, first),
      );
      if (!added.ok) return;
      choose(added.value.made.dogId);
      // Its card comes before its pad: what to bring, and what to be careful of.
      await navigate(`/${kennel.name}/field/${added.value.made.id}`);
      return;
    }
    if (!known) {
      const added = await done(
        tell('start-room.is-in-the-kennel', { dogName: fields.name }),
        addDog(kennel, fields.name),
      );
      if (!added.ok) return;
      choose(added.value.made.id);
    }
    await navigate(`/${kennel.name}/${fields.what === 'book' ? 'rule-books' : 'today'}`);
  });
  /** The dog that is known, or a new one by its name alone; null where that is not written. */
  const dogByName = async (): Promise<DogId | null> => {
    if (known) return known.id;
    if (!(await trigger('name'))) return null;
    const name = getValues('name');
    const added = await done(tell('start-room.is-in-the-kennel', { dogName: name }), addDog(kennel, name));
    if (!added.ok) return null;
    choose(added.value.made.id);
    return added.value.made.id;
  };
  const wholeMethod = async (id: string): Promise<void> => {
    if (!(await dogByName())) return;
    const { start, goal } = getValues();
    const typed = new URLSearchParams({ from: `method:${id}`, now: start.trim(), wanted: goal.trim() });
    await navigate(`/${kennel.name}/breakdown/new?${typed}`);
  };
  const takeOver = async (one: Shareable): Promise<void> => {
    const dog = await dogByName();
    if (!dog) return;
    const words = tell('start-room.trains-it-too', { title: one.title });
    const taken =
      one.kind === 'exercise'
        ? await done(words, copyExercises(kennel, [one.exercise.id], dog))
        : await done(words, copyForDog(kennel, one.element, dog, {}));
    if (taken.ok) await navigate(`/${kennel.name}/field`);
  };
  const { errors } = formState;
  return (
    <>
      <PageHead
        title={
          known
            ? tell('start-room.what-will-learn-first', { name: known.name })
            : another
              ? tell('start-room.another-dog-and-what-it-learns')
              : tell('start-room.start-with-one-dog-and-one-thing')
        }
      >
        {tell('start-room.a-few-answers-make-a-ladder-of')}
      </PageHead>
      {!known && !another && <FirstLook kennel={kennel.name} />}
      <div className="grid gap-6 lg:grid-cols-[3fr_2fr]">
        <Sheet title={known ? known.name : tell('start-room.your-dog')}>
          <form onSubmit={begin} noValidate className="grid gap-5">
            {!known && (
              <TextField
                label={tell('start-room.name')}
                autoComplete="off"
                {...register('name')}
                problem={errors.name?.message}
              />
            )}
            <SameAs known={known?.id ?? null} onTake={(one) => void takeOver(one)} />
            <WhatToTeach what={what} known={known !== null} onChoose={(next) => setValue('what', next)} />
            {what === 'own' && (
              <div className="grid gap-5 sm:grid-cols-2">
                <TextField
                  label={tell('start-room.what-it-is')}
                  hint={tell('start-room.for-example-sits-in-the-boat')}
                  autoComplete="off"
                  maxLength={80}
                  {...register('title')}
                  problem={errors.title?.message}
                />
                <SelectField
                  label={tell('start-room.what-makes-it-harder')}
                  value={kind}
                  options={OWN_KINDS.map((one) => ({ value: one.id, words: one.title }))}
                  onChange={(next) => setValue('kind', next)}
                />
              </div>
            )}
            {axis && (
              <div className="grid gap-5 sm:grid-cols-2">
                {asksOf(axis).start && (
                  <TextField
                    label={tell('start-room.now', { title: axis.axis.title })}
                    hint={wordsOf(axis.askStart)}
                    autoComplete="off"
                    {...register('start')}
                    problem={errors.start?.message}
                  />
                )}
                {asksOf(axis).goal && (
                  <TextField
                    label={tell('start-room.wanted', { title: axis.axis.title })}
                    hint={wordsOf(axis.askDemand)}
                    autoComplete="off"
                    {...register('goal')}
                    problem={errors.goal?.message}
                  />
                )}
              </div>
            )}
            <Button type="submit" look="signal" size="big" disabled={formState.isSubmitting}>
              {what === 'name' || what === 'book'
                ? tell('start-room.go-on')
                : tell('start-room.make-the-ladder')}
            </Button>
            {chosen && chosen.method.elements.length > 1 && (
              <div>
                <p className="mb-2 leading-snug">
                  {tell('start-room.this-is-its-first-piece', {
                    title: chosen.element.title,
                    n: chosen.method.elements.length,
                  })}
                </p>
                <Button onClick={() => void wholeMethod(chosen.method.id)}>
                  {tell('start-room.all-its-pieces', { n: chosen.method.elements.length })}
                </Button>
              </div>
            )}
          </form>
        </Sheet>
        <div className="grid content-start gap-6">
          {chosen && <HowTo chosen={chosen} />}
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

/** For somebody who has never been here: what comes, how it gets onto the phone, and a round to try it. */
function FirstLook({ kennel }: { readonly kennel: string }) {
  const link = 'inline-flex min-h-11 items-center underline underline-offset-4';
  return (
    <p className="-mt-2 mb-4 flex flex-wrap gap-x-6">
      <Link className={link} to={`/${kennel}/guide/first-ten-minutes`}>
        {tell('start-room.first-ten-minutes')}
      </Link>
      <Link className={link} to={`/${kennel}/guide/on-the-phone`}>
        {tell('start-room.on-the-phone')}
      </Link>
      <Link className={link} to="/sample/tour">
        {tell('start-room.look-round')}
      </Link>
    </p>
  );
}
