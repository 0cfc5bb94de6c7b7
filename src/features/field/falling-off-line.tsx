import { useEffect, useState } from 'react';
import { type Before, countsAsEvidence, FALLING_OFF, fallingOff, type Suspicion } from '@/core/evidence';
import { beforeSession, type Session, type StandingRep, useKennel } from '@/data/repositories';
import type { PadView } from './pad-view';

type Props = { readonly session: Session; readonly view: PadView; readonly reps: readonly StandingRep[] };

/** A quiet line when the session seems to fall off. It is a suspicion, and says what it rests on. */
export function FallingOffLine({ session, view, reps }: Props) {
  const { kennel } = useKennel();
  const [before, setBefore] = useState<Before | null>(null);
  // By its text: the view is made anew with every rep, and the history must not be read again for each.
  const here = JSON.stringify(view.criteria);
  useEffect(() => {
    let current = true;
    void beforeSession(kennel, session, JSON.parse(here)).then((found) => current && setBefore(found));
    return () => {
      current = false;
    };
  }, [kennel, session, here]);
  const watched = reps
    .filter((rep) => rep.rung === view.rung && countsAsEvidence({ ...rep, ...rep.details }))
    .map((rep) => ({ clean: rep.outcome === 'clean', extraCues: rep.details.extraCues ?? null, latency: rep.latency }));
  const suspicion = before ? fallingOff(watched, before) : null;
  if (!before || !suspicion) return null;
  return (
    <p role="status" aria-label="Falling off" className="border-l-[6px] border-signal bg-sheet px-3 py-2 leading-snug">
      <span className="font-bold">Falling off is suspected. </span>
      {inWords(suspicion, before)}
    </p>
  );
}

function inWords({ by, since }: Suspicion, before: Before): string {
  const known = before.total === 0 ? 'nothing was known of this rung before' : `${before.clean} of ${before.total} clean here before`;
  const end = 'A rest, or end on something sure.';
  switch (by) {
    case 'misses':
      return `More goes wrong since rep ${since + 1} of this rung than fits (${known}). ${end}`;
    case 'extra cues':
      return `Cues are repeated since rep ${since + 1}. ${end}`;
    case 'slower answers':
      return `Answers are slower since rep ${since + 1} than the first ${FALLING_OFF.leastLatencies}. ${end}`;
  }
}
