import { exerciseMark, marked } from './marks';
import type { PastedLine } from './sheet-reading';
import { type Table, tableOf } from './table-rows';
import { titledPoints } from './titled-values';
import { NOWHERE, told } from './told-lines';

/** What is known of the sheet before its lines are read one by one. */
export type Style = {
  readonly mark: 'word' | 'roman' | 'number' | null;
  /** Whether lines stand under others: indented, or as points of a list. */
  readonly nested: boolean;
  /** Whether exercises are points of a list, and what can go wrong stands indented under them. */
  readonly bullets: boolean;
  /** Whether most exercises end in a bare number: then a bare number is their points. */
  readonly bare: boolean;
  readonly table: Table | null;
  readonly smallest: number;
};

export function styleOf(lines: readonly PastedLine[]): Style {
  const texts = lines.map((line) => line.text);
  const all = texts.filter((text) => told(text, NOWHERE) === null).map(marked);
  const mark = exerciseMark(all);
  const numbered = all.filter((line) => line.mark === mark);
  const bare = numbered.filter((line) => !titledPoints(line.body).certain).length;
  return {
    mark,
    bullets:
      mark === null &&
      all.some(
        (line, i) =>
          line.mark === 'plain' &&
          line.indent > 1 &&
          all[i - 1]?.mark === 'bullet' &&
          line.indent > (all[i - 1]?.indent ?? 0),
      ),
    nested: all.some((line) => line.mark === 'bullet' || line.indent > 1),
    bare: numbered.length > 1 && bare * 2 > numbered.length,
    table: tableOf(texts),
    smallest: smallestIn(texts),
  };
}

/** The step in which a sheet prices: that of its finest number, 1 where all are whole. */
export function smallestIn(texts: readonly string[]): number {
  const all = texts.join('\n');
  const decimals = [...all.matchAll(/\d+[.,](\d{1,3})(?![\d.,])/g)].map((found) => Number(`0.${found[1]}`));
  const halves = /½|\bhal(?:f|ber|ben)\b/iu.test(all) ? [0.5] : [];
  const steps = [0.5, 0.25, 0.1, 0.05, 0.01];
  const fits = (step: number): boolean =>
    [...decimals, ...halves].every((one) => Math.abs(one / step - Math.round(one / step)) < 1e-9);
  return fits(1) ? 1 : (steps.find(fits) ?? 0.01);
}
