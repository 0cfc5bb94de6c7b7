import { useEffect, useState } from 'react';
import { sameCriteria } from '@/core/breakdown';
import { type Before, fallingOff, type Suspicion } from '@/core/evidence';
import { asEvidence, countsAsEvidence, type StandingRep } from '@/core/log';
import { useKennel } from '@/data/live';
import { beforeBout, type DatedBout, type ElementRecord } from '@/data/read';
import { tell } from './later-words';
import type { PadView } from './pad-view';

type Props = {
  readonly element: ElementRecord;
  readonly bout: DatedBout;
  readonly view: PadView;
  readonly reps: readonly StandingRep[];
};

/**
 * A quiet line when the session seems to fall off. It is a suspicion, and says what it rests on.
 */
export function FallingOffLine({ element, bout, view, reps }: Props) {
  const { kennel } = useKennel();
  const [before, setBefore] = useState<Before | null>(null);
  // By its text: the view is made anew with every rep, and the history must not be read again for
  // each.
  const asked = JSON.stringify(view.criteria);
  useEffect(() => {
    let current = true;
    void beforeBout(kennel, element, bout, JSON.parse(asked)).then((found) => current && setBefore(found));
    return () => {
      current = false;
    };
  }, [kennel, element, bout, asked]);
  const here = asEvidence(bout, reps).filter(
    (rep) => countsAsEvidence(rep) && sameCriteria(view.ladder.axes, rep.criteria, view.criteria),
  );
  const watched = here.map((rep) => ({
    clean: rep.outcome === 'clean',
    extraCues: rep.cues ? rep.cues.needed : null,
    latency: rep.latency ?? null,
  }));
  const suspicion = before ? fallingOff(watched, before) : null;
  if (!before || !suspicion) return null;
  return (
    <p
      role="status"
      aria-label={tell('falling-off-line.falling-off')}
      className="border-l-[6px] border-signal bg-sheet px-3 py-2 leading-snug"
    >
      <span className="font-bold">{tell('falling-off-line.falling-off-is-suspected')} </span>
      {inWords(suspicion, before)}
    </p>
  );
}

function inWords({ by, since }: Suspicion, before: Before): string {
  const known =
    before.total === 0
      ? tell('falling-off-line.nothing-was-known-of-this-rung')
      : tell('falling-off-line.of-clean-here-before', { clean: before.clean, total: before.total });
  const end = tell('falling-off-line.a-rest-or-end-on-something-sure');
  switch (by) {
    case 'misses':
      return tell('falling-off-line.more-goes-wrong-since-rep-of-this', { since: since + 1, known, end });
    case 'extra cues':
      return tell('falling-off-line.cues-are-repeated-since-rep', {
        since: since + 1,
        extra: before.cues.extra,
        reps: before.cues.reps,
        end,
      });
    case 'slower answers':
      return tell('falling-off-line.answers-are-slower-since-rep-than', {
        since: since + 1,
        times: before.times.flat().length,
        end,
      });
  }
}
