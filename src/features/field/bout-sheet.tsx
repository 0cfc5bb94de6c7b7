import { useState } from 'react';
import { axisInWords, buildLadder, describePlace, type Ladder } from '@/core/breakdown';
import { type Advice, BODY_SIGNS } from '@/core/coaching';
import { type CoachFacts, type Folded, type Moment, timelineOf } from '@/core/log';
import { isDay } from '@/core/shared';
import { useKennelWithDog } from '@/data/live';
import type { DatedBout, ElementRecord, LoggedBout, NamedFault } from '@/data/read';
import { record, redateOuting } from '@/data/write';
import { Button, DismissSign, SelectField, Sheet, SIGN_WORDS, TextField } from '@/ui';
import { wordsOf, writeDay } from '@/words';
import { ADVICE_NAMES } from './advice-lines';
import { tell } from './later-words';
import { RepRow } from './rep-row';

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
        tell('bout-sheet.reps', { repsCount: folded.reps.length }),
        bout.away ? tell('bout-sheet.away') : '',
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
        tell('bout-sheet.it-is-of-now', { writeDay: writeDay(day) }),
        redateOuting(kennel, bout.outingId, day, today),
      );
  };
  return (
    <details open={ahead} className="mb-2">
      <summary className="flex min-h-11 cursor-pointer items-center underline decoration-rule underline-offset-4">
        {tell('bout-sheet.it-is-dated-ahead-and-left-out-put', { ahead: Boolean(ahead) })}
      </summary>
      <div className="flex flex-wrap items-end gap-3">
        <TextField
          label={tell('bout-sheet.day-of-this-outing')}
          type="date"
          max={today}
          value={day}
          onChange={(event) => setDay(event.target.value)}
        />
        <Button look="ink" disabled={!isDay(day) || day > today || day === bout.day} onClick={save}>
          {tell('bout-sheet.put-it-right')}
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
          label={tell('bout-sheet.put-the-sign-right')}
          shown={null}
          look="min-h-11 bg-paper px-1"
          value={sign.sign}
          options={BODY_SIGNS.map((one) => ({ value: one, words: SIGN_WORDS[one] }))}
          onChange={(one) =>
            void done(
              tell('bout-sheet.the-sign-is-said-again'),
              record(kennel, bout, { kind: 'restate', of: sign.id, sign: one }),
            )
          }
        />
        {sign.over === null && (
          <Button onClick={() => setOpen(true)}>{tell('bout-sheet.it-no-longer-holds')}</Button>
        )}
        <Button look="quiet" onClick={() => undo(tell('bout-sheet.the-sign-is-taken-back'))}>
          {tell('bout-sheet.take-it-back')}
        </Button>
        <DismissSign
          open={open}
          words={tell('bout-sheet.seen', { sign: SIGN_WORDS[sign.sign].toLowerCase() })}
          onClose={() => setOpen(false)}
          onDismiss={(why) =>
            void done(
              tell('bout-sheet.it-no-longer-holds-2'),
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
        {tell('bout-sheet.put-the-note-right')}
      </summary>
      <div className="flex flex-wrap items-end gap-3">
        <TextField
          label={tell('bout-sheet.note')}
          value={text}
          maxLength={2000}
          onChange={(event) => setText(event.target.value)}
        />
        <Button
          look="ink"
          disabled={text.trim() === '' || text.trim() === note.text}
          onClick={() =>
            void done(
              tell('bout-sheet.the-note-is-said-again'),
              record(kennel, bout, { kind: 'restate', of: note.id, text: text.trim() }),
            )
          }
        >
          {tell('bout-sheet.put-it-right')}
        </Button>
        <Button look="quiet" onClick={() => undo(tell('bout-sheet.the-note-is-taken-back'))}>
          {tell('bout-sheet.take-it-back')}
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
      {tell('bout-sheet.advice-then', {
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
      return tell('bout-sheet.taken-back', {
        outcome: entry.judged.outcome,
        asked: asked.join(', ').toLowerCase(),
      });
    }
    case 'move':
      return tell('bout-sheet.to-rung', { describePlace: describePlace(ladder, entry.to) });
    case 'sign':
      return tell('bout-sheet.seen-2', {
        SIGNWORDS: SIGN_WORDS[signs.find((one) => one.id === entry.id)?.sign ?? entry.sign].toLowerCase(),
      });
    case 'sign-over':
      return tell('bout-sheet.the-sign-no-longer-holds', { why: entry.why });
    case 'note':
      return notes.find((one) => one.id === entry.id)?.text ?? entry.text;
    case 'unlogged':
      return tell('bout-sheet.about-more-that-nobody-tallied', { count: entry.count });
    case 'answer':
      return tell('bout-sheet.why-it-was-refused', { why: entry.why.replace('-', ' ') });
    case 'stage':
      return tell('bout-sheet.stage-set-by-hand', { stage: entry.stage });
    case 'easy':
      return tell('bout-sheet.an-easy-one', { what: entry.what });
    case 'clock':
      return tell('bout-sheet.clock', { what: entry.what, seconds: Math.round(entry.seconds) });
    case 'override':
      return tell('bout-sheet.decided-otherwise', { why: entry.why });
    case 'rest':
      return tell('bout-sheet.rested');
    case 'time-out':
      return tell('bout-sheet.waited-in-silence');
    case 'laid':
      return tell('bout-sheet.one-laid');
    case 'washed':
      return tell('bout-sheet.all-washed-and-aired');
    case 'out-of-use':
      return tell('bout-sheet.article-out-of-use', { article: entry.article });
    case 'touched':
      return tell('bout-sheet.article-touched', { article: entry.article });
    case 'off':
      return entry.back ? tell('bout-sheet.back-to-work') : tell('bout-sheet.off-on-its-own');
    case 'restate':
    case 'undo':
    case 'amend':
      return '';
  }
}
