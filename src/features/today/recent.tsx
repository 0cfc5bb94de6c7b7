import { useLiveQuery } from 'dexie-react-hooks';
import { Link } from 'react-router';
import { daysBetween } from '@/core/shared';
import { type DogState, useKennelWithDog, useKeptLogs } from '@/data/live';
import { faultLabel, namedFaults, trialsUnsaid } from '@/data/read';
import { buttonClass, keptMarks, RepMarkKey, RepMarks, Sheet, SIGN_WORDS } from '@/ui';
import { wordsOf, writeDay } from '@/words';
import { inDays } from './suggestions';
import { tell } from './words';

/** A trial that has been counts for a title, and for how good the forecasts are, once somebody says how it went. */
export function HowItWent() {
  const { kennel, dog, today } = useKennelWithDog();
  const unsaid = useLiveQuery(() => trialsUnsaid(kennel, dog.id, today), [kennel, dog.id, today]);
  if (!unsaid || unsaid.length === 0) return null;
  return (
    <Sheet title={tell('recent.how-did-it-go')}>
      <ul>
        {unsaid.map(({ id, title, day }) => (
          <li key={id}>
            <Link className={buttonClass('plain')} to={`../readiness?trial=${id}`} relative="path">
              {tell('recent.how-it-went', { title, writeDay: writeDay(day) })}
            </Link>
          </li>
        ))}
      </ul>
    </Sheet>
  );
}

/** So many of the last sessions are shown. */
const RECENT = 5;

export function Recent({ state }: { readonly state: DogState }) {
  const { today } = useKennelWithDog();
  const recent = state.bouts.slice(-RECENT).reverse();
  const logs = useKeptLogs(recent.map((bout) => bout.id));
  if (recent.length === 0 || !logs) return null;
  return (
    <Sheet title={tell('recent.last-sessions')}>
      <ul className="mb-3 grid gap-3">
        {recent.map((bout) => {
          const element = state.work.elements.find((candidate) => candidate.id === bout.element);
          const faults = element ? namedFaults(element, state.work) : [];
          return (
            <li key={bout.id}>
              <p className="leading-snug">
                <span className="font-semibold">{element?.title}</span>
                <span className="text-ink-soft">
                  {tell('recent.away', {
                    inDays: inDays(daysBetween(today, bout.day)),
                    away: Boolean(bout.away),
                  })}
                </span>
              </p>
              {bout.signs.length > 0 && (
                <p className="text-sm leading-snug">
                  {tell('recent.seen', {
                    signs: bout.signs.map(({ sign }) => SIGN_WORDS[sign].toLowerCase()).join(', '),
                  })}
                </p>
              )}
              <RepMarks
                label={tell('recent.reps-of', {
                  title: element?.title ?? tell('today-room.a-session-2'),
                })}
                marks={keptMarks(logs?.get(bout.id)?.marks ?? [], (fault) =>
                  wordsOf(faultLabel(faults, fault)),
                )}
              />
            </li>
          );
        })}
      </ul>
      <RepMarkKey />
    </Sheet>
  );
}
