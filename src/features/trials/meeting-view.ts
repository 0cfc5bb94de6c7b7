import { familyOf, type RuleBook } from '@/core/rulebooks';
import type { Day, PersonId } from '@/core/shared';
import { expectedTimes, foldSheet, type JudgeSheet, joinSheets, leastBetween } from '@/core/trials';
import type { Meeting, RunWithMarks, Starter } from '@/data/read';
import { wordsOf } from '@/words';
import { clockOf } from './meeting-form';
import { pointsOfJoined } from './sheet-view';
import { tell } from './words';

/** One dog of the run sheet. */
export type StartLine = {
  readonly starter: Starter;
  /** In the running order, from 1; null where it is withdrawn or nothing is drawn. */
  readonly place: number | null;
  /** When it is expected, or really began; null where it does not run. */
  readonly at: string | null;
  readonly real: boolean;
  readonly run: RunWithMarks | null;
  readonly said: string;
  readonly outcome: Outcome | null;
};
export type ClassView = {
  readonly book: RuleBook;
  readonly judges: readonly string[];
  readonly lines: readonly StartLine[];
  readonly drawn: boolean;
  /** What is to be said of the draw: dogs of one handler close together; null where there is nothing. */
  readonly about: string | null;
};

/** A class of a meeting as it runs: the order, the times, and what has come of each dog. */
export function classView(
  meeting: Meeting,
  book: RuleBook,
  runs: readonly RunWithMarks[],
  nameOf: (judge: PersonId) => string,
): ClassView {
  const found = meeting.classes.find((one) => one.book === book.id);
  const starters = meeting.starters.filter((one) => one.book === book.id);
  const order = found?.order ?? [];
  // Whoever was entered after the draw runs after those who were drawn; withdrawn dogs do not run.
  const running = [
    ...order.flatMap((id) => starters.filter((one) => one.id === id)),
    ...starters.filter((one) => !order.includes(one.id)).toSorted((a, b) => a.number - b.number),
  ].filter((one) => !one.withdrawn);
  const runOf = (starter: Starter): RunWithMarks | null =>
    runs.find(({ run }) => run.starter === starter.id) ?? null;
  const begun = running.map((one) => begunAt(runOf(one), meeting.day));
  const times = expectedTimes(meeting.starts, meeting.minutesEach, begun);
  const between = leastBetween(running);
  const judges = (found?.judges ?? []).map(nameOf);
  return {
    book,
    judges,
    drawn: order.length > 0,
    about: order.length > 0 && between !== null ? tell('meeting-view.between', { between }) : null,
    lines: [
      ...running.map((starter, i): StartLine => {
        const run = runOf(starter);
        return {
          starter,
          place: i + 1,
          at: clockOf(times[i] ?? meeting.starts),
          real: begun[i] !== null,
          run,
          said: saidOf(book, run),
          outcome: outcomeOf(book, run),
        };
      }),
      ...starters
        .filter((one) => one.withdrawn)
        .map(
          (starter): StartLine => ({
            starter,
            place: null,
            at: null,
            real: false,
            run: null,
            said: tell('meeting-view.withdrawn'),
            outcome: null,
          }),
        ),
    ],
  };
}

/**
 * Minutes after midnight at which the first mark of a run was written, by this device’s clock. Null where it was
 * written on another day: a sheet from paper says nothing of when the dog ran.
 */
function begunAt(run: RunWithMarks | null, day: Day): number | null {
  const first = Math.min(...(run?.marks.map((mark) => mark.at) ?? []));
  if (!Number.isFinite(first)) return null;
  const at = new Date(first);
  if (dayOf(at) !== day) return null;
  return at.getHours() * 60 + at.getMinutes();
}

type Outcome = { readonly points: number; readonly passed: boolean; readonly award: string | null };

/** What a run came to; null before all its sheets are closed. */
function outcomeOf(book: RuleBook, found: RunWithMarks | null): (Outcome & { readonly said: string }) | null {
  if (!found) return null;
  const sheets = sheetsIn(found);
  if (sheets.some(({ is }) => is === 'open')) return null;
  const joined = joinSheets(book, found.run.size, sheets);
  if (!joined.ok) return null;
  const { score, rules } = joined.value;
  return {
    points: pointsOfJoined(joined.value),
    passed: score.passed,
    award: score.award,
    said: wordsOf(familyOf(book.rules).say(rules, score.units)),
  };
}

function sheetsIn({ run, marks }: RunWithMarks): readonly [JudgeSheet, ...JudgeSheet[]] {
  const [first, ...more] = run.judges.map((judge) => foldSheet(marks, judge));
  return [first ?? foldSheet(marks, null), ...more];
}

/** What has come of a dog’s run in words: nothing yet, being judged, or its score with passed or not. */
function saidOf(book: RuleBook, found: RunWithMarks | null): string {
  if (!found || found.marks.length === 0) return '';
  const outcome = outcomeOf(book, found);
  if (outcome) {
    const { said, passed, award } = outcome;
    return tell('meeting-view.score', { said, passed, award });
  }
  return tell('meeting-view.being-judged', {
    open: sheetsIn(found).filter(({ is }) => is === 'open').length,
  });
}

/** The run sheet as rows for a table file; numbers are numbers. */
export function runSheetRows({ book, lines }: ClassView): (string | number)[][] {
  return [
    [
      'class',
      'place',
      'number',
      'dog',
      'handler',
      'time',
      'in season',
      'withdrawn',
      'points',
      'passed',
      'award',
    ],
    ...lines.map(({ starter, place, at, outcome }) => [
      book.title,
      place ?? '',
      starter.number,
      starter.name,
      starter.handler,
      at ?? '',
      starter.inSeason ? 1 : 0,
      starter.withdrawn ? 1 : 0,
      outcome?.points ?? '',
      outcome ? Number(outcome.passed) : '',
      outcome?.award ?? '',
    ]),
  ];
}

/** The calendar day of an instant where this device is. */
const dayOf = (at: Date): string =>
  [at.getFullYear(), String(at.getMonth() + 1).padStart(2, '0'), String(at.getDate()).padStart(2, '0')].join(
    '-',
  );
