import { useState } from 'react';
import { tell } from '@/words/shell';
import { Button } from './button';
import { Dialog } from './dialog';
import { TextField } from './text-field';

const REASONS = [
  tell('dismiss-sign.looked-it-over-nothing-found'),
  tell('dismiss-sign.the-vet-has-seen-it'),
  tell('dismiss-sign.rested-since-and-well'),
  tell('dismiss-sign.tapped-by-mistake'),
];

type Props = {
  readonly open: boolean;
  /** What was seen, and what it may mean. */
  readonly words: string;
  readonly onClose: () => void;
  readonly onDismiss: (why: string) => void;
};

/** A sign that ends or stops the work stands until somebody says why it no longer holds. */
export function DismissSign({ open, words, onClose, onDismiss }: Props) {
  const [why, setWhy] = useState('');
  const dismiss = (reason: string): void => {
    if (reason.trim() === '') return;
    onDismiss(reason.trim());
    setWhy('');
    onClose();
  };
  return (
    <Dialog open={open} onClose={onClose} title={tell('dismiss-sign.why-does-it-no-longer-hold')}>
      <p className="mb-3 leading-snug">{words}</p>
      <div className="grid gap-2">
        {REASONS.map((reason) => (
          <Button key={reason} size="big" className="justify-start text-left" onClick={() => dismiss(reason)}>
            {reason}
          </Button>
        ))}
        <TextField
          label={tell('dismiss-sign.or-in-your-own-words')}
          value={why}
          maxLength={200}
          onChange={(event) => setWhy(event.target.value)}
        />
        <Button size="big" look="ink" disabled={why.trim() === ''} onClick={() => dismiss(why)}>
          {tell('dismiss-sign.say-so')}
        </Button>
      </div>
    </Dialog>
  );
}

/** A sign that still stands, at the head of a page, and the way to say why it does not. */
export function SignNote({ words, onDismiss }: Pick<Props, 'words' | 'onDismiss'>) {
  const [open, setOpen] = useState(false);
  return (
    <section
      aria-label={tell('dismiss-sign.a-sign-that-stands')}
      className="border-2 border-ink border-l-[10px] border-l-signal bg-sheet p-3"
    >
      <p className="mb-2 text-lg leading-snug">{words}</p>
      <Button size="big" onClick={() => setOpen(true)}>
        {tell('dismiss-sign.it-no-longer-holds')}
      </Button>
      <DismissSign open={open} words={words} onClose={() => setOpen(false)} onDismiss={onDismiss} />
    </section>
  );
}
