import { coverOf } from '@/core/evidence';
import { trialPieces, type WeeksPlan } from '@/core/planning';
import { activeElements, type Planning } from '@/data/read';
import { wordsOf, writeWeekday } from '@/words';
import { tell } from './words';

/** So many counted reps before a side or a place that is missing says something. */
const ENOUGH = 8;
/** So many lines are said; the others are counted. */
const SAID = 6;

/**
 * What was never trained though others of its kind were: a strange place where a trial is meant, a side, a
 * hand, a handler. Each with what to do: the next day that is in a strange place, or to ask it next time.
 */
export function neverTrained(planning: Planning, plan: WeeksPlan | null): string[] {
  const inTrial = trialPieces(planning.question.dogs.flatMap((one) => one.aims));
  const strange = planning.question.frame.days.find((one) => one.strange && one.minutes > 0)?.day;
  const planned = new Map((plan?.bouts ?? []).map((one) => [one.piece, one.day]));
  const lines = [...planning.works].flatMap(([dog, work]) => {
    const name = planning.dogs.length > 1 ? (planning.dogs.find((one) => one.id === dog)?.name ?? '') : '';
    const evidence = planning.evidence.get(dog);
    const mine = activeElements(work).flatMap((element) => {
      const bouts = evidence?.get(element.id) ?? [];
      const reps = bouts.reduce((sum, one) => sum + one.counted, 0);
      return reps >= ENOUGH ? [{ element, bouts }] : [];
    });
    const sides = mine.flatMap(({ element, bouts }) =>
      coverOf(
        bouts,
        element.conditions.filter((one) => one.seen !== true),
      )
        .slice(FIXED_ROWS)
        .flatMap((row) =>
          row.never.length > 0 && row.cells.some((cell) => cell.reps >= ENOUGH)
            ? [
                tell('neglected.side', {
                  title: element.title,
                  condition: wordsOf(row.condition).toLowerCase(),
                  never: row.never.map((one) => wordsOf(one)).join(', '),
                  day: planned.has(element.id) ? writeWeekday(planned.get(element.id) as never) : '',
                  planned: planned.has(element.id) ? 'yes' : 'no',
                }),
              ]
            : [],
        ),
    );
    const home = mine
      .filter(
        ({ element, bouts }) =>
          inTrial.has(element.id) && bouts.every((one) => !one.away || one.counted === 0),
      )
      .map(({ element }) => element.title);
    const away =
      home.length === 0
        ? []
        : [
            tell('neglected.away', {
              name: name === '' ? '' : `${name}: `,
              titles: home.join(', '),
              day: strange === undefined ? '' : writeWeekday(strange),
              known: strange === undefined ? 'no' : 'yes',
            }),
          ];
    return [...away, ...sides];
  });
  return lines.length <= SAID
    ? lines
    : [...lines.slice(0, SAID), tell('neglected.more', { count: lines.length - SAID })];
}

/** Place and pay come before an element’s own conditions. */
const FIXED_ROWS = 2;
