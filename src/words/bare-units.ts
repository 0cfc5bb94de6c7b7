import type { Quantity, Reading } from '@/core/shared';
import { numberCustom } from './values';

/** What a number without a unit can mean, by what is measured; the first is what nobody has to choose. */
export const BARE_UNITS = {
  distance: ['m', 'yd', 'ft', 'paces'],
  height: ['cm', 'in', 'm', 'ft'],
  offset: ['cm', 'in', 'm', 'ft'],
  volume: ['L', 'US gal'],
  mass: ['kg', 'lb', 'g'],
} as const satisfies Partial<Record<Quantity, readonly string[]>>;
export type Bare = keyof typeof BARE_UNITS;
export const BARE = Object.keys(BARE_UNITS) as Bare[];

const KEY = 'regulon-bare-units';

let chosen: Partial<Record<Bare, string>> = read();

function read(): Partial<Record<Bare, string>> {
  try {
    const kept = JSON.parse(globalThis.localStorage?.getItem(KEY) ?? '{}') as Record<string, unknown>;
    return Object.fromEntries(
      BARE.flatMap((bare) =>
        BARE_UNITS[bare].filter((unit) => unit === kept[bare]).map((unit) => [bare, unit]),
      ),
    );
  } catch {
    return {};
  }
}

/** What a bare number of this quantity means to this person; null where nobody chose. */
export const bareUnit = (quantity: Quantity): string | null => chosen[quantity as Bare] || null;

/** Takes the choice, empty for none; it holds for what is typed from now on. */
export function takeBareUnit(bare: Bare, unit: string): void {
  chosen = { ...chosen, [bare]: unit };
  globalThis.localStorage?.setItem(KEY, JSON.stringify(chosen));
}

/** How what this person types is read. */
export const reading = (): Reading => ({ custom: numberCustom(), bareUnit });
