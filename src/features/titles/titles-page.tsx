import { useLiveQuery } from 'dexie-react-hooks';
import { Link } from 'react-router';
import { useKennelWithDog } from '@/data/live';
import { type DogTitle, otherClasses, titlesOf } from '@/data/read';
import { sayHeld, sayTitleAim } from '@/data/write';
import { Button, buttonClass, Notice, PageHead, Sheet } from '@/ui';
import { SayEarns } from './title-earns';
import { TitleEntries } from './title-entries';
import { TitleLegs } from './title-legs';
import { ageWords, standingWords } from './title-view';
import { tell } from './words';

/** The titles that a dog can earn: what each asks, what there is of it, and which entries bring it nearer. */
export function TitlesPage() {
  const { kennel, dog, today, done } = useKennelWithDog();
  const titles = useLiveQuery(async () => titlesOf(kennel, dog, today), [kennel, dog, today]);
  const others = useLiveQuery(async () => otherClasses(kennel, dog, today), [kennel, dog, today]);
  if (!titles) return null;
  return (
    <>
      <PageHead title={tell('titles.page', { name: dog.name })}>{tell('titles.what-for')}</PageHead>
      {titles.length === 0 && (
        <Sheet title={tell('titles.none', { name: dog.name })}>
          <p className="leading-snug">{tell('titles.none-why')}</p>
          <p className="mt-3">
            <Link className={buttonClass('signal', 'big')} to={`/${kennel.name}/rule-books`}>
              {tell('titles.to-the-rule-books')}
            </Link>
          </p>
        </Sheet>
      )}
      <div className="grid gap-6">
        {titles.map((title) => (
          <OneTitle key={title.book.id} title={title} />
        ))}
        {others && others.earning.length > 0 && (
          <Sheet title={tell('titles.others')}>
            <ul>
              {others.earning.map((book) => (
                <li key={book.id} className="flex flex-wrap items-center gap-3 border-b border-hair py-1.5">
                  <span className="flex-1 leading-snug">
                    <span className="font-semibold">{book.earns?.title}</span>, {book.title}
                  </span>
                  <Button
                    aria-label={tell('titles.aim-at', { title: book.earns?.title ?? '' })}
                    onClick={() => void done(tell('titles.aimed'), sayTitleAim(kennel, dog.id, book.id, {}))}
                  >
                    {tell('titles.aim')}
                  </Button>
                </li>
              ))}
            </ul>
          </Sheet>
        )}
        {others && others.untitled.length > 0 && <SayEarns books={others.untitled} />}
      </div>
    </>
  );
}

function OneTitle({ title }: { readonly title: DogTitle }) {
  const { kennel, dog, today, done } = useKennelWithDog();
  const { rule, book, before } = title;
  const age = ageWords(title, dog, today);
  const lacking = before.flatMap(({ what, held }) => (held === null ? [what] : []));
  return (
    <Sheet title={title.title} label={title.title} aside={tell('titles.asks', { ...rule, book: book.title })}>
      <p className="text-xl font-bold leading-snug">{standingWords(title)}</p>
      {age &&
        (age.stops ? (
          <Notice tone="alert">{age.words}</Notice>
        ) : (
          <p className="mt-1 leading-snug">{age.words}</p>
        ))}
      <div className="mt-4 grid items-start gap-6 lg:grid-cols-2">
        <div className="grid gap-4">
          {before.length > 0 && (
            <fieldset>
              <legend className="font-semibold">{tell('titles.before')}</legend>
              {before.map(({ what, held }) => (
                <label key={what} className="flex min-h-11 items-center gap-3 leading-snug">
                  <input
                    type="checkbox"
                    className="size-6"
                    checked={held !== null}
                    onChange={(event) =>
                      void done(tell('titles.said'), sayHeld(kennel, dog.id, what, event.target.checked))
                    }
                  />
                  {what}
                </label>
              ))}
              {lacking.length > 0 && title.standing.done === null && (
                <p className="leading-snug">
                  {tell('titles.not-held', { what: { list: lacking, between: ', ' } })}
                </p>
              )}
            </fieldset>
          )}
          <TitleLegs title={title} />
        </div>
        {title.standing.done === null && <TitleEntries title={title} />}
      </div>
    </Sheet>
  );
}
