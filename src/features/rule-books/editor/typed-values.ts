import {
  DEMAND_QUANTITIES,
  type Demand,
  type Rules,
  readCost,
  readDemand,
  type WrittenCost,
  writeCost,
  writeDemand,
} from '@/core/rulebooks';
import type { Result } from '@/core/shared';
import { writeNumber } from '@/words';
import { at, type Draft, isTyped, type Json, listAt, type Path, put, textAt, typed } from './draft';
import { freshId } from './ids';
import { tell } from './words';

/** A number as it was typed, with a point or a comma; null where it is none. */
function numberOf(text: string): number | null {
  const clean = text.trim().replace(',', '.').replace(/^−/, '-');
  return /^-?(?:\d+\.?\d*|\.\d+)$/.test(clean) ? Number(clean) : null;
}

/** A number of the draft as it stands in its field: as it was typed, or as the person writes it. */
export function shownNumber(draft: Json, path: Path): string {
  const found = at(draft, path);
  return typeof found === 'number' ? writeNumber(found) : textAt(draft, path);
}

/** Where each family keeps its smallest step. */
export const SMALLEST: Readonly<Partial<Record<Rules['family'], string>>> = {
  'points-off': 'smallestPoint',
  'weighted-marks': 'smallestMark',
  abilities: 'smallestMark',
  retrieves: 'smallestPoint',
  'time-and-faults': 'smallestFault',
  measured: 'smallest',
};

export const familyIn = (draft: Draft): Rules['family'] =>
  textAt(draft, ['rules', 'family']) as Rules['family'];

/** The smallest step of the draft; 1 where none is written, or it is half typed. */
export function smallestOf(draft: Draft): number {
  const key = SMALLEST[familyIn(draft)];
  const step = key === undefined ? 1 : at(draft, ['rules', key]);
  const value = typeof step === 'number' ? step : numberOf(isTyped(step) ? step.typed : '');
  return value !== null && value > 0 ? value : 1;
}

/** What a price that was typed says; null where it stands in numbers already. */
export function readTypedCost(cost: Json | undefined, smallest: number): Result<WrittenCost> | null {
  return isTyped(cost) ? readCost(cost.typed, smallest) : null;
}

/** A price as it stands in its cell: as it was typed, or written from its numbers. */
export function shownCost(fault: Json): string {
  const cost = at(fault, ['cost']);
  if (isTyped(cost)) return cost.typed;
  const plain = plainNumbers(fault);
  return plain === null ? '' : writeCost(plain.cost, plain, writeNumber);
}

type Plain = Pick<WrittenCost, 'cost' | 'warnings' | 'nth'>;

/** A fault's price with all that was typed in it as numbers; null where one of them is none. */
function plainNumbers(fault: Json): Plain | null {
  const resolved = numbersIn(at(fault, ['cost']) ?? null);
  const nth = at(fault, ['nth']);
  const warnings = at(fault, ['warnings']);
  const all = [
    resolved,
    nth === undefined ? null : numbersIn(nth),
    warnings === undefined ? null : numbersIn(warnings),
  ];
  if (JSON.stringify(all).includes('"typed"') || typeof resolved !== 'object' || resolved === null)
    return null;
  return {
    cost: resolved as unknown as WrittenCost['cost'],
    ...(warnings === undefined ? {} : { warnings: all[2] as number }),
    ...(nth === undefined ? {} : { nth: all[1] as unknown as NonNullable<WrittenCost['nth']> }),
  };
}

/** Typed numbers as numbers, wherever they stand; what is none stays as it was typed. */
export function numbersIn(node: Json): Json {
  if (isTyped(node)) return numberOf(node.typed) ?? node;
  if (Array.isArray(node)) return node.map(numbersIn);
  if (typeof node !== 'object' || node === null) return node;
  return Object.fromEntries(Object.entries(node).map(([key, value]) => [key, numbersIn(value)]));
}

/** A fault with a price that was typed; what one line holds besides is said by that line from then on. */
export function putCost(draft: Draft, fault: Path, text: string): Draft {
  const { warnings: _w, nth: _n, ...rest } = (at(draft, fault) ?? {}) as Record<string, Json>;
  const was = rest.cost ?? null;
  const bySize = at(isTyped(was) ? (was.was ?? null) : was, ['bySize']);
  return put(draft, fault, { ...rest, cost: typed(text, bySize === undefined ? undefined : { bySize }) });
}

/** A fault whose price stands in numbers, so that one of them can be changed by itself; null where it is not understood. */
export function unfolded(fault: Json, smallest: number): Json | null {
  const cost = at(fault, ['cost']);
  if (!isTyped(cost)) return fault;
  const read = readCost(cost.typed, smallest);
  if (!read.ok) return null;
  const bySize = at(cost.was ?? null, ['bySize']);
  const timed = read.value.cost.kind === 'per-second' || read.value.cost.kind === 'per-metre';
  return {
    ...(fault as Record<string, Json>),
    cost: {
      ...(read.value.cost as unknown as Record<string, Json>),
      ...(bySize !== undefined && timed ? { bySize } : {}),
    },
    ...(read.value.warnings === undefined ? {} : { warnings: read.value.warnings }),
    ...(read.value.nth === undefined ? {} : { nth: { ...read.value.nth } }),
  };
}

/** Demands as they stand in their cell, one after the other. */
export function shownDemands(part: Json): string {
  const demands = at(part, ['demands']);
  if (isTyped(demands)) return demands.typed;
  return listAt(part, ['demands'])
    .map((demand) => {
      const value = numbersIn(at(demand, ['value']) ?? '');
      return typeof value === 'number'
        ? writeDemand({ ...(demand as unknown as Demand), value }, writeNumber)
        : textAt(demand, ['title']);
    })
    .join('; ');
}

/** Names of what is measured, for a demand that has none of its own. */
export const QUANTITY_WORDS: Readonly<Record<Demand['quantity'], string>> = {
  distance: tell('book-typed.distance'),
  duration: tell('book-typed.duration'),
  latency: tell('book-typed.latency'),
  angle: tell('book-typed.angle'),
  offset: tell('book-typed.offset'),
  height: tell('book-typed.height'),
  count: tell('book-typed.count'),
  level: tell('book-typed.level'),
};
export const QUANTITIES = DEMAND_QUANTITIES;

export type ReadDemands = { readonly demands: readonly Json[]; readonly wrong: Result<unknown> | null };

/**
 * The demands that a cell says, each laid on the one that stood at its place: its hidden name, by which dogs'
 * ladders know it, and its values for sizes stay as long as the same thing is measured.
 */
export function demandsOf(part: Json, draft: Draft): ReadDemands {
  const demands = at(part, ['demands']);
  if (!isTyped(demands)) return { demands: listAt(part, ['demands']), wrong: null };
  const before = Array.isArray(demands.was) ? demands.was : [];
  const found: Json[] = [];
  let wrong: Result<unknown> | null = null;
  let fresh = Number(freshId(draft).slice(1));
  for (const [i, piece] of demands.typed
    .split(';')
    .filter((one) => one.trim() !== '')
    .entries()) {
    const old = before[i] as unknown as Demand | undefined;
    const read = readDemand(piece, old ?? null);
    if (!read.ok) {
      wrong ??= read;
      continue;
    }
    const same = old !== undefined && old.quantity === read.value.quantity;
    const axis = same ? old.axis : `~${fresh++}`;
    const title = read.value.title === '' ? QUANTITY_WORDS[read.value.quantity] : read.value.title;
    found.push({ ...read.value, title, axis, ...(same && old.bySize ? { bySize: { ...old.bySize } } : {}) });
  }
  return { demands: found, wrong };
}
