import { lazy, Suspense, useState } from 'react';
import type { DialogProps } from './dialog-sheet';

const DialogSheet = lazy(async () => ({ default: (await import('./dialog-sheet')).DialogSheet }));

/**
 * A sheet laid over the page; closes by Escape, by the button and by a tap beside it. What lays it there
 * comes with the first one that is opened: the pad is there before.
 */
export function Dialog(props: DialogProps) {
  const [used, setUsed] = useState(props.open);
  if (props.open && !used) setUsed(true);
  if (!used) return null;
  return (
    <Suspense fallback={null}>
      <DialogSheet {...props} />
    </Suspense>
  );
}
