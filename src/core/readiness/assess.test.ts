import { describe, expect, it } from 'vitest';
import { boutsOf } from '@/core/evidence/evidence.test-helper';
import type { EvidenceRep } from '@/core/log';
import { ownFault } from '@/core/rulebooks';
import { asId, type ElementId, type EntryId, must } from '@/core/shared';
import { finish } from '@/core/shared/steps';
import { logit } from '@/core/statistics';
import { classEvidence } from '@/data/read';
import { sampleReps, sampleState, TODAY } from '@/demo/sample-state.test-helper';
import { assessClass, type ClassEvidence, floorOf } from '.';

const state = sampleState();
const trial = state.trials[0];
if (!trial) throw new Error('the sample has a trial');
const SMALL = { groups: 100, runs: 40 };
const all = sampleReps();
const evidence = ({ reps = all }: { reps?: ReadonlyMap<ElementId, readonly EvidenceRep[]> }): ClassEvidence =>
  must(classEvidence(trial, state.work, said(reps), TODAY));
const said = (reps: ReadonlyMap<ElementId, readonly EvidenceRep[]>) =>
  new Map([...reps].map(([id, list]) => [id, boutsOf(list)]));
const assess = (input: ClassEvidence, seed = trial.seed) =>
  must(finish(assessClass(input, trial.assumptions, seed, SMALL)));
const width = (input: ClassEvidence): number => {
  // On the logit: near 0 and 1 every interval is short.
  const { pass } = assess(input).forecast;
  return logit(pass.high) - logit(pass.low);
};
const stop = asId<ElementId>('sample-stop-down');
const withReps = (element: ElementId, change: (reps: readonly EvidenceRep[]) => readonly EvidenceRep[]) =>
  new Map([...all].map(([id, reps]) => [id, id === element ? change(reps) : reps]));

describe('from reps to a forecast', () => {
  it('gives the same bytes for the same reps, whatever their order, and other ones for another seed', () => {
    const again = new Map([...all].map(([id, reps]) => [id, [...reps].reverse()]));
    expect(JSON.stringify(assess(evidence({ reps: again })))).toBe(JSON.stringify(assess(evidence({}))));
    expect(assess(evidence({}), 9).forecast.histogram).not.toEqual(assess(evidence({})).forecast.histogram);
  });

  it('loses exactly what it does not score', () => {
    const { forecast } = assess(evidence({}));
    const lost = [...forecast.losses, ...forecast.handlerLosses].reduce((sum, loss) => sum + loss.units, 0);
    expect(forecast.expectedUnits + lost).toBeCloseTo(160, 6);
    expect(forecast.faults.reduce((sum, fault) => sum + fault.units, 0)).toBeCloseTo(lost, 6);
    expect(forecast.histogram.reduce((sum, count) => sum + count, 0)).toBe(SMALL.groups * SMALL.runs);
  });

  it('falls with new misses, rises with new clean reps, and finds the leak', () => {
    const more = (outcome: 'clean' | 'miss') => (reps: readonly EvidenceRep[]) => [
      ...reps,
      ...Array.from({ length: 10 }, (_, i): EvidenceRep => {
        const last = reps.at(-1);
        if (!last) throw new Error('the sample has reps');
        const demand = Object.fromEntries(
          (state.work.elements.find((element) => element.id === stop)?.axes ?? []).map((axis) => [
            axis.key,
            axis.demand,
          ]),
        );
        return {
          ...last,
          id: asId<EntryId>(`new-${i}`),
          at: last.at + i + 1,
          day: TODAY,
          outcome,
          faults: outcome === 'miss' ? [ownFault('no-stop')] : [],
          cause: 'dog',
          aided: false,
          criteria: demand,
        };
      }),
    ];
    const before = assess(evidence({})).forecast;
    const worse = assess(evidence({ reps: withReps(stop, more('miss')) })).forecast;
    const better = assess(evidence({ reps: withReps(stop, more('clean')) })).forecast;
    expect(worse.pass.mid).toBeLessThan(before.pass.mid - 0.05);
    expect(better.pass.mid).toBeGreaterThan(before.pass.mid + 0.02);
    const leak = worse.losses.reduce((most, loss) => (loss.units > most.units ? loss : most));
    expect(leak.part).toBe('stop-down');
  });

  it('is wider with few reps', () => {
    const few = new Map([...all].map(([id, reps]) => [id, reps.slice(-4)]));
    const known = new Map(
      [...all].map(([id, reps]) => [
        id,
        reps.flatMap((rep) => [0, 1, 2, 3].map((i) => ({ ...rep, id: asId<EntryId>(`${rep.id}-${i}`) }))),
      ]),
    );
    expect(width(evidence({ reps: few }))).toBeGreaterThan(width(evidence({ reps: known })));
  });

  it('gives no number where a piece has no rep, or the class fewer than ten: it names what is missing', () => {
    const without = evidence({ reps: withReps(stop, () => []) });
    expect(floorOf(without)).toMatchObject({ untouched: [stop] });
    expect(finish(assessClass(without, trial.assumptions, 1, SMALL))).toMatchObject({
      ok: false,
      code: 'too-little',
    });
    const aided = evidence({
      reps: withReps(stop, (reps) => reps.map((rep) => ({ ...rep, outcome: 'clean', aided: true }))),
    });
    expect(floorOf(aided)?.untouched).toEqual([stop]);
    expect(floorOf(evidence({ reps: new Map() }))?.counted).toBe(0);
    expect(floorOf(evidence({}))).toBeNull();
  });

  it.each<[string, (rep: EvidenceRep) => Partial<EvidenceRep>]>([
    ['all clean', () => ({ outcome: 'clean', faults: [], cause: 'dog', aided: false })],
    ['all misses', () => ({ outcome: 'miss', faults: [], cause: 'dog', aided: false })],
    ['all of one day', () => ({ day: TODAY, at: 1 })],
  ])('stays a sensible, finite answer with %s', (_, change) => {
    const reps = new Map([...all].map(([id, list]) => [id, list.map((rep) => ({ ...rep, ...change(rep) }))]));
    const { forecast, help, outlook } = assess(evidence({ reps }));
    for (const { low, mid, high } of [forecast.pass, ...outlook.map((point) => point.pass)])
      expect(low >= 0 && low <= mid && mid <= high && high <= 1).toBe(true);
    expect(forecast.pass.high - forecast.pass.low).toBeGreaterThan(0);
    expect(
      help.every(({ gain: { low, mid, high } }) => low <= mid && mid <= high && Number.isFinite(low + high)),
    ).toBe(true);
  });

  it('refuses what is not broken down, and reps from the future', () => {
    const half = { ...state.work, breakdowns: state.work.breakdowns.slice(1) };
    expect(classEvidence(trial, half, said(all), TODAY)).toMatchObject({ ok: false, code: 'incomplete' });
    expect(classEvidence(trial, { ...state.work, ruleBooks: [] }, said(all), TODAY)).toMatchObject({
      ok: false,
      code: 'incomplete',
    });
    const broken = { ...evidence({}), exercises: [] };
    expect(finish(assessClass(broken, trial.assumptions, 1, SMALL))).toMatchObject({
      ok: false,
      code: 'incomplete',
    });
    const early = { ...evidence({}), today: '2026-05-01' as typeof TODAY };
    expect(finish(assessClass(early, trial.assumptions, 1, SMALL))).toMatchObject({
      ok: false,
      code: 'future',
    });
  });
});
