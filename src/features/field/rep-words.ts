import type { Timing } from '@/core/coaching';
import type { Aid, Cause, Handled, StandingRep } from '@/core/log';
import { repCounts } from '@/core/log';
import { NO_BREAK, writeDigits, writeNumber } from '@/words';
import type { Link } from './judged-by';
import { tell } from './words';

/** How many were done and how many of those say something: "8 reps; 1 counts, clean". */
export function tallyOf(reps: readonly StandingRep[]): string {
  if (reps.length === 0) return tell('rep-words.no-reps-yet');
  const counted = reps.filter(repCounts);
  const clean = counted.filter((rep) => rep.judged.outcome === 'clean' && isAlone(rep)).length;
  const all = `${reps.length} ${reps.length === 1 ? 'rep' : 'reps'}`;
  if (counted.length === reps.length) return tell('rep-words.clean', { all, clean });
  if (counted.length === 0)
    return tell('rep-words.none-counts', { all, why: mostSaid(reps.map(whyNotCounted)) });
  return tell('rep-words.counts', { all, countedCount: counted.length, clean });
}

function mostSaid(said: readonly (string | null)[]): string {
  const times = (one: string | null): number => said.filter((other) => other === one).length;
  return [...said].sort((a, b) => times(b) - times(a))[0] ?? '';
}

/** Where a new cue takes over, only an answer to it alone is one. */
const isAlone = ({ seen }: StandingRep): boolean =>
  seen.timing === null || seen.timing === 'in-gap' || seen.timing === 'unprompted';

/** Why a rep says nothing of the dog; null where it does. */
export function whyNotCounted(rep: StandingRep): string | null {
  if (repCounts(rep)) return null;
  const { judged, seen, purpose, asked } = rep;
  if (judged.void) return tell('rep-words.it-was-void');
  if (judged.outcome === 'none')
    return seen.endedBy === 'handler' ? tell('rep-words.you-ended-it') : tell('rep-words.it-is-neither');
  if (seen.run?.kind === 'articles' && seen.run.known) return tell('rep-words.you-knew-the-layout');
  if (seen.run?.kind === 'articles' && seen.run.seen) return tell('rep-words.the-dog-saw-them-laid');
  if (asked.call?.kind === 'return') return tell('rep-words.a-return-counts-for-the-wait');
  if (purpose !== 'training') return PURPOSE_REASONS[purpose];
  if (judged.cause !== 'dog') return tell('rep-words.it-was-doing', { cause: CAUSE_WORDS[judged.cause] });
  if ((seen.cues?.slip ?? 0) > 0) return tell('rep-words.a-cue-slipped-from-you');
  if (seen.timing === 'before-word') return tell('rep-words.nothing-was-asked-yet');
  return tell('rep-words.it-was-helped');
}

const PURPOSE_REASONS: Readonly<Record<Exclude<StandingRep['purpose'], 'training'>, string>> = {
  'warm-up': 'it was warm-up',
  filler: tell('rep-words.it-was-an-easy-one'),
  probe: tell('rep-words.it-was-a-silent-test'),
  rehearsal: tell('rep-words.it-was-a-rehearsal'),
};

const secondsInWords = (before: string, seconds: number | undefined): string =>
  seconds === undefined ? '' : `${before}${writeDigits(seconds, 1)} s`;

const OUTCOME_WORDS = {
  clean: tell('rep-words.outcome-clean'),
  flawed: tell('rep-words.outcome-flawed'),
  miss: tell('rep-words.outcome-miss'),
  none: tell('rep-words.neither'),
} as const;

/** A rep as it stands, in words. */
export function repInWords(rep: StandingRep, fault: string | null, links: readonly Link[]): string {
  const { seen, judged } = rep;
  const { outcome, cause, aids } = judged;
  const said =
    outcome === 'none'
      ? seen.endedBy === 'handler'
        ? tell('rep-words.ended-by-you')
        : tell('rep-words.neither')
      : OUTCOME_WORDS[outcome];
  const broke = seen.run?.kind === 'chain' ? seen.run.brokeAt : null;
  const why = whyNotCounted(rep);
  const parts = [
    fault ? `${said}${outcome === 'clean' ? tell('rep-words.noted') : ''}: ${fault}` : said,
    seen.timing === null ? '' : TIMING_WORDS[seen.timing],
    secondsInWords('', seen.measured.latency?.value),
    secondsInWords(tell('rep-words.marked-at'), seen.measured.marker?.value),
    secondsInWords(tell('rep-words.held'), seen.measured.held?.value),
    seen.measured.angle ? measuredInWords('angle', seen.measured.angle.value) : '',
    runInWords(rep),
    cuesInWords(seen.cues),
    seen.instead === undefined ? '' : tell('rep-words.did-instead', { instead: seen.instead }),
    cause === 'dog' ? '' : CAUSE_WORDS[cause],
    aids.length > 0 && seen.timing === null ? `helped${aidsInWords(aids)}` : '',
    broke === null
      ? ''
      : tell('rep-words.broke-at', { title: links[broke]?.title ?? tell('rep-words.a-link-that-is-gone') }),
    why === null ? '' : tell('rep-words.does-not-count', { why }),
  ];
  return parts.filter(Boolean).join(', ');
}

export const AID_WORDS: Readonly<Record<Exclude<Aid, 'unsaid'>, string>> = {
  hand: tell('rep-words.hand'),
  lead: tell('rep-words.lead'),
  food: tell('rep-words.food-shown'),
  nearer: tell('rep-words.nearer'),
  line: tell('rep-words.a-line-to-follow'),
  voice: tell('rep-words.voice'),
  person: tell('rep-words.a-second-person'),
  guide: tell('rep-words.platform-poles-wall'),
};

const aidsInWords = (aids: readonly Aid[]): string => {
  const named = aids.flatMap((aid) => (aid === 'unsaid' ? [] : [AID_WORDS[aid]]));
  return named.length === 0 ? '' : ` (${named.join(', ')})`;
};

export const HANDLED_WORDS: Readonly<Record<Handled, string>> = {
  nothing: tell('rep-words.nothing'),
  'error-word': tell('rep-words.error-word'),
  again: tell('rep-words.again-at-once'),
  'put-back': tell('rep-words.put-it-back'),
  easier: tell('rep-words.made-it-easier'),
  pause: tell('rep-words.a-pause'),
  'moved-and-back': tell('rep-words.moved-it-and-back'),
  'touch-or-lead': tell('rep-words.touch-or-lead'),
};

function cuesInWords(cues: StandingRep['seen']['cues']): string {
  if (!cues) return '';
  const parts = [
    cues.needed > 0 ? tell('rep-words.more-cue', { needed: cues.needed }) : '',
    cues.slip > 0 ? tell('rep-words.slipped-from-you', { slip: cues.slip }) : '',
    (cues.meant ?? 0) > 0 ? tell('rep-words.meant', { meant: cues.meant }) : '',
  ];
  return parts.filter(Boolean).join(', ');
}

/** A run out or back has its time and, where a distance was asked, its speed. */
function runInWords({ seen, asked }: StandingRep): string {
  const metres = Object.entries(asked.criteria).find(([key]) => /distance|^run$/.test(key))?.[1];
  return (['out', 'back'] as const)
    .flatMap((way) => {
      const time = seen.measured[way]?.value;
      if (time === undefined) return [];
      const speed = metres && time > 0 ? ` (${writeDigits(metres / time, 1)}${NO_BREAK}m/s)` : '';
      return [tell('rep-words.in-s', { out: way === 'out', time: { number: time, digits: 1 }, speed })];
    })
    .join(', ');
}

const CAUSE_WORDS: Readonly<Record<Cause, string>> = {
  dog: tell('rep-words.the-dogs'),
  handler: tell('rep-words.the-handlers'),
  apparatus: tell('rep-words.the-kits'),
  environment: tell('rep-words.the-places'),
};

/** In the order in which the pad shows them. */
export const TIMINGS: readonly Timing[] = [
  'in-gap',
  'unprompted',
  'prompted',
  'before-word',
  'reminded',
  'none',
];

export const TIMING_WORDS: Readonly<Record<Timing, string>> = {
  'before-word': tell('rep-words.before-the-word'),
  'in-gap': tell('rep-words.in-the-gap'),
  unprompted: tell('rep-words.to-the-new-cue-alone'),
  prompted: tell('rep-words.after-the-prompt'),
  reminded: tell('rep-words.after-a-reminder'),
  none: tell('rep-words.no-answer'),
};

/** A measured value: degrees, or centimetres from the place, or seconds. */
export const measuredInWords = (what: string, value: number): string =>
  what === 'angle'
    ? `${writeNumber(Number(Math.abs(value).toPrecision(3)))}°`
    : what === 'offset'
      ? `${writeNumber(Number((Math.abs(value) * 100).toPrecision(3)))}${NO_BREAK}cm`
      : `${writeDigits(value, 1)}${NO_BREAK}s`;
