import { isThin, type Studied, tenths } from '@/core/evidence';
import { type Day, daysBetween } from '@/core/shared';
import type { ElementRecord } from '@/data/read';
import { writeDay } from '@/words';
import { FEW } from './element-sentence';
import {
  aboutSeconds,
  capital,
  degrees,
  fromEighty,
  percent,
  range,
  seconds,
  times,
} from './evidence-figures';
import {
  aloneWords,
  breakWords,
  CALM_WORDS,
  cueWords,
  HANDLED_WORDS,
  landingWords,
  mixWords,
} from './habit-words';
import { tell } from './words';

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
