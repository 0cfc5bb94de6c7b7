import { coverOf } from '@/core/evidence';
import type { Readiness } from '@/core/readiness';
import type { ElementId } from '@/core/shared';
import type { DogState } from '@/data/live';
import type { ElementRecord } from '@/data/read';
import { wordsOf } from '@/words';
import { tell } from './words';

/** Conditions of the trial that no rep has met yet, and elements that never met them. */
export function neverTrained(readiness: Readiness, state: DogState): string[] {
  const title = (id: ElementId): string =>
    state.work.elements.find((element) => element.id === id)?.title ?? id;
  const never = (condition: 'unpaid' | 'rehearsed'): string =>
    readiness.rehearsals.flatMap((one) => (one[condition] === 0 ? [title(one.element)] : [])).join(', ');
  const [unpaid, rehearsed] = [never('unpaid'), never('rehearsed')];
  const home = readiness.grounds
    .filter((ground) => ground.counted > 0 && ground.away === 0)
    .map((ground) => title(ground.element));
  return [
    ...(home.length > 0
      ? [tell('not-rehearsed.never-away-from-the-usual-place', { home: home.join(', ') })]
      : []),
    ...conditionsNeverMet(readiness, state),
    ...faultsOnlyNoted(readiness, state),
    ...(unpaid === '' ? [] : [tell('not-rehearsed.never-without-pay-where-pay-was', { unpaid })]),
    ...(rehearsed === '' ? [] : [tell('not-rehearsed.never-rehearsed-as-at-the-trial', { rehearsed })]),
  ];
}

/** Options of an element's own conditions (surface, handler …) under which no rep has counted. */
function conditionsNeverMet(readiness: Readiness, state: DogState): string[] {
  return trainedElements(readiness, state).flatMap((element) => {
    const never = coverOf(state.evidence.get(element.id) ?? [], element.conditions)
      .filter((row) => element.conditions.some((condition) => condition.title === row.condition))
      .flatMap((row) =>
        row.never.map((option) => `${wordsOf(row.condition).toLowerCase()} ${wordsOf(option)}`),
      );
    return never.length > 0
      ? [tell('not-rehearsed.never-with', { title: element.title, never: never.join(', ') })]
      : [];
  });
}

/**
 * Faults that the clean reps of an element never judged: the trial will charge them, and clean reps
 * prove nothing about them.
 */
function faultsOnlyNoted(readiness: Readiness, state: DogState): string[] {
  return trainedElements(readiness, state).flatMap((element) => {
    const found = readiness.unproven.filter((one) => one.element === element.id);
    const noted = [
      ...new Set(found.flatMap(({ faults }) => faults.map(({ label }) => wordsOf(label).toLowerCase()))),
    ];
    const [first] = found;
    return first
      ? [
          tell('not-rehearsed.unproven-since-only-noted-so-far', {
            title: element.title,
            noted: noted.join(', '),
            clean: first.clean,
          }),
        ]
      : [];
  });
}

const trainedElements = (readiness: Readiness, state: DogState): ElementRecord[] =>
  readiness.grounds.flatMap(
    (ground) =>
      state.work.elements.find((element) => element.id === ground.element && ground.counted > 0) ?? [],
  );
