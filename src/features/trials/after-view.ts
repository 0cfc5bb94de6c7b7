import { faultSteps, type PreparedRules, pointsOf, prepareRules, type RuleBook } from '@/core/rulebooks';
import type { ExerciseKey, PartKey } from '@/core/shared';
import type { PartPlace } from '@/core/trials';
import { changesOf, placeText, type RunForecast, type RunTeaching, type WrittenRep } from '@/data/read';
import { wordsOf } from '@/words';
import { tell } from './after-words';

export type Outcome = 'clean' | 'flawed' | 'miss' | 'none';

/** One go as the page shows it: what it is, and how it was, or why the sheet does not say it. */
export type GoLine = {
  readonly key: string;
  readonly place: PartPlace;
  readonly title: string;
  readonly words: string;
  /** Somebody may say how it was: what was said; null where the sheet says it. */
  readonly asks: Outcome | null;
};
export type LooseLine = {
  readonly mark: string;
  readonly title: string;
  readonly of: PartKey | null;
  readonly parts: readonly { readonly id: PartKey; readonly title: string }[];
};
export type AfterExercise = {
  readonly key: ExerciseKey;
  readonly title: string;
  readonly goes: readonly GoLine[];
  readonly loose: readonly LooseLine[];
};
export type AfterView = {
  readonly exercises: readonly AfterExercise[];
  /** Parts that nothing trains, by name; `all`: nothing of the class is. */
  readonly untrained: readonly string[];
  readonly all: boolean;
  /** Reps that stand in the log; what would be written, put right, taken out. */
  readonly standing: number;
  readonly changes: readonly { readonly key: string; readonly words: string }[];
  readonly fresh: boolean;
};

/** Everything that the page says of what a run teaches. */
export function afterView(teaching: RunTeaching): AfterView {
  const { book, taught, untrained, reps, written, lesson } = teaching;
  const rules = prepareRules(book);
  const title = (place: PartPlace): string => goTitle(book, place);
  const said = new Map((lesson?.said ?? []).map((one) => [placeText(one), one.outcome]));
  const changes = changesOf(teaching).map((change) => {
    const place = change.kind === 'gone' ? change.was.rep.from : change.rep.from;
    const what = place ? `${exerciseTitle(book, place.exercise)}, ${title(place)}` : '';
    const key = `${change.kind}${place ? placeText(place) : ''}`;
    if (change.kind === 'new') return { key, words: tell('trials-after.change-new', { what }) };
    if (change.kind === 'gone') return { key, words: tell('trials-after.change-gone', { what }) };
    return {
      key,
      words: tell('trials-after.change-other', {
        what,
        now: judgedWords(rules, change.rep.said.judged, change.rep.said.seen.cues),
        was: judgedWords(rules, change.was.rep.judged, change.was.rep.seen.cues),
      }),
    };
  });
  return {
    exercises: book.exercises.flatMap((exercise): AfterExercise[] => {
      const is = (one: { readonly exercise: ExerciseKey }): boolean => one.exercise === exercise.id;
      const told = taught.parts.filter(is).map((one): GoLine => {
        const rep = reps.find(({ from }) => placeText(from) === placeText(one));
        return {
          key: placeText(one),
          place: one,
          title: title(one),
          words: rep
            ? judgedWords(rules, rep.said.judged, rep.said.seen.cues)
            : tell('trials-after.outcome', { outcome: one.outcome }),
          asks: null,
        };
      });
      const open = taught.untold
        .filter((one) => is(one) && one.why !== 'not-run')
        .map(
          (one): GoLine => ({
            key: placeText(one),
            place: one,
            title: title(one),
            // A choice among words has no hyphens.
            words: tell('trials-after.why', { why: one.why.replaceAll('-', '') }),
            asks:
              one.why === 'which-part' || one.why === 'number-only' || one.why === 'not-reached'
                ? (said.get(placeText(one)) ?? 'none')
                : null,
          }),
        );
      if (told.length + open.length === 0) return [];
      return [
        {
          key: exercise.id,
          title: exercise.title,
          goes: [...told, ...open],
          loose: taught.loose.filter(is).map(({ mark, step, of }) => ({
            mark,
            title: wordsOf(step.label),
            of,
            parts: exercise.parts.map((part) => ({ id: part.id, title: part.title })),
          })),
        },
      ];
    }),
    untrained: untrained.map((one) => `${exerciseTitle(book, one.exercise)}, ${title(one)}`),
    all: untrained.length > 0 && reps.length === 0,
    standing: written.length,
    changes,
    fresh: lesson === null,
  };
}

const exerciseTitle = (book: RuleBook, key: ExerciseKey): string =>
  book.exercises.find((one) => one.id === key)?.title ?? key;

/** A go by its part: its number where it is asked several times, “refused” where it was tried again. */
function goTitle(book: RuleBook, { exercise, part, time }: PartPlace): string {
  const found = book.exercises.find((one) => one.id === exercise)?.parts.find((one) => one.id === part);
  const times = found?.times ?? 1;
  const title = found?.title ?? part;
  if (time >= times) return tell('trials-after.try-again', { title });
  return tell('trials-after.go', { title, n: times > 1 ? `${time + 1}` : '0' });
}

type Judged = WrittenRep['rep']['judged'];

/** A judgement in words: “flawed: Crooked”, “clean; an extra cue slipped”. */
function judgedWords(rules: PreparedRules, judged: Judged, cues: WrittenRep['rep']['seen']['cues']): string {
  const steps = rules.exercises.flatMap((one) => faultSteps(one));
  const faults = judged.faults
    .flatMap(({ key, step }) => {
      const found = steps.find((one) => one.ref.key === key && (step === null || one.ref.step === step));
      return found ? [wordsOf(found.label)] : [key as string];
    })
    .join(', ');
  const outcome = tell('trials-after.outcome', { outcome: judged.outcome });
  const how =
    faults === ''
      ? outcome
      : judged.cause === 'handler'
        ? tell('trials-after.handlers', { faults })
        : tell('trials-after.faults', { outcome, faults });
  return [
    how,
    ...(cues && cues.slip > 0 ? [tell('trials-after.slip', { n: cues.slip })] : []),
    ...(cues && cues.needed > 0 && faults === '' ? [tell('trials-after.needed', { n: cues.needed })] : []),
  ].join('; ');
}

export type LossLine = {
  readonly key: string;
  readonly title: string;
  readonly expected: number;
  readonly lost: number;
};
export type LossView = {
  readonly lines: readonly LossLine[];
  readonly expected: number;
  readonly lost: number;
  /** The exercise that cost more than expected, by at least a tenth of what it is worth; null where none did. */
  readonly worst: LossLine | null;
};

/** More than this share of an exercise’s points over what was expected is named. */
const MUCH = 0.1;

/** What each exercise was expected to lose, beside what it lost, in the book’s own points. */
export function lossView(
  book: RuleBook,
  forecast: RunForecast,
  rules: PreparedRules,
  score: {
    readonly exercises: readonly {
      readonly exercise: ExerciseKey;
      readonly units: number;
      readonly maximum: number;
    }[];
  },
): LossView {
  const lines = score.exercises.map((one) => ({
    key: one.exercise as string,
    title: exerciseTitle(book, one.exercise),
    expected: forecast.lost.find(({ exercise }) => exercise === one.exercise)?.points ?? 0,
    lost: pointsOf(rules, one.maximum - one.units),
    worth: pointsOf(rules, one.maximum),
  }));
  const over = lines
    .filter((one) => one.lost - one.expected > MUCH * one.worth)
    .sort((a, b) => b.lost - b.expected - (a.lost - a.expected));
  const sum = (of: (one: LossLine) => number): number => lines.reduce((total, one) => total + of(one), 0);
  return {
    lines,
    expected: sum((one) => one.expected),
    lost: sum((one) => one.lost),
    worst: over[0] ?? null,
  };
}
