import type { ComponentProps, MouseEvent } from 'react';
import { Button } from '@/ui';
import type { Tap } from './tap';
import type { PadActions } from './use-pad-actions';

type Props = Omit<ComponentProps<typeof Button>, 'onClick'> & {
  readonly actions: PadActions;
  readonly says: Tap;
  /** Before it is said, where something closes with it. */
  readonly onTap?: () => void;
};

/** One tap of the pad. It stays where it is while it writes: nothing is disabled under the thumb. */
export function TapButton({ actions, says, onTap, ...rest }: Props) {
  return (
    <Button
      aria-disabled={actions.busy || actions.bounces(says) || undefined}
      onClick={(event) => {
        letGo(event);
        onTap?.();
        actions.tap(says);
      }}
      {...rest}
    />
  );
}

/**
 * After a finger's tap the pad has the keys, not the button: a remote that types Enter must not press what
 * was tapped last. Whoever goes by Tab and Enter stays on the button.
 */
export function letGo(event: MouseEvent<HTMLElement>): void {
  if (event.detail > 0)
    event.currentTarget.closest<HTMLElement>('[data-pad]')?.focus({ preventScroll: true });
}
