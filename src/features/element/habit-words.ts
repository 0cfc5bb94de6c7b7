import { type Axis, writeValue } from '@/core/breakdown';
import type { Studied } from '@/core/evidence';
import { capital, seconds } from './evidence-figures';
import { tell } from './words';

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
export function breakWords({ kinds, alike }: Studied['habits']['breaks']): string {
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
export function aloneWords(
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

export function cueWords({
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
export function mixWords(
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

export const HANDLED_WORDS: Readonly<
  Record<Studied['habits']['handled']['kinds'][number]['handled'], string>
> = {
  nothing: tell('evidence-words.nothing'),
  'error-word': tell('evidence-words.an-error-word'),
  again: tell('evidence-words.again-at-once'),
  'put-back': tell('evidence-words.putting-it-back'),
  easier: tell('evidence-words.making-it-easier'),
  pause: tell('evidence-words.a-pause'),
  'moved-and-back': tell('evidence-words.moving-it-and-back'),
  'touch-or-lead': tell('evidence-words.touch-or-lead'),
};
export const CALM_WORDS = {
  on: tell('evidence-words.as-it-was-put-on'),
  worn: tell('evidence-words.while-it-was-worn'),
  off: tell('evidence-words.after-it-came-off'),
} as const;

const LANDED_WORDS = {
  spot: tell('evidence-words.at-the-spot'),
  ahead: tell('evidence-words.ahead'),
  behind: tell('evidence-words.behind'),
  hand: tell('evidence-words.to-hand'),
  reset: tell('evidence-words.to-reset'),
} as const;

export function landingWords({ kinds, alike }: Studied['habits']['landings']): string {
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
