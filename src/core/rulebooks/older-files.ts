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
 * `parts`, and a fault’s `element` its `part`. Version 3 has the structures that may all be left out;
 * two demands of one part kept under one name, which it refuses, are told apart.
 */
export function upgraded(value: unknown): unknown {
  if (!isRow(value)) return value;
  const second = value.version === 1 ? asVersion2(value) : value;
  if (second.version !== 2) return value;
  return {
    ...second,
    version: 3,
    exercises: eachRow(second.exercises, (exercise) => ({
      ...exercise,
      parts: eachRow(exercise.parts, (part) => ({ ...part, demands: toldApart(part.demands) })),
    })),
  };
}

/** The first keeps its name: it is the one that dogs’ work may be laid on. */
function toldApart(demands: unknown): unknown {
  const taken = new Set<unknown>();
  return eachRow(demands, (demand) => {
    const { axis } = demand;
    let free = axis;
    for (let n = 2; taken.has(free); n++) free = `${String(axis)}-${n}`;
    taken.add(free);
    return { ...demand, axis: free };
  });
}

function asVersion2(value: Loose): Loose {
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
