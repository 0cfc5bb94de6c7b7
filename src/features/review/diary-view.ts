import { LOADS, type Load } from '@/core/planning';
import { type Moved, type Period, periodOf } from '@/core/review';
import { addDays, type Day, type DogId, type ElementId } from '@/core/shared';
import { type DiaryBout, type ElementRecord, inPeriod, weekOf } from '@/data/read';
import { SIGN_WORDS } from '@/ui';
import { weekStart, writeNumber } from '@/words';
import { tell } from './words';

export type Span = 'week' | 'month';

/** The first and the last day of the week or the month that a day lies in. */
export function spanAround(day: Day, span: Span): { readonly from: Day; readonly to: Day } {
  if (span === 'week') {
    const from = weekOf(day, weekStart());
    return { from, to: addDays(from, 6) };
  }
  const from = `${day.slice(0, 7)}-01` as Day;
  // The day before the first of the next month.
  const next = `${addDays(from, 31).slice(0, 7)}-01` as Day;
  return { from, to: addDays(next, -1) };
}

export type Asked = {
  readonly dog: DogId | null;
  readonly element: ElementId | null;
  readonly ground: string;
  readonly text: string;
};
export const NOTHING_ASKED: Asked = { dog: null, element: null, ground: '', text: '' };

/** All that can be read of a bout, by which it is found. */
const textOf = ({ title, dog, bout, kept, outing }: DiaryBout): string =>
  [
    title,
    dog.name,
    bout.debrief?.what ?? '',
    bout.debrief?.next ?? '',
    ...kept.notes,
    ...kept.signs.map(({ sign }) => SIGN_WORDS[sign]),
    outing.helpers,
    outing.note,
    outing.weather?.words ?? '',
    ...Object.entries(bout.conditions).flat(),
    groundOf(bout),
  ]
    .join(' ')
    .toLowerCase();

/** Where it was: what was said of ground or surface, else the usual place or a strange one. */
export const groundOf = ({ conditions, away }: Pick<DiaryBout['bout'], 'conditions' | 'away'>): string =>
  Object.entries(conditions).find(([title]) => /surface|ground/i.test(title))?.[1] ??
  (away ? tell('diary-view.strange-place') : tell('diary-view.usual-place'));

/** The bouts that answer what was asked: every word of the text somewhere in the bout. */
export const found = (bouts: readonly DiaryBout[], { dog, element, ground, text }: Asked): DiaryBout[] => {
  const words = text.toLowerCase().split(/\s+/).filter(Boolean);
  return bouts.filter(
    (one) =>
      (dog === null || one.dog.id === dog) &&
      (element === null || one.address === element) &&
      (ground === '' || groundOf(one.bout) === ground) &&
      words.every((word) => textOf(one).includes(word)),
  );
};

/** Bouts by their day, newest first, and in a day as they were worked. */
export function byDay(bouts: readonly DiaryBout[]): { readonly day: Day; readonly bouts: DiaryBout[] }[] {
  const days = new Map<Day, DiaryBout[]>();
  for (const one of bouts) {
    const list = days.get(one.outing.day);
    if (list) list.push(one);
    else days.set(one.outing.day, [one]);
  }
  return [...days].map(([day, list]) => ({ day, bouts: list }));
}

const LOAD_KEYS: Readonly<Record<Load, string>> = {
  jumps: 'jumps',
  'sharp-turns': 'turns',
  'upright-holds': 'upright',
  'run-metres': 'metres',
};

/**
 * What a week or a month came to, in lines. `elements` are those that are trained; of a span that is not over
 * what was never worked says what to do.
 */
export function periodLines(
  bouts: readonly DiaryBout[],
  elements: readonly ElementRecord[],
  isNow: boolean,
): { readonly period: Period; readonly lines: readonly string[] } {
  const period = periodOf(
    inPeriod(bouts),
    elements.map((one) => one.id),
  );
  const byId = new Map(elements.map((one) => [one.id, one]));
  const title = (id: ElementId): string => byId.get(id)?.title ?? '';
  const moved = ({ piece, from, to }: Moved): string[] => {
    const element = byId.get(piece);
    if (!element) return [];
    return [tell('diary-view.moved', { title: element.title, from: from + 1, to: to + 1 })];
  };
  const loads = LOADS.filter((of) => period.loads[of] > 0).map((of) =>
    tell('diary-view.load', { of: LOAD_KEYS[of], amount: writeNumber(Math.round(period.loads[of])) }),
  );
  const rose = period.rose.flatMap(moved);
  const fell = period.fell.flatMap(moved);
  const lines = [
    tell('diary-view.sums', {
      bouts: period.bouts,
      reps: period.reps,
      minutes: Math.round(period.minutes),
      untimed: period.untimed,
    }),
    ...(loads.length > 0 ? [tell('diary-view.loads', { loads: loads.join(', ') })] : []),
    ...(rose.length > 0 ? [tell('diary-view.rose', { moved: rose.join('; ') })] : []),
    ...(fell.length > 0 ? [tell('diary-view.fell', { moved: fell.join('; ') })] : []),
    ...(period.never.length > 0 && period.bouts > 0
      ? [
          tell('diary-view.never', {
            titles: period.never.map(title).filter(Boolean).join(', '),
            now: isNow ? 'yes' : 'no',
          }),
        ]
      : []),
  ];
  return { period, lines };
}
