import { useLiveQuery } from 'dexie-react-hooks';
import { useEffect, useMemo } from 'react';
import { useNavigate } from 'react-router';
import { methodsIn } from '@/core/breakdown';
import { asId, type DogId } from '@/core/shared';
import type { KennelContext } from '@/data/live';
import { type Findable, findableNotes, findableWork } from '@/data/read';
import { Dialog, TextField } from '@/ui';
import { regionNow, tellerOf, writeDay } from '@/words';
import en from '@/words/en/search.json';
import { GUIDE } from './guide/pages';
import { searcher } from './search-index';
import { useSearch } from './search-store';

const tell = tellerOf(en);

/** The methods in this person's words. */
const METHODS_HERE = methodsIn(regionNow());

/** Pages that have no record of their own, with other words for them. */
const PAGES: readonly Findable[] = (
  [
    ['today', tell('search-dialog.page-today'), ''],
    ['field', tell('search-dialog.page-field'), 'lesson session pad log'],
    ['breakdown', tell('search-dialog.page-breakdown'), 'exercise element ladder'],
    ['breakdown/new', tell('search-dialog.page-new'), 'break down own'],
    ['breakdown/methods', tell('search-dialog.page-methods'), ''],
    ['review', tell('search-dialog.page-review'), 'diary month week handler looking back'],
    ['clips', tell('search-dialog.page-clips'), 'film video camera slow frame click whistle measure'],
    ['season', tell('search-dialog.page-season'), 'live day hunt holes birds'],
    ['set-outs', tell('search-dialog.page-set-outs'), 'drawing ground field lay distance'],
    ['tracks', tell('search-dialog.page-tracks'), 'collar gpx watch line run'],
    ['tracks/walk', tell('search-dialog.page-walk'), 'phone position mark fall'],
    ['readiness', tell('search-dialog.page-readiness'), 'trial forecast pass points'],
    ['trials', tell('search-dialog.page-trials'), 'judge sheet steward mock meeting run order'],
    ['trials/titles', tell('search-dialog.page-titles'), 'leg pass judge entry cost'],
    ['trials/practice', tell('search-dialog.page-practice'), 'judge learn leniency score'],
    ['plan', tell('search-dialog.page-plan'), 'weeks calendar days time print other work'],
    ['rule-books', tell('search-dialog.page-rule-books'), 'class score sheet fault'],
    ['kennel', tell('search-dialog.page-kennel'), 'dog kit words signals vet limits'],
    ['files', tell('search-dialog.page-files'), 'save backup export import settings'],
    ['start', tell('search-dialog.page-start'), 'new puppy'],
    ['words', tell('search-dialog.page-words'), 'glossary'],
    [
      'settings',
      tell('search-dialog.page-settings'),
      'theme dark contrast letters units yards region bumper keys left hand sounds week language',
    ],
  ] as const
).map(([to, title, text]) => ({
  kind: 'page',
  id: `page ${to}`,
  title,
  dog: '',
  text,
  day: null,
  to,
  dogId: null,
}));

/** The pages of the guide by all that they say; what is called so comes before them. */
const GUIDE_PAGES: readonly Findable[] = GUIDE.map(({ id, title, text }) => ({
  kind: 'page',
  id: `guide ${id}`,
  title: tell('search-dialog.guide', { title }),
  dog: '',
  text,
  day: null,
  to: `guide/${id}`,
  dogId: null,
}));

/** Every dog, element, exercise, method, note and page by its words. */
export function SearchDialog({ context }: { readonly context: KennelContext }) {
  const { kennel, choose } = context;
  const { close, question, ask, wanted, want } = useSearch();
  const navigate = useNavigate();
  const work = useLiveQuery(() => findableWork(kennel, METHODS_HERE), [kennel]);
  const notes = useLiveQuery(async () => (await findableNotes(kennel)).map(calledByDay), [kennel]);
  const find = useMemo(
    () => searcher([...PAGES, ...(work ?? []), ...(notes ?? []), ...GUIDE_PAGES]),
    [work, notes],
  );
  const found = find(question);
  const [first] = found;
  const go = (one: Findable): void => {
    close();
    if (one.dogId) choose(asId<DogId>(one.dogId));
    void navigate(`/${kennel.name}/${one.to}`);
  };
  // biome-ignore lint/correctness/useExhaustiveDependencies: only what was read meanwhile sends anybody on
  useEffect(() => {
    if (!wanted || work === undefined) return;
    want(false);
    if (first) go(first);
  }, [wanted, work]);
  return (
    <Dialog open onClose={close} title={tell('search-dialog.find')}>
      <form
        onSubmit={(event) => {
          event.preventDefault();
          // Who types faster than the kennel is read goes as soon as it is.
          if (work === undefined) want(true);
          else if (first) go(first);
        }}
      >
        <TextField
          label={tell('search-dialog.dogs-elements')}
          value={question}
          autoFocus
          autoComplete="off"
          maxLength={80}
          onChange={(event) => ask(event.target.value)}
        />
      </form>
      <ul className="mt-3 divide-y divide-hair" aria-label={tell('search-dialog.found')}>
        {found.map((one) => (
          <li key={one.id}>
            <button
              type="button"
              className="block min-h-14 w-full px-1 py-1.5 text-left leading-snug hover:bg-paper"
              onClick={() => go(one)}
            >
              <span className="font-semibold">{one.title}</span>
              <span className="block text-sm text-ink-soft">{whatItIs(one)}</span>
            </button>
          </li>
        ))}
      </ul>
      <p className="mt-2 text-sm text-ink-soft" role="status">
        {question.trim() === ''
          ? tell('search-dialog.other-words-find-it-too')
          : found.length === 0
            ? tell('search-dialog.nothing-says-so')
            : tell('search-dialog.so-many', { n: found.length })}
      </p>
    </Dialog>
  );
}

function whatItIs({ id, kind, dog, day, text }: Findable): string {
  if (id.startsWith('page ')) return tell('search-dialog.a-page');
  if (kind === 'note' || kind === 'outing')
    return tell('search-dialog.a-note', {
      kind,
      dog,
      day: day === null ? '' : writeDay(day),
      text: text.slice(0, 120),
    });
  return tell('search-dialog.of-kind', { kind, dog, owned: dog !== '' });
}

/** An outing is called by its day, as the person writes it. */
const calledByDay = (one: Findable): Findable =>
  one.kind === 'outing' && one.day !== null
    ? { ...one, title: tell('search-dialog.outing-of', { day: writeDay(one.day) }) }
    : one;
