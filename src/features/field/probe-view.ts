import { describePlace, type Ladder, placeOn } from '@/core/breakdown';
import { type Advice, type ColdProbe, coldProbe, PROBE_REPS } from '@/core/coaching';
import type { StandingRep } from '@/core/log';
import { say } from '@/core/shared';
import { tell } from './words';

/**
 * A look at what survived, from the reps since it began; null once training has gone on without taking
 * what it found. What was not the dog's doing is asked again.
 */
export function probeOf(reps: readonly StandingRep[], stood: number, ladder: Ladder): ColdProbe | null {
  if (reps.some((rep) => rep.purpose !== 'probe')) return null;
  const said = reps.filter(
    ({ judged }) => judged.cause === 'dog' && !judged.void && judged.outcome !== 'none',
  );
  return coldProbe(
    stood,
    said.map(({ asked, judged }) => ({
      rung: placeOn(ladder, asked.criteria).rung,
      clean: judged.outcome === 'clean' && judged.aids.length === 0,
    })),
  );
}

/** While what survived is being looked at, that is the rule; signs of the body keep their own line. */
export function withProbe(probe: ColdProbe, advice: readonly Advice[], ladder: Ladder): readonly Advice[] {
  const signs = advice.filter((one) => one.sign !== undefined);
  return [...signs, probeAdvice(probe, ladder)];
}

function probeAdvice(probe: ColdProbe, ladder: Ladder): Advice {
  if (probe.kind === 'asking')
    return {
      kind: 'probe',
      reason: say('probe-view.what-is-left-rep-of-at-most-here', {
        done: probe.done + 1,
        PROBEREPS: PROBE_REPS,
        describePlace: describePlace(ladder, ladder.rungs[probe.rung]?.criteria ?? {}),
      }),
    };
  const of = tell('probe-view.of-clean-after-the-gap', { clean: probe.clean, reps: probe.reps });
  if (probe.survived === null)
    return {
      kind: 'drop-back',
      to: 0,
      reason: say('probe-view.nothing-that-counts-on-is-left-so', { of }),
    };
  return {
    kind: 'drop-back',
    to: probe.survived,
    reason: say('probe-view.what-is-left-reaches-to-step-so', { of, survived: probe.survived + 1 }),
  };
}
