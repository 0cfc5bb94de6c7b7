import { mixSeed, seedFromText } from './random';

/**
 * A print of plain data: the same print, the same data. 64 bits as hexadecimal. Numbers that JSON has
 * no word for (an open end) are told apart by their names; data that carries a `print` of its own
 * counts by that, so that much of it costs little. `printOf({})` → 16 digits, on every device alike.
 */
export function printOf(data: unknown): string {
  const text = JSON.stringify(data, (_, value: unknown) => {
    if (typeof value === 'number') return Number.isFinite(value) ? value : String(value);
    if (typeof value !== 'object' || value === null || !('print' in value)) return value;
    return typeof value.print === 'string' ? `print ${value.print}` : value;
  });
  const hex = (seed: number): string => seed.toString(16).padStart(8, '0');
  return hex(seedFromText(text)) + hex(mixSeed(seedFromText(`${text.length}${text}`), text.length));
}
