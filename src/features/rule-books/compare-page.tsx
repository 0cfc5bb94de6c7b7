import { useLiveQuery } from 'dexie-react-hooks';
import { useMemo, useState } from 'react';
import { Link, useParams } from 'react-router';
import { type Change, compareBooks, type RuleBook } from '@/core/rulebooks';
import type { Failure } from '@/core/shared';
import { useKennel } from '@/data/live';
import { listRuleBooks, type Touched, touchedBy, trialsOf, workOf } from '@/data/read';
import { moveToEdition } from '@/data/write';
import { Button, buttonClass, Notice, PageHead, SelectField, Sheet } from '@/ui';
import { wordsOf } from '@/words';
import { tell } from './words';

/**
 * Two editions side by side: what changed in words and numbers, what of the dog's work it touches,
 * and the step over.
 */
export function ComparePage() {
  const { kennel } = useKennel();
  const { book: id } = useParams();
  const records = useLiveQuery(() => listRuleBooks(kennel), [kennel]);
  const [chosen, setChosen] = useState<string | null>(null);
  if (!records) return <p className="text-lg">{tell('compare-page.opening-the-rule-books')}</p>;
  const book = records.find((record) => record.id === id)?.book;
  if (!book)
    return (
      <>
        <PageHead title={tell('compare-page.there-is-no-such-rule-book-in-this')} />
        <Link className={buttonClass('signal', 'big')} to={`/${kennel.name}/rule-books`}>
          {tell('compare-page.to-the-rule-books')}
        </Link>
      </>
    );
  // Another edition of the same class is what one wants to see first.
  const others = records.map((record) => record.book).filter((other) => other.id !== book.id);
  const other =
    others.find((one) => one.id === chosen) ?? others.find((one) => one.title === book.title) ?? others[0];
  return (
    <>
      <PageHead title={tell('compare-page.compare-editions', { title: book.title })}>
        {tell('compare-page.what-changed-in-words-and-numbers')}
      </PageHead>
      <div className="mb-5 flex flex-wrap items-end gap-4">
        <Link className={buttonClass('plain')} to={`/${kennel.name}/rule-books/${book.id}`}>
          {tell('compare-page.back-to-the-rules')}
        </Link>
        <SelectField
          label={tell('compare-page.compare-with')}
          shown={tell('compare-page.from-to', { edition: book.edition })}
          beside
          className="min-w-0 max-w-full text-lg"
          look="min-h-11 w-full min-w-0 bg-sheet font-semibold sm:w-auto"
          value={(other?.id ?? '') as string}
          options={others.map((one) => ({ value: one.id as string, words: `${one.title}, ${one.edition}` }))}
          onChange={setChosen}
        />
      </div>
      {other ? (
        <Comparison before={book} after={other} />
      ) : (
        <Notice>{tell('compare-page.read-in-another-rule-book-or')}</Notice>
      )}
    </>
  );
}

const KIND_WORDS: Readonly<Record<Change['kind'], string>> = {
  added: tell('compare-page.added'),
  removed: tell('compare-page.removed'),
  changed: tell('compare-page.changed'),
};
const SIGNS: Readonly<Record<Change['kind'], string>> = { added: '+', removed: '−', changed: '→' };

function Comparison({ before, after }: { readonly before: RuleBook; readonly after: RuleBook }) {
  const { kennel, dog } = useKennel();
  const changes = useMemo(() => compareBooks(before, after), [before, after]);
  const work = useLiveQuery(
    async () => (dog ? { work: await workOf(kennel, dog.id), trials: await trialsOf(kennel, dog.id) } : null),
    [kennel, dog],
  );
  const touched = work ? touchedBy(changes, before, work.work, work.trials) : null;
  return (
    <div className="grid grid-cols-1 gap-6 lg:grid-cols-[3fr_2fr]">
      <Sheet
        title={
          changes.length === 0
            ? tell('compare-page.nothing-changed')
            : tell('compare-page.changes', { n: changes.length })
        }
      >
        <ul>
          {changes.map((change) => (
            <li
              key={`${change.kind}${JSON.stringify(change.words)}`}
              className="grid grid-cols-[1.5rem_1fr] border-b border-hair py-1.5 leading-snug"
            >
              <span aria-hidden="true" className="font-bold">
                {SIGNS[change.kind]}
              </span>
              <span>
                <span className="sr-only">{KIND_WORDS[change.kind]}: </span>
                {wordsOf(change.words)}
              </span>
            </li>
          ))}
        </ul>
      </Sheet>
      {dog && touched && <WhatItTouches name={dog.name} before={before} after={after} touched={touched} />}
    </div>
  );
}

function WhatItTouches({
  name,
  before,
  after,
  touched,
}: {
  readonly name: string;
  readonly before: RuleBook;
  readonly after: RuleBook;
  readonly touched: Touched;
}) {
  const { kennel, dog, done } = useKennel();
  const [failure, setFailure] = useState<Failure | null>(null);
  const title = (exercise: string): string =>
    before.exercises.find((one) => one.id === exercise)?.title ?? exercise;
  const lines = [
    ...touched.breakdowns.map((breakdown) =>
      tell('compare-page.breakdown-of', { title: title(breakdown.exercise) }),
    ),
    ...touched.elements.map((element) =>
      tell('compare-page.ladder-of-another-demand', { title: element.title }),
    ),
    ...touched.trials.map((trial) => tell('compare-page.forecast-for-the', { title: trial.title })),
  ];
  const move = async (): Promise<void> => {
    if (!dog) return;
    const moving = moveToEdition(kennel, dog.id, before, after);
    const moved = await done(tell('compare-page.now-trains-by', { name, edition: after.edition }), moving);
    setFailure(moved.ok ? null : moved);
  };
  return (
    <Sheet title={tell('compare-page.what-it-touches-of-s-work', { name })} className="self-start">
      {lines.length === 0 ? (
        <p className="leading-snug">
          {tell('compare-page.nothing-does-not-train-by-of-this', { name, edition: before.edition })}
        </p>
      ) : (
        <>
          <ul className="list-inside list-disc leading-snug">
            {lines.map((line) => (
              <li key={line}>{line}</li>
            ))}
          </ul>
          <p className="mt-3 text-sm leading-snug text-ink-soft">
            {tell('compare-page.moving-takes-breakdowns-trials-and')}
          </p>
          <p className="mt-3">
            <Button look="signal" size="big" onClick={() => void move()}>
              {tell('compare-page.move-to', { name, edition: after.edition })}
            </Button>
          </p>
        </>
      )}
      {failure && (
        <div className="mt-3">
          <Notice tone="alert" role="alert">
            {tell('compare-page.nothing-has-changed', { message: failure.message })}
          </Notice>
        </div>
      )}
    </Sheet>
  );
}
