import type { Timing } from '@/core/coaching';
import type { Aid, Cause, Handled, StandingRep } from '@/core/log';
import { repCounts } from '@/core/log';
import { NO_BREAK } from '@/core/shared';
import type { Link } from './pad-view';

/** How many were done and how many of those say something: "8 reps; 1 counts, clean". */
export function tallyOf(reps: readonly StandingRep[]): string {
  if (reps.length === 0) return 'No reps yet';
  const counted = reps.filter(repCounts);
  const clean = counted.filter((rep) => rep.judged.outcome === 'clean' && isAlone(rep)).length;
  const all = `${reps.length} ${reps.length === 1 ? 'rep' : 'reps'}`;
  if (counted.length === reps.length) return `${all}, ${clean} clean`;
  if (counted.length === 0) return `${all}; none counts`;
  return `${all}; ${counted.length} ${counted.length === 1 ? 'counts' : 'count'}, ${clean} clean`;
}

/** Where a new cue takes over, only an answer to it alone is one. */
const isAlone = ({ seen }: StandingRep): boolean =>
  seen.timing === null || seen.timing === 'in-gap' || seen.timing === 'unprompted';

/** Why a rep says nothing of the dog; null where it does. */
export function whyNotCounted(rep: StandingRep): string | null {
  if (repCounts(rep)) return null;
  const { judged, seen, purpose, asked } = rep;
  if (judged.void) return 'it was void';
  if (judged.outcome === 'none') return seen.endedBy === 'handler' ? 'you ended it' : 'it is neither';
  if (seen.run?.kind === 'articles' && seen.run.known) return 'you knew the layout';
  if (seen.run?.kind === 'articles' && seen.run.seen) return 'the dog saw them laid';
  if (asked.call?.kind === 'return') return 'a return counts for the wait';
  if (purpose !== 'training') return PURPOSE_REASONS[purpose];
  if (judged.cause !== 'dog') return `it was ${CAUSE_WORDS[judged.cause]} doing`;
  if ((seen.cues?.slip ?? 0) > 0) return 'a cue slipped from you';
  if (seen.timing === 'before-word') return 'nothing was asked yet';
  return 'it was helped';
}

const PURPOSE_REASONS: Readonly<Record<Exclude<StandingRep['purpose'], 'training'>, string>> = {
  'warm-up': 'it was warm-up',
  filler: 'it was an easy one',
  probe: 'it was a silent test',
  rehearsal: 'it was a rehearsal',
};

const secondsInWords = (before: string, seconds: number | undefined): string =>
  seconds === undefined ? '' : `${before}${seconds.toFixed(1)} s`;

/** A rep as it stands, in words. */
export function repInWords(rep: StandingRep, fault: string | null, links: readonly Link[]): string {
  const { seen, judged } = rep;
  const { outcome, cause, aids } = judged;
  const said = outcome === 'none' ? (seen.endedBy === 'handler' ? 'ended by you' : 'neither') : outcome;
  const broke = seen.run?.kind === 'chain' ? seen.run.brokeAt : null;
  const why = whyNotCounted(rep);
  const parts = [
    fault ? `${said}${outcome === 'clean' ? ', noted' : ''}: ${fault}` : said,
    seen.timing === null ? '' : TIMING_WORDS[seen.timing],
    secondsInWords('', seen.measured.latency?.value),
    secondsInWords('marked at ', seen.measured.marker?.value),
    secondsInWords('held ', seen.measured.held?.value),
    seen.measured.angle ? measuredInWords('angle', seen.measured.angle.value) : '',
    runInWords(rep),
    cuesInWords(seen.cues),
    seen.instead === undefined ? '' : `did “${seen.instead}” instead`,
    cause === 'dog' ? '' : CAUSE_WORDS[cause],
    aids.length > 0 && seen.timing === null ? `helped${aidsInWords(aids)}` : '',
    broke === null ? '' : `broke at ${links[broke]?.title ?? 'a link that is gone'}`,
    why === null ? '' : `does not count: ${why}`,
  ];
  return parts.filter(Boolean).join(', ');
}

export const AID_WORDS: Readonly<Record<Exclude<Aid, 'unsaid'>, string>> = {
  hand: 'hand',
  lead: 'lead',
  food: 'food shown',
  nearer: 'nearer',
  line: 'a line to follow',
  voice: 'voice',
  person: 'a second person',
  guide: 'platform, poles, wall',
};

const aidsInWords = (aids: readonly Aid[]): string => {
  const named = aids.flatMap((aid) => (aid === 'unsaid' ? [] : [AID_WORDS[aid]]));
  return named.length === 0 ? '' : ` (${named.join(', ')})`;
};

export const HANDLED_WORDS: Readonly<Record<Handled, string>> = {
  nothing: 'nothing',
  'error-word': 'error word',
  again: 'again at once',
  'put-back': 'put it back',
  easier: 'made it easier',
  pause: 'a pause',
  'moved-and-back': 'moved it and back',
  'touch-or-lead': 'touch or lead',
};

function cuesInWords(cues: StandingRep['seen']['cues']): string {
  if (!cues) return '';
  const parts = [
    cues.needed > 0 ? `${cues.needed} more ${cues.needed === 1 ? 'cue' : 'cues'} needed` : '',
    cues.slip > 0 ? `${cues.slip} slipped from you` : '',
    (cues.meant ?? 0) > 0 ? `${cues.meant} meant` : '',
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
      const speed = metres && time > 0 ? ` (${(metres / time).toFixed(1)}${NO_BREAK}m/s)` : '';
      return [`${way} in ${time.toFixed(1)}${NO_BREAK}s${speed}`];
    })
    .join(', ');
}

const CAUSE_WORDS: Readonly<Record<Cause, string>> = {
  dog: 'the dog’s',
  handler: 'the handler’s',
  apparatus: 'the kit’s',
  environment: 'the place’s',
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
  'before-word': 'before the word',
  'in-gap': 'in the gap',
  unprompted: 'to the new cue alone',
  prompted: 'after the prompt',
  reminded: 'after a reminder',
  none: 'no answer',
};

/** A measured value: degrees, or centimetres from the place, or seconds. */
export const measuredInWords = (what: string, value: number): string =>
  what === 'angle'
    ? `${Number(Math.abs(value).toPrecision(3))}°`
    : what === 'offset'
      ? `${Number((Math.abs(value) * 100).toPrecision(3))}${NO_BREAK}cm`
      : `${value.toFixed(1)}${NO_BREAK}s`;
