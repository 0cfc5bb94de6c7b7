import { Link } from 'react-router';
import { buildLadder } from '@/core/breakdown';
import { replay, standingReps, standingRung } from '@/data/repositories';
import { Button, buttonClass, PageHead, RepMarks, repMark, Sheet } from '@/ui';
import type { Turn } from './round-page';

/** Who goes on and who repeats, by each dog's own rule. */
export function RoundBoard({ turns, onBack }: { readonly turns: readonly Turn[]; readonly onBack: () => void }) {
  return (
    <>
      <PageHead title={`After the round: ${turns[0]?.element.title ?? ''}`}>By each dog’s own rule; you may always see it otherwise.</PageHead>
      <Sheet title="Next time">
        <ul className="divide-y divide-hair">
          {turns.map((turn) => (
            <li key={turn.dog.id} className="grid gap-x-6 gap-y-1 py-3 sm:grid-cols-[9rem_1fr_12rem] sm:items-center">
              <span className="text-xl font-bold">{turn.dog.name}</span>
              <span className="text-lg leading-snug">{verdict(turn)}</span>
              <RepMarks label={`Reps of ${turn.dog.name}`} marks={standingReps(turn.entries).map((rep) => repMark(rep, null))} />
            </li>
          ))}
        </ul>
      </Sheet>
      <p className="mt-4 flex flex-wrap gap-3">
        <Button size="big" onClick={onBack}>
          Back to the round
        </Button>
        <Link className={buttonClass('quiet', 'big')} to="../.." relative="path">
          To the field
        </Link>
      </p>
    </>
  );
}

/** What the policy would have next, in a few words with its grounds. */
function verdict({ element, session, entries, dog }: Turn): string {
  if (!session || standingReps(entries).length === 0) return `${dog.name} did not work in this round.`;
  const top = buildLadder(element).rungs.length - 1;
  const rung = Math.min(standingRung(session, entries), top);
  const went = rung - session.startRung;
  const { advice } = replay(element.policy, session, { top }, entries);
  const move = advice.find((one) => one.kind !== 'rest' && one.kind !== 'end');
  const reason = move?.reason ?? '';
  if (move && 'to' in move) return `${move.kind === 'advance' ? 'Goes on' : 'Goes back'} to rung ${move.to + 1}. ${reason}`;
  if (move?.kind === 'done') return `Done here. ${reason}`;
  return went > 0 ? `Went up to rung ${rung + 1} and stays. ${reason}` : `Repeats rung ${rung + 1}. ${reason}`;
}
