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
import { chanceInWords, type Interval, type Studied } from '@/core/evidence';
import { type Day, daysBetween } from '@/core/shared';
import type { ElementRecord } from '@/data/read';
import { wordsOf } from '@/words';
import { capital, rounded } from './evidence-figures';
import { tell } from './words';

/**
 * Below so many reps a figure would promise more than is known; and after so many days away the
 * first thing to say is the gap.
 */
export const FEW = 10;
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
