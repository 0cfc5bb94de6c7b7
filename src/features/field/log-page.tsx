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
  isWhole,
  type LoggedBout,
  logged,
  type NamedFault,
  namedFaults,
  trainableIn,
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
} from '@/ui';
import { wordsOf, writeDay } from '@/words';
import { ADVICE_NAMES } from './advice-lines';
import { tell } from './later-words';
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
  const element = work ? trainableIn(work, id) : null;
  const bouts = useLiveQuery(
    async () => (element ? (await boutsOn(kennel, element.id)).reverse() : []),
    [kennel, element?.id],
  );
  if (!work || !bouts) return <p className="text-lg">{tell('log-page.reading-the-log')}</p>;
  if (!element)
    return (
      <>
        <PageHead title={tell('log-page.there-is-no-such-element-for-this')} />
        <Link className={buttonClass('signal', 'big')} to={`/${kennel.name}/field`}>
          {tell('log-page.choose-in-the-field')}
        </Link>
      </>
    );
  const faults = namedFaults(element, work);
  return (
    <>
      <PageHead title={tell('log-page.every-rep', { title: element.title })}>
        {tell('log-page.a-correction-stands-in-place-of')}
      </PageHead>
      <p className="mb-5">
        <Link className={buttonClass('plain')} to=".." relative="path">
          {tell('log-page.back-to-the-session')}
        </Link>
      </p>
      {!isWhole(element) && <TypeIn element={element} />}
      {bouts.length === 0 && <Notice>{tell('log-page.nothing-is-logged-of-it-yet')}</Notice>}
      <LongList
        label={tell('log-page.sessions')}
        items={bouts}
        keyOf={(bout) => bout.id}
        height={USUAL_HEIGHT}
      >
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
  // As high as it will be: were it low while it is read, more and more would come near the window and be read.
  if (!found)
    return (
      <div style={{ minHeight: USUAL_HEIGHT }}>
        <Sheet title={writeDay(bout.day)}>
          <p>{tell('log-page.reading-the-log')}</p>
        </Sheet>
      </div>
    );
  return <BoutSheet element={element} faults={faults} logged={found.log} facts={found.facts} />;
}

type SheetProps = {
  readonly element: ElementRecord;
  readonly faults: readonly NamedFault[];
  readonly logged: LoggedBout;
  readonly facts: CoachFacts;
};

/** A bout moment by moment: what was entered, what stands of it, what was advised then. */
export function BoutSheet({ element, faults, logged, facts }: SheetProps) {
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
      aside={[
        tell('log-page.reps', { repsCount: folded.reps.length }),
        bout.away ? tell('log-page.away') : '',
        ...conditions,
      ]
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
      void done(
        tell('log-page.it-is-of-now', { writeDay: writeDay(day) }),
        redateOuting(kennel, bout.outingId, day, today),
      );
  };
  return (
    <details open={ahead} className="mb-2">
      <summary className="flex min-h-11 cursor-pointer items-center underline decoration-rule underline-offset-4">
        {tell('log-page.it-is-dated-ahead-and-left-out-put', { ahead: Boolean(ahead) })}
      </summary>
      <div className="flex flex-wrap items-end gap-3">
        <TextField
          label={tell('log-page.day-of-this-outing')}
          type="date"
          max={today}
          value={day}
          onChange={(event) => setDay(event.target.value)}
        />
        <Button look="ink" disabled={!isDay(day) || day > today || day === bout.day} onClick={save}>
          {tell('log-page.put-it-right')}
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
          label={tell('log-page.put-the-sign-right')}
          shown={null}
          look="min-h-11 bg-paper px-1"
          value={sign.sign}
          options={BODY_SIGNS.map((one) => ({ value: one, words: SIGN_WORDS[one] }))}
          onChange={(one) =>
            void done(
              tell('log-page.the-sign-is-said-again'),
              record(kennel, bout, { kind: 'restate', of: sign.id, sign: one }),
            )
          }
        />
        {sign.over === null && (
          <Button onClick={() => setOpen(true)}>{tell('log-page.it-no-longer-holds')}</Button>
        )}
        <Button look="quiet" onClick={() => undo(tell('log-page.the-sign-is-taken-back'))}>
          {tell('log-page.take-it-back')}
        </Button>
        <DismissSign
          open={open}
          words={tell('log-page.seen', { sign: SIGN_WORDS[sign.sign].toLowerCase() })}
          onClose={() => setOpen(false)}
          onDismiss={(why) =>
            void done(
              tell('log-page.it-no-longer-holds-2'),
              record(kennel, bout, { kind: 'sign-over', of: sign.id, why }),
            )
          }
        />
      </div>
    );
  if (!note) return null;
  return (
    <details>
      <summary className="flex min-h-11 cursor-pointer items-center underline decoration-rule underline-offset-4">
        {tell('log-page.put-the-note-right')}
      </summary>
      <div className="flex flex-wrap items-end gap-3">
        <TextField
          label={tell('log-page.note')}
          value={text}
          maxLength={2000}
          onChange={(event) => setText(event.target.value)}
        />
        <Button
          look="ink"
          disabled={text.trim() === '' || text.trim() === note.text}
          onClick={() =>
            void done(
              tell('log-page.the-note-is-said-again'),
              record(kennel, bout, { kind: 'restate', of: note.id, text: text.trim() }),
            )
          }
        >
          {tell('log-page.put-it-right')}
        </Button>
        <Button look="quiet" onClick={() => undo(tell('log-page.the-note-is-taken-back'))}>
          {tell('log-page.take-it-back')}
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
      {tell('log-page.advice-then', {
        told: told.map((one) => `${ADVICE_NAMES[one.kind]} ${wordsOf(one.reason)}`).join(' '),
      })}
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
      return tell('log-page.taken-back', {
        outcome: entry.judged.outcome,
        asked: asked.join(', ').toLowerCase(),
      });
    }
    case 'move':
      return tell('log-page.to-rung', { describePlace: describePlace(ladder, entry.to) });
    case 'sign':
      return tell('log-page.seen-2', {
        SIGNWORDS: SIGN_WORDS[signs.find((one) => one.id === entry.id)?.sign ?? entry.sign].toLowerCase(),
      });
    case 'sign-over':
      return tell('log-page.the-sign-no-longer-holds', { why: entry.why });
    case 'note':
      return notes.find((one) => one.id === entry.id)?.text ?? entry.text;
    case 'unlogged':
      return tell('log-page.about-more-that-nobody-tallied', { count: entry.count });
    case 'answer':
      return tell('log-page.why-it-was-refused', { why: entry.why.replace('-', ' ') });
    case 'stage':
      return tell('log-page.stage-set-by-hand', { stage: entry.stage });
    case 'easy':
      return tell('log-page.an-easy-one', { what: entry.what });
    case 'clock':
      return tell('log-page.clock', { what: entry.what, seconds: Math.round(entry.seconds) });
    case 'override':
      return tell('log-page.decided-otherwise', { why: entry.why });
    case 'rest':
      return tell('log-page.rested');
    case 'time-out':
      return tell('log-page.waited-in-silence');
    case 'laid':
      return tell('log-page.one-laid');
    case 'washed':
      return tell('log-page.all-washed-and-aired');
    case 'out-of-use':
      return tell('log-page.article-out-of-use', { article: entry.article });
    case 'touched':
      return tell('log-page.article-touched', { article: entry.article });
    case 'off':
      return entry.back ? tell('log-page.back-to-work') : tell('log-page.off-on-its-own');
    case 'restate':
    case 'undo':
    case 'amend':
      return '';
  }
}
