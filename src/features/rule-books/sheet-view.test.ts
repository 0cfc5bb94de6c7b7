import { beforeEach, describe, expect, it } from 'vitest';
import { asId, type ExerciseKey, type FaultKey, must, type SizeKey } from '@/core/shared';
import { sampleState } from '@/demo/sample-state.test-helper';
import { useSheet } from './sheet-store';
import { givenLabel, readGiven, readMeasure, runsView, sheetRows, sheetView } from './sheet-view';

const books = sampleState().work.ruleBooks.map((record) => record.book);
const named = (id: string) => {
  const book = books.find((candidate) => candidate.id === id);
  if (!book) throw new Error(`the sample has no ${id}`);
  return book;
};
const two = named('vellmoor-obedience-two');
const key = (id: string): ExerciseKey => asId<ExerciseKey>(id);
const fault = (id: string): FaultKey => asId<FaultKey>(id);
const sheet = () => useSheet.getState();

describe('the score sheet', () => {
  beforeEach(() => {
    sheet().openBook(named('ravenholt-course').id);
    sheet().openBook(two.id);
  });

  it('tells what is sure and what is still to come', () => {
    const empty = must(sheetView(two, sheet().lines));
    expect([empty.said, empty.sure, empty.open, empty.verdict]).toEqual([
      '80 points',
      '0',
      '80',
      'Can still pass',
    ]);
    sheet().add(key('square'), fault('slow-out'), 1);
    const one = must(sheetView(two, sheet().lines));
    expect([one.said, one.sure, one.open]).toEqual(['78.5 points', '38.5', '40']);
    sheet().run(key('hurdle'));
    const both = must(sheetView(two, sheet().lines));
    expect([
      both.open,
      both.verdict,
      both.deductions.map((deduction) => [deduction.title, deduction.units]),
    ]).toEqual([null, 'Passes: Passed with honours', [['Slow on the way out', '−1.5']]]);
  });

  it('says at once when it cannot pass any more', () => {
    sheet().add(key('square'), fault('does-not-leave'), 1);
    const view = must(sheetView(two, sheet().lines));
    expect([view.verdict, view.reasons]).toEqual([
      'Does not pass',
      ['fewer than 60 points in all', 'under 50 % in send-away to the square'],
    ]);
  });

  it('takes back step by step and keeps a sheet apart for each book', () => {
    sheet().add(key('square'), fault('restless'), 1);
    sheet().add(key('square'), fault('restless'), 1);
    sheet().clear();
    sheet().undo();
    expect(must(sheetView(two, sheet().lines)).said).toBe('76 points');
    sheet().undo();
    expect(must(sheetView(two, sheet().lines)).said).toBe('78 points');
    sheet().run(key('hurdle'));
    sheet().run(key('hurdle'));
    expect(sheet().lines[key('hurdle')]).toBeUndefined();
    sheet().openBook(named('ravenholt-course').id);
    expect([sheet().lines, sheet().before]).toEqual([{}, []]);
  });

  it('offers taps for counts, bands and a judge’s range, and asks for what is measured', () => {
    const faults = must(sheetView(two, {})).exercises[0]?.groups.flatMap((group) => group.faults) ?? [];
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

  it('takes marks that are given outright where the family knows them', () => {
    expect(must(readGiven(named('harrowmere-ring-grade-b'), '8; 8,5'))).toEqual([8, 8.5]);
    expect(must(readGiven(named('brackwater-working-test'), 'b'))).toEqual([16]);
    expect(readGiven(two, 'good')).toMatchObject({ ok: false, code: 'given' });
    expect([
      givenLabel(two, key('square')),
      givenLabel(named('saltfen-field-assessment'), key('water')),
    ]).toEqual(['Or its points', 'Or the marks for perseverance, delivery']);
  });

  it('becomes rows whose numbers add up', () => {
    sheet().add(key('square'), fault('no-return'), 1);
    const rows = sheetRows(must(sheetView(two, sheet().lines)));
    expect(rows).toEqual([
      ['exercise', 'fault', 'rule', 'point', 'kept', 'maximum'],
      ['Send-away to the square', 'Does not come on the cue', '14 points each', '-14', '', ''],
      ['Send-away to the square', '', '', '', '26', '40'],
      ['Retrieve over the hurdle', 'not run yet', '', '', '40', '40'],
      ['Can still pass', '', '', '', '66', '80'],
    ]);
  });

  it('takes a number beside faults that explain it, in whichever order', () => {
    sheet().openBook(two.id);
    sheet().add(key('square'), fault('slow-out'), 1);
    sheet().give(key('square'), [35]);
    sheet().add(key('square'), fault('slow-out'), 1);
    const view = must(sheetView(two, sheet().lines));
    expect([view.exercises[0]?.kept, view.deductions.map((one) => one.units)]).toEqual(['35', ['0', '0']]);
    sheet().give(key('square'), null);
    expect(must(sheetView(two, sheet().lines)).exercises[0]?.kept).toBe('37');
  });

  it('adds what is given on top, measures throws, and scores a dog in its size', () => {
    const throws = named('fennside-throws');
    sheet().openBook(throws.id);
    sheet().add(key('round'), fault('in-the-air'), 1);
    const bonus = must(sheetView(throws, sheet().lines));
    expect([bonus.said, bonus.deductions[0]?.units]).toEqual(['25.5 points', '+0.5']);
    expect(givenLabel(throws, key('round'))).toBe(
      'Or what was measured (5 tries, points of the zone, 0 for none)',
    );
    sheet().give(key('round'), must(readGiven(throws, '5; 4; 0; 5; 2')));
    expect(must(sheetView(throws, sheet().lines)).said).toBe('16 points');

    const course = named('ravenholt-course');
    sheet().openBook(course.id);
    sheet().add(key('clock'), fault('over-time'), 65);
    expect(must(sheetView(course, sheet().lines)).said).toBe('5 faults');
    expect(must(sheetView(course, sheet().lines, asId<SizeKey>('low'))).said).toBe('0 faults');
  });

  it('keeps a sheet for each run, and says which counts', () => {
    const throws = named('fennside-throws');
    sheet().openBook(throws.id);
    const sheets = () =>
      [0, 1].map((run) => (run === sheet().at ? sheet().lines : (sheet().others[run] ?? {})));
    expect(runsView(throws, sheets())).toEqual({
      runs: [
        { run: 0, said: null },
        { run: 1, said: null },
      ],
      counts: null,
    });
    sheet().give(key('round'), [5, 4, 0, 2, 2]);
    sheet().turnTo(1);
    expect(sheet().lines).toEqual({});
    sheet().give(key('round'), [5, 4, 0, 5, 2]);
    expect(runsView(throws, sheets())).toEqual({
      runs: [
        { run: 0, said: '13 points' },
        { run: 1, said: '16 points' },
      ],
      counts: 'The best run counts: 16 points, passes.',
    });
    sheet().turnTo(0);
    expect(must(sheetView(throws, sheet().lines)).said).toBe('13 points');
    expect(runsView({ ...throws, runs: { count: 2, counts: 'every' } }, sheets())?.counts).toBe(
      'Every run has to pass; the weakest counts: 13 points, does not pass.',
    );
    expect(runsView(two, [])).toBeNull();
  });

  it('says of a fault what it does besides its price', () => {
    const course = named('ravenholt-course');
    sheet().openBook(course.id);
    const lane = must(sheetView(course, {})).exercises.find((one) => one.key === 'lane');
    const refusal = lane?.groups.flatMap((group) => group.faults).find((one) => one.fault.id === 'refusal');
    expect([refusal?.cost, refusal?.more]).toEqual([
      '5 faults each',
      'the part is tried again after it; Refusals, counted over the whole run: the 3rd ends the run',
    ]);
  });
});
