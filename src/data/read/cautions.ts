import { type Caution, cautionsFor } from '@/core/planning';
import type { Day, ElementId } from '@/core/shared';
import type { Dog, ElementRecord } from '@/data/records';
import type { EvidenceByElement } from './evidence';
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
  evidence: EvidenceByElement,
  work: Pick<DogWork, 'elements'>,
  today: Day,
  weather: Weather = UNKNOWN_WEATHER,
): Caution[] {
  const jumps = isJump(element);
  const jumpsToday = work.elements
    .filter(isJump)
    .reduce((sum, one) => sum + repsOn(one.id, evidence, today), 0);
  return cautionsFor({
    dog,
    today,
    work: element.work,
    axes: element.axes,
    jumpsToday: jumps ? jumpsToday : null,
    lastStrengthDay: lastDay(
      work.elements.filter((one) => one.work.includes('strength') || one.work.includes('upright')),
      evidence,
    ),
    ...weather,
  });
}

const isJump = (element: ElementRecord): boolean =>
  element.work.includes('jump') ||
  element.work.includes('catch') ||
  element.axes.some((axis) => axis.quantity === 'height');
const repsOn = (id: ElementId, evidence: EvidenceByElement, day: Day): number =>
  (evidence.get(id) ?? []).reduce((sum, bout) => sum + (bout.day === day ? bout.reps : 0), 0);

function lastDay(elements: readonly ElementRecord[], evidence: EvidenceByElement): Day | null {
  const days = elements.flatMap((element) =>
    (evidence.get(element.id) ?? []).flatMap((bout) => (bout.reps > 0 ? [bout.day] : [])),
  );
  return days.length === 0 ? null : days.reduce((last, day) => (day > last ? day : last));
}
