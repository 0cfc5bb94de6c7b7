import { useState } from 'react';
import {
  dogOf,
  freeKey,
  type Lengths,
  metresOf,
  sentFor,
  THING_KINDS,
  type Thing,
  type ThingKind,
} from '@/core/breakdown';
import { bearing, distance, pointAt } from '@/core/geometry';
import { Button, SelectField } from '@/ui';
import { tell } from './words';

type Props = {
  readonly things: readonly Thing[];
  readonly lengths: Lengths;
  readonly onAdd: (thing: Thing) => void;
};

/** One thing more; where it lies is dragged or typed then. */
export function AddThing({ things, lengths, onAdd }: Props) {
  const [kind, setKind] = useState<ThingKind>('mark');
  return (
    <div className="flex flex-wrap items-center gap-2">
      <SelectField
        label={tell('add.what')}
        beside
        value={kind}
        options={THING_KINDS.map((value) => ({ value, words: tell('set-out.kind', { kind: value }) }))}
        onChange={setKind}
      />
      <Button look="ink" onClick={() => onAdd(newThing(kind, things, lengths))}>
        {tell('add.put-down')}
      </Button>
    </div>
  );
}

const SIZES: Readonly<Partial<Record<ThingKind, readonly [wide: number, long: number]>>> = {
  lane: [2, 10],
  square: [5, 5],
  cover: [3, 10],
};
const NUMBERED: ReadonlySet<ThingKind> = new Set(['mark', 'memory', 'blind'] as const);

/** To the right of what lies there already: ten of its units from the dog, further where something is. */
function newThing(kind: ThingKind, things: readonly Thing[], lengths: Lengths): Thing {
  const dog = dogOf(things);
  const unit = metresOf(lengths);
  const sent = sentFor(things);
  const last = sent.at(-1);
  const on = dog && last ? (bearing(dog, last) ?? 0) + 25 : 0;
  let place = dog ? pointAt(dog, on, 10 * unit) : { x: 0, y: 0 };
  while (things.some((one) => distance(one, place) < unit)) place = { x: place.x + 3 * unit, y: place.y };
  const [wide, long] = SIZES[kind] ?? [null, null];
  const order = NUMBERED.has(kind) ? 1 + Math.max(0, ...things.map((one) => one.order ?? 0)) : null;
  return { key: freeKey(kind, things), kind, ...place, turn: 0, order, label: '', wide, long };
}
