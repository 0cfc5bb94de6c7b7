import type { Picture } from '@/core/breakdown';
import type { LaidOutView } from '@/data/read';
import { wordsOf, writeNumber } from '@/words';
import { tell } from './words';

/** What is written on a drawing besides names. */
export const says = ({ wind }: Pick<LaidOutView, 'wind'>) => ({
  north: tell('drawing.north'),
  wind: wind ? tell('drawing.wind', { speed: writeNumber(wind.speed) }) : '',
  line: ({ metres, bearing, run }: Picture['lines'][number]): string =>
    run ? tell('drawing.line', { metres, bearing }) : wordsOf(metres),
});
