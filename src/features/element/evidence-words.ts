import {
  type Axis,
  axisScale,
  buildLadder,
  type Criteria,
  describePlace,
  describeRung,
  placeOn,
  proofValue,
  writeValue,
} from '@/core/breakdown';
import type { Interval, Studied } from '@/core/evidence';
import { type Day, daysBetween, NO_BREAK } from '@/core/shared';
import { logistic, logit } from '@/core/statistics';
import type { ElementRecord } from '@/data/read';

/**
 * Below so many reps a figure would promise more than is known; and after so many days away the
 * first thing to say is the gap.
 */
const FEW = 10;
const LONG_AGO = 30;

/**
 * The one sentence at the top of an element's page: which element, which axis holds it, where, from
 * how many reps, and which rung is next. Every figure in it is worked out from the reps; where they
 * are thin it says so instead.
 */
export function elementSentence(
  element: ElementRecord,
  studied: Studied,
  stands: Criteria,
  today: Day,
): string {
  const { grounds, wall } = studied;
  const ladder = buildLadder(element);
  const here = placeOn(ladder, stands).rung;
  const place = describePlace(ladder, stands);
  const next =
    here + 1 < ladder.rungs.length ? `Next: rung ${describeRung(ladder, here + 1)}.` : topWords(studied);
  if (grounds.counted === 0)
    return `${element.title}: no rep yet, so nothing is known. Begin on rung ${place}.`;
  const rests = `${plural(grounds.counted, 'rep')} in ${plural(grounds.sessions, 'session')}`;
  const gap = grounds.lastDay === null ? 0 : daysBetween(grounds.lastDay, today);
  const away = gap > LONG_AGO ? ` Not trained for ${gap} days: begin below where it stood.` : '';
  if (grounds.counted < FEW)
    return `${element.title}: ${rests}, too few to say how far it reaches.${away} Stay on rung ${place}.`;
  const holding = holdingAxis(element, studied);
  if (!holding) return `${element.title}: nothing is climbed here, all criteria are held. ${rests}.${away}`;
  const where = reachWords(holding.axis, holding.reach);
  if (wall) {
    const axis = element.axes.find((one) => one.key === wall.axis) ?? holding.axis;
    return `${element.title}: a wall. ${axis.title} has not risen for ${wall.sessions} sessions; ${where}, from ${rests}.${away} Go back two rungs, or change how it is taught.`;
  }
  if (holding.reach.mid >= 1) {
    const sure =
      holding.reach.low >= 1 ? 'it reaches the demand' : 'it may reach the demand, and that is not sure yet';
    return `${element.title}: ${sure}. ${holding.axis.title}: ${where}, from ${rests}.${away} ${next}`;
  }
  return `${element.title}: ${holding.axis.title.toLowerCase()} holds it; ${where}, from ${rests}.${away} ${next}`;
}

/** One rep on the top rung is not yet a thing to keep. */
function topWords({ here: { reps, clean } }: Pick<Studied, 'here'>): string {
  return reps >= FEW
    ? 'It stands on the top rung: keep it, in other places.'
    : `It stands on the top rung, ${clean} of ${plural(reps, 'rep')} clean there: ${FEW - reps} more before that says anything.`;
}

/** The axis on which the dog stands furthest short of the demand; null where none is climbed. */
function holdingAxis(
  element: ElementRecord,
  studied: Studied,
): { readonly axis: Axis; readonly reach: Interval } | null {
  const found = studied.estimate.reach.flatMap((reach) => {
    const axis = element.axes.find((one) => one.key === reach.axis);
    return axis ? [{ axis, reach }] : [];
  });
  return found.length === 0
    ? null
    : found.reduce((least, one) => (one.reach.mid < least.reach.mid ? one : least));
}

function reachWords(axis: Axis, reach: Interval): string {
  const [low, mid, high] = [valueAt(axis, reach.low), valueAt(axis, reach.mid), valueAt(axis, reach.high)];
  if (reach.mid < 0) return `not clean 8 times in 10 even at its start (${valueAt(axis, 0)})`;
  const nothingKnown = reach.low < 0 && high === BEYOND;
  if (nothingKnown) return 'how far it is clean 8 times in 10 is not known yet';
  if (mid === BEYOND)
    return `clean 8 times in 10 past what is asked${low === BEYOND ? '' : ` (from ${low} on, for all that is known)`}`;
  if (low === high) return `clean 8 times in 10 at ${mid}`;
  return `clean 8 times in 10 up to about ${mid} (${low} to ${high})`;
}

const BEYOND = 'beyond the proof margin';

/** A difficulty as a value; outside the ladder it is named, never given one that nobody tried. */
function valueAt(axis: Axis, at: number): string {
  const scale = axisScale(axis);
  if (!scale.ok || scale.value.held) return writeValue(axis, axis.start);
  if (at < 0) return 'below the start';
  if (at > scale.value.difficulty(proofValue(axis))) return BEYOND;
  const value = scale.value.value(at);
  return writeValue(axis, axis.levels === null ? rounded(value) : Math.round(value));
}

/** Two significant digits: more would claim what an estimate has not. */
const rounded = (value: number): number => Number(value.toPrecision(2));
const plural = (n: number, one: string): string => `${n} ${n === 1 ? one : `${one}s`}`;
/** Whole percents; never a certainty, which no number of reps gives. */
function percent(share: number): string {
  if (share > 0.99) return `over 99${NO_BREAK}%`;
  return share < 0.01 ? `under 1${NO_BREAK}%` : `${Math.round(share * 100)}${NO_BREAK}%`;
}

const range = ({ low, high }: Interval, write: (value: number) => string): string =>
  `${write(low)} to ${write(high)}`;
const seconds = (value: number): string => `${value.toFixed(1)}${NO_BREAK}s`;
const degrees = (value: number): string =>
  `${Math.abs(value).toFixed(0)}°${value > 0.5 ? ' right' : value < -0.5 ? ' left' : ''}`;
/** What a shift in logits makes of eight in ten. */
const fromEighty = (logits: number): string => percent(logistic(logit(0.8) + logits));

/** What the page says of each thing, in the order in which it stands; only what was logged. */
export function findings(
  studied: Studied,
  today: Day,
  element: Pick<ElementRecord, 'policy' | 'axes'>,
): { readonly title: string; readonly words: string }[] {
  const { estimate, holding, latency, precision, habits, retention } = studied;
  const { swing, gain } = estimate;
  const found: ({ readonly title: string; readonly words: string } | null)[] = [
    {
      title: 'At the trial',
      words: `Cold and in a strange place: ${range(estimate.coldAway, percent)} clean at the demand.`,
    },
    {
      title: 'From day to day',
      words: `What is clean 80${NO_BREAK}% of the time has days of ${fromEighty(-swing.mid)} and days of ${fromEighty(swing.mid)}; one session makes of it ${fromEighty(gain.mid)} (${fromEighty(gain.low)} to ${fromEighty(gain.high)}).`,
    },
    holding && {
      title: 'Holding',
      words: `${holding.broken} of ${plural(holding.holds, 'hold')} were broken by the dog; ${range(holding.lasts, percent)} would last the demand.`,
    },
    latency && {
      title: 'Quickness',
      words: `The middle answer comes at ${seconds(latency.median.mid)} (${range(latency.median, seconds)}); ${percent(latency.within.mid)} within ${seconds(latency.limit)}${latency.asked ? '' : ' (a usual limit: no criterion asks for one)'}, from ${plural(latency.timed - latency.late, 'time')}${latency.late > 0 ? ` and ${latency.late} that did not come` : ''}.`,
    },
    precision && { title: 'Straightness', words: precisionWords(precision) },
    habits.anticipated.count > 0
      ? {
          title: 'Too early',
          words: `${habits.anticipated.count} of ${habits.anticipated.of} came before the word.`,
        }
      : null,
    element.policy.rule.kind === 'cue-transfer' ? aloneWords(habits.timings) : null,
    cueWords(habits.cues),
    habits.probes.of > 0
      ? {
          title: 'After a gap',
          words: `${habits.probes.count} of ${plural(habits.probes.of, 'silent test')} clean: shown apart, since a test looks for failure on purpose.`,
        }
      : null,
    habits.drive.of > 0
      ? {
          title: 'Drive',
          words: `Full drive in ${habits.drive.count} of ${habits.drive.of} where it was said.`,
        }
      : null,
    habits.calm.length > 0
      ? {
          title: 'Calm in the kit',
          words: `${capital(habits.calm.map(({ moment, rate }) => `${CALM_WORDS[moment]} ${rate.count} of ${rate.of}`).join(', '))}.`,
        }
      : null,
    habits.instead.length > 0
      ? {
          title: 'What it did instead',
          words: `${capital(habits.instead.map(({ word, did, count }) => `${word === '' ? 'asked' : `asked “${word}”`}, did “${did}” ${times(count)}`).join('; '))}. The caller draws confused words more often.`,
        }
      : null,
    mixWords(studied.words, element.axes),
    habits.handled.length > 0
      ? {
          title: 'What you did about it',
          words: `The next rep was clean: ${habits.handled.map(({ handled, next }) => `after ${HANDLED_WORDS[handled]} ${next.count} of ${next.of}`).join(', ')}. A record, no advice.`,
        }
      : null,
    habits.pay.length > 1
      ? {
          title: 'By reward',
          words: `Clean: ${habits.pay.map(({ what, rate }) => `${what} ${rate.count} of ${rate.of}`).join(', ')}.${habits.jackpots > 0 ? ` ${plural(habits.jackpots, 'jackpot')}.` : ''}`,
        }
      : null,
    habits.unasked > 0 ? { title: 'Paid though unasked', words: `${capital(times(habits.unasked))}.` } : null,
    habits.handlers.count > 0
      ? {
          title: 'The handler’s',
          words: `${habits.handlers.count} of ${plural(habits.handlers.of, 'rep')} were your doing: not counted against the dog, and they cost points at a trial.`,
        }
      : null,
    habits.landings.length > 1
      ? { title: 'Where the reward landed', words: landingWords(habits.landings) }
      : null,
    habits.breaks.length > 0 ? { title: 'By what you did', words: breakWords(habits.breaks) } : null,
    retention && {
      title: 'Keeping it',
      words: `After ${plural(retention.tries.length, 'cold try').replace('trys', 'tries')}: half of it would be gone in about ${plural(Math.round(retention.halfLife), 'day')}; ${percent(retention.today)} would still be there today. ${retention.due <= today ? 'Due now.' : `Due again in ${plural(daysBetween(today, retention.due), 'day')}.`}`,
    },
  ];
  return found.filter((one) => one !== null);
}

function precisionWords(precision: NonNullable<Studied['precision']>): string {
  const [first] = precision.within;
  const advice =
    precision.train === 'bias'
      ? ' Straighten its middle first: that is worth more than making it more even.'
      : precision.train === 'spread'
        ? ' Make it more even first: its middle is straight enough.'
        : '';
  const inside = first ? ` ${percent(first.chance)} within ${first.limit}°.` : '';
  return `Its middle is ${degrees(precision.bias.mid)} (${range(precision.bias, degrees)}), its spread ${precision.spread.mid.toFixed(0)}°, from ${plural(precision.judged, 'rep')} (${precision.measured} measured).${inside}${advice}`;
}

const DID_WORDS: Readonly<Record<string, string>> = {
  stood: 'while you stood',
  'walked-off': 'as you walked off',
  'came-back': 'as you came back',
  'out-of-sight': 'out of your sight',
  'false-move': 'at a false move',
};

/** Below so many there is no rate, only what was seen. */
const FEW_OF_ONE = 5;

/** What you did when it was not clean; where all of it falls on one thing, that thing comes first. */
function breakWords(breaks: Studied['habits']['breaks']): string {
  const sorted = [...breaks].sort((a, b) => b.rate.count - a.rate.count);
  const parts = sorted.map(
    ({ did, rate }) => `${DID_WORDS[did] ?? `at “${did}”`} ${rate.count} of ${rate.of}`,
  );
  const [first, ...others] = sorted;
  const only =
    first && first.rate.count >= 2 && others.length > 0 && others.every(({ rate }) => rate.count === 0)
      ? ` It is ${DID_WORDS[first.did] ?? `“${first.did}”`} alone: make that smaller, not rarer.`
      : '';
  const few = sorted.some(({ rate }) => rate.of < FEW_OF_ONE) ? ' Few of them: no rate yet.' : '';
  return `Not clean: ${parts.join(', ')}.${only}${few}`;
}

/** Of all chances, how often the new cue was answered by itself; the others are shown apart. */
function aloneWords(
  timings: Studied['habits']['timings'],
): { readonly title: string; readonly words: string } | null {
  const of = (...kinds: (keyof typeof timings)[]): number =>
    kinds.reduce((sum, kind) => sum + (timings[kind] ?? 0), 0);
  const [alone, prompted, failed, reminded] = [
    of('in-gap', 'unprompted'),
    of('prompted'),
    of('none'),
    of('reminded'),
  ];
  const chances = alone + prompted + failed + reminded;
  if (chances + of('before-word') === 0) return null;
  const rest = [
    prompted > 0 ? `${prompted} after the prompt` : '',
    reminded > 0 ? `${reminded} after a reminder` : '',
    failed > 0 ? `${failed} not at all` : '',
  ].filter(Boolean);
  const early = of('before-word');
  return {
    title: 'To the new cue alone',
    words: `${alone} of ${plural(chances, 'chance')}${rest.length > 0 ? `; ${rest.join(', ')}` : ''}.${early > 0 ? ` ${early} came before the word and count for neither.` : ''}`,
  };
}

function cueWords({
  needed,
  slip,
  meant,
}: Studied['habits']['cues']): { readonly title: string; readonly words: string } | null {
  if (needed.of === 0) return null;
  const parts = [
    `${needed.count} of ${plural(needed.of, 'rep')} needed another cue`,
    slip.count > 0
      ? `${slip.count} slipped from you, which costs at a trial and says nothing of the dog`
      : '',
    meant.count > 0 ? `${meant.count} were meant as an answer to a miss` : '',
  ].filter(Boolean);
  return { title: 'Extra cues', words: `${parts.join('; ')}, where it was said.` };
}

/** In a mix each word keeps its own reach. */
function mixWords(
  words: Studied['words'],
  axes: readonly Axis[],
): { readonly title: string; readonly words: string } | null {
  const length = axes.find((axis) => axis.quantity === 'distance');
  if (!length || words.length === 0) return null;
  const parts = words.map(
    ({ word, value, reps, clean }) => `“${word}” ${writeValue(length, value)} (${clean} of ${reps} clean)`,
  );
  return { title: 'By word', words: `${parts.join(', ')}. The caller asks each at its own.` };
}

const HANDLED_WORDS: Readonly<Record<Studied['habits']['handled'][number]['handled'], string>> = {
  nothing: 'nothing',
  'error-word': 'an error word',
  again: 'again at once',
  'put-back': 'putting it back',
  easier: 'making it easier',
  pause: 'a pause',
  'moved-and-back': 'moving it and back',
  'touch-or-lead': 'touch or lead',
};
const CALM_WORDS = { on: 'as it was put on', worn: 'while it was worn', off: 'after it came off' } as const;
const times = (n: number): string => (n === 1 ? 'once' : n === 2 ? 'twice' : `${n} times`);
const capital = (words: string): string => words.replace(/^./, (letter) => letter.toUpperCase());

const LANDED_WORDS = {
  spot: 'at the spot',
  ahead: 'ahead',
  behind: 'behind',
  hand: 'to hand',
  reset: 'to reset',
} as const;

function landingWords(landings: Studied['habits']['landings']): string {
  const parts = landings.map(
    ({ landed, next, latency }) =>
      `${LANDED_WORDS[landed]}: next clean ${next.count} of ${next.of}${latency === null ? '' : `, at ${seconds(latency)}`}`,
  );
  return `${parts.join('; ')}.`.replace(/^./, (letter) => letter.toUpperCase());
}
