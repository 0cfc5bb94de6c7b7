import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { parseAst } from 'vite';

/** A node of the syntax tree, as far as it is looked at here. */
type Node = { readonly type: string; readonly start: number; readonly end: number } & Record<string, unknown>;

/** Where a message is asked for: its key, and the names of the values that it is given, null where they are spread. */
export type Asked = { readonly file: string; readonly key: string; readonly names: readonly string[] | null };
/** A word that stands in a view and comes from no catalogue. */
export type Bare = { readonly file: string; readonly words: string };

const isNode = (value: unknown): value is Node =>
  typeof value === 'object' && value !== null && typeof (value as Node).type === 'string';

export function filesOf(folder: string): string[] {
  return readdirSync(folder, { recursive: true, encoding: 'utf8' })
    .filter((file) => /\.tsx?$/.test(file) && !/\.(test|test-helper|bench)\.|\.d\.ts$/.test(file))
    .map((file) => join(folder, file));
}

function children(node: Node): Node[] {
  return Object.values(node).flatMap((value) =>
    Array.isArray(value) ? value.filter(isNode) : isNode(value) ? [value] : [],
  );
}

function walk(node: Node, see: (node: Node, parent: Node | null) => void, parent: Node | null = null): void {
  see(node, parent);
  for (const child of children(node)) walk(child, see, node);
}

const treeOf = (file: string, code: string): Node =>
  parseAst(code, { lang: file.endsWith('x') ? 'tsx' : 'ts' }) as unknown as Node;

const TELLERS = new Set(['tell', 'say', 'schemaSays']);

/** Every message that a file asks for. */
export function askedIn(file: string, code = readFileSync(file, 'utf8')): Asked[] {
  const found: Asked[] = [];
  walk(treeOf(file, code), (node) => {
    if (node.type !== 'CallExpression') return;
    const callee = node.callee as Node & { name?: string };
    if (callee.type !== 'Identifier' || !TELLERS.has(callee.name ?? '')) return;
    const [key, values] = node.arguments as (Node & { value?: unknown })[];
    if (key?.type !== 'Literal' || typeof key.value !== 'string') return;
    found.push({ file, key: key.value, names: values ? namesIn(values) : [] });
  });
  return found;
}

function namesIn(values: Node): string[] | null {
  if (values.type !== 'ObjectExpression') return null;
  const properties = values.properties as (Node & { key?: { name?: string; value?: string } })[];
  if (properties.some((one) => one.type === 'SpreadElement')) return null;
  return properties.map((one) => String(one.key?.name ?? one.key?.value));
}

/**
 * The values that a message wants: `{name}`, and what its plurals and choices turn on; the branches of
 * those are messages of their own.
 */
export function wantedBy(message: string): string[] {
  const found = new Set<string>();
  const read = (text: string): void => {
    for (const inside of bracesOf(text)) {
      const [, name = '', branches] =
        /^(\w+)(?:, (?:plural|select|selectordinal),(.*))?$/s.exec(inside) ?? [];
      if (name === '') continue;
      found.add(name);
      if (branches !== undefined) for (const branch of bracesOf(branches)) read(branch);
    }
  };
  read(message);
  return [...found];
}

/** What stands in each outermost pair of braces. */
function bracesOf(text: string): string[] {
  const found: string[] = [];
  let depth = 0;
  let from = 0;
  for (const [i, letter] of [...text].entries()) {
    if (letter === '{' && depth++ === 0) from = i + 1;
    if (letter === '}' && --depth === 0) found.push([...text].slice(from, i).join(''));
  }
  return found;
}

const SAID_ALOUD = new Set([
  'aria-label',
  'xLabel',
  'title',
  'alt',
  'placeholder',
  'label',
  'hint',
  'words',
  'shown',
  'aside',
]);
const isWord = (text: string): boolean => /\p{L}{2}/u.test(text);

/** Words in a view that no catalogue knows: text between tags, and attributes that are read or heard. */
export function bareIn(file: string, code = readFileSync(file, 'utf8')): Bare[] {
  const found: Bare[] = [];
  walk(treeOf(file, code), (node, parent) => {
    if (node.type === 'JSXText' && isWord(node.value as string))
      found.push({ file, words: (node.value as string).trim() });
    if (node.type !== 'Literal' || typeof node.value !== 'string' || !isWord(node.value)) return;
    const attribute = parent?.type === 'JSXAttribute' ? (parent.name as { name?: string }).name : undefined;
    const property =
      parent?.type === 'Property' && parent.value === node
        ? (parent.key as { name?: string }).name
        : undefined;
    if (SAID_ALOUD.has(attribute ?? '') || ['words', 'label', 'hint'].includes(property ?? ''))
      found.push({ file, words: node.value });
  });
  return found;
}

/** All catalogues of a language by their names, each with its messages. */
export function cataloguesOf(language: string): ReadonlyMap<string, Readonly<Record<string, string>>> {
  const folder = `src/words/${language}`;
  return new Map(
    readdirSync(folder)
      .filter((file) => file.endsWith('.json'))
      .map((file) => [file.replace('.json', ''), JSON.parse(readFileSync(join(folder, file), 'utf8'))]),
  );
}
