import { Dialog as Radix } from 'radix-ui';
import { type ReactNode, useRef } from 'react';
import { tell } from '@/words/shell';
import { Button } from './button';

export type DialogProps = {
  readonly open: boolean;
  readonly onClose: () => void;
  readonly title: string;
  readonly children: ReactNode;
};

/** A sheet laid over the page; closes by Escape, by the button and by a tap beside it. */
export function DialogSheet({ open, onClose, title, children }: DialogProps) {
  const opener = useRef<Element | null>(null);
  return (
    <Radix.Root open={open} onOpenChange={(next) => !next && onClose()}>
      <Radix.Portal>
        <Radix.Overlay className="fixed inset-0 z-40 bg-black/55" />
        <Radix.Content
          aria-describedby={undefined}
          onOpenAutoFocus={() => {
            opener.current = document.activeElement;
          }}
          // No button of Radix's own opens it: what had the focus gets it back.
          onCloseAutoFocus={(event) => {
            event.preventDefault();
            if (opener.current instanceof HTMLElement && opener.current.isConnected) opener.current.focus();
          }}
          className="fixed left-1/2 top-1/2 z-50 max-h-[85dvh] w-[min(34rem,92vw)] -translate-x-1/2 -translate-y-1/2 overflow-y-auto border-2 border-ink bg-sheet p-5"
        >
          <Radix.Title className="mb-3 text-xl font-bold">{title}</Radix.Title>
          {children}
          <div className="mt-4 flex justify-end">
            <Button onClick={onClose}>{tell('dialog-sheet.close')}</Button>
          </div>
        </Radix.Content>
      </Radix.Portal>
    </Radix.Root>
  );
}
