import * as v from 'valibot';
import { must, type Sentence, say, toBase, type Value } from '@/core/shared';
import { type Advice, type Happening, hold, type PolicyStep, type Refusal, type Standing } from './events';

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
      if (!state.asked)
        return { state, advice: [state.cut ?? hold(say('coaching.stretch.no-refusal-is-open'))] };
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
        advice: [hold(say('coaching.stretch.send-at-this-distance-and-look-at'))],
      };
    }
    default:
      return {
        state,
        advice: [
          state.asked
            ? question
            : (state.cut ?? state.last ?? hold(say('coaching.stretch.look-at-the-drive-of-the-next-send'))),
        ],
      };
  }
}

const question: Advice = {
  kind: 'ask',
  about: 'refusal',
  reason: say('coaching.stretch.it-was-refused-too-far-is-only-one'),
};
const SORE: Advice = {
  kind: 'stop',
  reason: say('coaching.stretch.it-may-be-sore-stop-now-if-it'),
};
const MOUTH_FEET_BACK: Advice = {
  kind: 'end',
  reason: say('coaching.stretch.two-refusals-that-nobody-can'),
};

function afterSend(
  rule: StretchRule,
  state: StretchState,
  { outcome, counts, drive }: Extract<Happening, { kind: 'rep' }>,
  at: Standing,
): Advice {
  const open = stillOpen(state);
  if (open) return open;
  if (!counts || outcome !== 'clean') return hold(say('coaching.stretch.not-clean-the-same-distance-again'));
  if (typeof drive !== 'number') return hold(say('coaching.stretch.it-went-nothing-was-said-of-its'));
  if (drive < FULL) return hold(say('coaching.stretch.it-went-not-on-full-drive-the-same'));
  return onFullDrive(rule, state, at);
}

/** What comes before any send: it is sore, nobody knows why it refuses, a question or a cut is open. */
function stillOpen(state: StretchState): Advice | null {
  if (state.sore) return SORE;
  if (state.unexplained >= UNEXPLAINED) return MOUTH_FEET_BACK;
  return state.asked ? question : state.cut;
}

/** Longer, as far as the ladder and the cadence of one session let it. */
function onFullDrive(rule: StretchRule, { longer }: StretchState, at: Standing): Advice {
  if (at.rung >= at.top)
    return { kind: 'done', reason: say('coaching.stretch.full-drive-at-the-whole-distance') };
  if (longer >= rule.perSession)
    return hold(say('coaching.stretch.made-longer-time', { longer, perSession: rule.perSession }));
  return {
    kind: 'advance',
    to: at.rung + 1,
    reason: say('coaching.stretch.full-drive-a-little-longer', { shown: atLength(at) }),
  };
}

function afterAnswer(rule: StretchRule, why: Refusal, at: Standing): Advice {
  switch (why) {
    case 'too-far':
      return cutBack(rule, at);
    case 'sore':
      return SORE;
    case 'did-not-mark':
      return hold(say('coaching.stretch.it-did-not-see-where-the-same'));
    case 'chewing':
      return hold(say('coaching.stretch.chewing-is-not-distance-the-same'));
    case 'something-new':
      return hold(say('coaching.stretch.something-new-took-its-eyes-let-it'));
    case 'unknown':
      return hold(say('coaching.stretch.not-known-why-stay-here-nothing-is'));
  }
}

/** The highest rung at or under the share; the shortest there is where even that is longer. */
function cutBack(rule: StretchRule, at: Standing): Advice {
  const { values, rung } = at;
  if (values === null) return hold(say('coaching.stretch.no-axis-of-this-ladder-is-a-length'));
  const wanted = (values[rung] ?? 0) * rule.cut;
  const to = values.findLastIndex((value, i) => i < rung && value <= wanted + 1e-9);
  if (to >= 0) {
    const cut = { shown: atLength(at), length: length(at, values[to] ?? 0) };
    return { kind: 'drop-back', to, reason: say('coaching.stretch.too-far-cut-to-and-build-it-up', cut) };
  }
  const said = {
    words: say('coaching.stretch.half-of-it-or-less-would-be-m-the', {
      wanted: length(at, wanted),
      shortest: length(at, values[0] ?? 0),
    }),
    least: length(at, at.unit === 'yd' ? must(toBase('distance', LEAST, 'yd')) : LEAST),
  };
  if (rung > 0)
    return { kind: 'drop-back', to: 0, reason: say('coaching.stretch.too-far-begin-there-or-nearer', said) };
  return hold(say('coaching.stretch.too-far-on-the-lowest-rung-make', said));
}

/** A cut may go as low as this, in metres or yards, if it must. */
const LEAST = 2;

/** A length in the unit in which the ladder is written: 25 yd stay 25 yd. */
const length = (at: Standing, base: number): Value => ({ quantity: 'distance', base, unit: at.unit });

/** " at 25 yd", where the ladder has a length. */
const atLength = (at: Standing): Sentence | null => {
  const value = at.values?.[at.rung];
  return value === undefined ? null : say('coaching.stretch.at-length', { length: length(at, value) });
};
