import { faultText } from '@/core/rulebooks';
import { addDays, type Day, type DogId } from '@/core/shared';
import {
  type DogWork,
  faultLabel,
  type KeptEvidence,
  type MarkBeside,
  namedFaults,
  weekOf,
} from '@/data/read';
import { weekStart, wordsOf, writeDay, writeWeekday } from '@/words';
import { tell } from './words';

/** Weeks that are looked at. */
export const WEEKS = 8;

/** One thing of the handler's through the weeks, oldest first. */
export type HandlerRow = {
  readonly key: string;
  readonly title: string;
  readonly counts: readonly number[];
  readonly total: number;
  /** In which exercises the rules charge for it; empty where none does. */
  readonly costs: readonly string[];
};

/** What the handler did, week by week: own faults by name, second cues that slipped, reps that were helped or lost. */
export function handlerRows(
  bouts: readonly KeptEvidence[],
  works: ReadonlyMap<DogId, DogWork>,
  today: Day,
  helped: ReadonlyMap<string, number> = new Map(),
): {
  readonly weeks: readonly string[];
  readonly reps: readonly number[];
  readonly rows: readonly HandlerRow[];
} {
  const current = weekOf(today, weekStart());
  const starts = Array.from({ length: WEEKS }, (_, i) => addDays(current, -7 * (WEEKS - 1 - i)));
  const weekIn = (day: Day): number => starts.findLastIndex((start) => start <= day);
  const recent = bouts.filter((one) => weekIn(one.day) >= 0 && !one.link);
  const found = new Map<string, { title: string; counts: number[]; costs: Set<string> }>();
  const add = (key: string, title: string, week: number, count: number, cost: string | null): void => {
    if (count === 0) return;
    const row = found.get(key) ?? {
      title,
      counts: new Array<number>(WEEKS).fill(0),
      costs: new Set<string>(),
    };
    row.counts[week] = (row.counts[week] ?? 0) + count;
    if (cost) row.costs.add(cost);
    found.set(key, row);
  };
  const reps = new Array<number>(WEEKS).fill(0);
  for (const bout of recent) {
    const week = weekIn(bout.day);
    reps[week] = (reps[week] ?? 0) + bout.reps;
    const work = works.get(bout.dogId);
    const element = work?.elements.find((one) => one.id === bout.element);
    const faults = work && element ? namedFaults(element, work) : [];
    for (const { fault, count } of Object.values(bout.handlerFaults)) {
      const label = fault ? wordsOf(faultLabel(faults, fault)) : '';
      const priced = fault ? faults.find((one) => faultText(one.ref) === faultText(fault)) : undefined;
      const cost = priced?.ref.exercise && work ? exerciseIn(work, priced.ref.exercise) : null;
      add(fault?.key ?? 'unnamed', label || tell('handler-view.unnamed'), week, count, cost);
    }
    const charged = faults.some((one) => one.charges?.for === 'cues');
    add(
      'slip',
      tell('handler-view.slip'),
      week,
      bout.habits.cues.slip,
      charged ? (element?.title ?? null) : null,
    );
    add(
      'needed',
      tell('handler-view.needed'),
      week,
      bout.habits.cues.needed,
      charged ? (element?.title ?? null) : null,
    );
    add('unasked', tell('handler-view.unasked'), week, bout.habits.unasked, null);
    add('helped', tell('handler-view.helped'), week, helped.get(bout.id) ?? 0, null);
  }
  const rows = [...found]
    .map(([key, { title, counts, costs }]) => ({
      key,
      title,
      counts,
      total: counts.reduce((a, b) => a + b, 0),
      costs: [...costs],
    }))
    .sort((a, b) => b.total - a.total);
  return { weeks: starts.map(writeWeekday), reps, rows };
}

/** An exercise as its rule book calls it. */
const exerciseIn = ({ ruleBooks }: DogWork, key: string): string =>
  ruleBooks.flatMap(({ book }) => book.exercises).find((one) => one.id === key)?.title ?? key;

/** So many reps before a share is a share. */
const ENOUGH = 5;

/** How the next go went by what the handler did about one that went wrong: recorded, and nothing is advised of it. */
export function handledLines(bouts: readonly KeptEvidence[]): string[] {
  const sums = new Map<string, { reps: number; clean: number }>();
  for (const { habits } of bouts)
    for (const { handled, reps, clean } of habits.handled) {
      const sum = sums.get(handled) ?? { reps: 0, clean: 0 };
      sums.set(handled, { reps: sum.reps + reps, clean: sum.clean + clean });
    }
  return [...sums]
    .sort(([, a], [, b]) => b.reps - a.reps)
    .map(([handled, { reps, clean }]) =>
      tell('handler-view.handled', {
        handled: handled.replaceAll('-', ' '),
        reps,
        clean,
        enough: reps >= ENOUGH ? 'yes' : 'no',
      }),
    );
}

/** What was asked, and what the dog did instead, most often first. */
export function insteadLines(bouts: readonly KeptEvidence[]): string[] {
  const sums = new Map<string, { word: string; did: string; count: number }>();
  for (const { habits } of bouts)
    for (const { word, did, count } of habits.instead) {
      const key = JSON.stringify([word, did]);
      sums.set(key, { word, did, count: (sums.get(key)?.count ?? 0) + count });
    }
  return [...sums.values()]
    .sort((a, b) => b.count - a.count)
    .slice(0, 8)
    .map(({ word, did, count }) =>
      tell('handler-view.instead', { word, did, count, said: word === '' ? 'no' : 'yes' }),
    );
}

/** Two marks so near mean the same. */
const NEAR = 2;

/** The person’s marks against what the counts say of the same bouts: how many agree, then each by itself. */
export function markLines(marks: readonly MarkBeside[]): string[] {
  if (marks.length === 0) return [];
  const told = marks.flatMap(({ own, said }) => (said === null ? [] : [own - said]));
  const near = told.filter((apart) => Math.abs(apart) <= NEAR).length;
  const later = told.filter((apart) => apart > NEAR).length;
  return [
    tell('handler-view.marks', { count: marks.length, told: told.length, near, later }),
    ...marks.map(({ day, title, own, said }) =>
      tell('handler-view.mark', {
        day: writeDay(day),
        title,
        own,
        said: said ?? 0,
        told: said === null ? 'no' : 'yes',
      }),
    ),
  ];
}
