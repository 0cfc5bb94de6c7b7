import { describe, expect, it } from 'vitest';
import { asId, type ExerciseKey, must, type SizeKey } from '@/core/shared';
import { foldSheet } from '@/core/trials';
import { emptyKennel } from '@/data/kennel.test-helper';
import { runWithMarks } from '@/data/read';
import { putRuleBook } from '@/data/write';
import { sampleState } from '@/demo/sample-state.test-helper';
import { readMeasure } from './fault-buttons';
import { readGiven } from './given-slots';
import { NOTHING, runsView, sheetRows, sheetView, type Written } from './sheet-view';
import { startedRun, type Tap, tapped } from './taps.test-helper';

const books = sampleState().work.ruleBooks.map((record) => record.book);
const named = (id: string) => {
  const book = books.find((candidate) => candidate.id === id);
  if (!book) throw new Error(`the sample has no ${id}`);
  return book;
};
const two = named('vellmoor-obedience-two');
const throws = named('fennside-throws');
const key = (id: string): ExerciseKey => asId<ExerciseKey>(id);

async function written(id: string, taps: readonly Tap[]): Promise<Written> {
  const book = named(id);
  const kennel = await emptyKennel();
  must(await putRuleBook(kennel, book, 0));
  const run = await startedRun(kennel, book);
  await tapped(kennel, book, run, taps);
  return foldSheet((await runWithMarks(kennel, run.id))?.marks ?? [], null);
}

describe('the score sheet', () => {
  it('tells what is sure and what is still to come', async () => {
    const empty = must(sheetView(two, NOTHING));
    expect([empty.said, empty.sure, empty.open, empty.verdict]).toEqual([
      '80 points',
      '0',
      '80',
      'Can still pass',
    ]);
    const one = must(sheetView(two, await written(two.id, [['fault', 'square', 'slow-out']])));
    expect([one.said, one.sure, one.open]).toEqual(['78.5 points', '38.5', '40']);
    const both = must(
      sheetView(
        two,
        await written(two.id, [
          ['fault', 'square', 'slow-out'],
          ['is', 'hurdle', 'done'],
        ]),
      ),
    );
    expect([both.open, both.verdict, both.deductions.map((it_) => [it_.title, it_.units])]).toEqual([
      null,
      'Passes: Passed with honours',
      [['Slow on the way out', '−1.5']],
    ]);
  });

  it('says at once when it cannot pass any more', async () => {
    const view = must(sheetView(two, await written(two.id, [['fault', 'square', 'does-not-leave']])));
    expect([view.verdict, view.reasons]).toEqual([
      'Does not pass',
      ['fewer than 60 points in all', 'under 50 % in send-away to the square'],
    ]);
  });

  it('says of what was not done that it keeps nothing, and of what comes after a stop that it was not reached', async () => {
    const view = must(sheetView(two, await written(two.id, [['is', 'square', 'stopped']])));
    expect(view.exercises.map(({ kept, state }) => [kept, state])).toEqual([
      ['0', 'zeroed'],
      ['0', 'not-run'],
    ]);
    expect(view.deductions.map(({ title, rule }) => [title, rule])).toEqual([
      ['Stopped', 'the run ends here'],
      ['Stopped', 'the run ends here'],
    ]);
    expect(view.reasons).toContain('the run is ended');
  });

  it('offers taps for counts, bands and a judge’s range, and asks for what is measured', () => {
    const faults = must(sheetView(two, NOTHING)).exercises[0]?.groups.flatMap((group) => group.faults) ?? [];
    const of = (id: string) => faults.find((candidate) => candidate.fault.id === id);
    expect(of('no-position')).toMatchObject({ taps: [{ label: 'Add', amount: 1 }], measured: null });
    expect(of('crooked-start')).toMatchObject({
      taps: [{ label: '10–30°' }, { label: 'over 30°' }],
      measured: { quantity: 'angle', unit: '°' },
    });
    expect(of('off-line')).toMatchObject({ taps: [], measured: { quantity: 'distance', unit: 'm' } });
    expect(must(readMeasure({ quantity: 'distance', unit: 'm' }, '3 yd'))).toBeCloseTo(2.7432, 9);
    expect(readMeasure({ quantity: 'angle', unit: '°' }, '3 m')).toMatchObject({ ok: false, code: 'unit' });
  });

  it('shows of each mark what was measured or which step it was', async () => {
    const view = must(
      sheetView(
        two,
        await written(two.id, [
          ['measure', 'square', 'off-line', '2.5'],
          ['measure', 'square', 'off-line', '3 yd'],
          ['fault', 'square', 'slow-out'],
        ]),
      ),
    );
    const faults = view.exercises[0]?.groups.flatMap((group) => group.faults) ?? [];
    const of = (id: string) => faults.find((one) => one.fault.id === id)?.marks.map(({ words }) => words);
    expect([of('off-line'), of('slow-out')]).toEqual([['2.5\u00a0m', '2.74\u00a0m'], ['']]);
  });

  it('asks for the numbers that the family knows, each by itself', () => {
    const of = (id: string, exercise: string) =>
      must(sheetView(named(id), NOTHING)).exercises.find((one) => one.key === exercise)?.slots ?? [];
    const [square] = of(two.id, 'square');
    expect([square?.label, square?.slot.most, square?.slot.step]).toEqual(['Or its points', 40, 0.5]);
    expect(of('saltfen-field-assessment', 'water').map((slot) => slot.label)).toEqual([
      'Or the mark for Perseverance',
      'Or the mark for Delivery',
    ]);
    expect(of('harrowmere-ring-grade-b', 'heel').map((slot) => slot.label)).toEqual(['Or its mark']);
    const [letter] = of('brackwater-working-test', 'memory');
    const [zone] = of(throws.id, 'round');
    const [faults] = of('ravenholt-course', 'lane');
    if (!square || !letter || !zone || !faults) throw new Error('every family has a number');
    expect([must(readGiven(square.slot, '34,5')), must(readGiven(letter.slot, 'b'))]).toEqual([34.5, 16]);
    for (const wrong of ['good', '41', '0.25', '-1', ''])
      expect(readGiven(square.slot, wrong)).toMatchObject({ ok: false, code: 'given' });
    expect([
      readGiven(zone.slot, '1').ok,
      readGiven(zone.slot, '2').ok,
      readGiven(zone.slot, '0').ok,
    ]).toEqual([false, true, true]);
    expect(faults.slot.most).toBe(20);
  });

  it('becomes rows whose numbers add up', async () => {
    const rows = sheetRows(must(sheetView(two, await written(two.id, [['fault', 'square', 'no-return']]))));
    expect(rows).toEqual([
      ['exercise', 'fault', 'rule', 'point', 'kept', 'maximum'],
      ['Send-away to the square', 'Does not come on the cue', '14 points each', '-14', '', ''],
      ['Send-away to the square', '', '', '', '26', '40'],
      ['Retrieve over the hurdle', 'not run yet', '', '', '40', '40'],
      ['Can still pass', '', '', '', '66', '80'],
    ]);
  });

  it('takes a number beside faults that explain it, in whichever order', async () => {
    const taps: Tap[] = [
      ['fault', 'square', 'slow-out'],
      ['give', 'square', '35'],
      ['fault', 'square', 'slow-out'],
    ];
    const view = must(sheetView(two, await written(two.id, taps)));
    expect([view.exercises[0]?.kept, view.deductions.map((one) => one.units)]).toEqual(['35', ['0', '0']]);
  });

  it('adds what is given on top, and scores a dog in its size', async () => {
    const bonus = must(sheetView(throws, await written(throws.id, [['fault', 'round', 'in-the-air']])));
    expect([bonus.said, bonus.deductions[0]?.units]).toEqual(['25.5 points', '+0.5']);
    const course = named('ravenholt-course');
    const sheet = await written(course.id, [['measure', 'clock', 'over-time', '65']]);
    expect(must(sheetView(course, sheet)).said).toBe('5 faults');
    expect(must(sheetView(course, sheet, asId<SizeKey>('low'))).said).toBe('0 faults');
  });

  it('says of each run what it came to, and which counts', async () => {
    const tries = (values: readonly string[]): Tap[] =>
      values.map((value, i): Tap => ['give', 'round', value, `try-${i + 1}`]);
    const first = await written(throws.id, tries(['5', '4', '0', '2', '2']));
    const second = await written(throws.id, tries(['5', '4', '0', '5', '2']));
    expect(runsView(throws, [])).toEqual({
      runs: [
        { run: 0, said: null },
        { run: 1, said: null },
      ],
      counts: null,
    });
    expect(runsView(throws, [first, second])).toEqual({
      runs: [
        { run: 0, said: '13 points' },
        { run: 1, said: '16 points' },
      ],
      counts: 'The best run counts: 16 points, passes.',
    });
    expect(runsView({ ...throws, runs: { count: 2, counts: 'every' } }, [first, second])?.counts).toBe(
      'Every run has to pass; the weakest counts: 13 points, does not pass.',
    );
    expect(runsView(two, [])).toBeNull();
  });

  it('says of a fault what it does besides its price', () => {
    const course = named('ravenholt-course');
    const lane = must(sheetView(course, NOTHING)).exercises.find((one) => one.key === key('lane'));
    const refusal = lane?.groups.flatMap((group) => group.faults).find((one) => one.fault.id === 'refusal');
    expect([refusal?.cost, refusal?.more]).toEqual([
      '5 faults each',
      'the part is tried again after it; Refusals, counted over the whole run: the 3rd ends the run',
    ]);
  });
});
