import type { Sentence, Value } from '@/core/shared';

export function writeValue(value: Value, tell: (sentence: Sentence) => string): string {
  if (value === null || value === undefined) return '';
  if (typeof value === 'string') return value;
  if (typeof value === 'number') return String(value);
  if (typeof value === 'boolean') return String(value);
  if ('say' in value) return tell(value);
  if ('list' in value)
    return value.list
      .map((one) => writeValue(one, tell))
      .filter((one) => one !== '')
      .join(value.between);
  return '';
}
