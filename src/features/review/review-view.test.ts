import { beforeAll, describe, expect, it } from 'vitest';
import { addDays, type Day, must } from '@/core/shared';
import { openKennel } from '@/data/kennel';
import {
  activeElements,
  type DiaryBout,
  diaryOf,
  evidenceByElement,
  type KeptEvidence,
  keptOfDog,
  listDogs,
  workOf,
} from '@/data/read';
import { replaceTables } from '@/data/write';
import { makeSampleKennel } from '@/demo/sample-kennel';
import { TODAY } from '@/demo/sample-state.test-helper';
import { byDay, found, groundOf, NOTHING_ASKED, periodLines, spanAround } from './diary-view';
import { handledLines, handlerRows, insteadLines, markLines } from './handler-view';
import { coverLines, reachedOn, survived } from './months-view';

let all: DiaryBout[];
let works: Awaited<ReturnType<typeof read>>['works'];
let kept: KeptEvidence[];
async function read() {
  const kennel = must(await openKennel('own', () => Date.parse(`${TODAY}T10:00:00Z`), 'review-view'));
  must(await replaceTables(kennel, makeSampleKennel(TODAY, 2)));
  const dogs = await listDogs(kennel);
  return {
    all: await diaryOf(kennel, addDays(TODAY, -100), TODAY),
    works: new Map(
      await Promise.all(dogs.map(async (one) => [one.id, await workOf(kennel, one.id)] as const)),
    ),
    kept: (await Promise.all(dogs.map((one) => keptOfDog(kennel, one.id)))).flat(),
  };
}
beforeAll(async () => {
  ({ all, works, kept } = await read());
});
const elements = () => [...works.values()].flatMap(activeElements);

describe('the span of a page', () => {
  it.each([
    ['2026-06-30', 'week', '2026-06-29', '2026-07-05'],
    ['2026-06-28', 'week', '2026-06-22', '2026-06-28'],
    ['2026-02-14', 'month', '2026-02-01', '2026-02-28'],
    ['2024-02-29', 'month', '2024-02-01', '2024-02-29'],
    ['2026-12-31', 'month', '2026-12-01', '2026-12-31'],
  ] as const)('%s as a %s is %s to %s', (day, span, from, to) => {
    expect(spanAround(day as Day, span)).toEqual({ from, to });
  });
});

describe('the diary', () => {
  it('is found by dog, piece, place and every word of a text, wherever it stands', () => {
    const [one] = all;
    if (!one) throw new Error('the sample has bouts');
    const of = (asked: Partial<typeof NOTHING_ASKED>) => found(all, { ...NOTHING_ASKED, ...asked });
    expect(of({})).toHaveLength(all.length);
    expect(of({ dog: one.dog.id }).every((each) => each.dog.id === one.dog.id)).toBe(true);
    expect(of({ element: one.address }).every((each) => each.address === one.address)).toBe(true);
    expect(of({ ground: groundOf(one.bout) }).length).toBeGreaterThan(0);
    const words = `${one.dog.name.toUpperCase()}  ${one.title.split(' ')[0]}`;
    expect(of({ text: words })).toContain(one);
    expect(of({ text: `${words} nobodywrotethis` })).toEqual([]);
    const written = {
      ...one,
      bout: { ...one.bout, debrief: { what: 'wind from the left', next: 'shorter' } },
    };
    expect(found([...all, written], { ...NOTHING_ASKED, text: 'left WIND' })).toEqual([written]);
  });

  it('groups by day, newest first, and says what a month came to', () => {
    const days = byDay(all).map((one) => one.day);
    expect(days).toEqual([...days].sort().reverse());
    const { lines, period } = periodLines(all, elements(), true);
    expect(lines[0]).toMatch(/^\d+ bouts, [\d,]+ reps, [\d,]+ min/);
    expect(lines.join(' ')).toMatch(/Rose: .* from step \d+ to \d+/);
    expect(period.bouts).toBe(all.length);
    const week = all.filter((one) => one.outing.day > addDays(TODAY, -7));
    expect(periodLines(week, elements(), true).lines.join(' ')).toMatch(
      /Never worked in it: .* So one of these next/,
    );
    expect(periodLines(week, elements(), false).lines.join(' ')).not.toContain('So one of these');
    expect(periodLines([], elements(), true).lines).toEqual(['0 bouts, 0 reps, 0 min.']);
  });
});

describe('the handler’s page', () => {
  it('adds what was put down to the handler up by week, most often first, with where it is charged', () => {
    const { rows, weeks, reps } = handlerRows(kept, works, TODAY);
    expect([weeks.length, reps.length]).toEqual([8, 8]);
    expect(rows.length).toBeGreaterThan(0);
    expect(rows.map((one) => one.total)).toEqual([...rows.map((one) => one.total)].sort((a, b) => b - a));
    for (const row of rows) expect(row.counts.reduce((a, b) => a + b, 0)).toBe(row.total);
    expect(handlerRows([], works, TODAY).rows).toEqual([]);
  });

  it('sets the person’s marks against what the counts say, and says where they came later', () => {
    const mark = (own: number, said: number | null) => ({ day: TODAY, title: 'Stop', own, said });
    const [first, ...each] = markLines([mark(8, 9), mark(14, 8), mark(5, null)]);
    expect(first).toBe(
      '3 bouts you would have ended sooner or elsewhere; of 2 the counts tell a point, one near yours, one well before it: so watch for it sooner.',
    );
    expect(each[2]).toMatch(/: you after rep 5, the counts tell nothing\.$/);
    expect(markLines([])).toEqual([]);
  });

  it('counts reps that were helped, by week', () => {
    const [one] = kept.filter((bout) => bout.day > addDays(TODAY, -6));
    if (!one) throw new Error('something was worked this week');
    const { rows } = handlerRows([one], works, TODAY, new Map([[one.id as string, 3]]));
    expect(rows.find((row) => row.key === 'helped')).toMatchObject({ total: 3, costs: [] });
  });

  it('says what came after an error and what was done instead, and advises nothing', () => {
    const [one] = kept;
    if (!one) throw new Error('the sample has bouts');
    const habits = {
      ...one.habits,
      handled: [
        { handled: 'again' as const, at: '', reps: 6, clean: 4 },
        { handled: 'pause' as const, at: '', reps: 2, clean: 2 },
      ],
      instead: [{ word: 'down', did: 'sit', count: 3 }],
    };
    const lines = handledLines([{ ...one, habits }]);
    expect(lines).toEqual(['again: 4 of the next 6 goes clean.', 'pause: 2 goes after it, too few to say.']);
    expect(lines.join(' ')).not.toMatch(/\b(so|better|try|use)\b/i);
    expect(insteadLines([{ ...one, habits }])).toEqual(['“down” was asked, it did “sit”: 3 times.']);
  });
});

describe('over months', () => {
  it('draws the hardest that was clean, on the right end of an axis, with what it rests on', () => {
    for (const work of works.values()) {
      const evidence = evidenceByElement(kept, work.elements);
      for (const element of activeElements(work)) {
        const [axis] = element.axes;
        const bouts = evidence.get(element.id) ?? [];
        if (!axis || axis.levels) continue;
        for (const one of reachedOn(axis, bouts)) {
          expect(one.clean).toBeGreaterThan(0);
          expect(one.reps).toBeGreaterThanOrEqual(one.clean);
          const values = bouts
            .filter((bout) => bout.day === one.day)
            .flatMap((bout) =>
              bout.cells
                .filter((cell) => cell.clean > 0)
                .map((cell) => cell.criteria[axis.key] ?? axis.start),
            );
          expect(values).toContain(one.value);
        }
      }
    }
  });

  it('says what survived a fortnight without it, and sets sides and places side by side', () => {
    const quill = [...works.values()][0];
    if (!quill) throw new Error('the sample has a dog');
    const evidence = evidenceByElement(kept, quill.elements);
    const lines = activeElements(quill).flatMap((one) => survived(evidence.get(one.id) ?? []));
    expect(lines.length).toBeGreaterThan(0);
    for (const line of lines)
      expect(line).toMatch(
        /^\d+ days without it, back on .*: the first go (was clean|was not clean|did not count); \d+ of \d+ clean that day/,
      );
    const cover = activeElements(quill).flatMap((one) => coverLines(one, evidence.get(one.id) ?? []));
    expect(cover.join(' ')).toMatch(/\d+ of \d+/);
    expect(survived([])).toEqual([]);
  });
});
