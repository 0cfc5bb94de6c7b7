import { Minus, Plus } from 'lucide-react';
import { useState } from 'react';
import { faultText } from '@/core/rulebooks';
import { Button } from '@/ui';
import { wordsOf } from '@/words';
import { counted, countOf, type GameTally, gameReps, NO_GAME } from './game';
import { tell } from './later-words';
import { useLesson } from './lesson-store';
import type { PadView } from './pad-view';
import { Seconds } from './seconds';
import type { PadActions } from './use-pad-actions';

type Props = { readonly view: PadView; readonly bout: string; readonly actions: PadActions };

/**
 * A game with a toy is one bout: both hands are on it. One tap at the start word and one at the rest give
 * work and rest in seconds; what happened is tallied in the rest.
 */
export function GamePad({ view, bout, actions }: Props) {
  const { games, play, tallies, count } = useLesson();
  const game = games[bout] ?? null;
  const tally = tallies[bout] ?? NO_GAME;
  const setTally = (next: GameTally): void => count(bout, next);
  const [problem, setProblem] = useState<string | null>(null);
  const now = (): number => Date.now();
  if (game?.kind === 'work')
    return (
      <Button
        look="signal"
        size="huge"
        className="min-h-28 text-3xl"
        onClick={() => {
          actions.clock('work', (now() - game.since) / 1000);
          play(bout, { kind: 'rest', since: now() });
        }}
      >
        {tell('game-pad.rest')}
        <Seconds since={game.since} className="ml-3" />
      </Button>
    );
  const log = async (): Promise<void> => {
    const items = gameReps(tally, view);
    if ('ok' in items) return setProblem(wordsOf(items.message));
    setProblem(null);
    if (items.length > 0 && (await actions.set(items))) count(bout, null);
  };
  const row = (words: string, count: number, change: (by: -1 | 1) => void, strong = false) => (
    <li className="flex items-center gap-1.5">
      <span className={`flex-1 leading-tight ${strong ? 'text-lg font-bold' : ''}`}>{words}</span>
      <Button
        size="big"
        className="!px-4"
        aria-label={tell('game-pad.one-less', { words })}
        onClick={() => change(-1)}
      >
        <Minus aria-hidden="true" className="size-5" />
      </Button>
      <span className="w-9 text-center text-xl font-bold" aria-live="polite">
        {count}
      </span>
      <Button
        size="big"
        className="!px-4"
        aria-label={tell('game-pad.one-more', { words })}
        onClick={() => change(1)}
      >
        <Plus aria-hidden="true" className="size-5" />
      </Button>
    </li>
  );
  const faults = [...view.flaws, ...view.misses];
  return (
    <section aria-label={tell('game-pad.the-game')} className="grid gap-2">
      <Button
        look={tally.times > 0 ? 'plain' : 'signal'}
        size="huge"
        className="text-2xl"
        onClick={() => {
          if (game) actions.clock('rest', (now() - game.since) / 1000);
          play(bout, { kind: 'work', since: now() });
        }}
      >
        {tell('game-pad.start-word')}
        {game && (
          <span className="ml-3 text-base font-normal">
            {tell('game-pad.rests')} <Seconds since={game.since} />
          </span>
        )}
      </Button>
      <ul className="grid gap-1" aria-label={tell('game-pad.tally-of-the-last-game')}>
        {row(tell('game-pad.times-done'), tally.times, (by) => setTally(counted(tally, 'times', by)), true)}
        {faults.map((fault) => (
          <FaultRow key={faultText(fault.ref)}>
            {row(
              fault.by === 'handler' ? tell('game-pad.you', { label: fault.label }) : wordsOf(fault.label),
              countOf(tally, fault.ref),
              (by) => setTally(counted(tally, fault.ref, by)),
            )}
          </FaultRow>
        ))}
      </ul>
      {problem && (
        <p role="alert" className="font-semibold text-signal-ink">
          {problem}
        </p>
      )}
      {tally.times > 0 && (
        <Button look="signal" size="big" aria-disabled={actions.busy || undefined} onClick={() => void log()}>
          {tell('game-pad.log-this-game')}
        </Button>
      )}
    </section>
  );
}

const FaultRow = ({ children }: { readonly children: React.ReactNode }) => children;
