import { useLiveQuery } from 'dexie-react-hooks';
import type { ElementId, SessionId } from '@/core/shared';
import { assignSession, recentSessions, standingReps, useKennelWithDog } from '@/data/repositories';
import { Notice, RepMarks, repMark, Sheet } from '@/ui';
import type { Opened } from './element-frame';

/** The sessions of an element that was split or joined, and which of what came of it each counts for. */
export function AssignSessions({ element, state }: Opened) {
  const { kennel, dog } = useKennelWithDog();
  const sessions = useLiveQuery(
    async () => (await recentSessions(kennel, dog.id, Number.POSITIVE_INFINITY)).filter(({ session }) => session.elementId === element.id),
    [kennel, dog.id, element.id],
  );
  const parts = (element.retired?.into ?? []).flatMap((id) => state.work.elements.find((one) => one.id === id) ?? []);
  if (!sessions) return <p className="text-lg">Reading the log …</p>;
  const assigned = (session: SessionId): readonly ElementId[] => element.assigned.find((one) => one.session === session)?.to ?? [];
  const toggle = (session: SessionId, id: ElementId): void => {
    const to = assigned(session);
    void assignSession(kennel, element.id, session, to.includes(id) ? to.filter((one) => one !== id) : [...to, id]);
  };
  return (
    <Sheet title="What do these sessions count for?" aside={`${sessions.length} sessions, newest first`}>
      <p className="mb-3 max-w-4xl leading-snug">
        Nothing is lost and nothing is guessed: a session counts for a part once you tick it. Tick a part only where its reps say something about that
        part.
      </p>
      {sessions.length === 0 && <Notice>No session was logged of it.</Notice>}
      <ul className="divide-y divide-hair">
        {sessions.map(({ session, entries }) => {
          const reps = standingReps(entries);
          return (
            <li key={session.id} className="grid items-center gap-x-6 gap-y-1 py-2 md:grid-cols-[7rem_1fr_auto]">
              <span className="font-semibold">{session.day}</span>
              <RepMarks label={`Reps of ${session.day}`} marks={reps.map((rep) => repMark(rep, null))} />
              <span>
                {parts.map((part) => (
                  <label key={part.id} className="mr-4 inline-flex min-h-11 items-center gap-2">
                    <input
                      type="checkbox"
                      className="size-5 accent-(--ink)"
                      checked={assigned(session.id).includes(part.id)}
                      onChange={() => toggle(session.id, part.id)}
                    />
                    {part.title}
                  </label>
                ))}
              </span>
            </li>
          );
        })}
      </ul>
    </Sheet>
  );
}
