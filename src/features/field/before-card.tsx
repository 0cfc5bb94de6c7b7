import { useState } from 'react';
import { Link } from 'react-router';
import { buildLadder, describeRung } from '@/core/breakdown';
import { startRung } from '@/core/coaching';
import type { Caution } from '@/core/planning';
import { type ElementRecord, type Entry, type Session, standingRung, startSession, useKennelWithDog } from '@/data/repositories';
import { Button, buttonClass, CautionNote, Sheet } from '@/ui';

import { Debrief } from './debrief';
import { missingOf, useDevice } from './use-device';

type Props = {
  readonly element: ElementRecord;
  readonly last: Session | null;
  readonly entries: readonly Entry[];
  readonly cautions: readonly Caution[];
  /** How many dogs train this piece of work. */
  readonly twins: number;
};

/** The card before a session: rung, place, what to bring, what to be careful of. Everything changes in one tap. */
export function BeforeCard({ element, last, entries, cautions, twins }: Props) {
  const { kennel, dog, now, today } = useKennelWithDog();
  const ladder = buildLadder(element);
  const top = ladder.rungs.length - 1;
  const [rung, setRung] = useState(last ? Math.min(firstRung(element, last, entries, today), top) : 0);
  const [away, setAway] = useState(false);
  const [conditions, setConditions] = useState<Readonly<Record<string, string>>>({});
  const missing = missingOf(useDevice());
  const place = (value: boolean, words: string) => (
    <Button size="big" look={away === value ? 'ink' : 'plain'} aria-pressed={away === value} onClick={() => setAway(value)}>
      {words}
    </Button>
  );
  return (
    <Sheet title={`${dog.name}: ${element.title}`} className="mx-auto max-w-2xl" label="Before the session">
      <div className="grid gap-4">
        {last?.debrief?.next && (
          <p className="text-lg leading-snug">
            <span className="font-semibold">You wrote: </span>
            {last.debrief.next}
          </p>
        )}
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
        {element.conditions.map((condition) => (
          <fieldset key={condition.title}>
            <legend className="mb-1 font-semibold">{condition.title}</legend>
            <div className="flex flex-wrap gap-2">
              {condition.options.map((option) => {
                const on = conditions[condition.title] === option;
                return (
                  <Button
                    key={option}
                    size="big"
                    look={on ? 'ink' : 'plain'}
                    aria-pressed={on}
                    onClick={() => setConditions(on ? without(conditions, condition.title) : { ...conditions, [condition.title]: option })}
                  >
                    {option}
                  </Button>
                );
              })}
            </div>
          </fieldset>
        ))}
        {element.kit.length > 0 && (
          <p className="leading-snug">
            <span className="font-semibold">Bring </span>
            {element.kit.join(', ')}
          </p>
        )}
        {cautions.map((caution) => (
          <CautionNote key={caution.id} caution={caution} />
        ))}
        <Button look="signal" size="huge" onClick={() => void startSession(kennel, element, { now: now(), day: today, away, rung, conditions })}>
          Begin
        </Button>
        {twins > 1 && (
          <Link className={buttonClass('plain', 'big')} to="round">
            Round with {twins} dogs
          </Link>
        )}
        {last && (
          <Link className={buttonClass('quiet', 'big')} to="log">
            Every rep so far
          </Link>
        )}
        {last && last.endedAt !== null && <Debrief key={last.id} session={last} />}
        {missing.length > 0 && (
          <details>
            <summary className="min-h-14 cursor-pointer py-3.5 leading-snug underline decoration-rule underline-offset-4">
              {missing.length === 1 ? 'One thing this device does not grant' : `${missing.length} things this device does not grant`}
            </summary>
            <ul className="grid gap-1">
              {missing.map((line) => (
                <li key={line} className="leading-snug">
                  {line}
                </li>
              ))}
            </ul>
          </details>
        )}
      </div>
    </Sheet>
  );
}

/** Where yesterday ended, or as many rungs below as the pace says; a second session on one day goes on where the first stood. */
function firstRung(element: ElementRecord, last: Session, entries: readonly Entry[], today: Session['day']): number {
  const stood = standingRung(last, entries);
  return last.day === today ? stood : startRung(element.policy.pace, stood);
}

const without = (conditions: Readonly<Record<string, string>>, title: string): Record<string, string> =>
  Object.fromEntries(Object.entries(conditions).filter(([key]) => key !== title));
