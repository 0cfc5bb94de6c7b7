import * as v from 'valibot';
import { NO_BREAK } from '@/core/shared';
import {
  type Advice,
  type Happening,
  hold,
  type PolicyStep,
  plural,
  type Refusal,
  type Standing,
} from './events';

/**
 * *Stretch*: longer on full drive; a refusal is asked about, and only "too far" cuts. Distances are
 * those of the ladder's rungs.
 */
export const stretchRule = v.strictObject({
  kind: v.literal('stretch'),
  /** What is left of the distance after a refusal that was too far: 0.5 cuts 40 m to 20 m. */
  cut: v.pipe(v.number(), v.minValue(0.05), v.maxValue(0.9)),
  /** How often it may be lengthened in one session: the cadence is over weeks. */
  perSession: v.pipe(v.number(), v.integer(), v.minValue(1), v.maxValue(10)),
});
export type StretchRule = v.InferOutput<typeof stretchRule>;

/**
 * `asked`: a refusal waits for its answer. `cutTo`: too far, and where to instead; it stays until it is
 * taken. `unexplained`: refusals of which nobody knows why. `sore`: the session is over.
 */
export type StretchState = {
  readonly longer: number;
  readonly asked: boolean;
  readonly sore: boolean;
  readonly unexplained: number;
  readonly cut: Advice | null;
  /** What the last send came to; a rest does not make it forgotten. */
  readonly last: Advice | null;
};

/** The state before the first send: not lengthened, no question open, not sore. */
export const startStretch = (): StretchState => ({
  longer: 0,
  asked: false,
  sore: false,
  unexplained: 0,
  cut: null,
  last: null,
});

/** Full drive, by eye, of 0 to 5. */
const FULL = 5;
/** So many refusals that nobody can explain end the session. */
const UNEXPLAINED = 2;

/**
 * One event of stretching: a clean send on full drive may lengthen up to `perSession` times, a refusal
 * asks why, and its answer decides: "too far" cuts the distance to the share `cut`, "sore" ends the
 * session. Cut .5 at 40 m, too far → the rung of 20 m, advised until it is taken.
 */
export function stepStretch(
  rule: StretchRule,
  state: StretchState,
  event: Happening,
  at: Standing,
): PolicyStep<StretchState> {
  switch (event.kind) {
    case 'rep': {
      const refused = event.counts && event.outcome === 'miss';
      // A refusal whose question nobody answered stays unexplained.
      const open = state.unexplained + (refused && state.asked ? 1 : 0);
      const now = { ...state, asked: refused, unexplained: open };
      const advice = afterSend(rule, now, event, at);
      return { state: { ...now, last: advice }, advice: [advice] };
    }
    case 'answered': {
      if (!state.asked) return { state, advice: [state.cut ?? hold('No refusal is open.')] };
      const advice = afterAnswer(rule, event.why, at);
      const now: StretchState = {
        ...state,
        asked: false,
        sore: state.sore || event.why === 'sore',
        unexplained: state.unexplained + (event.why === 'unknown' ? 1 : 0),
        cut: event.why === 'too-far' && advice.kind === 'drop-back' ? advice : null,
      };
      return { state: now, advice: [now.unexplained >= UNEXPLAINED ? MOUTH_FEET_BACK : advice] };
    }
    case 'moved': {
      const longer = state.longer + (event.rung > (at.before ?? event.rung) ? 1 : 0);
      return {
        state: { ...state, asked: false, longer, cut: null, last: null },
        advice: [hold('Send at this distance, and look at the drive.')],
      };
    }
    default:
      return {
        state,
        advice: [
          state.asked ? question : (state.cut ?? state.last ?? hold('Look at the drive of the next send.')),
        ],
      };
  }
}

const question: Advice = {
  kind: 'ask',
  about: 'refusal',
  reason: 'It was refused. Too far is only one reason; without an answer nothing is changed.',
};
const SORE: Advice = {
  kind: 'stop',
  reason: 'It may be sore: stop now. If it stays, see a veterinary surgeon before the next session.',
};
const MOUTH_FEET_BACK: Advice = {
  kind: 'end',
  reason:
    'Two refusals that nobody can explain: end here, and look at its mouth, feet and back before the next one.',
};

function afterSend(
  rule: StretchRule,
  state: StretchState,
  { outcome, counts, drive }: Extract<Happening, { kind: 'rep' }>,
  at: Standing,
): Advice {
  if (state.sore) return SORE;
  if (state.unexplained >= UNEXPLAINED) return MOUTH_FEET_BACK;
  if (state.asked) return question;
  if (state.cut) return state.cut;
  if (!counts || outcome !== 'clean') return hold('Not clean: the same distance again.');
  if (typeof drive !== 'number')
    return hold('It went; nothing was said of its drive. Only full drive makes it longer.');
  if (drive < FULL) return hold('It went, not on full drive: the same distance again.');
  if (at.rung >= at.top)
    return { kind: 'done', reason: 'Full drive at the whole distance. End here, or send in a new place.' };
  if (state.longer >= rule.perSession)
    return hold(
      `Made longer ${plural(state.longer, 'time')} today; your rule is ${rule.perSession} a session. The rest belongs to other days.`,
    );
  return { kind: 'advance', to: at.rung + 1, reason: `Full drive${shown(at, at.rung)}: a little longer.` };
}

function afterAnswer(rule: StretchRule, why: Refusal, at: Standing): Advice {
  switch (why) {
    case 'too-far':
      return cutBack(rule, at);
    case 'sore':
      return SORE;
    case 'did-not-mark':
      return hold('It did not see where: the same distance again, marked well.');
    case 'chewing':
      return hold('Chewing is not distance: the same again, and be quicker to take it.');
    case 'something-new':
      return hold('Something new took its eyes: let it look, then the same again.');
    case 'unknown':
      return hold('Not known why: stay here. Nothing is cut on a guess.');
  }
}

/** The highest rung at or under the share; the shortest there is where even that is longer. */
function cutBack(rule: StretchRule, at: Standing): Advice {
  if (at.values === null)
    return hold('No axis of this ladder is a length, so nothing can be cut. Make it easier by hand.');
  const wanted = (at.values[at.rung] ?? 0) * rule.cut;
  const to = at.values.findLastIndex((value, i) => i < at.rung && value <= wanted + 1e-9);
  if (to >= 0)
    return {
      kind: 'drop-back',
      to,
      reason: `Too far${shown(at, at.rung)}: cut to${shown(at, to).replace(' at', '')} and build it up again.`,
    };
  const shortest = at.values[0] ?? 0;
  const words = `Half of it or less would be ${Number(wanted.toPrecision(2))}${NO_BREAK}m; the ladder begins at ${Number(shortest.toPrecision(3))}${NO_BREAK}m.`;
  if (at.rung > 0)
    return {
      kind: 'drop-back',
      to: 0,
      reason: `Too far. ${words} Begin there, or nearer still: under 2${NO_BREAK}m if it must be.`,
    };
  return hold(
    `Too far, on the lowest rung. ${words} Make the start nearer: under 2${NO_BREAK}m if it must be.`,
  );
}

const shown = (at: Standing, rung: number): string => {
  const value = at.values?.[rung];
  return value === undefined ? '' : ` at ${Number(value.toPrecision(3))}${NO_BREAK}m`;
};
