import { useLiveQuery } from 'dexie-react-hooks';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { axisInWords, buildLadder, describePlace, type Ladder } from '@/core/breakdown';
import { type Advice, BODY_SIGNS } from '@/core/coaching';
import { type CoachFacts, type Folded, type Moment, timelineOf } from '@/core/log';
import { isDay } from '@/core/shared';
import { useKennelWithDog } from '@/data/live';
import {
  boutsOn,
  coachFacts,
  type DatedBout,
  type ElementRecord,
  type LoggedBout,
  logged,
  type NamedFault,
  namedFaults,
  workOf,
} from '@/data/read';
import { record, redateOuting } from '@/data/write';
import {
  Button,
  buttonClass,
  DismissSign,
  LongList,
  Notice,
  PageHead,
  SelectField,
  Sheet,
  SIGN_WORDS,
  TextField,
  writeDay,
} from '@/ui';
import { RepRow } from './rep-row';
import { TypeIn } from './type-in';

/** About how high a session of a dozen reps is, in pixels. */
const USUAL_HEIGHT = 900;

/**
 * Every bout of an element, moment by moment, with what was advised then. What was judged wrongly is
 * said again; what was said first stays in the log. Only the logs near the window are read.
 */
export function LogPage() {
  const { element: id } = useParams();
  const { kennel, dog } = useKennelWithDog();
  const work = useLiveQuery(() => workOf(kennel, dog.id), [kennel, dog.id]);
  const element = work?.elements.find((one) => one.id === id);
  const bouts = useLiveQuery(
    async () => (element ? (await boutsOn(kennel, element.id)).reverse() : []),
    [kennel, element?.id],
  );
  if (!work || !bouts) return <p className="text-lg">Reading the log …</p>;
  if (!element) return <Notice tone="alert">There is no such element for this dog.</Notice>;
  const faults = namedFaults(element, work);
  return (
    <>
      <PageHead title={`Every rep: ${element.title}`}>
        A correction stands in place of what was said first; both stay in the log.
      </PageHead>
      <p className="mb-5">
        <Link className={buttonClass('plain')} to=".." relative="path">
          Back to the session
        </Link>
      </p>
      <TypeIn element={element} />
      {bouts.length === 0 && <Notice>Nothing is logged of it yet.</Notice>}
      <LongList label="Sessions" items={bouts} keyOf={(bout) => bout.id} height={USUAL_HEIGHT}>
        {(bout) => <LoggedSheet element={element} faults={faults} bout={bout} />}
      </LongList>
    </>
  );
}

type LoggedProps = {
  readonly element: ElementRecord;
  readonly faults: readonly NamedFault[];
  readonly bout: DatedBout;
};

/** Reads the log of one bout, once it is near the window. */
function LoggedSheet({ element, faults, bout }: LoggedProps) {
  const { kennel } = useKennelWithDog();
  const found = useLiveQuery(
    async () => ({ log: await logged(kennel, bout), facts: await coachFacts(kennel, element, bout) }),
    [kennel, element, bout],
  );
  if (!found)
    return (
      <Sheet title={writeDay(bout.day)}>
        <p>Reading the log …</p>
      </Sheet>
    );
  return <BoutSheet element={element} faults={faults} logged={found.log} facts={found.facts} />;
}

type SheetProps = {
  readonly element: ElementRecord;
  readonly faults: readonly NamedFault[];
  readonly logged: LoggedBout;
  readonly facts: CoachFacts;
};

function BoutSheet({ element, faults, logged, facts }: SheetProps) {
  const { dog } = useKennelWithDog();
  const { bout, entries, folded } = logged;
  const ladder = buildLadder(element);
  const moments = timelineOf({ policy: element.policy, ladder, start: bout.start, facts }, entries);
  const conditions = Object.entries(bout.conditions).map(
    ([title, option]) => `${title.toLowerCase()} ${option}`,
  );
  const places = new Map(folded.reps.map((rep, i) => [rep.id, i + 1]));
  return (
    <Sheet
      title={writeDay(bout.day)}
      aside={[`${folded.reps.length} reps`, bout.away ? 'away' : '', ...conditions]
        .filter(Boolean)
        .join(', ')}
    >
      <DayOf bout={bout} />
      <ul className="divide-y divide-hair">
        {moments.map((moment) => {
          const { entry, rep } = moment;
          return (
            <li key={entry.id} className="py-1.5">
              {rep ? (
                <RepRow
                  rewards={dog.rewards}
                  rep={rep}
                  place={places.get(rep.id) ?? 0}
                  element={element}
                  faults={faults}
                  bout={bout}
                />
              ) : (
                <p className={moment.fate === 'undone' ? 'text-ink-soft line-through' : 'leading-snug'}>
                  {momentInWords(moment, ladder, folded)}
                </p>
              )}
              {moment.fate !== 'undone' && <Restate moment={moment} bout={bout} folded={folded} />}
              <AdviceThen advice={moment.fate === 'undone' ? [] : moment.advice} />
            </li>
          );
        })}
      </ul>
    </Sheet>
  );
}

/** The day of the outing, to be put right where a clock was wrong; the times of the reps stay as they were. */
function DayOf({ bout }: { readonly bout: DatedBout }) {
  const { kennel, today, done } = useKennelWithDog();
  const [day, setDay] = useState<string>(bout.day);
  const ahead = bout.day > today;
  const save = (): void => {
    if (isDay(day))
      void done(`It is of ${writeDay(day)} now.`, redateOuting(kennel, bout.outingId, day, today));
  };
  return (
    <details open={ahead} className="mb-2">
      <summary className="flex min-h-11 cursor-pointer items-center underline decoration-rule underline-offset-4">
        {ahead ? 'It is dated ahead and left out: put its day right' : 'Another day'}
      </summary>
      <div className="flex flex-wrap items-end gap-3">
        <TextField
          label="Day of this outing"
          type="date"
          max={today}
          value={day}
          onChange={(event) => setDay(event.target.value)}
        />
        <Button look="ink" disabled={!isDay(day) || day > today || day === bout.day} onClick={save}>
          Put it right
        </Button>
      </div>
    </details>
  );
}

type RestateProps = { readonly moment: Moment; readonly bout: DatedBout; readonly folded: Folded };

/** A sign or a note is put right, or taken back, by an entry of its own. */
function Restate({ moment: { entry }, bout, folded }: RestateProps) {
  const { kennel, done } = useKennelWithDog();
  const [open, setOpen] = useState(false);
  const note = folded.notes.find((one) => one.id === entry.id);
  const [text, setText] = useState(note?.text ?? '');
  const sign = folded.signs.find((one) => one.id === entry.id);
  const undo = (words: string): void =>
    void done(words, record(kennel, bout, { kind: 'undo', of: entry.id }));
  if (sign)
    return (
      <div className="flex flex-wrap items-center gap-3">
        <SelectField
          label="Put the sign right"
          shown={null}
          look="min-h-11 bg-paper px-1"
          value={sign.sign}
          options={BODY_SIGNS.map((one) => ({ value: one, words: SIGN_WORDS[one] }))}
          onChange={(one) =>
            void done(
              'The sign is said again.',
              record(kennel, bout, { kind: 'restate', of: sign.id, sign: one }),
            )
          }
        />
        {sign.over === null && <Button onClick={() => setOpen(true)}>It no longer holds</Button>}
        <Button look="quiet" onClick={() => undo('The sign is taken back.')}>
          Take it back
        </Button>
        <DismissSign
          open={open}
          words={`Seen: ${SIGN_WORDS[sign.sign].toLowerCase()}.`}
          onClose={() => setOpen(false)}
          onDismiss={(why) =>
            void done('It no longer holds.', record(kennel, bout, { kind: 'sign-over', of: sign.id, why }))
          }
        />
      </div>
    );
  if (!note) return null;
  return (
    <details>
      <summary className="flex min-h-11 cursor-pointer items-center underline decoration-rule underline-offset-4">
        Put the note right
      </summary>
      <div className="flex flex-wrap items-end gap-3">
        <TextField
          label="Note"
          value={text}
          maxLength={2000}
          onChange={(event) => setText(event.target.value)}
        />
        <Button
          look="ink"
          disabled={text.trim() === '' || text.trim() === note.text}
          onClick={() =>
            void done(
              'The note is said again.',
              record(kennel, bout, { kind: 'restate', of: note.id, text: text.trim() }),
            )
          }
        >
          Put it right
        </Button>
        <Button look="quiet" onClick={() => undo('The note is taken back.')}>
          Take it back
        </Button>
      </div>
    </details>
  );
}

/** What was advised then; staying and paying need no line of their own. */
function AdviceThen({ advice }: { readonly advice: readonly Advice[] }) {
  const told = advice.filter((one) => one.kind !== 'hold' && one.kind !== 'pay');
  if (told.length === 0) return null;
  return (
    <p className="text-sm leading-snug text-ink-soft">
      Advice then: {told.map((one) => `${one.kind.replace('-', ' ')}. ${one.reason}`).join(' ')}
    </p>
  );
}

/** What was entered besides reps, and a rep that was taken back. */
function momentInWords({ entry }: Moment, ladder: Ladder, { signs, notes }: Folded): string {
  switch (entry.kind) {
    case 'rep': {
      const asked = ladder.axes.map((axis) =>
        axisInWords(axis, entry.asked.criteria[axis.key] ?? axis.start),
      );
      return `Taken back: ${entry.judged.outcome}, ${asked.join(', ').toLowerCase()}`;
    }
    case 'move':
      return `To rung ${describePlace(ladder, entry.to)}`;
    case 'sign':
      return `Seen: ${SIGN_WORDS[signs.find((one) => one.id === entry.id)?.sign ?? entry.sign].toLowerCase()}`;
    case 'sign-over':
      return `The sign no longer holds: ${entry.why}`;
    case 'note':
      return notes.find((one) => one.id === entry.id)?.text ?? entry.text;
    case 'unlogged':
      return `About ${entry.count} more that nobody tallied`;
    case 'answer':
      return `Why it was refused: ${entry.why.replace('-', ' ')}`;
    case 'stage':
      return `Stage ${entry.stage}, set by hand`;
    case 'easy':
      return `An easy one: ${entry.what}`;
    case 'clock':
      return `${entry.what}: ${Math.round(entry.seconds)} s`;
    case 'override':
      return `Decided otherwise: ${entry.why}`;
    case 'rest':
      return 'Rested';
    case 'time-out':
      return 'Waited in silence';
    case 'laid':
      return 'One laid';
    case 'washed':
      return 'All washed and aired';
    case 'out-of-use':
      return `Article ${entry.article} out of use`;
    case 'touched':
      return `Article ${entry.article} touched`;
    case 'off':
      return entry.back ? 'Back to work' : 'Off on its own';
    case 'restate':
    case 'undo':
    case 'amend':
      return '';
  }
}
