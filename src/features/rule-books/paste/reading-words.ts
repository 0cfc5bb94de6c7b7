import {
  describeCost,
  faultRulesInWords,
  LINE_KINDS,
  type LineKind,
  type SheetReading,
} from '@/core/rulebooks';
import { wordsOf, writeNumber } from '@/words';
import { tell } from '../editor/words';

const KIND_WORDS: Readonly<Record<LineKind, string>> = {
  title: tell('book-kind.title'),
  edition: tell('book-kind.edition'),
  exercise: tell('book-kind.exercise'),
  asks: tell('book-kind.asks'),
  part: tell('book-kind.part'),
  demand: tell('book-kind.demand'),
  fault: tell('book-kind.fault'),
  pass: tell('book-kind.pass'),
  award: tell('book-kind.award'),
  total: tell('book-kind.total'),
  nothing: tell('book-kind.nothing'),
};
export const KIND_OPTIONS: readonly (readonly [LineKind, string])[] = LINE_KINDS.map((kind) => [
  kind,
  KIND_WORDS[kind],
]);

/** What was read from a line, as somebody would say it back. */
export function readingInWords(reading: SheetReading): string {
  switch (reading.is) {
    case 'nothing':
      return tell('book-reading.nothing');
    case 'title':
    case 'edition':
    case 'asks':
    case 'part':
      return tell('book-reading.text', { kind: KIND_WORDS[reading.is], text: reading.text });
    case 'total':
      return tell('book-reading.total', { points: reading.points });
    case 'exercise':
      if (reading.points === null) return tell('book-reading.exercise-bare', { title: reading.title });
      return tell('book-reading.exercise', {
        title: reading.title,
        points: reading.points,
        coefficient: reading.coefficient,
      });
    case 'demand': {
      const { title, value, ...rest } = reading.demand;
      return tell('book-reading.demand', { title, ...rest, value: writeNumber(value) });
    }
    case 'fault': {
      const cost = [
        describeCost(reading.cost, 'point'),
        ...faultRulesInWords({}, reading),
        ...reading.assumed,
      ]
        .map(wordsOf)
        .join('; ');
      return tell('book-reading.fault', { title: reading.title, cost, by: reading.by, miss: reading.miss });
    }
    case 'pass':
      return reading.kind === 'each'
        ? tell('book-reading.pass-each', { percent: reading.percent })
        : tell('book-reading.pass-total', { atLeast: reading.atLeast, percent: reading.percent });
    case 'award':
      return tell('book-reading.award', {
        title: reading.title,
        from: reading.from,
        percent: reading.percent,
        below: reading.below,
      });
  }
}
