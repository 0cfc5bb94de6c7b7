import { fail, findUnit, ok, type Quantity, type Result, say } from '@/core/shared';
import { DEMAND_QUANTITIES, type Demand } from '../schema';

/** What a written demand says; `title` is empty where it has no name of its own. */
export type WrittenDemand = Pick<Demand, 'quantity' | 'harder' | 'value' | 'unit'> & {
  readonly title: string;
};

const LESS =
  'at most|within|no more than|not more than|maximum|max\\.?|up to|höchstens|innerhalb von|bis zu|≤|<';
const MORE = 'at least|no less than|minimum|min\\.?|from|mindestens|ab|≥|>';
/** An amount with what stands right before it: "at least 20 m". */
const AMOUNT = new RegExp(
  `(?:(?<![\\p{L}])(?:(?<less>${LESS})|(?<more>${MORE}))\\s*)?(?<digits>-?\\d+(?:[.,]\\d+)?)\\s*(?<letters>°|[\\p{L}]+)?`,
  'iu',
);

/** Words that tell what is measured where the unit fits several things. */
const TOLD_BY: readonly (readonly [Demand['quantity'], RegExp])[] = [
  ['latency', /\b(react|reaction|respon|answer|at once|reagier|reaktion)/iu],
  ['height', /\b(high|height|jump|hurdle|höhe|hoch|sprung)/iu],
  ['offset', /\b(off|gap|wide|width|beside|lane|close|breite|abstand zur)/iu],
  ['duration', /\b(hold|held|stay|wait|long|dauer|bleib|halten)/iu],
  ['distance', /\b(distance|away|far|entfernung|weit)/iu],
];
/** What a unit is taken for by itself: first where more is asked, then where less is. */
const USUAL: readonly (readonly [more: Demand['quantity'], less: Demand['quantity']])[] = [
  ['distance', 'offset'],
  ['duration', 'latency'],
  ['angle', 'angle'],
  ['height', 'offset'],
  ['count', 'count'],
];
const LESS_IS_HARDER = new Set<Quantity>(['latency', 'offset', 'angle']);
/** A unit by itself: metres are far, centimetres high, yards far, inches high. */
const LONG = new Set(['m', 'yd', 'ft', 'km', 'paces']);

const fits = (quantity: Quantity, unit: string): string | null => {
  const found = findUnit(quantity, unit);
  return found.ok ? found.value.id : null;
};

function quantityOf(words: string, unit: string, less: boolean): Demand['quantity'] {
  const told = TOLD_BY.find(([quantity, pattern]) => pattern.test(words) && fits(quantity, unit) !== null);
  if (told) return told[0];
  const usual = USUAL.find(
    ([more]) =>
      fits(more, unit) !== null && (more !== 'distance' || LONG.has(unit.toLowerCase()) || unit === ''),
  );
  if (unit === '') return 'count';
  const chosen = usual?.[less ? 1 : 0];
  if (chosen && fits(chosen, unit) !== null) return chosen;
  return DEMAND_QUANTITIES.find((quantity) => fits(quantity, unit) !== null) ?? 'count';
}

/**
 * Reads what a class asks of a part: "20 m", "Distance at least 25 m", "answers within 2 s", "Höhe 40 cm".
 * What is measured is told by the unit, by the words beside it, and by whether more or less is asked;
 * `before` is the demand that stood there, whose measure stays as long as its unit fits. A word that is no
 * unit is what is counted. Fails with `amount` without a number.
 * `readDemand('hold at least 10 s', null)` → duration, more, 10 s, "hold".
 */
export function readDemand(
  written: string,
  before: Omit<WrittenDemand, 'value'> | null,
): Result<WrittenDemand> {
  const found = AMOUNT.exec(written);
  if (!found) return fail('amount', '', say('rulebooks.written.no-amount', { written: written.trim() }));
  const { digits = '', letters = '', less: lessWord, more: moreWord } = found.groups ?? {};
  // "6 articles": what is no unit of anything is what is counted.
  const unit = DEMAND_QUANTITIES.some((quantity) => fits(quantity, letters) !== null) ? letters : '';
  const counted = unit === letters ? '' : letters;
  const words = `${written.slice(0, found.index)} ${counted}${written.slice(found.index + found[0].length)}`;
  const [less, more] = [lessWord !== undefined, moreWord !== undefined];
  const title = words
    .replace(/[,:;]+/g, ' ')
    .replace(/\s+/g, ' ')
    .trim();
  const kept = before && before.title === title && fits(before.quantity, unit) !== null ? before : null;
  const quantity =
    kept && !(less && kept.harder === 'more') && !(more && kept.harder === 'less')
      ? kept.quantity
      : quantityOf(words, unit, less);
  const id = fits(quantity, unit) ?? '';
  const usual = LESS_IS_HARDER.has(quantity) ? 'less' : 'more';
  const harder = less === more ? (kept?.quantity === quantity ? kept.harder : usual) : less ? 'less' : 'more';
  return ok({ title, quantity, harder, value: Number(digits.replace(',', '.')), unit: id });
}

/** A demand as it can be typed again: "Distance to the square at least 25 m". */
export function writeDemand(demand: Omit<WrittenDemand, never>, number: (value: number) => string): string {
  const gap = demand.unit === '' || demand.unit === '°' ? '' : ' ';
  const asks = demand.harder === 'less' ? 'at most' : 'at least';
  return `${demand.title} ${asks} ${number(demand.value)}${gap}${demand.unit}`.trim();
}
