import { Link } from 'react-router';
import type { Measured } from '@/core/log';
import type { ClipMeasure, Go } from '@/core/review';
import { asId, type BoutId, type EntryId } from '@/core/shared';
import { useDogs, useKennel } from '@/data/live';
import type { Clip } from '@/data/read';
import { addRepOf, amendReps, changeClip, layClip, markStop } from '@/data/write';
import { Button, buttonClass, Notice, SelectField, Sheet } from '@/ui';
import { writeDay, writeDigits, writeInstant } from '@/words';
import { alignedInWords, endOf, layBeside, layByHand } from './beside-log';
import type { Opened } from './clip-store';
import {
  type Correction,
  correctionsOf,
  judgedTwice,
  type LengthUnit,
  lateCorrection,
  unitOf,
  valueInWords,
} from './clip-view';
import type { MeasuredGo } from './goes-sheet';
import { boutOfFile, type Choice, type ClipLog, useBoutsToShow } from './use-clip-log';
import { tell } from './words';

type Props = {
  readonly clip: Clip;
  readonly opened: Opened | null;
  readonly goes: readonly MeasuredGo[];
  readonly log: ClipLog | null;
  readonly unit: LengthUnit;
  /** Seconds of the clip that are shown. */
  readonly at: number | null;
};

/** The clip beside the log of its bout: laid there by its stamps, reps corrected or added by what it shows. */
export function LogSheet({ clip, opened, goes, log, unit, at }: Props) {
  const { kennel, done, today } = useKennel();
  const dogs = useDogs() ?? [];
  const bouts = useBoutsToShow(clip.dogId, today);
  const choose = (id: string): void =>
    void done(
      tell('log.bout-kept'),
      changeClip(kennel, clip.id, { boutId: id === '' ? null : asId<BoutId>(id) }),
    );
  const guess =
    bouts && opened && clip.boutId === null ? boutOfFile(opened.file, clip.print.seconds, bouts) : null;
  return (
    <Sheet title={tell('log.title')}>
      {dogs.length > 1 && (
        <SelectField
          className="mb-2"
          label={tell('log.dog')}
          value={clip.dogId}
          options={dogs.map(({ id, name }) => ({ value: id, words: name }))}
          onChange={(dogId) => void done(tell('log.bout-kept'), changeClip(kennel, clip.id, { dogId }))}
        />
      )}
      <SelectField
        label={tell('log.bout')}
        value={clip.boutId ?? ''}
        options={[
          { value: '', words: tell('log.no-bout') },
          ...(bouts ?? []).map((one) => ({ value: one.id, words: boutInWords(one) })),
          // A bout of long ago stays chosen.
          ...(log && !bouts?.some(({ id }) => id === log.bout.id)
            ? [{ value: log.bout.id as string, words: `${writeDay(log.bout.day)}: ${log.element.title}` }]
            : []),
        ]}
        onChange={choose}
      />
      {guess && (
        <p className="mt-2">
          <Button onClick={() => choose(guess.id)}>{tell('log.guess', { bout: boutInWords(guess) })}</Button>
        </p>
      )}
      {bouts?.length === 0 && <p className="mt-2">{tell('log.no-bouts')}</p>}
      {log && <Beside clip={clip} goes={goes} log={log} unit={unit} at={at} />}
    </Sheet>
  );
}

const boutInWords = ({ startedAt, title, reps }: Choice): string =>
  tell('log.one-bout', { at: writeInstant(startedAt), title, reps });

type BesideProps = Omit<Props, 'opened' | 'log'> & { readonly log: ClipLog };

function Beside({ clip, goes, log, unit, at }: BesideProps) {
  const { kennel, done } = useKennel();
  const { reps } = log;
  const plain = goes.map(({ go }) => go);
  const corrections = correctionsOf(goes, reps, log.judging);
  const twice = judgedTwice(plain, reps);
  const lay = (): void => {
    const laid = layBeside(plain, reps);
    if (laid)
      void done(
        alignedInWords(laid.aligned),
        // Unsure, it lies nowhere: somebody says first which rep a go is.
        layClip(kennel, clip.id, laid.aligned.unsure ? null : laid.aligned.offset * 1000, laid.joins),
      );
    else
      void done(
        tell('log.nothing-meets', { goes: goes.length, reps: reps.length }),
        layClip(kennel, clip.id, clip.offset, []),
      );
  };
  const amend = (list: readonly Correction[]): void =>
    void done(
      tell('log.corrected', { count: list.length }),
      amendReps(
        kennel,
        log.bout,
        list.map(({ rep, change }) => ({ of: rep, change })),
      ),
    );
  const joined = plain.filter(({ rep }) => rep !== null).length;
  const endsAfter = at === null ? null : plain.findLast(({ rep, cue }) => rep !== null && cue.at <= at);
  return (
    <div className="mt-3 grid gap-3">
      <p className="flex flex-wrap items-center gap-2">
        <Button look={joined === 0 ? 'ink' : 'plain'} size="big" onClick={lay}>
          {tell('log.lay')}
        </Button>
        <span className="leading-snug">
          {tell('log.joined', { joined, goes: goes.length, reps: reps.length })}
        </span>
      </p>
      {corrections.length > 0 && (
        <Button look="signal" size="big" onClick={() => amend(corrections)}>
          {tell('log.correct', { count: corrections.length })}
        </Button>
      )}
      {twice.of > 0 && (
        <Notice>
          {tell('log.twice', { same: twice.same, of: twice.of })}
          {twice.apart.map((one) => ` ${tell('log.apart', one)}`)}
        </Notice>
      )}
      <ol className="divide-y divide-hair">
        {goes.map(({ go }, i) => (
          <GoLine
            key={go.cue.id}
            clip={clip}
            go={go}
            place={i + 1}
            goes={plain}
            log={log}
            unit={unit}
            correction={corrections.find((one) => one.go === i) ?? null}
            onCorrect={(one) => amend([one])}
          />
        ))}
      </ol>
      {endsAfter?.rep && (
        <p>
          <Button
            onClick={() =>
              void done(
                tell('log.ends-kept', { rep: reps.findIndex(({ id }) => id === endsAfter.rep) + 1 }),
                markStop(kennel, log.bout.id, endsAfter.rep as EntryId),
              )
            }
          >
            {tell('log.should-have-ended', { rep: reps.findIndex(({ id }) => id === endsAfter.rep) + 1 })}
          </Button>
        </p>
      )}
      <p>
        <Link
          className={buttonClass('quiet')}
          to={`/${kennel.name}/field/${log.element.id}/log/${log.bout.id}`}
        >
          {tell('log.to-the-log')}
        </Link>
      </p>
    </div>
  );
}

/** What the clip says, and what the log has where it has anything. */
function differsInWords(measure: ClipMeasure, was: Measured | null, unit: LengthUnit): string {
  const name = tell('measure.name', { kind: measure.kind });
  const value = valueInWords(measure, unit);
  if (was === null) return tell('log.new', { name, value });
  const { per, digits } = unitOf(measure, unit);
  return tell('log.differs', { name, value, was: writeDigits(was.value / per, digits) });
}

type LineProps = {
  readonly clip: Clip;
  readonly go: Go;
  readonly place: number;
  readonly goes: readonly Go[];
  readonly log: ClipLog;
  readonly unit: LengthUnit;
  readonly correction: Correction | null;
  readonly onCorrect: (correction: Correction) => void;
};

/** One go beside its rep: which it is, what differs, and what can be done about it. */
function GoLine({ clip, go, place, goes, log, unit, correction, onCorrect }: LineProps) {
  const { kennel, done } = useKennel();
  const { reps, bout, element } = log;
  const rep = reps.find(({ id }) => id === go.rep) ?? null;
  const join = (id: string): void => {
    const chosen = reps.find((one) => one.id === id) ?? null;
    const { offset, joins } = layByHand(goes, reps, clip.offset, place - 1, chosen);
    void done(tell('log.joined-by-hand', { place }), layClip(kennel, clip.id, offset, joins));
  };
  const late = rep ? lateCorrection(go, rep, element) : null;
  const { judged, seen } = late?.ok ? late.value : {};
  // A grade moves the ladder also where the judgement stays as it was.
  const differs =
    (judged !== undefined && judged.outcome !== rep?.judged.outcome) ||
    (seen?.grade !== undefined && seen.grade !== rep?.seen.grade);
  return (
    <li className="grid gap-1 py-2">
      <SelectField
        label={tell('log.which', { place })}
        beside
        value={go.rep ?? ''}
        options={[
          { value: '', words: tell('log.no-rep') },
          ...reps.map((one, i) => ({
            value: one.id as string,
            words: tell('log.rep', { rep: i + 1, outcome: one.judged.outcome }),
          })),
        ]}
        onChange={join}
      />
      {correction && (
        <p className="flex flex-wrap items-center gap-2 leading-snug">
          <span>
            {correction.measured.map(({ measure, was }) => differsInWords(measure, was, unit)).join('; ')}
            {correction.becomes !== null && ` ${tell('log.becomes', { outcome: correction.becomes })}`}
          </span>
          <Button onClick={() => onCorrect(correction)}>{tell('log.take-over', { place })}</Button>
        </p>
      )}
      {rep && late?.ok && differs && (
        <p>
          <Button
            onClick={() =>
              void done(
                tell('log.judged-again', { place }),
                amendReps(kennel, bout, [{ of: rep.id, change: late.value }]),
              )
            }
          >
            {tell('log.judge-so', { place, outcome: late.value.judged?.outcome ?? '' })}
          </Button>
        </p>
      )}
      {go.rep === null && clip.offset !== null && <AddRep clip={clip} go={go} place={place} log={log} />}
    </li>
  );
}

/** A go that the log lacks is added once somebody has judged it. */
function AddRep({ clip, go, place, log }: Pick<LineProps, 'clip' | 'go' | 'place' | 'log'>) {
  const { kennel, done } = useKennel();
  if (go.judged === null)
    return <p className="leading-snug text-ink-soft">{tell('log.judge-first', { place })}</p>;
  const { judged } = go;
  const end = endOf(go);
  const at = (clip.offset ?? 0) + end * 1000;
  // Asked as the rep before it was; a call was that rep's own.
  const before = log.reps.findLast((one) => one.at <= at) ?? log.reps[0];
  const asked = { ...(before?.asked ?? { criteria: log.bout.start, chips: {}, noted: [] }), call: null };
  return (
    <p>
      <Button
        onClick={() =>
          void done(
            tell('log.added', { place }),
            addRepOf(
              kennel,
              clip,
              go.cue.id,
              {
                asked,
                seen: { measured: {}, timing: null, endedBy: null, run: null, sinceCue: end - go.cue.at },
                judged: { outcome: judged },
              },
              at,
            ),
          )
        }
      >
        {tell('log.add', { place, outcome: judged })}
      </Button>
    </p>
  );
}
