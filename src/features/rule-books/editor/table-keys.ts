import type { KeyboardEvent } from 'react';

/**
 * The table by keyboard alone: up and down to the same cell of another row, left and right to the next cell where
 * the cursor stands at an end of its text. What Enter and Backspace do, a row says itself.
 */
export function moveByArrow(event: KeyboardEvent<HTMLElement>): void {
  if (event.nativeEvent.isComposing || event.altKey || event.ctrlKey || event.metaKey || event.shiftKey)
    return;
  const cell = event.target as HTMLElement;
  if (!(cell instanceof HTMLInputElement || cell instanceof HTMLButtonElement)) return;
  const row = cell.closest<HTMLElement>('[data-row]');
  if (!row || !event.currentTarget.contains(row)) return;
  const goal =
    event.key === 'ArrowUp' || event.key === 'ArrowDown'
      ? inRow(event.currentTarget, row, cell, event.key === 'ArrowUp' ? -1 : 1)
      : event.key === 'ArrowLeft' || event.key === 'ArrowRight'
        ? beside(row, cell, event.key === 'ArrowLeft' ? -1 : 1)
        : null;
  if (!goal) return;
  event.preventDefault();
  goal.focus();
  if (goal instanceof HTMLInputElement) goal.select();
}

const cellsOf = (row: HTMLElement): HTMLElement[] => [...row.querySelectorAll<HTMLElement>('[data-col]')];

function inRow(table: HTMLElement, row: HTMLElement, cell: HTMLElement, by: 1 | -1): HTMLElement | null {
  const rows = [...table.querySelectorAll<HTMLElement>('[data-row]')];
  const other = rows[rows.indexOf(row) + by];
  if (!other) return null;
  const column = cell.closest('[data-col]')?.getAttribute('data-col');
  const cells = cellsOf(other);
  return focusable(cells.find((one) => one.getAttribute('data-col') === column) ?? cells[0]);
}

function beside(row: HTMLElement, cell: HTMLElement, by: 1 | -1): HTMLElement | null {
  if (cell instanceof HTMLInputElement && cell.type !== 'checkbox') {
    const { selectionStart: start, selectionEnd: end, value } = cell;
    const whole = start === 0 && end === value.length && value !== '';
    if (!whole && (start !== end || start !== (by < 0 ? 0 : value.length))) return null;
  }
  const cells = cellsOf(row);
  return focusable(cells[cells.findIndex((one) => one.contains(cell)) + by]);
}

const focusable = (cell: HTMLElement | undefined): HTMLElement | null =>
  cell?.matches('input, button') ? cell : (cell?.querySelector<HTMLElement>('input, button') ?? null);
