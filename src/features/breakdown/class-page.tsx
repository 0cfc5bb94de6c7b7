import { useLiveQuery } from 'dexie-react-hooks';
import { useState } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import type { RuleBook } from '@/core/rulebooks';
import { type DogState, useDog, useDogs, useKennelWithDog } from '@/data/live';
import { type Breakdown, type Dog, workOf } from '@/data/read';
import { copyExercises, makeExercises } from '@/data/write';
import { Button, buttonClass, Notice, PageHead, Sheet } from '@/ui';
import { wordsOf } from '@/words';
import { askedLinks, classDraft, type ExerciseDraft, without } from './class-draft';
import { ClassLink } from './class-link';
import { freshKey, type LinkDraft, type Problems, readLinks } from './exercise-draft';
import { tell } from './words';

/** A whole class broken down in one go: every start on one page, or taken over from another dog. */
export function ClassPage() {
  const state = useDog();
  const [params] = useSearchParams();
  if (!state) return <p className="text-lg">{tell('class-page.reading-the-log')}</p>;
  const book = state.work.ruleBooks.find((one) => one.id === params.get('book'))?.book;
  return book ? <Class key={book.id} book={book} state={state} /> : <NoBook />;
}

function NoBook() {
  const { kennel } = useKennelWithDog();
  return (
    <>
      <PageHead title={tell('class-page.there-is-no-such-rule-book')} />
      <Link className={buttonClass('signal', 'big')} to={`/${kennel.name}/rule-books`}>
        {tell('class-page.to-the-rule-books')}
      </Link>
    </>
  );
}

function Class({ book, state }: { readonly book: RuleBook; readonly state: DogState }) {
  const { kennel, dog, done } = useKennelWithDog();
  const navigate = useNavigate();
  const [drafts, setDrafts] = useState(() => classDraft(book, state.work, freshKey));
  // Read again with every letter once somebody wanted to save: what is mended says so at once.
  const [tried, setTried] = useState(false);
  const [failed, setFailed] = useState<string | null>(null);
  const asked = askedLinks(drafts);
  const change = (next: LinkDraft): void =>
    setDrafts(
      drafts.map((draft) => ({
        ...draft,
        links: draft.links.map((link) => (link.id === next.id ? next : link)),
      })),
    );
  const leave = (left: ExerciseDraft): void => setDrafts(without(drafts, left));
  const read = readLinks(
    drafts.flatMap((draft) => draft.links),
    dog.id,
  );
  const problems: Problems = {
    ...(tried ? read.problems : {}),
    ...(failed === null ? {} : { whole: failed }),
  };
  const save = async (): Promise<void> => {
    setTried(true);
    setFailed(null);
    if (Object.keys(read.problems).length > 0) return;
    let at = 0;
    const plans = drafts.map(({ exercise, links, onto }) => {
      const mine = read.plans.slice(at, at + links.length);
      at += links.length;
      return {
        dogId: dog.id,
        source: { ruleBookId: book.id, exercise: exercise.id },
        links: mine,
        ...(onto && { onto: { breakdown: onto, order: exercise.parts.map((part) => part.id) } }),
      };
    });
    const made = await done(
      tell('class-page.is-broken-down', { title: book.title, n: plans.length }),
      makeExercises(kennel, plans),
    );
    if (!made.ok) return setFailed(wordsOf(made.message));
    await navigate(`/${kennel.name}/breakdown`);
  };
  const count = Object.keys(problems).length;
  return (
    <>
      <PageHead title={tell('class-page.break-down-all-of', { title: book.title, name: dog.name })}>
        {tell('class-page.the-demands-are-the-rule-books')}
      </PageHead>
      <TakeOver book={book} state={state} />
      {drafts.length === 0 ? (
        <Notice>
          {tell('class-page.all-of-it-is-broken-down')}{' '}
          <Link className="underline" to={`/${kennel.name}/breakdown`}>
            {tell('class-page.to-the-breakdown')}
          </Link>
        </Notice>
      ) : (
        <div className="grid gap-5">
          <p className="text-lg">
            {tell('class-page.so-many-starts', { pieces: asked.length, exercises: drafts.length })}
          </p>
          {drafts.map((draft) => (
            <Sheet
              key={draft.exercise.id}
              title={draft.exercise.title}
              aside={
                <Button look="quiet" onClick={() => leave(draft)}>
                  {tell('class-page.leave-it-for-later', { title: draft.exercise.title })}
                </Button>
              }
            >
              <div className="grid gap-4">
                {draft.links.map((link, i) => (
                  <ClassLink
                    key={link.id}
                    link={link}
                    place={i}
                    last={i === draft.links.length - 1}
                    part={draft.exercise.parts.find((one) => one.id === link.part)}
                    work={state.work}
                    problems={problems}
                    onChange={change}
                  />
                ))}
              </div>
            </Sheet>
          ))}
          {count > 0 && (
            <Notice tone="alert" role="alert">
              {problems.whole ?? tell('class-page.fields-want-another-look', { count })}
            </Notice>
          )}
          <p>
            <Button look="signal" size="big" onClick={() => void save()}>
              {tell('class-page.break-it-all-down')}
            </Button>
          </p>
        </div>
      )}
    </>
  );
}

/** Where another dog has this class, its pieces can be taken over as they are. */
function TakeOver({ book, state }: { readonly book: RuleBook; readonly state: DogState }) {
  const { kennel, dog, done } = useKennelWithDog();
  const navigate = useNavigate();
  const dogs = useDogs() ?? [];
  const others = useLiveQuery(async () => {
    const all = await Promise.all(
      dogs
        .filter((one) => one.id !== dog.id)
        .map(async (one) => ({ dog: one, work: await workOf(kennel, one.id) })),
    );
    const has = (one: Breakdown): boolean =>
      one.ruleBookId === book.id &&
      !state.work.breakdowns.some((mine) => mine.ruleBookId === book.id && mine.exercise === one.exercise);
    return all.map(({ dog: other, work }) => ({ dog: other, found: work.breakdowns.filter(has) }));
  }, [kennel, dog.id, dogs, book.id, state.work]);
  const take = async (from: Dog, found: readonly Breakdown[]): Promise<void> => {
    const made = await done(
      (copied) => tell('class-page.taken-over', { name: from.name, n: copied.length }),
      copyExercises(
        kennel,
        found.map((one) => one.id),
        dog.id,
      ),
    );
    if (made.ok) await navigate(`/${kennel.name}/breakdown`);
  };
  const able = (others ?? []).filter((one) => one.found.length > 0);
  if (able.length === 0) return null;
  return (
    <div className="mb-5 grid gap-2">
      {able.map((one) => (
        <p key={one.dog.id} className="flex flex-wrap items-center gap-3 leading-snug">
          <button
            type="button"
            className={buttonClass('ink', 'big')}
            onClick={() => void take(one.dog, one.found)}
          >
            {tell('class-page.take-over-from', { name: one.dog.name, n: one.found.length })}
          </button>
          <span>{tell('class-page.with-its-steps-and-starts', { name: one.dog.name })}</span>
        </p>
      ))}
    </div>
  );
}
