import { useEffect } from 'react';
import { CLIP_STAMPS, type ClipStamp } from '@/core/review';
import type { Player } from './use-player';

/** Keys of the table: arrows step, with Shift ten, Space plays, 1 to 6 mark. What is being typed stays typed. */
export function useClipKeys(player: Player, onStamp: (stamp: ClipStamp) => void): void {
  useEffect(() => {
    const press = (event: KeyboardEvent): void => {
      if (event.ctrlKey || event.metaKey || event.altKey || isOwn(event)) return;
      const by = event.shiftKey ? 10 : 1;
      const stamp = CLIP_STAMPS[Number(event.key) - 1];
      if (event.key === 'ArrowLeft') player.step(-by);
      else if (event.key === 'ArrowRight') player.step(by);
      else if (event.key === ' ') player.toggle();
      else if (stamp) onStamp(stamp);
      else return;
      event.preventDefault();
    };
    window.addEventListener('keydown', press);
    return () => window.removeEventListener('keydown', press);
  }, [player, onStamp]);
}

/** Whether the key belongs to what has the focus: a field, a list; Space to a button; arrows to a slider. */
function isOwn({ key, target }: KeyboardEvent): boolean {
  if (!(target instanceof HTMLElement)) return false;
  if (target instanceof HTMLInputElement) return target.type !== 'range' || key.startsWith('Arrow');
  if (target instanceof HTMLSelectElement || target instanceof HTMLTextAreaElement) return true;
  if (key === ' ') return target.closest('button, a, summary') !== null;
  return false;
}
