import { useEffect, useRef, useState } from 'react';
import { REFUSALS, type Refusal } from '@/core/coaching';
import { asId, type EntryId } from '@/core/shared';
import { useKennel } from '@/data/live';
import { Button, DismissSign, RepMarks } from '@/ui';
import { wordsOf } from '@/words';
import { ADVICE_NAMES, adviceLines } from './advice-lines';
import { useHand } from './hand-store';
import type { PadView } from './pad-view';
import { restIsOver } from './signal';
import type { PadActions } from './use-pad-actions';
import { tell } from './words';

type Props = { readonly view: PadView; readonly actions: PadActions };

/**
 * The coach's quiet lines, each with its grounds: a sign of the body, the rule, a rest. None hides
 * another, and doing nothing declines them. Whatever comes here, what is
 * tapped with every rep lies apart and does not move.
 */
export function AdviceLine({ view, actions }: Props) {
  const { signs, main, rest, end } = adviceLines(view.advice);
  const [dismissing, setDismissing] = useState(false);
  const standing = signs.find((line) => line.sign?.stands) ?? null;
  const rule = [main, end].filter((line) => line !== null);
  const move = rule.find((line) => 'to' in line);
  return (
    <div
      role="status"
      aria-label={tell('advice-line.advice')}
      className="flex flex-col justify-between gap-2 border-l-[6px] border-signal bg-sheet px-3 py-2 lg:min-h-[7rem]"
    >
      {signs.map((line) => (
        <p
          key={line.sign?.id}
          className={`text-base leading-snug lg:text-lg ${line.sign?.stands ? 'border-2 border-ink px-2 py-1' : ''}`}
        >
          <span className="font-bold">{ADVICE_NAMES[line.kind]} </span>
          {wordsOf(line.reason)}
        </p>
      ))}
      {rule.map((line) => (
        <p key={line.kind} className="text-base leading-snug lg:text-lg">
          {/* A whole run has no step to stay on. */}
          {!(view.by.kind === 'whole' && line.kind === 'hold') && (
            <span className="font-bold">{ADVICE_NAMES[line.kind]} </span>
          )}
          {wordsOf(line.reason)}
        </p>
      ))}
      {rest && (
        <p className="text-base leading-snug lg:text-lg">
          <span className="font-bold">{ADVICE_NAMES.rest} </span>
          {wordsOf(rest.reason)}
        </p>
      )}
      {main?.kind === 'ask' && <RefusalAnswers actions={actions} />}
      <div className="flex flex-wrap items-end justify-end gap-2">
        {view.marks.length > 0 && !move && (
          <div aria-hidden="true" className="mr-auto lg:hidden">
            <RepMarks marks={view.marks.slice(-10)} label={tell('advice-line.tally-so-far')} />
          </div>
        )}
        {standing && (
          <Button size="big" aria-disabled={actions.busy || undefined} onClick={() => setDismissing(true)}>
            {tell('advice-line.it-no-longer-holds')}
          </Button>
        )}
        {[...signs, ...rule].flatMap((line) =>
          'to' in line ? [<GoThere key={line.kind} to={line.to} view={view} actions={actions} />] : [],
        )}
        {(rest || signs.some((line) => line.kind === 'rest')) && (
          <Button
            size="big"
            aria-disabled={actions.busy || undefined}
            onClick={() => actions.tap({ tap: 'rested' })}
          >
            {tell('advice-line.rested')}
            <RestClock since={view.last?.at ?? null} />
          </Button>
        )}
      </div>
      {standing?.sign && (
        <DismissSign
          open={dismissing}
          words={wordsOf(standing.reason)}
          onClose={() => setDismissing(false)}
          onDismiss={(why) =>
            actions.tap({ tap: 'sign-over', of: asId<EntryId>(standing.sign?.id ?? ''), why })
          }
        />
      )}
    </div>
  );
}

function GoThere({ to, view, actions }: Props & { readonly to: number }) {
  const there = view.ladder.rungs[to]?.criteria;
  return (
    <Button
      look="ink"
      size="big"
      aria-disabled={actions.busy || undefined}
      onClick={() => there && actions.tap({ tap: 'move', to: there, because: 'advice' })}
    >
      {tell('advice-line.go-to-rung', { to: to + 1 })}
    </Button>
  );
}

const REFUSAL_WORDS: Readonly<Record<Refusal, string>> = {
  'too-far': tell('advice-line.too-far'),
  'did-not-mark': tell('advice-line.did-not-mark-it'),
  chewing: tell('advice-line.chewing'),
  'something-new': tell('advice-line.something-new'),
  sore: tell('advice-line.sore'),
  unknown: tell('advice-line.dont-know'),
};

/** The one question after a refusal, in one tap. */
function RefusalAnswers({ actions }: { readonly actions: PadActions }) {
  return (
    <fieldset className="grid grid-cols-3 gap-1.5" aria-label={tell('advice-line.why-was-it-refused')}>
      {REFUSALS.map((why) => (
        <Button
          key={why}
          size="big"
          className="px-1 text-base leading-tight"
          aria-disabled={actions.busy || undefined}
          onClick={() => actions.tap({ tap: 'answer', why })}
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
      {left === 0
        ? tell('advice-line.rest-is-over')
        : `${Math.floor(left / 60)}:${String(left % 60).padStart(2, '0')}`}
    </span>
  );
}
