import { rungsOfVersion3 } from './ladder-of-version-3';
import { type AnyTables, eachRow, isRow, type Loose, type Migration } from './migration';

/**
 * Version 7: rungs can be skipped; ladders are laid over round figures and ease once. Values that somebody
 * had set by hand were set on rungs of the older way, so an element that has some keeps those rungs, as
 * rungs set down by hand: what was set stands where it stood.
 */
export const laddersTeachForward: Migration = {
  to: 7,
  name: 'ladders teach forward',
  migrate: (tables: AnyTables): AnyTables => ({
    ...tables,
    elements: eachRow(tables.elements, forward),
    apart: eachRow(tables.apart, (one) =>
      String(one.id).startsWith('elements/') ? { ...one, versions: eachVersion(one.versions) } : one,
    ),
  }),
};

/** A version is `{ changed, record }`; of a removed one the record is null. */
const eachVersion = (versions: unknown): readonly unknown[] =>
  eachRow(versions, (one) => (isRow(one.record) ? { ...one, record: forward(one.record) } : one));

type Values = Readonly<Record<string, number>>;
type Edit = { readonly on: Values; readonly axis: string; readonly value: number };
type Levels = readonly { readonly id: number }[] | null;
type OldAxis = Parameters<typeof rungsOfVersion3>[0]['axes'][number] & { readonly levels: Levels };

function forward(element: Loose): Loose {
  const edits = (Array.isArray(element.edits) ? element.edits : []) as readonly Edit[];
  if (edits.length === 0 || element.ladderRule === 'by-hand') return { ...element, skips: [] };
  const byHand = laidByHand(element, edits);
  return byHand.length === 0
    ? { ...element, skips: [] }
    : { ...element, skips: [], ladderRule: 'by-hand', byHand, edits: [] };
}

/** The rungs as they were laid, with what was set by hand; an axis that got easier on a rung eased there. */
function laidByHand(element: Loose, edits: readonly Edit[]): Loose[] {
  const axes = element.axes as readonly OldAxis[];
  const ratchet = (element.policy as { pace?: { ratchet?: string } } | undefined)?.pace?.ratchet;
  const rungs = rungsOfVersion3({
    axes: axes.map((axis) => ({
      ...inPlaces(axis),
      ...(ratchet === 'keep' ? { eases: [] } : {}),
    })),
    edits: [],
    ladderRule: String(element.ladderRule),
    byHand: [],
  }).map(({ planned }) => inIds(axes, planned));
  const laid = rungs.map((planned) => ({
    ...planned,
    ...Object.fromEntries(
      edits.filter((edit) => same(axes, edit.on, planned)).map((edit) => [edit.axis, edit.value]),
    ),
  }));
  return laid.map((criteria: Values, i) => ({
    criteria,
    eases: axes
      .filter((axis) => i > 0 && isEasier(axis, laid[i - 1] ?? {}, criteria))
      .map((axis) => axis.key),
  }));
}

const placeOf = (levels: Levels, id: number): number => levels?.findIndex((one) => one.id === id) ?? id;

/** The older builder counts a list by places; what is stored are ids. */
const inPlaces = (axis: OldAxis): OldAxis =>
  axis.levels === null
    ? axis
    : { ...axis, start: placeOf(axis.levels, axis.start), demand: placeOf(axis.levels, axis.demand) };

const inIds = (axes: readonly OldAxis[], values: Values): Values =>
  Object.fromEntries(
    axes.map((axis) => {
      const value = values[axis.key] ?? axis.start;
      return [axis.key, axis.levels === null ? value : (axis.levels[value]?.id ?? axis.start)];
    }),
  );

const same = (axes: readonly OldAxis[], a: Values, b: Values): boolean =>
  axes.every(({ key, start }) => Math.abs((a[key] ?? start) - (b[key] ?? start)) < 1e-6);

function isEasier({ key, harder, levels, start }: OldAxis, below: Values, rung: Values): boolean {
  const [from, to] = [below, rung].map((values) => placeOf(levels, values[key] ?? start)) as [number, number];
  const size = harder === 'both' ? Math.abs(to) - Math.abs(from) : to - from;
  return (harder === 'less' ? -size : size) < -1e-9;
}
