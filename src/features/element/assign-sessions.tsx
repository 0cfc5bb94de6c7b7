import type { BoutId, ElementId } from '@/core/shared';
import { useKennelWithDog, useKeptLogs } from '@/data/live';
import type { KeptEvidence } from '@/data/read';
import { assignBout } from '@/data/write';
import { keptMarks, LongList, Notice, RepMarks, Sheet } from '@/ui';
import { writeDay } from '@/words';
import type { Opened } from './element-room';
import { tell } from './words';

/**
 * The sessions of an element that was split or joined, and which of what came of it each counts
 * for.
 */
export function AssignSessions({ element, state }: Opened) {
  const { kennel, done } = useKennelWithDog();
  const bouts = [...(state.evidence.get(element.id) ?? [])].reverse();
  const parts = (element.retired?.into ?? []).flatMap(
    (id) => state.work.elements.find((one) => one.id === id) ?? [],
  );
  const assigned = (bout: BoutId): readonly ElementId[] =>
    element.assigned.find((one) => one.bout === bout)?.to ?? [];
  const toggle = (bout: BoutId, id: ElementId): void => {
    const to = assigned(bout);
    const next = to.includes(id) ? to.filter((one) => one !== id) : [...to, id];
    void done(tell('assign-sessions.said-what-it-counts-for'), assignBout(kennel, element.id, bout, next));
  };
  return (
    <Sheet
      title={tell('assign-sessions.what-do-these-sessions-count-for')}
      aside={tell('assign-sessions.sessions-newest-first', { boutsCount: bouts.length })}
    >
      <p className="mb-3 max-w-4xl leading-snug">{tell('assign-sessions.nothing-is-lost-and-nothing-is')}</p>
      {bouts.length === 0 && <Notice>{tell('assign-sessions.no-session-was-logged-of-it')}</Notice>}
      <LongList
        label={tell('assign-sessions.sessions')}
        items={bouts}
        keyOf={(bout) => bout.id}
        height={56}
        dense
      >
        {(bout) => (
          <div className="grid items-center gap-x-6 gap-y-1 border-b border-hair py-2 md:grid-cols-[7rem_1fr_auto]">
            <span className="font-semibold">{writeDay(bout.day)}</span>
            <BoutMarks bout={bout} />
            <span>
              {parts.map((part) => (
                <label key={part.id} className="mr-4 inline-flex min-h-11 items-center gap-2">
                  <input
                    type="checkbox"
                    className="size-5 accent-(--ink)"
                    checked={assigned(bout.id).includes(part.id)}
                    onChange={() => toggle(bout.id, part.id)}
                  />
                  {part.title}
                </label>
              ))}
            </span>
          </div>
        )}
      </LongList>
    </Sheet>
  );
}

function BoutMarks({ bout }: { readonly bout: KeptEvidence }) {
  const logs = useKeptLogs([bout.id]);
  return (
    <RepMarks
      label={tell('assign-sessions.reps-of', { writeDay: writeDay(bout.day) })}
      marks={keptMarks(logs?.get(bout.id)?.marks ?? [], () => null)}
    />
  );
}
