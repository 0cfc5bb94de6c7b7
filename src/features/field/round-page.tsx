import { useLiveQuery } from 'dexie-react-hooks';
import { useEffect, useState } from 'react';
import { Link, useParams } from 'react-router';
import { buildLadder, type Criteria, placeOn } from '@/core/breakdown';
import { type Entry, foldLog } from '@/core/log';
import { asId, type DogId } from '@/core/shared';
import { useKennelWithDog } from '@/data/live';
import {
  boutLog,
  coachFacts,
  type DatedBout,
  type ElementRecord,
  faultsBefore,
  gapOf,
  isOffWork,
  isRunning,
  type Kennel,
  keptOfDog,
  lastBout,
  type SameWork,
  type StandingSign,
  sameWorkOf,
  signsAgainst,
  startToday,
  workOf,
} from '@/data/read';
import { record, startBout } from '@/data/write';
import { Button, buttonClass, Notice, PageHead, SignNote } from '@/ui';
import { writeDay } from '@/words';
import { Pad } from './pad';
import { usePad } from './pad-store';
import { RoundBoard } from './round-board';
import { tell } from './words';

/** A dog's turn in the round: its own element, and its own bout once it has begun. */
export type Turn = Omit<SameWork, 'element'> & {
  readonly element: ElementRecord;
  /** Where its bout of today begins. */
  readonly start: Criteria;
  readonly bout: DatedBout | null;
  readonly entries: readonly Entry[];
  /** Signs that stand, for which its bout does not begin. */
  readonly signs: readonly StandingSign[];
};

/**
 * Several dogs one after another on one element, each with its own rung, rule and log; a tap
 * changes the dog.
 */
export function RoundPage() {
  const { element: id } = useParams();
  const { kennel, today } = useKennelWithDog();
  const turns = useLiveQuery(async () => turnsOf(kennel, id ?? '', today), [kennel, id, today]);
  const [chosen, setChosen] = useState<DogId | null>(null);
  const [over, setOver] = useState(false);
  const reset = usePad((state) => state.reset);
  // What was stamped for one dog must not be logged for another.
  // biome-ignore lint/correctness/useExhaustiveDependencies: what was said for one dog is not said for the next
  useEffect(() => reset, [reset, chosen]);
  if (!turns) return <p className="text-lg">{tell('round-page.reading-the-log')}</p>;
  const turn = turns.find((one) => one.dog.id === chosen);
  if (turns.length < 2)
    return (
      <>
        <PageHead title={tell('round-page.a-round-needs-two-dogs')} />
        <Notice>{tell('round-page.only-one-dog-trains-this-element')}</Notice>
      </>
    );
  if (over) return <RoundBoard turns={turns} onBack={() => setOver(false)} />;
  return (
    <>
      <div
        className="mb-3 flex flex-wrap gap-2"
        role="toolbar"
        aria-label={tell('round-page.dogs-of-this-round')}
      >
        {turns.map((one) => (
          <Button
            key={one.dog.id}
            size="big"
            look={one.dog.id === chosen ? 'ink' : 'plain'}
            aria-pressed={one.dog.id === chosen}
            onClick={() => setChosen(one.dog.id)}
          >
            {one.dog.name}
            <span className="text-base font-normal">
              {one.bout ? repsInWords(repsOf(one)) : tell('round-page.rung', { rungOf: rungOf(one) + 1 })}
            </span>
          </Button>
        ))}
        <Button size="big" look="quiet" onClick={() => setOver(true)}>
          {tell('round-page.end-the-round')}
        </Button>
      </div>
      {turn ? (
        <TurnPad key={turn.dog.id} turn={turn} onEnd={() => setChosen(null)} />
      ) : (
        <WhoFirst title={turns[0]?.element.title ?? ''} />
      )}
    </>
  );
}

const repsOf = ({ bout, entries }: Turn): number => (bout ? foldLog(bout.start, entries).reps.length : 0);
const rungOf = ({ element, start }: Turn): number => placeOn(buildLadder(element), start).rung;
const repsInWords = (n: number): string => `${n} ${n === 1 ? 'rep' : 'reps'}`;

function WhoFirst({ title }: { readonly title: string }) {
  return (
    <>
      <PageHead title={tell('round-page.round', { title })}>
        {tell('round-page.tap-a-dog-to-begin-or-go-on-with')}
      </PageHead>
      <Link className={buttonClass('plain')} to="../.." relative="path">
        {tell('round-page.back-to-the-field')}
      </Link>
    </>
  );
}

async function turnsOf(kennel: Kennel, id: string, today: DatedBout['day']): Promise<Turn[]> {
  const element = await kennel.database.of('elements').get(id);
  if (!element) return [];
  const same = await sameWorkOf(kennel, element);
  const turns = await Promise.all(
    same.map(async ({ element: own, ...one }): Promise<Turn | null> => {
      // A dog that is off work is left out of the round.
      if (!own || isOffWork(one.dog, today)) return null;
      const last = await lastBout(kennel, own.id);
      const bout = last && (last.day === today || isRunning(last, today, kennel.now())) ? last : null;
      const entries = bout ? await boutLog(kennel, bout.id) : [];
      const kept = await keptOfDog(kennel, one.dog.id);
      const mine = kept.filter((found) => found.element === own.id);
      const start = startToday(own, one.stands, bout !== null, gapOf(mine, one.dog, today));
      return { ...one, element: own, start, bout, entries, signs: signsAgainst(own.id, kept) };
    }),
  );
  return turns.filter((turn) => turn !== null);
}

function TurnPad({ turn, onEnd }: { readonly turn: Turn; readonly onEnd: () => void }) {
  const { kennel, today, now, done } = useKennelWithDog();
  const { element, bout, start } = turn;
  const running = bout !== null && isRunning(bout, today, now());
  const found = useLiveQuery(
    async () =>
      running
        ? {
            work: await workOf(kennel, element.dogId),
            facts: await coachFacts(kennel, element, bout),
            seen: await faultsBefore(kennel, element.id, bout),
          }
        : null,
    [kennel, element, bout?.id, running],
  );
  const [sign] = turn.signs;
  if (!running && sign)
    return (
      <SignNote
        words={tell('round-page.does-not-begin-while-that-stands', {
          writeDay: writeDay(sign.day),
          reason: sign.reason,
          name: turn.dog.name,
        })}
        onDismiss={(why) =>
          void done(
            tell('round-page.it-no-longer-holds'),
            record(kennel, sign.bout, { kind: 'sign-over', of: asId(sign.id), why }),
          )
        }
      />
    );
  if (!running)
    return (
      <Button
        look="signal"
        size="huge"
        onClick={() => void done(null, startBout(kennel, element, { day: today, away: false, start }))}
      >
        {tell('round-page.begin-with', { name: turn.dog.name })}
      </Button>
    );
  if (!found) return <p className="text-lg">{tell('round-page.reading-the-log')}</p>;
  return (
    <Pad
      dog={turn.dog}
      element={element}
      work={found.work}
      bout={bout}
      entries={turn.entries}
      facts={found.facts}
      seen={found.seen}
      onEnd={onEnd}
    />
  );
}
