import type { RuleBook } from '@/core/rulebooks';
import {
  comparePractice,
  type Leniency,
  leniencyOf,
  type PracticeResult,
  type PracticeRun,
} from '@/core/trials';
import type { JudgedPractice } from '@/data/read';
import { writeDay, writeNumber } from '@/words';
import { tell } from './practice-words';

/** What ships to learn judging, as the application hands it in. */
export type PracticeShelf = { readonly runs: readonly PracticeRun[]; readonly books: readonly RuleBook[] };

export type PracticeLine = {
  readonly id: string;
  readonly title: string;
  readonly said: string;
  readonly result: PracticeResult | null;
};

/** Points more or fewer than the key, in words. */
export function pointsWords({ judged, key }: Pick<PracticeResult, 'judged' | 'key'>): string {
  const off = Math.round((judged - key) * 100) / 100;
  return tell('practice.points', {
    side: off === 0 ? 'same' : off > 0 ? 'more' : 'fewer',
    n: Math.abs(off),
  });
}

/** The practice runs that were judged, the last first, with what each came to. */
export function practiceLines(shelf: PracticeShelf, judged: readonly JudgedPractice[]): PracticeLine[] {
  return judged.toReversed().map(({ run, script, sheet }) => {
    const result = resultOf(shelf, script, sheet);
    const title = shelf.runs.find(({ id }) => id === script)?.title ?? run.name;
    return {
      id: run.id,
      title: tell('practice.line', { title, day: writeDay(run.day) }),
      said: result
        ? tell('practice.score', {
            same: result.same,
            of: result.of,
            extra: result.extra,
            points: pointsWords(result),
          })
        : tell('practice.open'),
      result,
    };
  });
}

/** A closed practice sheet beside its key; null before, and of a run that does not ship any more. */
export function resultOf(
  { runs, books }: PracticeShelf,
  script: string,
  sheet: JudgedPractice['sheet'],
): PracticeResult | null {
  const run = runs.find(({ id }) => id === script);
  const book = books.find(({ id }) => id === run?.book);
  if (!run || !book || sheet.is === 'open') return null;
  const found = comparePractice(run, book, sheet);
  return found.ok ? found.value : null;
}

export type HandView = {
  readonly lines: readonly string[];
  readonly so: string | null;
  readonly trend: string | null;
};

/** Half a point either way is the judge’s eye, not a habit. */
const HABIT = 0.5;

/** One’s own hand over all practice runs: fault by fault, and run by run. */
export function handView(lines: readonly PracticeLine[]): HandView {
  const results = lines.flatMap(({ result }) => result ?? []).toReversed();
  const hand = leniencyOf(results);
  const side = ({ spared }: Leniency): string => (spared > 0 ? 'more' : spared < 0 ? 'fewer' : 'same');
  const worst = hand.find((one) => Math.abs(one.spared) >= HABIT || one.missed > 1);
  return {
    lines: hand.map((one) =>
      tell('practice.spares', {
        title: one.title,
        side: side(one),
        n: Math.round(Math.abs(one.spared) * 10) / 10,
        missed: one.missed,
        key: one.key,
        extra: one.extra,
      }),
    ),
    so:
      hand.length === 0 ? null : worst ? tell('practice.so', { title: worst.title }) : tell('practice.even'),
    trend:
      results.length < 2
        ? null
        : tell('practice.trend', {
            list: {
              list: results.map(({ judged, key }) => signed(judged - key)),
              between: '; ',
            },
          }),
  };
}

const signed = (points: number): string =>
  `${points > 0 ? '+' : points < 0 ? '−' : ''}${writeNumber(Math.abs(Math.round(points * 10) / 10))}`;
