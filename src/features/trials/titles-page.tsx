import { useLiveQuery } from 'dexie-react-hooks';
import { Link } from 'react-router';
import { useKennelWithDog } from '@/data/live';
import { type DogTitle, titlesOf, untitledClasses } from '@/data/read';
import { sayHeld } from '@/data/write';
import { buttonClass, Notice, PageHead, Sheet } from '@/ui';
import { SayEarns } from './title-earns';
import { TitleEntries } from './title-entries';
import { TitleLegs } from './title-legs';
import { ageWords, standingWords } from './title-view';
import { tell } from './title-words';

/** The titles that a dog can earn: what each asks, what there is of it, and which entries bring it nearer. */
export function TitlesPage() {
  const { kennel, dog, today } = useKennelWithDog();
  const titles = useLiveQuery(async () => titlesOf(kennel, dog, today), [kennel, dog, today]);
  const books = useLiveQuery(async () => untitledClasses(kennel, dog), [kennel, dog]);
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
        {books && books.length > 0 && <SayEarns books={books} />}
      </div>
    </>
  );
}

function OneTitle({ title }: { readonly title: DogTitle }) {
  const { kennel, dog, today, done } = useKennelWithDog();
  const { rule, book, before } = title;
  const age = ageWords(title, dog, today);
  return (
    <Sheet title={title.title} label={title.title} aside={tell('titles.asks', { ...rule, book: book.title })}>
      <p className="text-xl font-bold leading-snug">{standingWords(title)}</p>
      {age &&
        (age.stops ? (
          <Notice tone="alert">{age.words}</Notice>
        ) : (
          <p className="mt-1 leading-snug">{age.words}</p>
        ))}
      {before.length > 0 && (
        <fieldset className="mt-3">
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
              {tell('titles.held', { what })}
            </label>
          ))}
        </fieldset>
      )}
      <div className="mt-4 grid items-start gap-6 lg:grid-cols-2">
        <TitleLegs title={title} />
        {title.standing.done === null && <TitleEntries title={title} />}
      </div>
    </Sheet>
  );
}
