import { lazy, Suspense, useState } from 'react';
import { Link } from 'react-router';
import { BODY_SIGNS } from '@/core/coaching';

import { Button, buttonClass, Dialog, SIGN_WORDS, TextField } from '@/ui';
import { useHand } from './hand-store';
import type { PadView } from './pad-view';
import { Pocket } from './pocket';
import type { PadActions } from './use-pad-actions';

/** A sheet that is opened once a set at most: it comes when it is wanted. */
const SetAfterwards = lazy(async () => ({ default: (await import('./set-afterwards')).SetAfterwards }));

type Props = {
  readonly actions: PadActions;
  readonly view: PadView;
  readonly onHelp: () => void;
  /** In the hand the signs and the end are in the bar that is always on the screen. */
  readonly inHand?: boolean;
};
type Open = 'signs' | 'set' | 'unlogged' | 'note' | null;

/**
 * Everything that is not a rep: signs, a set afterwards, what was not logged, a note, the rung by
 * hand, the end.
 */
export function PadTools({ actions, view, onHelp, inHand = false }: Props) {
  const [open, setOpen] = useState<Open>(null);
  const [pocket, setPocket] = useState(false);
  const close = (): void => setOpen(null);
  const tool = (words: string, onClick: () => void, disabled = false) => (
    <Button
      size="big"
      className="px-2 leading-tight"
      aria-disabled={disabled || undefined}
      onClick={() => !disabled && onClick()}
    >
      {words}
    </Button>
  );
  return (
    <div className="grid grid-cols-2 gap-2">
      {!inHand && tool('Body signs', () => setOpen('signs'))}
      {tool('Set afterwards', () => setOpen('set'), view.by.kind === 'timed' || view.by.kind === 'graded')}
      {tool(
        'Rung down',
        () => view.easier && actions.tap({ tap: 'move', to: view.easier, because: 'hand' }),
        !view.easier,
      )}
      {tool(
        'Rung up',
        () => view.harder && actions.tap({ tap: 'move', to: view.harder, because: 'hand' }),
        !view.harder,
      )}
      {tool(view.off ? 'It is back' : 'Off on its own', () => actions.tap({ tap: 'off', back: view.off }))}
      {tool('An easy one', () => actions.tap({ tap: 'easy', text: 'an easy one' }))}
      {tool('Not logged', () => setOpen('unlogged'))}
      {tool('Note', () => setOpen('note'))}
      {tool('Keys, signals (?)', onHelp)}
      {tool('Pocket', () => setPocket(true))}
      <Link className={buttonClass('plain', 'big')} to="log" relative="path">
        All reps
      </Link>
      {!inHand && (
        <Button size="big" look="ink" className="col-span-2 px-2" onClick={actions.end}>
          Enough for now
        </Button>
      )}
      {pocket && <Pocket onOpen={() => setPocket(false)} />}
      <Signs open={open === 'signs'} onClose={close} actions={actions} />
      {open === 'set' && (
        <Suspense>
          <SetAfterwards open onClose={close} actions={actions} view={view} />
        </Suspense>
      )}
      <Unlogged open={open === 'unlogged'} onClose={close} actions={actions} />
      <Note open={open === 'note'} onClose={close} actions={actions} />
    </div>
  );
}

/**
 * What must never be searched for with a dog in hand: undo, the signs of the body, the end. It lies at the
 * lower edge of the screen, under the judgement.
 */
export function PadBar({ actions }: { readonly actions: PadActions }) {
  const [open, setOpen] = useState(false);
  const leftHanded = useHand((state) => state.leftHanded);
  return (
    <div
      role="toolbar"
      aria-label="Always at hand"
      className={`flex gap-1.5 lg:hidden ${leftHanded ? 'flex-row-reverse' : ''}`}
    >
      <Button size="big" look="ink" className="flex-1 px-1 leading-tight" onClick={actions.end}>
        Enough for now
      </Button>
      <Button size="big" className="flex-1 px-1 leading-tight" onClick={() => setOpen(true)}>
        Body signs
      </Button>
      <Button
        size="big"
        className="flex-1 px-1 leading-tight"
        aria-disabled={actions.busy || undefined}
        onClick={actions.undo}
      >
        Undo
      </Button>
      <Signs open={open} onClose={() => setOpen(false)} actions={actions} />
    </div>
  );
}

type DialogProps = { readonly open: boolean; readonly onClose: () => void; readonly actions: PadActions };

function Signs({ open, onClose, actions }: DialogProps) {
  return (
    <Dialog open={open} onClose={onClose} title="What do you see?">
      <div className="grid grid-cols-2 gap-2">
        {BODY_SIGNS.map((sign) => (
          <Button
            key={sign}
            size="big"
            onClick={() => {
              actions.tap({ tap: 'sign', sign });
              onClose();
            }}
          >
            {SIGN_WORDS[sign]}
          </Button>
        ))}
      </div>
      <p className="mt-3 leading-snug text-ink-soft">
        One tap; the advice says what it may mean. Pain stops the work, a growl ends it; both stand until you
        say why they no longer hold.
      </p>
    </Dialog>
  );
}

/** Work that nobody logged: it fills sets and caps, and is no evidence. */
function Unlogged({ open, onClose, actions }: DialogProps) {
  return (
    <Dialog open={open} onClose={onClose} title="About how many more, not logged?">
      <div className="grid grid-cols-3 gap-2">
        {[2, 4, 6, 8, 10, 15].map((count) => (
          <Button
            key={count}
            size="big"
            onClick={() => {
              actions.tap({ tap: 'unlogged', count });
              onClose();
            }}
          >
            {count}
          </Button>
        ))}
      </div>
      <p className="mt-3 leading-snug text-ink-soft">
        They count towards the set and the session, never as evidence.
      </p>
    </Dialog>
  );
}

function Note({ open, onClose, actions }: DialogProps) {
  const [text, setText] = useState('');
  const clean = text.trim();
  return (
    <Dialog open={open} onClose={onClose} title="A note in this session">
      <form
        className="grid gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          if (clean === '') return;
          actions.tap({ tap: 'note', text: clean });
          setText('');
          onClose();
        }}
      >
        <TextField
          label="Note"
          value={text}
          maxLength={2000}
          onChange={(event) => setText(event.target.value)}
        />
        <Button type="submit" size="big" look="ink" disabled={clean === ''}>
          Keep it
        </Button>
      </form>
    </Dialog>
  );
}
