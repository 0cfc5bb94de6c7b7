import { useLiveQuery } from 'dexie-react-hooks';
import { Link } from 'react-router';
import { MOST_ENTRIES } from '@/core/readiness';
import { type Day, isDay } from '@/core/shared';
import { useKennelWithDog } from '@/data/live';
import { type DogTitle, listPeople, type TitleTrial } from '@/data/read';
import { changeTrial, sayEntryJudges, sayTitleAim } from '@/data/write';
import { writeDay, writeNumber, writeShare } from '@/words';
import { amountProblem, Said } from './said';
import { AddEntry } from './title-add-entry';
import { TitleChance } from './title-chance';
import { meanOf, readAmount } from './title-view';
import { useEntryChances } from './use-entry-chances';
import { tell } from './words';

/** The entries that lie ahead: which are made, what they cost, the chance with them, and which would be best. */
export function TitleEntries({ title }: { readonly title: DogTitle }) {
  const { kennel, dog, done } = useKennelWithDog();
  const people = useLiveQuery(async () => listPeople(kennel), [kennel]) ?? [];
  const found = useEntryChances(title);
  const chances = found.is === 'known' ? found.chances : null;
  const { aim, trials } = title;
  const say = (said: Parameters<typeof sayTitleAim>[3], words = tell('titles.said')): void =>
    void done(words, sayTitleAim(kennel, dog.id, title.book.id, said));
  return (
    <section aria-label={tell('titles.entries')}>
      <h3 className="text-lg font-bold">{tell('titles.entries')}</h3>
      {trials.length === 0 && <p className="mb-2 leading-snug">{tell('titles.no-entry')}</p>}
      {found.is === 'none' && trials.length > 0 && (
        <p className="mb-2 leading-snug">{tell('titles.no-chance', { why: found.why })}</p>
      )}
      {found.is === 'known' && <TitleChance title={title} chances={found.chances} reps={found.reps} />}
      <ul>
        {trials.map((entry, i) => (
          <EntryLine
            key={entry.trial.id}
            title={title}
            entry={entry}
            judges={entry.judges.map((id) => people.find((one) => one.id === id)?.name ?? '').join(', ')}
            share={
              chances?.[i]
                ? tell('titles.pass-there', { share: writeShare(meanOf(chances[i] ?? [])) })
                : found.is === 'working'
                  ? tell('titles.working')
                  : ''
            }
          />
        ))}
      </ul>
      {trials.length > MOST_ENTRIES && (
        <p className="mt-2 leading-snug">{tell('titles.further', { n: trials.length - MOST_ENTRIES })}</p>
      )}
      <AddEntry book={title.book} />
      {trials.length > 0 && (
        <div className="mt-3 grid gap-3 sm:grid-cols-2">
          <Said
            key={`by ${aim?.by ?? ''}`}
            label={tell('titles.by')}
            type="date"
            kept={aim?.by ?? ''}
            onTake={(text) => say({ by: isDay(text) ? (text as Day) : null })}
          />
          <Said
            key={`worth ${aim?.worth ?? ''}`}
            label={tell('titles.worth')}
            hint={tell('titles.worth-hint')}
            kept={aim?.worth ? writeNumber(aim.worth) : ''}
            problemOf={amountProblem}
            onTake={(text) => say({ worth: readAmount(text) || null })}
          />
        </div>
      )}
      {trials.length > 0 && (
        <div className="mt-3">
          <label className="flex min-h-11 items-center gap-3 font-semibold leading-snug">
            <input
              type="checkbox"
              className="size-6"
              checked={aim?.plans ?? false}
              onChange={(event) =>
                say(
                  { plans: event.target.checked },
                  event.target.checked ? tell('titles.planned') : tell('titles.not-planned'),
                )
              }
            />
            {tell('titles.plan')}
          </label>
          <p className="text-sm leading-snug text-ink-soft">
            {tell('titles.plan-why')}{' '}
            <Link className="underline underline-offset-4" to={`/${kennel.name}/plan`}>
              {tell('titles.to-the-plan')}
            </Link>
          </p>
        </div>
      )}
    </section>
  );
}

type LineProps = {
  readonly title: DogTitle;
  readonly entry: TitleTrial;
  readonly judges: string;
  readonly share: string;
};

function EntryLine({ title, entry: { trial }, judges, share }: LineProps) {
  const { kennel, dog, done } = useKennelWithDog();
  const day = writeDay(trial.day);
  const enter = (entered: boolean): void =>
    void done(
      tell('titles.is-entered', { title: trial.title, entered }),
      changeTrial(kennel, trial.id, { status: entered ? 'entered' : 'thinking' }),
    );
  return (
    <li className="border-b border-hair py-1.5">
      <label className="flex min-h-11 items-center gap-3 leading-snug">
        <input
          type="checkbox"
          className="size-6 shrink-0"
          aria-label={tell('titles.enter', { title: trial.title, day })}
          checked={trial.status === 'entered'}
          onChange={(event) => enter(event.target.checked)}
        />
        <span className="flex-1">
          <span className="font-semibold">{trial.title}</span> {day}
        </span>
        <span className="tabular-nums">{share}</span>
      </label>
      <div className="grid gap-3 sm:grid-cols-2">
        <Said
          key={`judge ${judges}`}
          label={tell('titles.judge')}
          name={tell('titles.judge-of', { title: trial.title })}
          hint={judges === '' ? tell('titles.unknown-judge') : undefined}
          kept={judges}
          onTake={(text) =>
            void done(
              tell('titles.said'),
              sayEntryJudges(kennel, dog.id, title.book.id, trial.id, text.split(',')),
            )
          }
        />
        <Said
          key={`cost ${trial.cost ?? ''}`}
          label={tell('titles.cost')}
          name={tell('titles.cost-of', { title: trial.title })}
          kept={trial.cost === null ? '' : writeNumber(trial.cost)}
          problemOf={amountProblem}
          onTake={(text) =>
            void done(tell('titles.said'), changeTrial(kennel, trial.id, { cost: readAmount(text) ?? null }))
          }
        />
      </div>
    </li>
  );
}
