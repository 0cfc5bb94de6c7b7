import { testAxis } from '@/core/breakdown/axis.test-helper';
import type { RuleBook } from '@/core/rulebooks';
import { asId, type DogId, type ElementId, must, toBase } from '@/core/shared';
import type { Kennel } from './kennel';
import { PLAIN_ELEMENT } from './records';
import { makeExercises, putRuleBook } from './write';

/** The id of the element that trains a part, when a test breaks a class down. */
export const pieceId = (exercise: string, part: string): ElementId => asId<ElementId>(`${exercise}-${part}`);

/** A class of a dog, broken down: an element for each part, its axes at what the part demands. */
export async function breakDown(kennel: Kennel, book: RuleBook, dogId: DogId): Promise<void> {
  must(await putRuleBook(kennel, book, 0));
  must(
    await makeExercises(
      kennel,
      book.exercises.map((exercise) => ({
        dogId,
        source: { ruleBookId: book.id, exercise: exercise.id },
        links: exercise.parts.map((part) => ({
          part: part.id,
          element: {
            ...PLAIN_ELEMENT,
            id: pieceId(exercise.id, part.id),
            dogId,
            title: `${exercise.title}: ${part.title}`,
            axes: part.demands.map((demand) => {
              const value = must(toBase(demand.quantity, demand.value, demand.unit));
              return testAxis({
                key: demand.axis,
                title: demand.title,
                quantity: demand.quantity,
                unit: demand.unit,
                harder: demand.harder,
                start: demand.harder === 'more' ? value / 2 : value * 2,
                demand: value,
              });
            }),
          },
        })),
      })),
    ),
  );
}
