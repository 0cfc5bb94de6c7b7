import { at, type Draft, listAt, type Path, textAt } from './draft';
import { isMiss } from './row-specs';
import { tell } from './words';

/** Where a place of the draft is, as somebody would point to it: "Recall, crooked sit: what it costs". */
export function placeInWords(draft: Draft, path: Path): string {
  const scored = path[0] === 'rules' && path[1] === 'exercises';
  const outline = path[0] === 'exercises';
  const e = scored ? path[2] : outline ? path[1] : undefined;
  const rest = path.slice(scored ? 3 : outline ? 2 : 0);
  const field = fieldInWords(path);
  if (typeof e !== 'number')
    return [listInWords(path), field].filter(Boolean).join(': ') || tell('book-place.the-class');
  const exercise = textAt(draft, ['exercises', e, 'title']) || tell('book-place.exercise', { n: e + 1 });
  const row = scored ? faultName(draft, e, rest) : partName(draft, e, rest);
  return `${[exercise, row].filter(Boolean).join(', ')}${field === '' ? '' : `: ${field}`}`;
}

function faultName(draft: Draft, e: number, [list, f]: Path): string {
  if (list !== 'faults' || typeof f !== 'number') return '';
  const fault = at(draft, ['rules', 'exercises', e, 'faults', f]) ?? null;
  return (
    textAt(fault, ['title']) ||
    (isMiss(fault) ? tell('book-starts.not-done') : tell('book-place.fault', { n: f + 1 }))
  );
}

function partName(draft: Draft, e: number, [list, p]: Path): string {
  if (list !== 'parts' || typeof p !== 'number' || listAt(draft, ['exercises', e, 'parts']).length < 2)
    return '';
  return textAt(draft, ['exercises', e, 'parts', p, 'title']) || tell('book-place.part', { n: p + 1 });
}

const LISTS: Readonly<Record<string, string>> = {
  awards: tell('book-class.awards'),
  pass: tell('book-class.to-pass'),
  abilities: tell('book-class.abilities'),
  categories: tell('book-class.categories'),
  letters: tell('book-class.letters'),
  groups: tell('book-class.groups'),
  levels: tell('book-class.levels'),
  sizes: tell('book-class.sizes'),
  phases: tell('book-class.phases'),
  across: tell('book-class.across'),
  runs: tell('book-class.runs'),
  drawn: tell('book-class.drawn'),
  ties: tell('book-class.ties'),
  series: tell('book-class.series'),
  entry: tell('book-class.entry'),
  earns: tell('book-class.earns'),
};

function listInWords(path: Path): string {
  const key = path.find((one) => typeof one === 'string' && one in LISTS);
  if (key === undefined) return '';
  const n = path[path.indexOf(key) + 1];
  return typeof n === 'number' ? `${LISTS[key]} ${n + 1}` : (LISTS[key] ?? '');
}

const FIELDS: Readonly<Record<string, string>> = {
  title: tell('book-place.name'),
  edition: tell('book-page.edition'),
  note: tell('book-page.note'),
  maximum: tell('book-row.points'),
  coefficient: tell('book-row.coefficient'),
  most: tell('book-place.most'),
  cost: tell('book-place.cost'),
  demands: tell('book-row.asked'),
  part: tell('book-row.belongs-to'),
  overall: tell('book-class.mean-over-all'),
  smallestPoint: tell('book-class.step-of-points'),
  smallestMark: tell('book-class.step-of-a-mark'),
  smallestFault: tell('book-class.step-of-faults'),
  smallest: tell('book-class.smallest-step'),
  majorLeaves: tell('book-class.major-leaves'),
  majorsAllowed: tell('book-class.majors-allowed'),
  judges: tell('book-class.judges'),
  percent: tell('book-place.percent'),
  atLeast: tell('book-place.at-least'),
  atMost: tell('book-class.faults-at-most'),
  line: tell('book-class.line-to-pass'),
  warnings: tell('book-specs.warnings'),
  nth: tell('book-specs.nth-acts'),
  unit: tell('book-row.unit'),
};

function fieldInWords(path: Path): string {
  const last = path.findLast((one) => typeof one === 'string' && one in FIELDS);
  return last === undefined ? '' : (FIELDS[last] ?? '');
}
