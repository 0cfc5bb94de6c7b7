import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { buildLadder } from '@/core/breakdown';
import { BODY_SIGNS, DEFAULT_PACE, USUAL_RULES } from '@/core/coaching';
import { type Entry, plainRep, timelineOf } from '@/core/log';
import { asId, type DeviceId, type EntryId } from '@/core/shared';
import type { DatedBout } from '@/data/read';
import { elementOf } from '@/data/records';
import { makeSampleKennel } from '@/demo/sample-kennel';
import { stateOf, TODAY } from '@/demo/sample-state.test-helper';
import { padView } from './pad-view';

const tables = makeSampleKennel(TODAY, 2);
const { work } = stateOf(tables);
const stored = work.elements.find((one) => one.id === 'sample-stop-down');
const first = tables.bouts.find((one) => elementOf(one) === 'sample-stop-down');
if (!stored || !first) throw new Error('the sample trains the stop');
const ladder = buildLadder(stored);
const bout: DatedBout = {
  ...first,
  day: TODAY,
  helpers: '',
  temperature: null,
  start: ladder.rungs[3]?.criteria ?? {},
  endedAt: null,
};

const tapped = fc.oneof(
  { weight: 8, arbitrary: fc.constantFrom('clean', 'clean', 'clean', 'flawed', 'miss') },
  { weight: 1, arbitrary: fc.constantFrom('rest', 'up', 'down', 'sign') },
);
type Tap = 'clean' | 'flawed' | 'miss' | 'rest' | 'up' | 'down' | 'sign';

/** What a tap writes, standing where the log before it says. */
function entryOf(tap: Tap, i: number, before: readonly Entry[], view: ReturnType<typeof padView>): Entry {
  const at = {
    id: asId<EntryId>(`e${i}`),
    boutId: bout.id,
    dogId: bout.dogId,
    seq: i,
    by: asId<DeviceId>('test'),
    at: 1000 * (before.length + 1),
    timed: true,
  };
  if (tap === 'rest') return { ...at, kind: 'rest' };
  if (tap === 'sign') return { ...at, kind: 'sign', sign: BODY_SIGNS[i % BODY_SIGNS.length] ?? 'yawning' };
  if (tap === 'up' || tap === 'down')
    return {
      ...at,
      kind: 'move',
      to: (tap === 'up' ? view.harder : view.easier) ?? view.criteria,
      because: 'hand',
    };
  return { ...at, kind: 'rep', ...plainRep(view.criteria, { outcome: tap }) };
}

describe('the advice of the timeline', () => {
  const rules = [
    USUAL_RULES.run,
    USUAL_RULES.block,
    USUAL_RULES.sequential,
    USUAL_RULES.scenario,
    USUAL_RULES.strength,
    USUAL_RULES.feel,
  ];
  it.each(
    rules.map((rule) => [rule.kind, rule] as const),
  )('by “%s” is what was shown on the pad after each tap', (_, rule) => {
    const element = { ...stored, policy: { rule, pace: DEFAULT_PACE } };
    fc.assert(
      fc.property(fc.array(tapped, { minLength: 1, maxLength: 25 }), (taps) => {
        const entries: Entry[] = [];
        const shown: unknown[] = [];
        let view = padView(element, work, bout, entries, {});
        for (const [i, tap] of taps.entries()) {
          entries.push(entryOf(tap as Tap, i, entries, view));
          view = padView(element, work, bout, entries, {});
          shown.push(view.advice);
        }
        const moments = timelineOf({ policy: element.policy, ladder, start: bout.start, facts: {} }, entries);
        expect(moments).toHaveLength(taps.length);
        // A rest that nobody was advised to take is told to the coach as it comes with the next tap.
        for (const [i, moment] of moments.entries())
          if (moment.advice.length > 0) expect(moment.advice).toEqual(shown[i]);
        expect(
          moments
            .filter((one) => one.entry.kind === 'rep')
            .every((one) => one.advice.length > 0 || rule.kind === 'feel'),
        ).toBe(true);
      }),
      { numRuns: 25 },
    );
  });
});
