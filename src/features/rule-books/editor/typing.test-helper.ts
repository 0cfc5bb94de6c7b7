import { type Draft, type Json, listAt, type Path, put, textAt, typed } from './draft';
import { useEditor } from './editor-store';
import { MAIN_NUMBER } from './row-specs';
import { addFault, blankDraft, type FAMILIES } from './starts';
import { putCost } from './typed-values';

export const draft = (): Draft => useEditor.getState().draft ?? {};
/** What a field does with each key: the cell as it shows after it. */
export function type(path: Path, text: string, write: (now: Draft, text: string) => Draft): void {
  const { change, leave } = useEditor.getState();
  for (let i = 1; i <= text.length; i++) change((now) => write(now, text.slice(0, i)), path.join('.'));
  leave();
}
export const typeNumber = (path: Path, text: string): void =>
  type(path, text, (now, one) => put(now, path, typed(one)));
export const typeText = (path: Path, text: string): void =>
  type(path, text, (now, one) => put(now, path, one));
export const typeCost = (fault: Path, text: string): void =>
  type([...fault, 'cost'], text, (now, one) => putCost(now, fault, one));
export const faultsOf = (e: number): Path => ['rules', 'exercises', e, 'faults'];

/** A book of one family with one exercise and one fault, as it is typed. */
export function small(family: (typeof FAMILIES)[number]): void {
  const { start, change } = useEditor.getState();
  start(blankDraft(family));
  typeText(['title'], `A ${family} class`);
  typeText(['exercises', 0, 'title'], 'Recall');
  const main = MAIN_NUMBER[family];
  if (main) typeNumber(['rules', 'exercises', 0, ...main.path], family === 'weighted-marks' ? '2' : '20');
  const lines: Readonly<Record<string, readonly (readonly [Path, string])[]>> = {
    'points-off': [[['rules', 'pass', 0, 'atLeast'], '10']],
    'weighted-marks': [[['rules', 'pass', 'percent'], '70']],
    abilities: [
      [['rules', 'overall'], '6'],
      [['rules', 'abilities', 0, 'atLeast'], '5'],
    ],
    retrieves: [
      [['rules', 'maximum'], '20'],
      [['rules', 'majorLeaves'], '8'],
      [['rules', 'pass', 'atLeast'], '12'],
    ],
    checklist: [],
    'time-and-faults': [[['rules', 'pass', 'atMost'], '10']],
    measured: [[['rules', 'pass', 'line'], '10']],
  };
  for (const [path, text] of lines[family] ?? []) typeNumber(path, text);
  change((now) => addFault(now, 0, textAt(now, ['exercises', 0, 'parts', 0, 'id'])));
  const fault = [...faultsOf(0), listAt(draft(), faultsOf(0)).length - 1];
  typeText([...fault, 'title'], 'Slow');
  typeCost(fault, family === 'checklist' ? 'an attempt' : '1');
}

/** The keys of every value of a book. */
export function leaves(node: Json, path: Path): Path[] {
  if (Array.isArray(node)) return node.flatMap((one, i) => leaves(one, [...path, i]));
  if (typeof node !== 'object' || node === null) return [path];
  return Object.entries(node).flatMap(([key, value]) => leaves(value, [...path, key]));
}
