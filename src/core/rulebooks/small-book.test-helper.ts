/** Rule books in short, as a file has them, for tests that work them by hand. Checked where they are read. */
export const part = (id: string, more: object = {}) => ({
  id,
  title: id,
  text: `How ${id} runs.`,
  demands: [],
  ...more,
});
export const exercise = (id: string, parts: readonly object[], more: object = {}) => ({
  id,
  title: id,
  text: `How ${id} runs.`,
  parts,
  ...more,
});
export const dog = (id: string, of: string, cost: object, more: object = {}) => ({
  id,
  title: id,
  part: of,
  by: 'dog',
  miss: false,
  stops: false,
  cost,
  ...more,
});
export const missed = (id: string, of: string, cost: object, more: object = {}) =>
  dog(id, of, cost, { miss: true, ...more });
export const handler = (id: string, cost: object) => ({ ...dog(id, '', cost), part: null, by: 'handler' });
export const each = (points: number, cap?: number) => ({ kind: 'each', points, ...(cap ? { cap } : {}) });
export const smallBook = (exercises: readonly object[], rules: object, more: object = {}) => ({
  format: 'regulon-rule-book',
  version: 3,
  id: 'brute',
  title: 'A class of the test',
  edition: '1',
  sample: true,
  note: 'Made up.',
  exercises,
  rules,
  ...more,
});
