import { fail, ok, type Result } from './result';
import { say } from './say';

/**
 * One table of quantities. Values are stored in the base unit (the first of each list: metres,
 * seconds, degrees …) and shown in the person's unit. `perBase` is how many base units one of this
 * unit is.
 */
export type Quantity =
  | 'distance'
  | 'duration'
  | 'latency'
  | 'angle'
  | 'offset'
  | 'height'
  | 'volume'
  | 'area'
  | 'count'
  | 'rate'
  | 'temperature'
  | 'mass'
  | 'level';

export type Unit = {
  readonly id: string;
  readonly perBase: number;
  readonly shift?: number;
  readonly names: readonly string[];
};

// Names are those of the languages in which people train here; "Yd." and "Sek." lose their point first.
const metre: Unit = {
  id: 'm',
  perBase: 1,
  names: ['m', 'metre', 'metres', 'meter', 'meters', 'metern', 'mètre', 'mètres'],
};
const yard: Unit = { id: 'yd', perBase: 0.9144, names: ['yd', 'yds', 'yard', 'yards'] };
const foot: Unit = {
  id: 'ft',
  perBase: 0.3048,
  names: ['ft', 'foot', 'feet', "'", 'fuß', 'fuss', 'pied', 'pieds'],
};
const centimetre: Unit = {
  id: 'cm',
  perBase: 0.01,
  names: [
    'cm',
    'centimetre',
    'centimetres',
    'centimeter',
    'centimeters',
    'zentimeter',
    'centimètre',
    'centimètres',
  ],
};
const inch: Unit = {
  id: 'in',
  perBase: 0.0254,
  names: ['in', 'inch', 'inches', '"', 'zoll', 'pouce', 'pouces'],
};
/**
 * A pace is not a standard length; 0.75 m is an adult's walking step, to be replaced by the
 * person's own.
 */
const pace: Unit = {
  id: 'paces',
  perBase: 0.75,
  names: ['paces', 'pace', 'steps', 'step', 'schritt', 'schritte', 'schritten', 'pas'],
};
const second: Unit = {
  id: 's',
  perBase: 1,
  names: ['s', 'sec', 'secs', 'second', 'seconds', '"', 'sek', 'sekunde', 'sekunden', 'seconde', 'secondes'],
};
const minute: Unit = {
  id: 'min',
  perBase: 60,
  names: ['min', 'mins', 'minute', 'minutes', "'", 'minuten', 'mn'],
};

/** @internal */
export const QUANTITIES: Readonly<Record<Quantity, readonly Unit[]>> = {
  distance: [metre, yard, foot, pace, centimetre],
  duration: [second, minute],
  latency: [second],
  angle: [{ id: '°', perBase: 1, names: ['°', 'deg', 'degree', 'degrees', 'grad', 'degré', 'degrés'] }],
  offset: [metre, centimetre, inch, foot, yard],
  height: [metre, centimetre, inch, foot],
  volume: [
    { id: 'L', perBase: 1, names: ['l', 'litre', 'litres', 'liter', 'liters'] },
    {
      id: 'US gal',
      perBase: 3.785411784,
      names: ['us gal', 'gal', 'gallon', 'gallons', 'gallone', 'gallonen'],
    },
  ],
  area: [
    { id: 'm²', perBase: 1, names: ['m²', 'm2', 'sqm'] },
    { id: 'cm²', perBase: 0.0001, names: ['cm²', 'cm2'] },
  ],
  count: [{ id: '', perBase: 1, names: ['', 'times', 'x', 'mal', 'fois'] }],
  rate: [{ id: '/min', perBase: 1, names: ['/min', 'per minute', 'per min'] }],
  temperature: [
    { id: '°C', perBase: 1, names: ['°c', 'c'] },
    { id: '°F', perBase: 5 / 9, shift: -32, names: ['°f', 'f'] },
  ],
  mass: [
    { id: 'kg', perBase: 1, names: ['kg'] },
    { id: 'g', perBase: 0.001, names: ['g', 'gram', 'grams', 'gramm', 'gramme', 'grammes'] },
    { id: 'lb', perBase: 0.45359237, names: ['lb', 'lbs'] },
  ],
  level: [{ id: '', perBase: 1, names: ['', 'level'] }],
};

/**
 * What a quantity can be at all, base units: beyond it a finger has slipped. The widest that the work
 * asks for with room to spare, not a judgement of what is sensible.
 */
export const BOUNDS: Readonly<Record<Quantity, readonly [number, number]>> = {
  distance: [0, 20_000],
  duration: [0, 86_400],
  latency: [0, 600],
  angle: [-360, 360],
  offset: [-1_000, 1_000],
  height: [0, 10],
  volume: [0, 10_000],
  area: [0, 10_000],
  count: [0, 100_000],
  rate: [0, 10_000],
  temperature: [-60, 60],
  mass: [0, 1_000],
  level: [0, 1_000],
};

/**
 * Finds a unit of a quantity by one of its written names. Fails with `unit` and names the units
 * that fit.
 */
export function findUnit(quantity: Quantity, name: string): Result<Unit> {
  const wanted = name.trim().toLowerCase().replace(/\.$/, '');
  const found = QUANTITIES[quantity].find(
    (unit) => unit.id.toLowerCase() === wanted || unit.names.includes(wanted),
  );
  if (found) return ok(found);
  const fitting = QUANTITIES[quantity]
    .map((unit) => unit.id || say('shared.quantities.a-plain-number'))
    .join(', ');
  return fail('unit', '', say('shared.quantities.is-not-a-unit-of-these-fit', { name, quantity, fitting }));
}

// Unit factors add noise in the last bits. Stored values keep fifteen digits, shown ones twelve:
// were both rounded alike, 2646 US gal would come back as 2646.00000001, and unrounded 25 yd as
// 24.999999999999996.
const tidy = (value: number): number => Number(value.toPrecision(15));
const tidyShown = (value: number): number => Number(value.toPrecision(12));

/**
 * Written unit → base unit. `toBase('distance', 25, 'yd')` → 22.86 (m). Fails with `unit` on a
 * foreign unit.
 */
export function toBase(quantity: Quantity, value: number, unitName: string): Result<number> {
  const unit = findUnit(quantity, unitName);
  return unit.ok ? ok(tidy((value + (unit.value.shift ?? 0)) * unit.value.perBase)) : unit;
}

/**
 * Base unit → written unit. `fromBase('distance', 22.86, 'yd')` → 25. Fails with `unit` on a
 * foreign unit.
 */
export function fromBase(quantity: Quantity, base: number, unitName: string): Result<number> {
  const unit = findUnit(quantity, unitName);
  // Rounded before the shift too: 0 °F is −17.777… °C, and what is left of −32 + 32 would be shown
  // as −3.6e-14.
  return unit.ok ? ok(tidyShown(tidyShown(base / unit.value.perBase) - (unit.value.shift ?? 0))) : unit;
}
