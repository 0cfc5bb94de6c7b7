import { describePlace, type Ladder, placeOn } from '@/core/breakdown';
import { type Advice, type ColdProbe, coldProbe, PROBE_REPS } from '@/core/coaching';
import type { StandingRep } from '@/core/log';

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
      reason: `What is left? Rep ${probe.done + 1} of at most ${PROBE_REPS}, here: ${describePlace(ladder, ladder.rungs[probe.rung]?.criteria ?? {})}. It teaches nothing; no help, one cue.`,
    };
  const of = `${probe.clean} of ${probe.reps} clean after the gap`;
  if (probe.survived === null)
    return {
      kind: 'drop-back',
      to: 0,
      reason: `${of}: nothing that counts on is left, so begin at the start again.`,
    };
  return {
    kind: 'drop-back',
    to: probe.survived,
    reason: `${of}: what is left reaches to step ${probe.survived + 1}, so begin there.`,
  };
}
