import { useState } from 'react';
import { buildLadder, describeRung } from '@/core/breakdown';
import { usualCautions } from '@/core/planning';
import { type ElementRecord, type Entry, methodOf, type Session, standingRung, startSession, useKennelWithDog } from '@/data/repositories';
import { Button, Notice, Sheet } from '@/ui';

type Props = { readonly element: ElementRecord; readonly last: Session | null; readonly entries: readonly Entry[] };

/** The card before a session: rung, place, what to bring, what to be careful of. Everything changes in one tap. */
export function BeforeCard({ element, last, entries }: Props) {
  const { kennel, dog, now, today } = useKennelWithDog();
  const ladder = buildLadder(element.axes, element.edits);
  const top = ladder.rungs.length - 1;
  const [rung, setRung] = useState(last ? Math.min(standingRung(last, entries), top) : 0);
  const [away, setAway] = useState(false);
  const method = methodOf(element);
  const place = (value: boolean, words: string) => (
    <Button size="big" look={away === value ? 'ink' : 'plain'} aria-pressed={away === value} onClick={() => setAway(value)}>
      {words}
    </Button>
  );
  return (
    <Sheet title={`${dog.name}: ${element.title}`} className="mx-auto max-w-2xl" label="Before the session">
      <div className="grid gap-4">
        <div>
          <p className="text-lg font-semibold">Rung {describeRung(ladder, rung)}</p>
          <div className="mt-2 grid grid-cols-2 gap-2">
            <Button size="big" disabled={rung === 0} onClick={() => setRung(rung - 1)}>
              One easier
            </Button>
            <Button size="big" disabled={rung === top} onClick={() => setRung(rung + 1)}>
              One harder
            </Button>
          </div>
        </div>
        <fieldset>
          <legend className="mb-1 font-semibold">Place</legend>
          <div className="grid grid-cols-2 gap-2">
            {place(false, 'Usual place')}
            {place(true, 'Away')}
          </div>
        </fieldset>
        {method && (
          <p className="leading-snug">
            <span className="font-semibold">Bring </span>
            {method.kit}
          </p>
        )}
        {[...(method ? [method.caution] : []), ...usualCautions(element.axes)].map((caution) => (
          <Notice key={caution}>{caution}</Notice>
        ))}
        <Button look="signal" size="huge" onClick={() => void startSession(kennel, element, { now: now(), day: today, away, rung })}>
          Begin
        </Button>
      </div>
    </Sheet>
  );
}
