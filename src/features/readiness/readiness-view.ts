import type { Floor, Forecast, missingRehearsals, OutlookPoint, Proof } from '@/core/readiness';
import { FEWEST, isOneFigure } from '@/core/readiness';
import { type PreparedRules, pointsOf, type RuleBook, rulesTotal } from '@/core/rulebooks';
import type { ElementId } from '@/core/shared';
import { logistic, logit } from '@/core/statistics';
import type { DogState } from '@/data/live';
import type { HistogramBin } from '@/ui';
import { wordsOf, writeDay, writeNumber, writeShare } from '@/words';
import { tell } from './words';

/**
 * Bars of the histogram, at most some twenty; none straddles the pass line. `line` is in points,
 * null where the family has none.
 */
export function histogramBins(
  forecast: Forecast,
  rules: PreparedRules,
): { readonly bins: HistogramBin[]; readonly lineAfter: number; readonly line: number | null } {
  const line = rules.line ?? 0;
  const units = forecast.histogram.length - 1;
  const width = Math.max(1, Math.ceil(units / 20));
  const runs = forecast.histogram.reduce((sum, count) => sum + count, 0);
  const bins: HistogramBin[] = [];
  let lineAfter = -0.5;
  for (let from = (line % width) - width; from <= units; from += width) {
    const [low, high] = [Math.max(0, from), Math.min(units, from + width - 1)];
    if (high < 0 || low > high) continue;
    if (low === line) lineAfter = bins.length - 0.5;
    const count = forecast.histogram.slice(low, high + 1).reduce((sum, one) => sum + one, 0);
    const label =
      low === high
        ? writeNumber(pointsOf(rules, low))
        : `${writeNumber(pointsOf(rules, low))}–${writeNumber(pointsOf(rules, high))}`;
    bins.push({ label, share: count / runs, passes: low >= line });
  }
  return { bins, lineAfter, line: rules.line === null ? null : rules.line * rules.pointsPerUnit };
}

/** The histogram as a sentence. */
export function scoresInWords(bins: readonly HistogramBin[], line: number | null): string {
  if (line === null) return tell('readiness-view.how-many-simulated-runs-reach-each');
  const reached = bins.filter((bin) => bin.passes).reduce((sum, bin) => sum + bin.share, 0);
  return tell('readiness-view.of-100-simulated-runs-reach-points', {
    round: Math.round(reached * 100),
    line,
  });
}

/**
 * The answer in one sentence; where the interval is wide or a rehearsal is missing the sentence is
 * the interval.
 */
export function headline(
  dog: string,
  forecast: Pick<Forecast, 'pass'>,
  missing: ReturnType<typeof missingRehearsals>,
  pieces: number,
): string {
  const { low, mid, high } = forecast.pass;
  if (!isOneFigure(forecast.pass))
    return tell('readiness-view.too-little-is-known-anything-from', {
      dog,
      low: writeShare(low),
      high: writeShare(high),
    });
  if (missing.length > 0)
    return tell('readiness-view.somewhere-from-to-that-would-pass', {
      writeShare: writeShare(low),
      writeShare2: writeShare(high),
      dog,
      listOf: listOf(
        missing.map(({ condition, elements }) =>
          tell('readiness-view.missing-on', {
            what: MISSING[condition],
            some: elements.length < pieces,
            of: elements.length,
            pieces,
          }),
        ),
      ),
    });
  return tell('readiness-view.about-that-would-pass-between-and', {
    writeShare: writeShare(mid),
    dog,
    writeShare2: writeShare(low),
    writeShare3: writeShare(high),
  });
}

const MISSING = {
  away: tell('readiness-view.reps-in-another-place'),
  cold: tell('readiness-view.first-tries-of-a-day'),
  unpaid: tell('readiness-view.reps-without-pay'),
} as const;

const listOf = (words: readonly string[]): string =>
  words.length < 2
    ? words.join('')
    : tell('readiness-view.and', { words: words.slice(0, -1).join(', '), at: words.at(-1) });

/**
 * For each dog with several classes: which is the safer one to enter, where the intervals tell them
 * apart, and why.
 */
export function saferClasses(
  rows: readonly { readonly dog: string; readonly title: string; readonly pass: Forecast['pass'] }[],
): string[] {
  return [...new Set(rows.map((row) => row.dog))].flatMap((dog) => {
    const [best, next] = rows.filter((row) => row.dog === dog).toSorted((a, b) => b.pass.mid - a.pass.mid);
    if (!best || !next) return [];
    const both = tell('readiness-view.against', {
      writeShare: writeShare(best.pass.mid),
      writeShare2: writeShare(next.pass.mid),
    });
    if (best.pass.low <= next.pass.mid && best.pass.mid <= next.pass.high)
      return [tell('readiness-view.the-classes-cannot-be-told-apart', { dog, both })];
    return [tell('readiness-view.is-the-safer-one', { dog, title: best.title, both })];
  });
}

/** What to do where there is no number yet: the pieces to begin with, or so many reps more. */
export function floorInWords({ untouched, counted }: Floor, state: Pick<DogState, 'work'>): string[] {
  const titles = untouched.map(
    (id) => state.work.elements.find((element) => element.id === id)?.title ?? (id as string),
  );
  return [
    ...titles.map((title) => tell('readiness-view.no-rep-at-all', { title })),
    ...(counted < FEWEST ? [tell('readiness-view.reps-in-all', { counted, few: FEWEST })] : []),
  ];
}

/** What one rehearsal rep would tell most; empty where none would move the figure by one in a hundred. */
export function proofInWords([first]: readonly Proof[], title: (id: ElementId) => string): string {
  if (!first || first.ifClean - first.ifMissed < 0.01) return '';
  return tell('readiness-view.proof', {
    title: title(first.element),
    ifClean: writeShare(first.ifClean),
    ifMissed: writeShare(first.ifMissed),
    decides: first.value >= 0.005,
  });
}

/** The fan as a sentence. */
export function outlookInWords(outlook: readonly OutlookPoint[]): string {
  const [first, last] = [outlook[0], outlook.at(-1)];
  if (!first || !last) return tell('readiness-view.no-day-ahead');
  return tell('readiness-view.from-today-to-on-where-it-lies', {
    writeShare: writeShare(first.pass.mid),
    writeShare2: writeShare(last.pass.mid),
    writeDay: writeDay(last.day),
    writeShare3: writeShare(last.pass.low),
    writeShare4: writeShare(last.pass.high),
  });
}

/** Why simulated runs do not pass, most frequent first. */
export function failureReasons(
  forecast: Forecast,
): { readonly key: string; readonly words: string; readonly share: string }[] {
  return forecast.failures
    .filter((failure) => failure.share > 0)
    .toSorted((a, b) => b.share - a.share)
    .map((failure) => ({
      key: `${failure.code}${failure.exercise}${failure.message.say}`,
      words: wordsOf(failure.message),
      share: writeShare(failure.share),
    }));
}

/**
 * What the forecast takes for granted where a rule book leaves it open: the size of a dog whose height
 * is not known, what is drawn on the day, points on top, the run that counts.
 */
export function takenForGranted(
  book: RuleBook,
  dog: { readonly name: string; readonly height: number | null },
): string[] {
  const bonus = book.rules.exercises.some((exercise) =>
    exercise.faults.some(({ cost }) => cost.kind === 'bonus'),
  );
  return [
    ...(book.sizes && dog.height === null ? [tell('readiness-view.no-height', { name: dog.name })] : []),
    ...(book.drawn?.includes('sides') ? [tell('readiness-view.sides-drawn')] : []),
    ...(book.drawn?.includes('variants') ? [tell('readiness-view.variants-drawn')] : []),
    ...(book.runs ? [tell('readiness-view.runs', book.runs)] : []),
    ...(bonus ? [tell('readiness-view.no-bonus')] : []),
  ];
}

/** A score in the measure of the family: of faults and seconds those that were made. */
export const scoreOf = (rules: PreparedRules, units: number): number =>
  pointsOf(rules, countsDown(rules) ? rulesTotal(rules) - units : units);

/** Fewer are better: faults, and seconds. */
export const countsDown = ({ word }: Pick<PreparedRules, 'word'>): boolean =>
  word === 'fault' || word === 'second';

/** What a shift in logits makes of 90 %, as a share to read. */
export const shiftInWords = (logits: number): string => writeShare(logistic(logit(0.9) + logits));
