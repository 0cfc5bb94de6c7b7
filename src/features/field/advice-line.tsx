import { useEffect, useRef, useState } from 'react';
import { type Advice, REFUSALS, type Refusal } from '@/core/coaching';
import { useKennel } from '@/data/live';
import { Button, RepMarks } from '@/ui';
import { useHand } from './hand-store';
import { usePad } from './pad-store';
import type { PadView } from './pad-view';
import { restIsOver } from './signal';
import type { PadActions } from './use-pad-actions';

type Props = { readonly view: PadView; readonly actions: PadActions };

/**
 * The coach's one quiet line, with its grounds. Doing nothing declines it. Its height is kept, so
 * that the pad below does not move under the thumb when a button comes.
 */
export function AdviceLine({ view, actions }: Props) {
  const { main, rest } = split(view.advice, view.transfer !== null);
  const choosing = usePad((state) => state.choosing);
  const move = 'to' in main ? main.to : null;
  const advised = move === null ? null : view.ladder.rungs[move]?.criteria;
  return (
    <div
      role="status"
      aria-label="Advice"
      className={`min-h-[8.8rem] flex-col justify-between gap-2 border-l-[6px] border-signal bg-sheet px-3 py-2 lg:flex lg:min-h-[7rem] ${choosing === 'outcome' ? 'flex' : 'hidden'}`}
    >
      <p className="text-base leading-snug lg:text-lg">
        <span className="font-bold">{NAMES[main.kind]} </span>
        {main.reason}
        {rest && main.kind !== 'rest' && ' Rest first: the set is full.'}
      </p>
      {main.kind === 'ask' && <RefusalAnswers actions={actions} />}
      <div className="flex items-end justify-end gap-2">
        {view.marks.length > 0 && move === null && (
          <div aria-hidden="true" className="mr-auto lg:hidden">
            <RepMarks marks={view.marks.slice(-10)} label="Tally so far" />
          </div>
        )}
        {move !== null && (
          <Button
            look="ink"
            size="big"
            disabled={actions.busy}
            onClick={() => advised && actions.move(advised, 'advice')}
          >
            Go to rung {move + 1}
          </Button>
        )}
        {rest && (
          <Button size="big" disabled={actions.busy} onClick={actions.rested}>
            Rested
            <RestClock since={view.last?.at ?? null} />
          </Button>
        )}
      </div>
    </div>
  );
}

const OPENING: Advice = {
  kind: 'hold',
  reason: 'Set up, stamp the cue if a hand is free, and judge the rep.',
};

/** One line is shown: a move before a rest, a rest before staying. */
function split(
  advice: readonly Advice[],
  protocol: boolean,
): { readonly main: Advice; readonly rest: boolean } {
  const end = advice.find((one) => one.kind === 'end');
  const rest = advice.find((one) => one.kind === 'rest');
  const move = advice.find((one) => one.kind !== 'rest' && one.kind !== 'end') ?? OPENING;
  if (end && (move.kind === 'hold' || move.kind === 'pay')) return { main: end, rest: false };
  // A protocol's next stage is always wanted; elsewhere "stay" says less than "rest".
  return { main: rest && move.kind === 'hold' && !protocol ? rest : move, rest: rest !== undefined };
}

const NAMES: Readonly<Record<Advice['kind'], string>> = {
  hold: 'Stay here.',
  advance: 'Advance.',
  'drop-back': 'Drop back.',
  rest: 'Rest.',
  done: 'Done.',
  probe: 'Probe.',
  help: 'Help.',
  filler: 'Something easy.',
  end: 'End here.',
  stop: 'Stop now.',
  ask: 'Why?',
  pay: 'Pay or not.',
};

const REFUSAL_WORDS: Readonly<Record<Refusal, string>> = {
  'too-far': 'Too far',
  'did-not-mark': 'Did not mark it',
  chewing: 'Chewing',
  'something-new': 'Something new',
  sore: 'Sore',
  unknown: 'Don’t know',
};

/** The one question after a refusal, in one tap. */
function RefusalAnswers({ actions }: { readonly actions: PadActions }) {
  return (
    <fieldset className="grid grid-cols-3 gap-1.5" aria-label="Why was it refused?">
      {REFUSALS.map((why) => (
        <Button
          key={why}
          size="big"
          className="px-1 text-base leading-tight"
          disabled={actions.busy}
          onClick={() => actions.answer(why)}
        >
          {REFUSAL_WORDS[why]}
        </Button>
      ))}
    </fieldset>
  );
}

/** The rest that is left since the last rep, counted down; then the hand is told. */
function RestClock({ since }: { readonly since: number | null }) {
  const { now } = useKennel();
  const rest = useHand((state) => state.rest);
  const [shown, setShown] = useState(() => now());
  useEffect(() => {
    const timer = setInterval(() => setShown(now()), 1000);
    return () => clearInterval(timer);
  }, [now]);
  const left = since === null ? 0 : Math.max(0, rest - Math.floor((shown - since) / 1000));
  const waited = useRef(false);
  useEffect(() => {
    if (left > 0) waited.current = true;
    else if (waited.current) {
      waited.current = false;
      restIsOver();
    }
  }, [left]);
  if (since === null) return null;
  return (
    <span aria-hidden="true" className="text-base font-normal">
      {left === 0 ? 'rest is over' : `${Math.floor(left / 60)}:${String(left % 60).padStart(2, '0')}`}
    </span>
  );
}
