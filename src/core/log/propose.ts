import { type Axis, type Criteria, cuesAxis, type MeasuredAs, measuredAs } from '@/core/breakdown';
import { type FaultRef, ownFault, sameFault } from '@/core/rulebooks';
import { type Sentence, say } from '@/core/shared';
import type { Judged, Measured, Seen } from './entry';

/** What a fault is charged for where it is measured: by the rule book, or by the method's own words. */
export type ChargedFor = MeasuredAs | 'cues';

/** A fault that can name what a measured value comes to; `from` and `upTo` are its band, in base units. */
export type ChargedFault = {
  readonly ref: FaultRef;
  readonly for: ChargedFor;
  readonly from: number | null;
  readonly upTo: number | null;
};

/** How an element's reps are judged by what was asked of them and measured. */
export type Judging = {
  readonly axes: readonly Axis[];
  /** The measure decides, or is only noted (some pay the slow ones too). */
  readonly measured: 'decides' | 'noted';
  /** One cue only, or repeated calmly. */
  readonly oneCue: boolean;
  readonly charged: readonly ChargedFault[];
  /** Faults that are the handler's, and do not count against the dog. */
  readonly handlers: readonly FaultRef[];
};

/**
 * How far a value may lie past what was asked before it says so: 0.15 s for a thumb on a stop-watch, a
 * frame and a half of a clip, a metre or a second of a receiver; what was typed is taken as it is.
 */
const STAMP_ERROR: Readonly<Record<Measured['how'], number>> = { tap: 0.15, typed: 0, clip: 0.05, track: 1 };

/** A fault made from the axis, where neither the rule book nor the method names one. */
export const MADE_FAULTS: Readonly<Record<ChargedFor, { readonly key: string; readonly label: Sentence }>> = {
  latency: { key: 'measured-slow', label: say('log.propose.too-slow') },
  held: { key: 'measured-short', label: say('log.propose.ended-too-early') },
  angle: { key: 'measured-crooked', label: say('log.propose.crooked') },
  offset: { key: 'measured-off', label: say('log.propose.short-of-the-place-or-past-it') },
  count: { key: 'measured-fewer', label: say('log.propose.fewer-than-asked') },
  cues: { key: 'measured-cues', label: say('log.propose.more-cues-than-allowed') },
};

/** One thing that was measured past what was asked. */
export type Missed = {
  readonly what: ChargedFor;
  readonly value: number;
  readonly asked: number;
  readonly fault: FaultRef;
};

/**
 * What was measured past what the rung asks by more than the stamp's error, in the order of the axes,
 * with the fault that names it: the rule book's, else the method's, else one made from the axis. At most
 * 6 s asked and 8.0 s tapped → slow; 6.1 s tapped → nothing, since a thumb errs by 0.15 s.
 */
export function missedOf(
  judging: Judging,
  criteria: Criteria,
  seen: Pick<Seen, 'measured' | 'cues'>,
): Missed[] {
  const found = judging.axes.flatMap((axis): Missed[] => {
    const what = measuredAs(axis);
    const was = what && seen.measured[what];
    if (!was) return [];
    const asked = criteria[axis.key] ?? axis.start;
    const error = what === 'held' || what === 'latency' ? STAMP_ERROR[was.how] : 0;
    const least = what === 'held' || what === 'count';
    const past = least ? asked - was.value : Math.abs(was.value) - asked;
    if (past <= error + 1e-9) return [];
    return [{ what, value: was.value, asked, fault: faultFor(judging.charged, what, was.value) }];
  });
  const [said, allowed] = [cuesOf(seen), cuesAllowed(judging, criteria)];
  const over =
    allowed !== null && said > allowed
      ? [
          {
            what: 'cues' as const,
            value: said,
            asked: allowed,
            fault: faultFor(judging.charged, 'cues', said - 1),
          },
        ]
      : [];
  return [...found, ...over];
}

/** Cues in all that were the dog's: the first one, those it needed, and those meant as an answer. */
const cuesOf = ({ cues }: Pick<Seen, 'cues'>): number => 1 + (cues?.needed ?? 0) + (cues?.meant ?? 0);

/** How many a rung allows: its axis of help where there is one, else one under the one-cue rule, else any. */
function cuesAllowed({ axes, oneCue }: Judging, criteria: Criteria): number | null {
  const axis = cuesAxis(axes);
  if (axis) return criteria[axis.key] ?? axis.start;
  return oneCue ? 1 : null;
}

function faultFor(charged: readonly ChargedFault[], what: ChargedFor, value: number): FaultRef {
  const size = Math.abs(value);
  const fits = charged.filter(
    (one) =>
      one.for === what && (one.from === null || size > one.from) && (one.upTo === null || size <= one.upTo),
  );
  const alike = fits[0] ?? charged.find((one) => one.for === what);
  return alike?.ref ?? ownFault(MADE_FAULTS[what].key);
}

/**
 * The judgement that follows from what was measured, for a rep that somebody called clean or flawed;
 * null where nothing measured speaks against it. Where a hold was ended by the handler, a short one is
 * neither. Faults that are only noted on this rung spoil nothing.
 */
function propose(
  judging: Judging,
  { criteria, noted }: { readonly criteria: Criteria; readonly noted: readonly FaultRef[] },
  seen: Pick<Seen, 'measured' | 'cues' | 'endedBy'>,
  said: Pick<Judged, 'outcome' | 'faults'>,
): NonNullable<Judged['proposed']> | null {
  if (said.outcome === 'miss' || said.outcome === 'none') return null;
  const missed = missedOf(judging, criteria, seen);
  if (missed.length === 0) return null;
  // Stopped early by the handler it is neither; a fault that was seen on the way stays one.
  if (seen.endedBy === 'handler' && missed.every(({ what }) => what === 'held'))
    return said.outcome === 'clean' ? { outcome: 'none', faults: said.faults } : null;
  const faults = [...said.faults];
  for (const { fault } of missed) if (!faults.some((one) => sameFault(one, fault))) faults.push(fault);
  const counts = missed.some(({ fault }) => !noted.some((one) => sameFault(one, fault)));
  return { outcome: counts ? 'flawed' : said.outcome, faults };
}

/**
 * A judgement with what was measured laid over it: the measure decides, or is only noted beside a rep
 * that stays as it was called. What was proposed is kept either way.
 */
export function judgedByMeasure(
  judging: Judging,
  asked: { readonly criteria: Criteria; readonly noted: readonly FaultRef[] },
  seen: Pick<Seen, 'measured' | 'cues' | 'endedBy'>,
  said: Judged,
): Judged {
  const proposed = propose(judging, asked, seen, said);
  if (!proposed) return { ...said, proposed: null };
  // How many cues it takes is the rule's own business: noted times are still paid, second cues are not clean.
  const onlyNoted =
    judging.measured === 'noted' &&
    missedOf(judging, asked.criteria, seen).every(({ what }) => what !== 'cues');
  return onlyNoted ? { ...said, faults: proposed.faults, proposed } : { ...said, ...proposed, proposed };
}
