import { writeDayAndHour } from './days';
import { tell } from './shell';

/** The day and hour of an instant; in words where it is none. */
export const writeInstant = (at: number): string =>
  Number.isFinite(at) ? writeDayAndHour(at) : tell('days.on-a-day-that-nobody-noted');
