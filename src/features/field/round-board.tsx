import { Link } from 'react-router';
import { buildLadder, placeOn } from '@/core/breakdown';
import { foldLog, replay, type StandingRep } from '@/core/log';
import { Button, buttonClass, PageHead, RepMarks, Sheet, standingMark } from '@/ui';
import type { Turn } from './round-page';
import { tell } from './words';

/** Who goes on and who repeats, by each dog's own rule. */
export function RoundBoard({
  turns,
  onBack,
}: {
  readonly turns: readonly Turn[];
  readonly onBack: () => void;
}) {
  return (
    <>
      <PageHead title={tell('round-board.after-the-round', { title: turns[0]?.element.title ?? '' })}>
        {tell('round-board.by-each-dogs-own-rule-you-may')}
      </PageHead>
      <Sheet title={tell('round-board.next-time')}>
        <ul className="divide-y divide-hair">
          {turns.map((turn) => (
            <li
              key={turn.dog.id}
              className="grid gap-x-6 gap-y-1 py-3 sm:grid-cols-[9rem_1fr_12rem] sm:items-center"
            >
              <span className="text-xl font-bold">{turn.dog.name}</span>
              <span className="text-lg leading-snug">{verdict(turn)}</span>
              <RepMarks
                label={tell('round-board.reps-of', { name: turn.dog.name })}
                marks={repsOf(turn).map((rep) => standingMark(rep, null))}
              />
            </li>
          ))}
        </ul>
      </Sheet>
      <p className="mt-4 flex flex-wrap gap-3">
        <Button size="big" onClick={onBack}>
          {tell('round-board.back-to-the-round')}
        </Button>
        <Link className={buttonClass('quiet', 'big')} to="../.." relative="path">
          {tell('round-board.to-the-field')}
        </Link>
      </p>
    </>
  );
}

/** What the policy would have next, in a few words with its grounds. */
function verdict({ element, bout, entries, dog }: Turn): string {
  const folded = bout ? foldLog(bout.start, entries) : null;
  if (!bout || !folded || folded.reps.length === 0)
    return tell('round-board.did-not-work-in-this-round', { name: dog.name });
  const ladder = buildLadder(element);
  const rung = placeOn(ladder, folded.stands).rung;
  const went = rung - placeOn(ladder, bout.start).rung;
  const { advice } = replay({ policy: element.policy, ladder, start: bout.start, facts: {} }, entries);
  const move = advice.find((one) => one.kind !== 'rest' && one.kind !== 'end');
  const reason = move?.reason ?? '';
  if (move && 'to' in move)
    return tell('round-board.goes-on', { kind: move.kind === 'advance', to: move.to + 1, reason });
  if (move?.kind === 'done') return tell('round-board.done-here', { reason });
  return went > 0
    ? tell('round-board.went-up-to-rung-and-stays', { rung: rung + 1, reason })
    : tell('round-board.repeats-rung', { rung: rung + 1, reason });
}

const repsOf = ({ bout, entries }: Turn): readonly StandingRep[] =>
  bout ? foldLog(bout.start, entries).reps : [];
