import { useLiveQuery } from 'dexie-react-hooks';
import { Link, useParams } from 'react-router';
import { toast } from 'sonner';
import { writeValue } from '@/core/breakdown';
import {
  type ElementRecord,
  type Entry,
  type Judgement,
  judgementOf,
  type NamedFault,
  namedFaults,
  recentSessions,
  recordCorrection,
  type Session,
  type StandingRep,
  standingReps,
  useKennelWithDog,
  workOf,
} from '@/data/repositories';
import { buttonClass, Notice, PageHead, Sheet } from '@/ui';
import { TypeIn } from './type-in';

const SESSIONS = 5;

/** The last sessions of an element, rep by rep. What was judged wrongly is said again; what was said first stays in the log. */
export function LogPage() {
  const { element: id } = useParams();
  const { kennel, dog } = useKennelWithDog();
  const found = useLiveQuery(async () => {
    const work = await workOf(kennel, dog.id);
    const element = work.elements.find((one) => one.id === id);
    const all = await recentSessions(kennel, dog.id, Number.POSITIVE_INFINITY);
    return {
      element,
      faults: element ? namedFaults(element, work) : [],
      sessions: all.filter(({ session }) => session.elementId === id).slice(0, SESSIONS),
    };
  }, [kennel, dog.id, id]);
  if (!found) return <p className="text-lg">Reading the log …</p>;
  if (!found.element) return <Notice tone="alert">There is no such element for this dog.</Notice>;
  return (
    <>
      <PageHead title={`Every rep: ${found.element.title}`}>A correction stands in place of what was said first; both stay in the log.</PageHead>
      <p className="mb-5">
        <Link className={buttonClass('plain')} to=".." relative="path">
          Back to the session
        </Link>
      </p>
      <TypeIn element={found.element} />
      {found.sessions.length === 0 && <Notice>Nothing is logged of it yet.</Notice>}
      <div className="grid gap-6">
        {found.sessions.map(({ session, entries }) => (
          <SessionSheet key={session.id} element={found.element as ElementRecord} faults={found.faults} session={session} entries={entries} />
        ))}
      </div>
    </>
  );
}

type SheetProps = {
  readonly element: ElementRecord;
  readonly faults: readonly NamedFault[];
  readonly session: Session;
  readonly entries: readonly Entry[];
};

function SessionSheet({ element, faults, session, entries }: SheetProps) {
  const reps = standingReps(entries);
  const notes = entries.flatMap((entry) => (entry.kind === 'note' ? [entry] : []));
  const conditions = Object.entries(session.conditions).map(([title, option]) => `${title.toLowerCase()} ${option}`);
  return (
    <Sheet title={session.day} aside={[`${reps.length} reps`, session.away ? 'away' : '', ...conditions].filter(Boolean).join(', ')}>
      <ul className="divide-y divide-hair">
        {reps.map((rep, i) => (
          <RepRow key={rep.id} rep={rep} place={i + 1} element={element} faults={faults} session={session} />
        ))}
      </ul>
      {notes.map((note) => (
        <p key={note.id} className="mt-2 border-l-[6px] border-rule bg-paper px-3 py-1.5 leading-snug">
          {note.text}
        </p>
      ))}
    </Sheet>
  );
}

const OUTCOMES: readonly (readonly [Judgement['outcome'], string])[] = [
  ['clean', 'clean'],
  ['flawed', 'flawed'],
  ['miss', 'miss'],
];
const CAUSES: readonly (readonly [Judgement['cause'], string])[] = [
  ['dog', 'the dog’s'],
  ['handler', 'the handler’s'],
  ['apparatus', 'the kit’s'],
  ['environment', 'the place’s'],
];

type RowProps = {
  readonly rep: StandingRep;
  readonly place: number;
  readonly element: ElementRecord;
  readonly faults: readonly NamedFault[];
  readonly session: Session;
};

function RepRow({ rep, place, element, faults, session }: RowProps) {
  const { kennel, now } = useKennelWithDog();
  const correct = async (change: Partial<Judgement>): Promise<void> => {
    const written = await recordCorrection(kennel, session, rep.id, { ...judgementOf(rep), ...change }, now());
    toast(written.ok ? `Rep ${place} is said again.` : written.message);
  };
  // Only a fault of that kind can be named: a miss has its own, and a clean rep keeps what was only noted.
  const fitting = faults.filter((fault) => (rep.outcome === 'miss' ? fault.miss : !fault.miss));
  const select = <T extends string>(label: string, value: T, options: readonly (readonly [T, string])[], onTake: (value: T) => void) => (
    <select
      aria-label={`Rep ${place} of ${session.day}: ${label}`}
      className="min-h-11 border-b-2 border-ink bg-paper px-1"
      value={value}
      onChange={(event) => {
        const chosen = options.find(([id]) => id === event.target.value);
        if (chosen) onTake(chosen[0]);
      }}
    >
      {options.map(([id, words]) => (
        <option key={id} value={id}>
          {words}
        </option>
      ))}
    </select>
  );
  return (
    <li className="flex flex-wrap items-center gap-x-4 gap-y-1 py-1.5">
      <span className="w-8 font-semibold">{place}</span>
      <span className="w-44 text-sm leading-tight text-ink-soft">
        rung {rep.rung + 1}: {element.axes.map((axis) => writeValue(axis, rep.criteria[axis.key] ?? axis.start)).join(', ')}
      </span>
      {select('outcome', rep.outcome, OUTCOMES, (outcome) => void correct({ outcome, option: null }))}
      {rep.outcome !== 'clean' &&
        select(
          'fault',
          rep.option ?? '',
          [['', 'not named'], ...fitting.map((fault) => [fault.key, fault.label] as const)],
          (option) => void correct({ option: option || null }),
        )}
      {select('whose', rep.cause, CAUSES, (cause) => void correct({ cause }))}
      <label className="inline-flex min-h-11 items-center gap-2">
        <input
          type="checkbox"
          className="size-5 accent-(--ink)"
          aria-label={`Rep ${place} of ${session.day}: aided`}
          checked={rep.aided}
          onChange={() => void correct({ aided: !rep.aided })}
        />
        aided
      </label>
      <span className="text-sm text-ink-soft">
        {[rep.latency === null ? '' : `${rep.latency.toFixed(1)} s`, rep.corrected ? 'corrected' : ''].filter(Boolean).join(', ')}
      </span>
    </li>
  );
}
