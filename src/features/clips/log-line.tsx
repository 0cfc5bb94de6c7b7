import type { Measured } from '@/core/log';
import type { ClipMeasure, Go } from '@/core/review';
import { useKennel } from '@/data/live';
import type { Clip } from '@/data/read';
import { addRepOf, amendReps, layClip } from '@/data/write';
import { Button, SelectField } from '@/ui';
import { writeDigits } from '@/words';
import { endOf, layByHand } from './beside-log';
import { type Correction, type LengthUnit, lateCorrection, unitOf, valueInWords } from './clip-view';
import type { ClipLog } from './use-clip-log';
import { tell } from './words';

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
export function GoLine({ clip, go, place, goes, log, unit, correction, onCorrect }: LineProps) {
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
