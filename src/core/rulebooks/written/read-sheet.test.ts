import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { writeDemand } from './demands';
import { type JudgingSheet, KEYED, SHEETS } from './judging-sheets.test-helper';
import { pastedLines, readSheet } from './read-sheet';
import type { SheetReading } from './sheet-reading';
import { LINE_KINDS } from './sheet-reading';
import { writeCost } from './write-cost';

/** A reading as the oracle writes it. */
function short(reading: SheetReading): string {
  switch (reading.is) {
    case 'title':
      return `C ${reading.text}`;
    case 'edition':
      return `D ${reading.text}`;
    case 'asks':
      return `S ${reading.text}`;
    case 'part':
      return `R ${reading.text}`;
    case 'exercise':
      return `E ${reading.title} ${reading.coefficient ? 'x' : ''}${reading.points}`;
    case 'demand':
      return `Q ${writeDemand(reading.demand, String)}`;
    case 'fault': {
      const mark = reading.miss ? 'M' : reading.by === 'handler' ? 'H' : 'F';
      return `${mark} ${reading.title} = ${writeCost(reading.cost, reading, String)}`;
    }
    case 'pass':
      return reading.kind === 'each'
        ? `P each ${reading.percent}%`
        : `P ${reading.atLeast}${reading.percent ? '%' : ''}`;
    case 'award':
      return `${reading.below ? 'a' : 'A'} ${reading.title} ${reading.from}${reading.percent ? '%' : ''}`;
    case 'total':
      return `T ${reading.points}`;
    case 'nothing':
      return '-';
  }
}

const lineByLine = (name: string) => {
  const sheet = SHEETS.find((one) => one.name === name);
  const lines = sheet?.lines ?? [];
  const read = readSheet(pastedLines(lines.map(([text]) => text).join('\n')));
  return lines.map(([text, ...keyed], i) => ({
    text,
    keyed,
    read: (read[i]?.readings ?? []).map(short),
    marked: read[i]?.doubt !== null,
  }));
};

describe.each(SHEETS.map((sheet) => sheet.name))('the sheet “%s”', (name) => {
  it('is wrong nowhere without a mark', () => {
    const wrong = lineByLine(name).filter(
      (line) => !line.marked && line.read.join('\n') !== line.keyed.join('\n'),
    );
    expect(wrong).toEqual([]);
  });
});

describe('a judging sheet', () => {
  it('is read as a person would key it in, in nine lines of ten', () => {
    const share = (sheets: readonly JudgingSheet[]): number => {
      const all = sheets.flatMap((sheet) => lineByLine(sheet.name));
      const right = all.filter((line) => !line.marked && line.read.join('\n') === line.keyed.join('\n'));
      return right.length / all.length;
    };
    expect(KEYED.length).toBeGreaterThanOrEqual(12);
    expect(share(KEYED)).toBeGreaterThan(0.9);
    // Of sheets that the rules did not know, four lines of five; the others are asked about.
    expect(share(SHEETS)).toBeGreaterThan(0.85);
  });

  it('never breaks, says something of every line, and says the same again', () => {
    const all = SHEETS.flatMap((sheet) => sheet.lines.map(([text]) => text));
    const scraps = [
      '\t',
      ' ',
      '-',
      '.',
      ',',
      ';',
      '|',
      '(',
      ')',
      '½',
      '0',
      '9',
      '%',
      '°',
      'each',
      'over',
      'ü',
      '\u0000',
      '1',
    ];
    const mutated = fc
      .array(
        fc.tuple(
          fc.constantFrom(...all),
          fc.array(fc.tuple(fc.nat(80), fc.constantFrom(...scraps), fc.boolean()), { maxLength: 4 }),
        ),
        { minLength: 1, maxLength: 5 },
      )
      .map((lines) =>
        lines
          .map(([text, cuts]) =>
            cuts.reduce(
              (now, [at, scrap, cut]) =>
                now.slice(0, at) + (cut ? '' : scrap) + now.slice(at + (cut ? 3 : 0)),
              text,
            ),
          )
          .join('\n'),
      );
    fc.assert(
      fc.property(mutated, (text) => {
        const lines = pastedLines(text);
        const read = readSheet(lines);
        expect(read.length).toBe(lines.length);
        for (const line of read) {
          expect(line.readings.length > 0 || line.doubt !== null).toBe(true);
          const numbers = JSON.stringify(line.readings).match(/null/g) ?? [];
          expect(numbers.length).toBeLessThanOrEqual(
            line.readings.filter((one) => one.is === 'exercise' && one.points === null).length,
          );
        }
        if (text.length % 10 === 0) expect(readSheet(lines)).toEqual(read);
      }),
      { numRuns: 10_000 },
    );
  });

  it('reads a line as what somebody said it is', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...SHEETS.flatMap((sheet) => sheet.lines.map(([text]) => text))),
        fc.constantFrom(...LINE_KINDS),
        (text, as) => {
          const [line] = readSheet([{ text, as }]);
          // What passing asks and what is given from so many points on may stand in one line.
          const may = as === 'pass' ? ['pass', 'award'] : [as];
          for (const reading of line?.readings ?? []) expect(may).toContain(reading.is);
        },
      ),
      { numRuns: 2_000 },
    );
  });
});
