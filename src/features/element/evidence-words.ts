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
import { chanceInWords, type Interval, isThin, type Studied, tenths } from '@/core/evidence';
import { type Day, daysBetween } from '@/core/shared';
import { logistic, logit } from '@/core/statistics';
import type { ElementRecord } from '@/data/read';
import { NO_BREAK, wordsOf, writeDay, writeDigits } from '@/words';
import { tell } from './words';

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
    here + 1 < ladder.rungs.length
      ? tell('evidence-words.next-rung', { describeRung: describeRung(ladder, here + 1) })
      : topWords(studied);
  if (grounds.counted === 0)
    return tell('evidence-words.no-rep-yet-so-nothing-is-known', { title: element.title, place });
  const rests = tell('evidence-words.in', {
    plural: tell('evidence-words.n-rep', { n: grounds.counted }),
    plural2: tell('evidence-words.n-session', { n: grounds.sessions }),
  });
  const gap = grounds.lastDay === null ? 0 : daysBetween(grounds.lastDay, today);
  const away = gap > LONG_AGO ? tell('evidence-words.not-trained-for-days-begin-below', { gap }) : '';
  if (grounds.counted < FEW)
    return tell('evidence-words.too-few-to-say-how-far-it-reaches', {
      title: element.title,
      rests,
      away,
      place,
    });
  const title = tell('evidence-words.title-and-chance', {
    title: element.title,
    chance: wordsOf(chanceInWords(studied)),
  });
  const holding = holdingAxis(element, studied);
  if (!holding) return tell('evidence-words.nothing-is-climbed-here-all', { title, away });
  const where = reachWords(holding.axis, holding.reach);
  if (wall) {
    const axis = element.axes.find((one) => one.key === wall.axis) ?? holding.axis;
    return tell('evidence-words.a-wall-has-not-risen-for-sessions', {
      title,
      title2: axis.title,
      sessions: wall.sessions,
      sure: Math.floor(wall.chance * 10),
      where,
      away,
    });
  }
  if (holding.reach.mid >= 1) {
    const sure =
      holding.reach.low >= 1
        ? tell('evidence-words.it-reaches-the-demand')
        : tell('evidence-words.it-may-reach-the-demand-and-that');
    return tell('evidence-words.from', {
      title,
      sure: capital(sure),
      title2: holding.axis.title,
      where,
      away,
      next,
    });
  }
  return tell('evidence-words.holds-it-from', {
    title,
    title2: holding.axis.title,
    where,
    away,
    next:
      holding.reach.mid < 0
        ? tell('evidence-words.make-the-start-easier')
        : isReached(holding, stands)
          ? next
          : tell('evidence-words.stay-on-it', { place }),
  });
}

/** Whether the values that it stands on are within what it does clean 8 times in 10. */
function isReached({ axis, reach }: NonNullable<ReturnType<typeof holdingAxis>>, stands: Criteria): boolean {
  const scale = axisScale(axis);
  return !scale.ok || reach.mid >= scale.value.difficulty(stands[axis.key] ?? axis.start);
}

/** One rep on the top rung is not yet a thing to keep. */
function topWords({ here: { reps, clean } }: Pick<Studied, 'here'>): string {
  return reps >= FEW
    ? tell('evidence-words.it-stands-on-the-top-rung-keep-it')
    : tell('evidence-words.it-stands-on-the-top-rung-of-clean', {
        clean,
        plural: tell('evidence-words.n-rep', { n: reps }),
        FEW: FEW - reps,
      });
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
  if (reach.mid < 0)
    return tell('evidence-words.not-clean-8-times-in-10-even-at', { valueAt: valueAt(axis, 0) });
  const nothingKnown = reach.low < 0 && high === BEYOND;
  if (nothingKnown) return tell('evidence-words.how-far-it-is-clean-8-times-in-10');
  if (mid === BEYOND)
    return tell('evidence-words.clean-8-times-in-10-past-what-is', {
      low: low === BEYOND ? '' : tell('evidence-words.from-on-for-all-that-is-known', { low }),
    });
  if (low === high) return tell('evidence-words.clean-8-times-in-10-at', { mid });
  return tell('evidence-words.clean-8-times-in-10-up-to-about-to', { mid, low, high });
}

const BEYOND = tell('evidence-words.beyond-the-proof-margin');

/** A difficulty as a value; outside the ladder it is named, never given one that nobody tried. */
function valueAt(axis: Axis, at: number): string {
  const scale = axisScale(axis);
  if (!scale.ok || scale.value.held) return wordsOf(writeValue(axis, axis.start));
  if (at < 0) return tell('evidence-words.below-the-start');
  if (at > scale.value.difficulty(proofValue(axis))) return BEYOND;
  const value = scale.value.value(at);
  return wordsOf(writeValue(axis, axis.levels === null ? rounded(value) : Math.round(value)));
}

/** Two significant digits: more would claim what an estimate has not. */
const rounded = (value: number): number => Number(value.toPrecision(2));
/** Whole percents; never a certainty, which no number of reps gives. */
function percent(share: number): string {
  if (share > 0.99) return tell('evidence-words.over-99');
  return share < 0.01 ? tell('evidence-words.under-1') : `${Math.round(share * 100)}${NO_BREAK}%`;
}

const range = ({ low, high }: Interval, write: (value: number) => string): string =>
  tell('evidence-words.to', { write: write(low), write2: write(high) });
const seconds = (value: number): string => `${writeDigits(value, 1)}${NO_BREAK}s`;
const degrees = (value: number): string =>
  `${writeDigits(Math.abs(value), 0)}°${value > 0.5 ? tell('evidence-words.right') : value < -0.5 ? tell('evidence-words.left') : ''}`;
/** What a shift in logits makes of eight in ten. */
const fromEighty = (logits: number): string => percent(logistic(logit(0.8) + logits));

/** What the page says of each thing, in the order in which it stands; only what was logged. */
export function findings(
  studied: Studied,
  today: Day,
  element: Pick<ElementRecord, 'policy' | 'axes'>,
): { readonly title: string; readonly words: string }[] {
  const { estimate, holding, latency, precision, habits, grounds } = studied;
  const { tiring } = estimate;
  const { side } = studied;
  const found: ({ readonly title: string; readonly words: string } | null)[] = [
    side && {
      title: tell('evidence-words.side-to-side'),
      words:
        side.what === 'front'
          ? tell('evidence-words.side-front', { ...side, since: writeDay(side.since) })
          : tell('evidence-words.side-sides', { ...side, since: writeDay(side.since) }),
    },
    ...studied.trials.map(trialWords),
    grounds.counted < FEW
      ? null
      : {
          title: tell('evidence-words.at-the-trial'),
          words: isThin(estimate.atTrial, grounds.counted)
            ? tell('evidence-words.at-the-trial-not-known')
            : tell('evidence-words.cold-and-in-a-strange-place-clean', {
                range: range(estimate.atTrial, percent),
              }),
        },
    { title: tell('evidence-words.from-day-to-day'), words: swingWords(estimate) },
    { title: tell('evidence-words.session-to-session'), words: gainWords(estimate) },
    tiring && { title: tell('evidence-words.within-a-session'), words: tiringWords(tiring) },
    grounds.counted < FEW
      ? null
      : {
          title: tell('evidence-words.keeping-it'),
          words: keepingWords(estimate.keeping, grounds.lastDay, today),
        },
    holding && {
      title: tell('evidence-words.holding'),
      words: tell('evidence-words.of-were-broken-by-the-dog-would', {
        broken: holding.broken,
        plural: tell('evidence-words.n-hold', { n: holding.holds }),
        range: range(holding.lasts, percent),
      }),
    },
    latency && {
      title: tell('evidence-words.quickness'),
      words: tell('evidence-words.the-middle-answer-comes-at-within', {
        seconds: seconds(latency.median.mid),
        range: aboutSeconds(latency.median),
        percent: percent(latency.within.mid),
        seconds2: seconds(latency.limit),
        asked: Boolean(latency.asked),
        plural: tell('evidence-words.n-time', { n: latency.timed - latency.late }),
        late: latency.late > 0 ? tell('evidence-words.and-that-did-not-come', { late: latency.late }) : '',
      }),
    },
    precision && { title: tell('evidence-words.straightness'), words: precisionWords(precision) },
    habits.anticipated.count > 0
      ? {
          title: tell('evidence-words.too-early'),
          words: tell('evidence-words.of-came-before-the-word', {
            count: habits.anticipated.count,
            of: habits.anticipated.of,
          }),
        }
      : null,
    element.policy.rule.kind === 'cue-transfer' ? aloneWords(habits.timings) : null,
    cueWords(habits.cues),
    habits.probes.of > 0
      ? {
          title: tell('evidence-words.after-a-gap'),
          words: tell('evidence-words.of-clean-shown-apart-since-a-test', {
            count: habits.probes.count,
            plural: tell('evidence-words.n-silent-tests', { n: habits.probes.of }),
          }),
        }
      : null,
    habits.drive.of > 0
      ? {
          title: tell('evidence-words.drive'),
          words: tell('evidence-words.full-drive-in-of-where-it-was-said', {
            count: habits.drive.count,
            of: habits.drive.of,
          }),
        }
      : null,
    habits.calm.length > 0
      ? {
          title: tell('evidence-words.calm-in-the-kit'),
          words: `${capital(habits.calm.map(({ moment, rate }) => tell('evidence-words.of', { moment: CALM_WORDS[moment], count: rate.count, of: rate.of })).join(', '))}.`,
        }
      : null,
    habits.instead.length > 0
      ? {
          title: tell('evidence-words.what-it-did-instead'),
          words: tell('evidence-words.the-caller-draws-confused-words', {
            capital: capital(
              habits.instead
                .map(({ word, did, count }) =>
                  tell('evidence-words.did', {
                    word:
                      word === ''
                        ? tell('evidence-words.asked-word')
                        : tell('evidence-words.asked', { word }),
                    did,
                    times: times(count),
                  }),
                )
                .join('; '),
            ),
          }),
        }
      : null,
    mixWords(studied.words, element.axes),
    habits.handled.kinds.length > 0
      ? {
          title: tell('evidence-words.what-you-did-about-it'),
          words: tell('evidence-words.the-next-rep-was-clean-a-record-no', {
            alike: habits.handled.alike,
            handled: habits.handled.kinds
              .map(({ handled, next }) =>
                tell('evidence-words.after-of', {
                  handled: HANDLED_WORDS[handled],
                  count: next.count,
                  of: next.of,
                }),
              )
              .join(', '),
          }),
        }
      : null,
    habits.pay.kinds.length > 1
      ? {
          title: tell('evidence-words.by-reward'),
          words: tell('evidence-words.clean', {
            alike: habits.pay.alike,
            pay: habits.pay.kinds
              .map(({ what, rate }) =>
                tell('evidence-words.of-2', {
                  what,
                  count: rate.count,
                  of: rate.of,
                  alike: habits.pay.alike,
                }),
              )
              .join(', '),
            jackpots:
              habits.jackpots > 0 ? ` ${tell('evidence-words.n-jackpot', { n: habits.jackpots })}.` : '',
          }),
        }
      : null,
    habits.unasked > 0
      ? { title: tell('evidence-words.paid-though-unasked'), words: `${capital(times(habits.unasked))}.` }
      : null,
    habits.handlers.count > 0
      ? {
          title: tell('evidence-words.the-handlers'),
          words: tell('evidence-words.of-were-your-doing-not-counted', {
            count: habits.handlers.count,
            plural: tell('evidence-words.n-rep', { n: habits.handlers.of }),
          }),
        }
      : null,
    habits.landings.kinds.length > 1
      ? { title: tell('evidence-words.where-the-reward-landed'), words: landingWords(habits.landings) }
      : null,
    habits.breaks.kinds.length > 0
      ? { title: tell('evidence-words.by-what-you-did'), words: breakWords(habits.breaks) }
      : null,
  ];
  return found.filter((one) => one !== null);
}

function precisionWords(precision: NonNullable<Studied['precision']>): string {
  const [first] = precision.within;
  const advice =
    precision.train === 'bias'
      ? tell('evidence-words.straighten-its-middle-first-that')
      : precision.train === 'spread'
        ? tell('evidence-words.make-it-more-even-first-its-middle')
        : '';
  const inside = first
    ? tell('evidence-words.within', { percent: percent(first.chance), limit: first.limit })
    : '';
  return tell('evidence-words.its-middle-is-its-spread-from', {
    degrees: degrees(precision.bias.mid),
    range: range(precision.bias, degrees),
    mid: { number: precision.spread.mid, digits: 0 },
    plural: tell('evidence-words.n-rep', { n: precision.judged }),
    measured: precision.measured,
    inside,
    advice,
  });
}

const DID_WORDS: Readonly<Record<string, string>> = {
  stood: tell('evidence-words.while-you-stood'),
  'walked-off': tell('evidence-words.as-you-walked-off'),
  'came-back': tell('evidence-words.as-you-came-back'),
  'out-of-sight': tell('evidence-words.out-of-your-sight'),
  'false-move': tell('evidence-words.at-a-false-move'),
};

/** Below so many there is no rate, only what was seen. */
const FEW_OF_ONE = 5;

/** What you did when it was not clean; where all of it falls on one thing, that thing comes first. */
function breakWords({ kinds, alike }: Studied['habits']['breaks']): string {
  const sorted = [...kinds].sort((a, b) => b.rate.count - a.rate.count);
  const parts = sorted.map(({ did, rate }) =>
    tell('evidence-words.of-3', {
      did: DID_WORDS[did] ?? tell('evidence-words.at', { did }),
      count: rate.count,
      of: rate.of,
    }),
  );
  const [first, ...others] = sorted;
  const only =
    alike &&
    first &&
    first.rate.count >= 2 &&
    others.length > 0 &&
    others.every(({ rate }) => rate.count === 0)
      ? tell('evidence-words.it-is-alone-make-that-smaller-not', {
          did: DID_WORDS[first.did] ?? `“${first.did}”`,
        })
      : '';
  const few = sorted.some(({ rate }) => rate.of < FEW_OF_ONE)
    ? tell('evidence-words.few-of-them-no-rate-yet')
    : '';
  return tell('evidence-words.not-clean', { parts: parts.join(', '), only, few, alike });
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
    prompted > 0 ? tell('evidence-words.after-the-prompt', { prompted }) : '',
    reminded > 0 ? tell('evidence-words.after-a-reminder', { reminded }) : '',
    failed > 0 ? tell('evidence-words.not-at-all', { failed }) : '',
  ].filter(Boolean);
  const early = of('before-word');
  return {
    title: tell('evidence-words.to-the-new-cue-alone'),
    words: tell('evidence-words.of-4', {
      alone,
      plural: tell('evidence-words.n-chance', { n: chances }),
      restCount: rest.length > 0 ? `; ${rest.join(', ')}` : '',
      early: early > 0 ? tell('evidence-words.came-before-the-word-and-count-for', { early }) : '',
    }),
  };
}

function cueWords({
  needed,
  slip,
  meant,
}: Studied['habits']['cues']): { readonly title: string; readonly words: string } | null {
  if (needed.of === 0) return null;
  const parts = [
    tell('evidence-words.of-needed-another-cue', {
      count: needed.count,
      plural: tell('evidence-words.n-rep', { n: needed.of }),
    }),
    slip.count > 0 ? tell('evidence-words.slipped-from-you-which-costs-at-a', { count: slip.count }) : '',
    meant.count > 0 ? tell('evidence-words.were-meant-as-an-answer-to-a-miss', { count: meant.count }) : '',
  ].filter(Boolean);
  return {
    title: tell('evidence-words.extra-cues'),
    words: tell('evidence-words.where-it-was-said', { parts: parts.join('; ') }),
  };
}

/** In a mix each word keeps its own reach. */
function mixWords(
  words: Studied['words'],
  axes: readonly Axis[],
): { readonly title: string; readonly words: string } | null {
  const length = axes.find((axis) => axis.quantity === 'distance');
  if (!length || words.length === 0) return null;
  const parts = words.map(({ word, value, reps, clean }) =>
    tell('evidence-words.of-clean', { word, writeValue: writeValue(length, value), clean, reps }),
  );
  return {
    title: tell('evidence-words.by-word'),
    words: tell('evidence-words.the-caller-asks-each-at-its-own', { parts: parts.join(', ') }),
  };
}

const HANDLED_WORDS: Readonly<Record<Studied['habits']['handled']['kinds'][number]['handled'], string>> = {
  nothing: tell('evidence-words.nothing'),
  'error-word': tell('evidence-words.an-error-word'),
  again: tell('evidence-words.again-at-once'),
  'put-back': tell('evidence-words.putting-it-back'),
  easier: tell('evidence-words.making-it-easier'),
  pause: tell('evidence-words.a-pause'),
  'moved-and-back': tell('evidence-words.moving-it-and-back'),
  'touch-or-lead': tell('evidence-words.touch-or-lead'),
};
const CALM_WORDS = {
  on: tell('evidence-words.as-it-was-put-on'),
  worn: tell('evidence-words.while-it-was-worn'),
  off: tell('evidence-words.after-it-came-off'),
} as const;
const times = (n: number): string =>
  n === 1
    ? tell('evidence-words.once')
    : n === 2
      ? tell('evidence-words.twice')
      : tell('evidence-words.times', { n });
const capital = (words: string): string => words.replace(/^./, (letter) => letter.toUpperCase());

const LANDED_WORDS = {
  spot: tell('evidence-words.at-the-spot'),
  ahead: tell('evidence-words.ahead'),
  behind: tell('evidence-words.behind'),
  hand: tell('evidence-words.to-hand'),
  reset: tell('evidence-words.to-reset'),
} as const;

function landingWords({ kinds, alike }: Studied['habits']['landings']): string {
  const parts = kinds.map(({ landed, next, latency }) =>
    tell('evidence-words.next-clean-of', {
      alike,
      landed: LANDED_WORDS[landed],
      count: next.count,
      of: next.of,
      latency: latency === null ? '' : tell('evidence-words.at-2', { seconds: seconds(latency) }),
    }),
  );
  const said = capital(`${parts.join('; ')}.`);
  return alike
    ? tell('evidence-words.at-like-steps', { said })
    : tell('evidence-words.not-compared', { said });
}

/** A fair trial as far as it is: settled or not, with its pairs. */
function trialWords({ trial, options: [a, b], first, second, alike, better }: Studied['trials'][number]) {
  const said = { a, b, first, second, alike, pairs: first + second + alike };
  return {
    title: tell('evidence-words.fair-trial', { trial }),
    words:
      better === null
        ? tell('evidence-words.fair-trial-open', said)
        : tell('evidence-words.fair-trial-settled', { ...said, better: capital(better) }),
  };
}

/** Good and bad days as the reps show them; before they do, that it is only taken so. */
function swingWords({ swing }: Studied['estimate']): string {
  const [bad, good] = [fromEighty(-swing.mid), fromEighty(swing.mid)];
  return swing.assumed
    ? tell('evidence-words.swing-assumed', { bad, good })
    : tell('evidence-words.swing-found', { bad, good });
}

function gainWords({ gain }: Studied['estimate']): string {
  const said = { mid: fromEighty(gain.mid), low: fromEighty(gain.low), high: fromEighty(gain.high) };
  if (gain.assumed) return tell('evidence-words.gain-assumed', said);
  return gain.high < 0 ? tell('evidence-words.gain-harm', said) : tell('evidence-words.gain-found', said);
}

function tiringWords({ after, worse, back }: NonNullable<Studied['estimate']['tiring']>): string {
  const loses = tell('evidence-words.tiring', {
    after,
    mid: tenths(worse.mid),
    low: tenths(worse.low),
    high: tenths(worse.high),
  });
  if (!back) return loses;
  const gives =
    back.mid > 0.7
      ? tell('evidence-words.rest-gives-most')
      : back.mid > 0.3
        ? tell('evidence-words.rest-gives-some')
        : tell('evidence-words.rest-gives-little');
  return `${loses} ${gives}`;
}

/** Days ahead of which a day would promise more than is known. */
const FAR = 60;

/** When a first try would be clean one in twenty less often, and what that rests on. */
function keepingWords(
  { fresh, today: now, dueAfter, halfLife, assumed }: Studied['estimate']['keeping'],
  lastDay: Day | null,
  today: Day,
): string {
  const idle = lastDay === null ? 0 : daysBetween(lastDay, today);
  const due =
    dueAfter === null || dueAfter - idle > FAR
      ? tell('evidence-words.never-due')
      : dueAfter <= idle
        ? tell('evidence-words.due-now')
        : tell('evidence-words.due-again-in', {
            plural: tell('evidence-words.n-day', { n: dueAfter - idle }),
          });
  const half =
    halfLife === null
      ? ''
      : tell('evidence-words.half-of-it', {
          plural: tell('evidence-words.n-day', { n: Math.round(halfLife) }),
        });
  return tell('evidence-words.keeping', {
    fresh: tenths(fresh),
    today: tenths(now),
    due,
    half,
    assumed,
  });
}

/** The ends of a middle answer; one figure where they are read alike. */
function aboutSeconds({ low, high }: Interval): string {
  return seconds(low) === seconds(high)
    ? tell('evidence-words.hardly-moves')
    : range({ low, mid: low, high }, seconds);
}
