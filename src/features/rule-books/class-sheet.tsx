import { Link } from 'react-router';
import { familyOf, type RuleBook } from '@/core/rulebooks';
import { useKennel } from '@/data/live';
import { Chain, Notice, Sheet } from '@/ui';
import { wordsOf } from '@/words';
import {
  besidesInWords,
  classView,
  doubtsInWords,
  type ExerciseView,
  type FaultLine,
  forDog,
  mayNotEnter,
  passInWords,
  stakeLines,
} from './class-view';
import { tell } from './words';

/** The digest of a class: what passing asks, what the class has besides, and every exercise with its faults. */
export function ClassSheet({ book }: { readonly book: RuleBook }) {
  const besides = besidesInWords(book);
  // More than two columns of faults go on one page only as three.
  const crowded = book.rules.exercises.reduce((sum, exercise) => sum + exercise.faults.length, 0) > 70;
  return (
    <article
      aria-label={book.title}
      className={`digest grid grid-cols-1 content-start gap-5 print:block print:gap-3 ${crowded ? 'print:columns-3' : 'print:columns-2'}`}
    >
      <Sheet
        title={book.title}
        aside={`${book.edition}${book.sample ? tell('rule-books-room.invented') : ''}`}
      >
        <div className="grid gap-4 md:grid-cols-[2fr_1fr]">
          <div>
            <p className="font-semibold">{tell('rule-books-room.to-pass')}</p>
            <ul className="list-inside list-disc text-lg leading-snug">
              {passInWords(book).map((condition) => (
                <li key={condition}>{condition}</li>
              ))}
            </ul>
            {besides.length > 0 && (
              <>
                <p className="mt-2 font-semibold">{tell('rule-books-room.besides')}</p>
                <ul className="list-inside list-disc leading-snug">
                  {besides.map((line) => (
                    <li key={line}>{line}</li>
                  ))}
                </ul>
              </>
            )}
            <SizeLine book={book} />
            <Entry book={book} />
            <p className="mt-2 text-ink-soft">
              {tell('rule-books-room.scored-by', {
                title: wordsOf(familyOf(book.rules).title).toLowerCase(),
                note: book.note,
              })}
            </p>
          </div>
          <div>
            <p className="font-semibold">{tell('rule-books-room.awards')}</p>
            <ul className="leading-snug">
              {familyOf(book.rules)
                .awards(book.rules)
                .map((award) => (
                  <li key={award.title} className="flex justify-between border-b border-hair py-0.5">
                    <span>{award.title}</span>
                    <span>{wordsOf(award.asks)}</span>
                  </li>
                ))}
            </ul>
          </div>
        </div>
      </Sheet>
      <Doubts book={book} />
      <Stakes book={book} />
      {classView(book).map((view) => (
        <ExerciseSheet key={view.exercise.id} view={view} />
      ))}
    </article>
  );
}

/** Which values of a book with sizes go for the dog in hand, or what is missing to tell. */
function SizeLine({ book }: { readonly book: RuleBook }) {
  const { kennel, dog } = useKennel();
  if (!dog || !book.sizes) return null;
  const { size } = forDog(book, dog.height);
  if (size !== null)
    return <p className="mt-2">{tell('rule-books-room.for-the-size', { name: dog.name, size })}</p>;
  return (
    <p className="mt-2 print:hidden">
      {tell('rule-books-room.height-unknown', { name: dog.name })}{' '}
      <Link className="underline decoration-rule underline-offset-4" to={`/${kennel.name}/kennel`}>
        {tell('rule-books-room.to-the-dog', { name: dog.name })}
      </Link>
    </p>
  );
}

/** What stands against entering the dog in hand today. */
function Entry({ book }: { readonly book: RuleBook }) {
  const { dog, today } = useKennel();
  const lines = dog ? mayNotEnter(book, dog, today) : [];
  return lines.map((line) => (
    <p key={line} className="mt-2 font-semibold print:hidden">
      {line}
    </p>
  ));
}

function Doubts({ book }: { readonly book: RuleBook }) {
  const doubts = doubtsInWords(book);
  if (doubts.length === 0) return null;
  return (
    <div className="print:hidden">
      <Notice tone="plain">
        <p className="font-semibold">{tell('rule-books-room.to-look-at')}</p>
        <ul className="mt-1 grid gap-1">
          {doubts.map((doubt) => (
            <li key={doubt}>{doubt}</li>
          ))}
        </ul>
      </Notice>
    </div>
  );
}

function Stakes({ book }: { readonly book: RuleBook }) {
  const lines = stakeLines(book);
  return (
    <Sheet
      title={tell('rule-books-room.where-the-stakes-are')}
      className="print:hidden"
      aside={tell('rule-books-room.the-most-that-one-mark-at-each')}
    >
      <ul className="gap-x-8 md:columns-2">
        {lines.map((line) => (
          <li
            key={line.key}
            className="grid break-inside-avoid grid-cols-[1fr_auto] items-center gap-x-3 gap-y-1 border-b sm:grid-cols-[1fr_5rem_10.5rem] border-hair py-1 leading-snug"
          >
            <span>{line.title}</span>
            <span
              aria-hidden="true"
              className="h-3 border-l-2 border-ink max-sm:order-last max-sm:col-span-2"
            >
              <span
                className="hatch block h-full border-y border-r border-ink"
                style={{ width: `${line.bar * 100}%` }}
              />
            </span>
            <span className="text-right font-semibold">{line.words}</span>
          </li>
        ))}
      </ul>
    </Sheet>
  );
}

function ExerciseSheet({ view }: { readonly view: ExerciseView }) {
  const links = view.parts.map((part) => ({
    key: part.key,
    title: part.title,
    weight: part.weight,
    strength: null,
    note: tell('rule-books-room.up-to', { stake: part.stake }),
  }));
  return (
    <Sheet title={view.exercise.title} aside={view.maximum}>
      <p className="mb-3 max-w-3xl leading-snug print:hidden">{view.exercise.text}</p>
      {view.besides.length > 0 && (
        <ul className="mb-3 list-inside list-disc leading-snug print:mb-0.5">
          {view.besides.map((line) => (
            <li key={line}>{line}</li>
          ))}
        </ul>
      )}
      <div className="print:hidden">
        <Chain
          label={tell('rule-books-room.parts-of-by-what-one-mark-can-cost', { title: view.exercise.title })}
          links={links}
          withStrength={false}
        />
      </div>
      <div className="mt-4 grid gap-x-8 gap-y-4 md:grid-cols-2 print:mt-0.5 print:block">
        {view.parts.map((part, i) => (
          <section key={part.key} className="print:break-inside-avoid">
            <h3 className="border-b border-ink font-bold">
              {i + 1}.{' '}
              {part.times
                ? tell('rule-books-room.part-times', { title: part.title, times: part.times })
                : part.title}
            </h3>
            <p className="py-1 text-sm text-ink-soft print:py-0">
              {tell('rule-books-room.asked', { demands: part.demands })}
            </p>
            <Faults faults={part.faults} />
          </section>
        ))}
        {view.anywhere.length > 0 && (
          <section>
            <h3 className="border-b border-ink font-bold">
              {tell('rule-books-room.anywhere-in-the-exercise')}
            </h3>
            <p className="py-1 text-sm text-ink-soft print:hidden">
              {tell('rule-books-room.the-handlers-slips-cost-too')}
            </p>
            <Faults faults={view.anywhere} />
          </section>
        )}
      </div>
    </Sheet>
  );
}

function Faults({ faults }: { readonly faults: readonly FaultLine[] }) {
  return (
    <ul className="leading-snug">
      {faults.map((fault) => (
        <li key={fault.key} className="flex items-baseline justify-between gap-4 border-b border-hair py-1">
          <span>
            {fault.title}
            {fault.handler && <span className="text-ink-soft"> {tell('rule-books-room.handler')}</span>}
            {fault.more !== '' && <span className="block text-sm text-ink-soft">{fault.more}</span>}
          </span>
          <span className="max-w-[62%] text-right font-semibold">{fault.cost}</span>
        </li>
      ))}
    </ul>
  );
}
