import type { Fork } from '@/core/log';
import { isDay, type Measured } from '@/core/shared';
import type { Tables } from '@/data/read';
import { wordsOf, writeDay, writeNumber } from '@/words';
import { fieldWords, VALUE_WORDS } from './apart-words';
import { tell } from './words';

type Version = Tables['apart'][number]['versions'][number];
type Plain = Readonly<Record<string, unknown>>;
/** A step into a record: a field, or the item of a list that is known by this key. */
type Step = { readonly field: string } | { readonly item: string };

/** One thing in which versions differ: what it is called, and what each says of it. */
export type Difference = {
  readonly key: string;
  readonly path: readonly Step[];
  readonly label: string;
  /** In words, one for each version. */
  readonly said: readonly string[];
};
/** Who is called how, by id: an id is no word for a person. */
export type Names = ReadonlyMap<string, string>;

/** A number of an axis with its quantity, so that it is read in its unit. */
class Amount {
  constructor(
    readonly of: Pick<Measured, 'quantity' | 'unit'>,
    readonly base: number,
  ) {}
}

const isPlain = (value: unknown): value is Plain =>
  typeof value === 'object' && value !== null && !Array.isArray(value) && !(value instanceof Amount);
const same = (values: readonly unknown[]): boolean =>
  values.every((one) => JSON.stringify(one) === JSON.stringify(values[0]));

/** What an item of a list is known by; null where its place is all it has. */
function keyOf(item: unknown): string | null {
  const key = isPlain(item) ? (item.key ?? item.id ?? null) : null;
  return typeof key === 'string' ? key : null;
}
const isKeyed = (value: unknown): value is readonly Plain[] =>
  Array.isArray(value) && value.length > 0 && value.every((item) => keyOf(item) !== null);

/** Everything in which the versions of a record differ, the stamp of the change apart. */
export function differencesOf(versions: readonly Version[], names: Names): Difference[] {
  const records = versions.flatMap(({ record }) => (record ? [record] : []));
  return records.length < versions.length ? [] : walk(records, [], '', names);
}

function walk(values: readonly unknown[], path: readonly Step[], label: string, names: Names): Difference[] {
  if (same(values)) return [];
  if (values.every(isPlain)) {
    const fields = [...new Set(values.flatMap((one) => Object.keys(one)))];
    // Of an axis, amounts are read in its own unit, and a value that its versions measure alike.
    const unit = values.map(unitOf);
    return fields.flatMap((field) =>
      field === 'changed' && path.length === 0
        ? []
        : walk(
            values.map((one, i) => measured(one[field], field, unit[i])),
            [...path, { field }],
            joined(label, fieldWords(field, path.length)),
            names,
          ),
    );
  }
  if (values.every(isKeyed)) {
    const keys = [...new Set(values.flatMap((list) => list.map((item) => keyOf(item) ?? '')))];
    return keys.flatMap((item) => {
      const each = values.map((list) => list.find((one) => keyOf(one) === item));
      const title = each
        .map((one) => one?.title ?? one?.name ?? one?.label)
        .find((one) => typeof one === 'string');
      return walk(each, [...path, { item }], joined(label, String(title ?? '')), names);
    });
  }
  const key = path.map((step) => ('field' in step ? step.field : `[${step.item}]`)).join('.');
  return [{ key, path, label, said: values.map((value) => valueWords(value, names)) }];
}

const joined = (before: string, word: string): string =>
  [before, word].filter((one) => one !== '').join(': ');

const AMOUNTS = new Set(['start', 'demand', 'floor']);
type Unit = Amount['of'] | null;
const unitOf = ({ quantity, unit }: Plain): Unit =>
  typeof quantity === 'string' && typeof unit === 'string' && unit !== ''
    ? { quantity: quantity as Measured['quantity'], unit }
    : null;
const measured = (value: unknown, field: string, unit: Unit | undefined): unknown =>
  unit && AMOUNTS.has(field) && typeof value === 'number' ? new Amount(unit, value) : value;

/** A value as somebody reads it; what has no short words says how much of it there is. */
export function valueWords(value: unknown, names: Names): string {
  if (value === null || value === undefined || value === '') return tell('apart-view.nothing');
  if (typeof value === 'boolean') return value ? tell('apart-view.yes') : tell('apart-view.no');
  if (typeof value === 'number') return value > 1e11 ? wordsOf({ instant: value }) : writeNumber(value);
  if (typeof value === 'string')
    return names.get(value) ?? VALUE_WORDS[value] ?? (isDay(value) ? writeDay(value) : value);
  if (Array.isArray(value)) {
    const items = value.map((item) => valueWords(item, names));
    return items.length === 0 ? tell('apart-view.nothing') : items.join(', ');
  }
  if (value instanceof Amount) return wordsOf({ ...value.of, base: value.base });
  const plain = value as Plain;
  const own = plain.title ?? plain.name;
  if (typeof own === 'string') return own;
  const said = Object.entries(plain)
    .filter(([, one]) => one !== null && one !== '')
    .map(([field, one]) => {
      const word = fieldWords(field, 1);
      return word === '' ? valueWords(one, names) : `${word} ${valueWords(one, names)}`;
    });
  return said.length === 0 ? tell('apart-view.nothing') : said.slice(0, 6).join('; ');
}

/** A record of the first version, with what was chosen of the others. `choice`: a version by the key of a difference. */
export function chosenRecord(
  versions: readonly Version[],
  differences: readonly Difference[],
  choice: Readonly<Record<string, number>>,
): Plain {
  return differences.reduce<Plain>((record, { key, path }) => {
    const from = versions[choice[key] ?? 0]?.record ?? record;
    return withAt(record, path, at(from, path)) as Plain;
  }, versions[0]?.record ?? {});
}

function at(value: unknown, path: readonly Step[]): unknown {
  return path.reduce<unknown>((now, step) => {
    if ('field' in step) return isPlain(now) ? now[step.field] : undefined;
    return isKeyed(now) ? now.find((one) => keyOf(one) === step.item) : undefined;
  }, value);
}

function withAt(value: unknown, path: readonly Step[], next: unknown): unknown {
  const [step, ...rest] = path;
  if (!step) return next;
  if ('field' in step) {
    const { [step.field]: before, ...others } = isPlain(value) ? value : {};
    const after = withAt(before, rest, next);
    return after === undefined ? others : { ...(value as Plain), [step.field]: after };
  }
  const list = Array.isArray(value) ? value : [];
  const there = list.some((one) => keyOf(one) === step.item);
  const items = there
    ? list.map((one) => (keyOf(one) === step.item ? withAt(one, rest, next) : one))
    : [...list, next];
  return items.filter((one) => one !== undefined);
}

/** What two devices said otherwise of one rep, as rows. */
export function forkRows(forks: readonly Fork[], names: Names): Difference[] {
  return forks.map(({ path, said }) => ({
    key: path.join('.'),
    path: path.map((field) => ({ field })),
    label: path
      .slice(-2)
      .map((field) => fieldWords(field, 1))
      .filter((one) => one !== '')
      .join(': '),
    said: said.map(({ value }) => valueWords(value, names)),
  }));
}
