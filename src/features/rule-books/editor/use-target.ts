import { useEffect } from 'react';
import { isWithin } from './check';
import type { Path } from './draft';
import { useEditor } from './editor-store';
import { parsed } from './made';

/** Brings the cursor to where the store says, once the cell is there: the cell itself, or the nearest to it. */
export function useTarget(): void {
  const { target, arrived, draft } = useEditor();
  useEffect(() => {
    if (!target || !draft) return;
    const cell = nearest(target);
    if (cell instanceof HTMLElement) {
      const field = cell.matches('input, select, button')
        ? cell
        : cell.querySelector<HTMLElement>('input, select, button');
      (field ?? cell).focus();
      if (field instanceof HTMLInputElement && field.type !== 'checkbox') field.select();
    }
    arrived();
  }, [target, arrived, draft]);
}

/** The cell at a place, else the deepest around it, else the first within it. */
function nearest(target: Path): Element | null {
  const cells = [...document.querySelectorAll('[data-cell]')].map((cell) => ({
    cell,
    path: parsed(cell.getAttribute('data-cell') ?? ''),
  }));
  const around = cells
    .filter(({ path }) => isWithin(target, path))
    .sort((a, b) => b.path.length - a.path.length);
  return (around[0] ?? cells.find(({ path }) => isWithin(path, target)))?.cell ?? null;
}
