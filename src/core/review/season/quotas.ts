import { type Sentence, say } from '@/core/shared';
import type { LiveEvent } from './events';

/** What somebody means to keep to with this dog; null where nobody said. */
export type Quotas = {
  readonly birds: number | null;
  readonly companions: number | null;
  readonly days: number | null;
};

/**
 * What is to be said of a dog's quotas on a live day, in time: while there is one to go, when it is reached, when it
 * is passed. Marks and blinds are birds. Of what nobody said nothing is said. Three of four birds → "one more".
 */
export function quotaLines(
  quotas: Quotas,
  today: {
    readonly events: readonly LiveEvent[];
    readonly companions: number | null;
    readonly daysThisWeek: number;
  },
): Sentence[] {
  const birds = today.events.filter(({ what }) => what === 'mark' || what === 'blind').length;
  const lines: Sentence[] = [];
  if (quotas.birds !== null) {
    const left = quotas.birds - birds;
    if (left === 1) lines.push(say('quota.one-more', { birds, most: quotas.birds }));
    else if (left === 0) lines.push(say('quota.enough', { most: quotas.birds }));
    else if (left < 0) lines.push(say('quota.too-many', { birds, most: quotas.birds }));
    else lines.push(say('quota.so-far', { birds, most: quotas.birds }));
  }
  if (quotas.companions !== null && today.companions !== null && today.companions > quotas.companions)
    lines.push(say('quota.companions', { companions: today.companions, most: quotas.companions }));
  if (quotas.days !== null && today.daysThisWeek > quotas.days)
    lines.push(say('quota.days', { days: today.daysThisWeek, most: quotas.days }));
  return lines;
}

/** Companions by their names as they are written: "Ada, Bo and Cleo" → 3; null where nothing is. */
export function companionsIn(written: string): number | null {
  const names = written
    .split(/,|;|\band\b|\bund\b|&|\+/)
    .map((one) => one.trim())
    .filter(Boolean);
  return names.length === 0 ? null : names.length;
}
