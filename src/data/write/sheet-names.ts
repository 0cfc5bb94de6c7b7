import { type Axis, axisFrom, type MethodAxis } from '@/core/breakdown';
import type { DogId, ElementId, Result } from '@/core/shared';
import type { SheetRow } from '@/data/files/spreadsheet/own';
import { newId } from '@/data/kennel';
import { type Dog, type ElementRecord, PLAIN_ELEMENT, UNKNOWN_DOG } from '@/data/records';
import { refuse, type Write } from './transact';

/** What a new element climbs by: what was asked in the sheet, or, where nothing was, how much help there is. */
export type NewAxes = Readonly<Record<'distance' | 'duration' | 'height' | 'none', MethodAxis>>;

/** Names are the same whatever their capitals. */
export const keyOf = (name: string): string => name.trim().toLowerCase();
export const elementKey = (dog: DogId, name: string): string => `${dog} ${keyOf(name)}`;

/** The dogs of a sheet by name; those that are not there are made. */
export async function dogsFor(write: Write, rows: readonly SheetRow[]) {
  const all = await write.all('dogs');
  const byName = new Map(all.map((dog) => [keyOf(dog.name), dog] as const));
  const made: string[] = [];
  for (const row of rows) {
    if (byName.has(keyOf(row.dog))) continue;
    const order = [...byName.values()].reduce((most, dog) => Math.max(most, dog.order + 1), 0);
    const dog: Dog = await write.put('dogs', { ...UNKNOWN_DOG, id: newId<DogId>(), name: row.dog, order });
    byName.set(keyOf(row.dog), dog);
    made.push(dog.name);
  }
  return { byName, made };
}

/** The elements of a sheet by dog and name; those that are not there are made. */
export async function elementsFor(
  write: Write,
  rows: readonly SheetRow[],
  dogs: ReadonlyMap<string, Dog>,
  axes: NewAxes,
) {
  const all = (await write.all('elements')).filter((one) => one.retired === null);
  const byName = new Map(all.map((one) => [elementKey(one.dogId, one.title), one] as const));
  const made: string[] = [];
  for (const row of rows) {
    const dog = dogs.get(keyOf(row.dog));
    if (!dog || byName.has(elementKey(dog.id, row.element))) continue;
    const same = rows.filter(
      (one) => keyOf(one.dog) === keyOf(row.dog) && keyOf(one.element) === keyOf(row.element),
    );
    const element: ElementRecord = await write.put('elements', {
      ...PLAIN_ELEMENT,
      id: newId<ElementId>(),
      dogId: dog.id,
      title: row.element,
      axes: [
        axisOver(
          same.map((one) => one.asked),
          axes,
        ),
      ],
    });
    byName.set(elementKey(dog.id, row.element), element);
    made.push(element.title);
  }
  return { byName, made };
}

/** From the least that was asked to the most; where it was always the same, to half as much again. */
function axisOver(asked: readonly SheetRow['asked'][], axes: NewAxes): Axis {
  const said = asked.flatMap((one) => (one && one.base > 0 ? [one] : []));
  const [first] = said;
  const kind = first ? axes[first.quantity as keyof NewAxes] : axes.none;
  if (!first) return made(axisFrom(kind, { start: null, demand: null, step: null }));
  const of = said.filter((one) => one.quantity === first.quantity).map((one) => one.base);
  const [low, high] = [Math.min(...of), Math.max(...of)];
  return made(
    axisFrom(
      { ...kind, axis: { ...kind.axis, unit: first.unit } },
      { start: low, demand: high > low ? high : low * 1.5, step: kind.step ?? low / 4 },
    ),
  );
}

const made = (axis: Result<Axis>): Axis =>
  axis.ok ? axis.value : refuse(axis.code, axis.path, axis.message);
