type Loose = { readonly [key: string]: unknown };

const isRow = (value: unknown): value is Loose =>
  typeof value === 'object' && value !== null && !Array.isArray(value);
const eachRow = (list: unknown, change: (row: Loose) => Loose): unknown =>
  Array.isArray(list) ? list.map((one: unknown) => (isRow(one) ? change(one) : one)) : list;

/** A row with a key under another name, where it has it. */
function renamed(row: Loose, from: string, to: string): Loose {
  if (!(from in row)) return row;
  const { [from]: value, ...others } = row;
  return { ...others, [to]: value };
}

/**
 * A rule-book file of any version as one of the newest; what is no such file comes back as it is
 * and is refused by the schema. Version 2 calls the pieces of an exercise parts: `elements` became
 * `parts`, and a fault’s `element` its `part`.
 */
export function upgraded(value: unknown): unknown {
  if (!isRow(value) || value.version !== 1) return value;
  const rules = isRow(value.rules)
    ? {
        ...value.rules,
        exercises: eachRow(value.rules.exercises, (exercise) => ({
          ...exercise,
          faults: eachRow(exercise.faults, (fault) => renamed(fault, 'element', 'part')),
        })),
      }
    : value.rules;
  return {
    ...value,
    version: 2,
    exercises: eachRow(value.exercises, (exercise) => renamed(exercise, 'elements', 'parts')),
    rules,
  };
}
