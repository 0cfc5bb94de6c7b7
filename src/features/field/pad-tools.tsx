import { lazy, Suspense, useState } from 'react';
import { Link } from 'react-router';
import { BODY_SIGNS } from '@/core/coaching';
import { Button, buttonClass, Dialog, SIGN_WORDS, TextField } from '@/ui';
import { useHand } from './hand-store';
import { useLesson } from './lesson-store';
import type { PadView } from './pad-view';
import { Pocket } from './pocket';
import type { PadActions } from './use-pad-actions';
import { tell } from './words';

/** A sheet that is opened once a set at most: it comes when it is wanted. */
const SetAfterwards = lazy(async () => ({ default: (await import('./set-afterwards')).SetAfterwards }));

type Props = {
  readonly actions: PadActions;
  readonly view: PadView;
  readonly bout: string;
  readonly onHelp: () => void;
  /** In the hand the signs and the end are in the bar that is always on the screen. */
  readonly inHand?: boolean;
};
type Open = 'signs' | 'set' | 'unlogged' | 'note' | null;

/**
 * Everything that is not a rep: signs, a set afterwards, what was not logged, a note, the rung by
 * hand, the end.
 */
export function PadTools({ actions, view, bout, onHelp, inHand = false }: Props) {
  const { warmUp, warm } = useLesson();
  const warming = warmUp?.bout === bout ? warmUp : null;
  const warmUpTap = (): void => {
    if (warming) actions.clock('warm-up', (Date.now() - warming.since) / 1000);
    warm(warming ? null : { bout, since: Date.now() });
  };
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
      {!inHand && tool(tell('pad-tools.body-signs'), () => setOpen('signs'))}
      {tool(
        tell('pad-tools.set-afterwards'),
        () => setOpen('set'),
        view.by.kind === 'timed' || view.by.kind === 'graded' || view.by.kind === 'whole',
      )}
      {tool(tell('pad-tools.rung-down'), () => actions.step(-1), !view.easier)}
      {tool(tell('pad-tools.rung-up'), () => actions.step(1), !view.harder)}
      {tool(view.off ? tell('pad-tools.it-is-back') : tell('pad-tools.off-on-its-own'), () =>
        actions.tap({ tap: 'off', back: view.off }),
      )}
      {tool(warming ? tell('pad-tools.warm-up-ends') : tell('pad-tools.warm-up-begins'), warmUpTap)}
      {tool(tell('pad-tools.not-logged'), () => setOpen('unlogged'))}
      {tool(tell('pad-tools.note'), () => setOpen('note'))}
      {tool(tell('pad-tools.keys-signals'), onHelp)}
      {tool(tell('pad-tools.pocket'), () => setPocket(true))}
      <Link className={buttonClass('plain', 'big')} to="log" relative="path">
        {tell('pad-tools.all-reps')}
      </Link>
      {!inHand && (
        <Button size="big" look="ink" className="col-span-2 px-2" onClick={actions.end}>
          {tell('pad-tools.enough-for-now')}
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
      aria-label={tell('pad-tools.always-at-hand')}
      className={`flex gap-1.5 lg:hidden ${leftHanded ? 'flex-row-reverse' : ''}`}
    >
      <Button size="big" look="ink" className="flex-1 px-1 leading-tight" onClick={actions.end}>
        {tell('pad-tools.enough-for-now')}
      </Button>
      <Button size="big" className="flex-1 px-1 leading-tight" onClick={() => setOpen(true)}>
        {tell('pad-tools.body-signs')}
      </Button>
      <Button
        size="big"
        className="flex-1 px-1 leading-tight"
        aria-disabled={actions.busy || undefined}
        onClick={actions.undo}
      >
        {tell('pad-tools.undo')}
      </Button>
      <Signs open={open} onClose={() => setOpen(false)} actions={actions} />
    </div>
  );
}

type DialogProps = { readonly open: boolean; readonly onClose: () => void; readonly actions: PadActions };

function Signs({ open, onClose, actions }: DialogProps) {
  return (
    <Dialog open={open} onClose={onClose} title={tell('pad-tools.what-do-you-see')}>
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
      <p className="mt-3 leading-snug text-ink-soft">{tell('pad-tools.one-tap-the-advice-says-what-it')}</p>
    </Dialog>
  );
}

/** Work that nobody logged: it fills sets and caps, and is no evidence. */
function Unlogged({ open, onClose, actions }: DialogProps) {
  return (
    <Dialog open={open} onClose={onClose} title={tell('pad-tools.about-how-many-more-not-logged')}>
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
        {tell('pad-tools.they-count-towards-the-set-and-the')}
      </p>
    </Dialog>
  );
}

function Note({ open, onClose, actions }: DialogProps) {
  const [text, setText] = useState('');
  const clean = text.trim();
  return (
    <Dialog open={open} onClose={onClose} title={tell('pad-tools.a-note-in-this-session')}>
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
          label={tell('pad-tools.note')}
          value={text}
          maxLength={2000}
          onChange={(event) => setText(event.target.value)}
        />
        <Button type="submit" size="big" look="ink" disabled={clean === ''}>
          {tell('pad-tools.keep-it')}
        </Button>
      </form>
    </Dialog>
  );
}
