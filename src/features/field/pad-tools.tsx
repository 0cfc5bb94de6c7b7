import { useState } from 'react';
import { Link } from 'react-router';
import { BODY_SIGNS } from '@/core/coaching';
import type { Judged } from '@/core/log';

import { Button, buttonClass, Dialog, RepMarks, repMark, SIGN_WORDS, TextField } from '@/ui';
import type { PadView } from './pad-view';
import { Pocket } from './pocket';
import type { PadActions } from './use-pad-actions';

type Props = { readonly actions: PadActions; readonly view: PadView; readonly onHelp: () => void };
type Open = 'signs' | 'set' | 'unlogged' | 'note' | null;

/**
 * Everything that is not a rep: signs, a set afterwards, what was not logged, a note, the rung by
 * hand, the end.
 */
export function PadTools({ actions, view, onHelp }: Props) {
  const [open, setOpen] = useState<Open>(null);
  const [pocket, setPocket] = useState(false);
  const close = (): void => setOpen(null);
  const tool = (words: string, onClick: () => void, disabled = false) => (
    <Button size="big" className="px-2 leading-tight" disabled={disabled} onClick={onClick}>
      {words}
    </Button>
  );
  return (
    <div className="grid grid-cols-2 gap-2">
      {tool('Body signs', () => setOpen('signs'))}
      {tool('Set afterwards', () => setOpen('set'), view.transfer !== null || view.grades.length > 0)}
      {tool(
        'Rung down',
        () => view.easier && actions.tap({ tap: 'move', to: view.easier, because: 'hand' }),
        actions.busy || !view.easier,
      )}
      {tool(
        'Rung up',
        () => view.harder && actions.tap({ tap: 'move', to: view.harder, because: 'hand' }),
        actions.busy || !view.harder,
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
      <Button size="big" look="ink" className="col-span-2 px-2" onClick={actions.end}>
        Enough for now
      </Button>
      {pocket && <Pocket onOpen={() => setPocket(false)} />}
      <Signs open={open === 'signs'} onClose={close} actions={actions} />
      <SetAfterwards open={open === 'set'} onClose={close} actions={actions} />
      <Unlogged open={open === 'unlogged'} onClose={close} actions={actions} />
      <Note open={open === 'note'} onClose={close} actions={actions} />
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

const SET = 5;

/**
 * Both hands were on the dog: a set of five from memory, in order, without times. The fifth tap
 * writes it.
 */
function SetAfterwards({ open, onClose, actions }: DialogProps) {
  const [outcomes, setOutcomes] = useState<readonly Judged['outcome'][]>([]);
  const leave = (): void => {
    setOutcomes([]);
    onClose();
  };
  const tap = (outcome: Judged['outcome']): void => {
    const next = [...outcomes, outcome];
    setOutcomes(next);
    if (next.length < SET) return;
    actions.set(next);
    leave();
  };
  const marks = outcomes.map((outcome, i) =>
    repMark({ id: String(i), outcome, cause: 'dog', aided: false }, null),
  );
  return (
    <Dialog open={open} onClose={leave} title={`A set of ${SET} from memory, first to last`}>
      <div className="grid gap-3">
        <p className="text-lg" aria-live="polite">
          Rep {outcomes.length + 1} of {SET}
        </p>
        <div className="min-h-12">
          {marks.length > 0 && <RepMarks marks={marks} label="The set so far" big />}
        </div>
        <div className="grid grid-cols-3 gap-2">
          <Button size="huge" look="signal" onClick={() => tap('clean')}>
            Clean
          </Button>
          <Button size="huge" onClick={() => tap('flawed')}>
            Flawed
          </Button>
          <Button size="huge" onClick={() => tap('miss')}>
            Miss
          </Button>
        </div>
        <Button
          size="big"
          disabled={outcomes.length === 0}
          onClick={() => setOutcomes(outcomes.slice(0, -1))}
        >
          One back
        </Button>
      </div>
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
