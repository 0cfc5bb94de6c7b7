import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { measuredAs } from '@/core/breakdown';
import { testAxis } from '@/core/breakdown/axis.test-helper';
import { ownFault } from '@/core/rulebooks';
import { type AxisKey, asId } from '@/core/shared';
import { type ChargedFault, type Judged, type Judging, judgedByMeasure, missedOf, type Seen } from '.';

const held = testAxis({ key: 'time', quantity: 'duration', unit: 's', start: 2, demand: 20 });
const quick = testAxis({
  key: 'answer',
  quantity: 'latency',
  unit: 's',
  harder: 'less',
  start: 6,
  demand: 2,
});
const straight = testAxis({
  key: 'turn',
  quantity: 'angle',
  unit: '°',
  harder: 'less',
  start: 20,
  demand: 5,
});
const of = (
  axis: typeof held,
  charged: readonly ChargedFault[] = [],
  change: Partial<Judging> = {},
): Judging => ({
  axes: [axis],
  measured: 'decides',
  oneCue: false,
  charged,
  handlers: [],
  ...change,
});
const seen = (measured: Seen['measured'], more: Partial<Seen> = {}): Seen => ({
  measured,
  timing: null,
  endedBy: null,
  run: null,
  ...more,
});
const CLEAN: Judged = { outcome: 'clean', faults: [], cause: 'dog', aids: [], void: false, proposed: null };
const asked = (axis: typeof held) => ({ criteria: { [asId<AxisKey>(axis.key)]: axis.start }, noted: [] });

describe('what of a rep an axis is held against', () => {
  it.each([
    ['a time to be held', held, 'held'],
    ['an answer', quick, 'latency'],
    ['a run that is to be quick', testAxis({ quantity: 'duration', unit: 's', harder: 'less' }), 'latency'],
    ['straightness', straight, 'angle'],
    ['an angle that is set up', testAxis({ quantity: 'angle', unit: '°', harder: 'both', start: 0 }), null],
    ['a gap that is set up', testAxis({ quantity: 'offset', unit: 'cm', harder: 'less' }), null],
    [
      'how far from the place',
      testAxis({ quantity: 'offset', unit: 'cm', harder: 'less', measured: true }),
      'offset',
    ],
    ['choices laid', testAxis({ quantity: 'count', unit: '' }), null],
    ['paws on it', testAxis({ quantity: 'count', unit: '', measured: true }), 'count'],
    ['a distance', testAxis({}), null],
    ['help', testAxis({ quantity: 'duration', unit: 's', role: 'help' }), null],
  ] as const)('%s → %s', (_, axis, measure) => expect(measuredAs(axis)).toBe(measure));
});

describe('what was measured past what was asked', () => {
  it.each([
    ['a thumb errs by .15 s', quick, { latency: { value: 6.15, how: 'tap' } }, []],
    ['and no more', quick, { latency: { value: 6.16, how: 'tap' } }, ['latency']],
    ['a clip by .05 s', quick, { latency: { value: 6.1, how: 'clip' } }, ['latency']],
    ['what was typed is taken as it is', quick, { latency: { value: 6.01, how: 'typed' } }, ['latency']],
    ['a hold may be longer', held, { held: { value: 9, how: 'tap' } }, []],
    ['and .15 s shorter', held, { held: { value: 1.85, how: 'tap' } }, []],
    ['not more', held, { held: { value: 1.84, how: 'tap' } }, ['held']],
    ['degrees to either side', straight, { angle: { value: -21, how: 'typed' } }, ['angle']],
    ['what nobody measured says nothing', held, { latency: { value: 99, how: 'tap' } }, []],
  ] as const)('%s', (_, axis, measured, past) =>
    expect(missedOf(of(axis), asked(axis).criteria, seen(measured)).map((one) => one.what)).toEqual(past));

  it('is named by the band of the rule book that it lies in, the lowest open one, else by the axis', () => {
    const bands: ChargedFault[] = [
      { ref: ownFault('a-little'), for: 'angle', from: 10, upTo: 30 },
      { ref: ownFault('badly'), for: 'angle', from: 30, upTo: null },
    ];
    const named = (value: number, charged = bands): string | undefined =>
      missedOf(of(straight, charged), asked(straight).criteria, seen({ angle: { value, how: 'typed' } }))[0]
        ?.fault.key;
    expect([named(25), named(-45), named(25, [])]).toEqual(['a-little', 'badly', 'measured-crooked']);
  });

  it('a measured rep is never judged better than it was called, and what was proposed is kept', () => {
    const value = fc.double({ min: 0, max: 40, noNaN: true });
    fc.assert(
      fc.property(
        value,
        fc.constantFrom('clean', 'flawed', 'miss'),
        fc.boolean(),
        (seconds, called, decides) => {
          const judging = of(held, [], { measured: decides ? 'decides' : 'noted' });
          const said: Judged = { ...CLEAN, outcome: called as 'clean' };
          const now = judgedByMeasure(
            judging,
            asked(held),
            seen({ held: { value: seconds, how: 'tap' } }),
            said,
          );
          const short = seconds < held.start - 0.15 - 1e-9;
          if (called === 'miss' || !short) expect(now).toEqual({ ...said, proposed: null });
          else {
            expect(now.proposed?.outcome).toBe('flawed');
            expect(now.outcome).toBe(decides ? 'flawed' : called);
            expect(now.faults).toHaveLength(1);
          }
        },
      ),
    );
  });

  it('stopped early by you it is neither, unless a fault was seen on the way', () => {
    const early = seen({ held: { value: 0.5, how: 'tap' } }, { endedBy: 'handler' });
    expect(judgedByMeasure(of(held), asked(held), early, CLEAN).outcome).toBe('none');
    const wide: Judged = { ...CLEAN, outcome: 'flawed', faults: [ownFault('wide')] };
    expect(judgedByMeasure(of(held), asked(held), early, wide)).toEqual(wide);
  });

  it('cues are counted with the first one; where only the time is noted, a second cue still decides', () => {
    const judging = of(quick, [], { oneCue: true, measured: 'noted' });
    const cued = (needed: number, meant = 0) => seen({}, { cues: { needed, slip: 3, meant } });
    expect(judgedByMeasure(judging, asked(quick), cued(0), CLEAN).outcome).toBe('clean');
    expect(judgedByMeasure(judging, asked(quick), cued(1), CLEAN).outcome).toBe('flawed');
    expect(missedOf(judging, {}, cued(1, 1))[0]).toMatchObject({ what: 'cues', value: 3, asked: 1 });
    expect(missedOf({ ...judging, oneCue: false }, {}, cued(5))).toEqual([]);
  });
});
