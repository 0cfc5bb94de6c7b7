import { type Caution, cautionsFor } from '@/core/planning';
import type { Day, ElementId } from '@/core/shared';
import type { Dog, ElementRecord } from '@/data/records';
import type { RepsByElement } from './class-evidence';
import type { DogWork } from './work';

/** What somebody has looked at before a session; null where nobody has. */
export type Weather = { readonly surface: string | null; readonly temperature: number | null };
const UNKNOWN_WEATHER: Weather = { surface: null, temperature: null };

/**
 * The cautions that hold for an element today, from the dog, its work, what is logged of it, and
 * the weather where somebody has looked.
 */
export function cautionsOf(
  element: ElementRecord,
  dog: Dog,
  reps: RepsByElement,
  work: Pick<DogWork, 'elements'>,
  today: Day,
  weather: Weather = UNKNOWN_WEATHER,
): Caution[] {
  const jumps = isJump(element);
  const jumpsToday = work.elements.filter(isJump).reduce((sum, one) => sum + repsOn(one.id, reps, today), 0);
  return cautionsFor({
    dog,
    today,
    work: element.work,
    axes: element.axes,
    jumpsToday: jumps ? jumpsToday : null,
    lastStrengthDay: lastDay(
      work.elements.filter((one) => one.work.includes('strength') || one.work.includes('upright')),
      reps,
    ),
    ...weather,
  });
}

const isJump = (element: ElementRecord): boolean =>
  element.work.includes('jump') || element.axes.some((axis) => axis.quantity === 'height');
const repsOn = (id: ElementId, reps: RepsByElement, day: Day): number =>
  (reps.get(id) ?? []).filter((rep) => rep.day === day).length;

function lastDay(elements: readonly ElementRecord[], reps: RepsByElement): Day | null {
  const days = elements.flatMap((element) => (reps.get(element.id) ?? []).map((rep) => rep.day));
  return days.length === 0 ? null : days.reduce((last, day) => (day > last ? day : last));
}
