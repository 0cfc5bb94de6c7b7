import { useLiveQuery } from 'dexie-react-hooks';
import { Link } from 'react-router';
import { useKennelWithDog, usePlannedToday } from '@/data/live';
import { pieceOf, plannedWork } from '@/data/read';
import { tell } from './later-words';

/** What is planned for today, all dogs, in the order of the lessons: one tap each. */
export function PlannedToday() {
  const { kennel, dog, today } = useKennelWithDog();
  const planned = usePlannedToday();
  const open = planned?.slots.filter((one) => one.state === 'ahead') ?? [];
  const found = useLiveQuery(
    () =>
      plannedWork(
        kennel,
        open.map((one) => one.slot),
      ),
    [kennel, today, open.map((one) => one.slot.id).join(' ')],
  );
  if (!found || found.length === 0) return null;
  return (
    <section aria-label={tell('planned-today.title')} className="mb-6">
      <h2 className="mb-2 text-lg font-bold">{tell('planned-today.title')}</h2>
      <ol className="grid gap-2 sm:grid-cols-2 lg:grid-cols-3">
        {found.map(({ slot, title, name }) => (
          <li key={slot.id}>
            <Link
              to={pieceOf(slot)}
              className="flex min-h-16 flex-col justify-center border-2 border-ink border-l-[6px] bg-sheet px-4 py-2 hover:bg-paper"
            >
              <span className="text-xl font-bold leading-tight">{title}</span>
              <span className="leading-snug text-ink-soft">
                {tell('planned-today.planned', {
                  name: slot.dogId === dog.id ? '' : `${name} · `,
                  purpose: slot.purpose,
                  minutes: slot.minutes,
                })}
              </span>
            </Link>
          </li>
        ))}
      </ol>
    </section>
  );
}
