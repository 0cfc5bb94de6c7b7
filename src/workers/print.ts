import { mixSeed, seedFromText } from '@/core/shared';

/**
 * A print of plain data: the same print, the same data. 64 bits as hexadecimal. Numbers that JSON has
 * no word for (an open end) are told apart by their names.
 */
export function printOf(data: unknown): string {
  const text = JSON.stringify(data, (_, value: unknown) =>
    typeof value === 'number' && !Number.isFinite(value) ? String(value) : value,
  );
  const hex = (seed: number): string => seed.toString(16).padStart(8, '0');
  return hex(seedFromText(text)) + hex(mixSeed(seedFromText(`${text.length}${text}`), text.length));
}
