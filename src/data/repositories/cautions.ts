import { type Caution, cautionsFor } from '@/core/planning';
import type { Day, ElementId } from '@/core/shared';
import type { Dog, ElementRecord } from '@/data/records';
import type { DogWork } from './elements';
import type { RepsByElement } from './questions';

/** The cautions that hold for an element today, from the dog, its work and what is logged of it. Place and weather are asked in the field. */
export function cautionsOf(element: ElementRecord, dog: Dog, reps: RepsByElement, work: Pick<DogWork, 'elements'>, today: Day): Caution[] {
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
    surface: null,
    temperature: null,
  });
}

const isJump = (element: ElementRecord): boolean => element.work.includes('jump') || element.axes.some((axis) => axis.quantity === 'height');
const repsOn = (id: ElementId, reps: RepsByElement, day: Day): number => (reps.get(id) ?? []).filter((rep) => rep.day === day).length;

function lastDay(elements: readonly ElementRecord[], reps: RepsByElement): Day | null {
  const days = elements.flatMap((element) => (reps.get(element.id) ?? []).map((rep) => rep.day));
  return days.length === 0 ? null : days.reduce((last, day) => (day > last ? day : last));
}
