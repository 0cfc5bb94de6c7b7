import { must, type SizeKey, toBase } from '@/core/shared';
import type { Rules } from './families';
import type { RuleBook } from './schema';

type Sized = Pick<RuleBook, 'exercises' | 'rules' | 'sizes'>;

/**
 * The class of height of a dog, by its height at the withers in metres: the first whose end it is
 * under. Null where the book has no classes or the height is not known. Classes under 35 cm, under 45
 * cm and above, a dog of .45 m → the highest.
 */
export function sizeOf({ sizes }: Pick<RuleBook, 'sizes'>, height: number | null): SizeKey | null {
  if (height === null || sizes === undefined) return null;
  const found = sizes.find(
    ({ under }) => under === null || height < must(toBase('height', under.value, under.unit)),
  );
  return found?.id ?? null;
}

/**
 * A book as it is for one size of dog: demands and limits that follow the size have that size’s
 * value. Without a size, or where nothing follows it, the book’s own.
 */
export function bookForSize<B extends Sized>(book: B, size: SizeKey | null): B {
  if (size === null || book.sizes === undefined) return book;
  return {
    ...book,
    exercises: book.exercises.map((exercise) => ({
      ...exercise,
      parts: exercise.parts.map((part) => ({
        ...part,
        demands: part.demands.map((demand) => ({
          ...demand,
          value: demand.bySize?.[size] ?? demand.value,
        })),
      })),
    })),
    rules: rulesForSize(book.rules, size),
  };
}

function rulesForSize(rules: Rules, size: SizeKey): Rules {
  const exercises = rules.exercises.map((exercise) => ({
    ...exercise,
    faults: exercise.faults.map(({ cost, ...fault }) => ({
      ...fault,
      cost: 'bySize' in cost && cost.bySize ? { ...cost, beyond: cost.bySize[size] ?? cost.beyond } : cost,
    })),
  }));
  // Costs keep their kind, so the exercises are still those of their family.
  return { ...rules, exercises } as Rules;
}
