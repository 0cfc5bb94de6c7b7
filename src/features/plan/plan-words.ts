import type { Interval } from '@/core/evidence';
import type { Broken, Load, PlanPurpose } from '@/core/planning';
import { writeNumber, writeShare, writeWeekday } from '@/words';
import { tell } from './words';

/** What a purpose is called on a block. */
export const PURPOSE_WORDS: Readonly<Record<PlanPurpose, string>> = {
  build: tell('plan-words.build'),
  keep: tell('plan-words.keep'),
  proof: tell('plan-words.proof'),
  join: tell('plan-words.join'),
  rehearse: tell('plan-words.rehearse'),
};

/** What it means for the one who goes out. */
export const PURPOSE_MEANS: Readonly<Record<PlanPurpose, string>> = {
  build: tell('plan-words.build-means'),
  keep: tell('plan-words.keep-means'),
  proof: tell('plan-words.proof-means'),
  join: tell('plan-words.join-means'),
  rehearse: tell('plan-words.rehearse-means'),
};

const LOAD_WORDS: Readonly<Record<Load, string>> = {
  jumps: 'jumps',
  'sharp-turns': 'turns',
  'upright-holds': 'upright',
  'run-metres': 'metres',
};

export const loadWords = (of: Load, amount: number): string =>
  tell('plan-words.load', { of: LOAD_WORDS[of], amount: writeNumber(Math.round(amount)) });

/** A limit that a bout would break, in a sentence; `title` is that of the piece, `other` of what it waits for. */
export function brokenInWords(
  { code, day, load }: Broken,
  title: string,
  dog: string,
  other: string | null,
): string {
  const said = { title, dog, day: writeWeekday(day) };
  switch (code) {
    case 'no-day':
      return tell('plan-words.broken.no-day', said);
    case 'minutes':
      return tell('plan-words.broken.minutes', said);
    case 'load-day':
    case 'load-week':
      return load
        ? tell('plan-words.broken.load', {
            dog,
            would: loadWords(load.of, load.would),
            most: writeNumber(Math.round(load.most)),
            per: code === 'load-day' ? 'day' : 'week',
          })
        : '';
    case 'off-work':
      return tell('plan-words.broken.off-work', said);
    case 'trial-day':
      return tell('plan-words.broken.trial-day', said);
    case 'days-a-week':
      return tell('plan-words.broken.days-a-week', said);
    case 'twice':
      return tell('plan-words.broken.twice', said);
    case 'rest-days':
      return tell('plan-words.broken.rest-days', said);
    case 'not-before':
      return tell('plan-words.broken.not-before', said);
    case 'hot':
      return tell('plan-words.broken.hot', said);
    case 'helper':
      return tell('plan-words.broken.helper', said);
    case 'need':
      return tell('plan-words.broken.need', { title, other: other ?? '' });
    case 'whole':
      return tell('plan-words.broken.whole', said);
  }
}

/** What a bout adds, in hundredths with its interval; less than a twentieth of one is not a number. */
export function whyInWords(why: Interval | null, forTrial: boolean): string | null {
  if (!why) return null;
  const hundredths = (value: number): string => writeNumber(Math.round(value * 1000) / 10);
  if (why.mid < 0.0005) return tell('plan-words.why-little');
  return tell('plan-words.why', {
    mid: hundredths(why.mid),
    low: hundredths(why.low),
    high: hundredths(why.high),
    what: forTrial ? 'pass' : 'clean',
  });
}

export const passWords = ({ low, mid, high }: Interval) => ({
  mid: writeShare(mid),
  low: writeShare(low),
  high: writeShare(high),
});
