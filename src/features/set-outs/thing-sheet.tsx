import { compassOf, dogOf, type Lengths, type Thing, type ThingKind } from '@/core/breakdown';
import { bearing, distance, pointAt, wholeTurn } from '@/core/geometry';
import { ok } from '@/core/shared';
import type { LaidOutView } from '@/data/read';
import { Button, Sheet } from '@/ui';
import { wordsOf } from '@/words';
import { degreesRead, lengthRead, numberRead, writtenDegrees, writtenLength } from './reads';
import { TypedField } from './typed-field';
import { tell } from './words';

type Props = {
  readonly thing: Thing;
  readonly view: LaidOutView;
  readonly lengths: Lengths;
  /** From what is stored when it is written: the field before may still be on its way to the disk. */
  readonly onChange: (by: (stored: Thing, dog: Thing | null) => Partial<Thing>) => void;
  readonly onRemove: () => void;
};

const TURNED: ReadonlySet<ThingKind> = new Set([
  'dog',
  'gun',
  'lane',
  'square',
  'hurdle',
  'platform',
  'cover',
] as const);

/** The one thing in hand, with all of it to be typed: where it lies from the dog, which way it faces, its size. */
export function ThingSheet({ thing, view, lengths, onChange, onRemove }: Props) {
  const dog = dogOf(view.things);
  const name = wordsOf(view.picture.things.find((one) => one.key === thing.key)?.name ?? '');
  const { north } = view;
  const from = dog && dog.key !== thing.key ? dog : null;
  const on = from ? (bearing(from, thing) ?? 0) : 0;
  return (
    <Sheet title={name} aside={tell('thing.in-hand')}>
      <div className="grid grid-cols-2 gap-3">
        {from ? (
          <>
            <TypedField
              label={tell('thing.from-the-dog')}
              written={writtenLength(lengths, distance(from, thing))}
              read={lengthRead(lengths)}
              onTake={(metres) => onChange((stored, dog) => fromDog(stored, dog, { metres }))}
            />
            <TypedField
              label={tell('thing.bearing')}
              written={writtenDegrees(compassOf(on, north))}
              read={degreesRead(-360, 360)}
              onTake={(degrees) =>
                onChange((stored, dog) => fromDog(stored, dog, { on: wholeTurn(degrees + north) }))
              }
            />
          </>
        ) : (
          <>
            <TypedField
              label={tell('thing.from-the-left')}
              written={writtenLength(lengths, thing.x)}
              read={lengthOrBelow(lengths)}
              onTake={(x) => onChange(() => ({ x }))}
            />
            <TypedField
              label={tell('thing.from-below')}
              written={writtenLength(lengths, thing.y)}
              read={lengthOrBelow(lengths)}
              onTake={(y) => onChange(() => ({ y }))}
            />
          </>
        )}
        {TURNED.has(thing.kind) && (
          <TypedField
            label={tell('thing.faces')}
            written={writtenDegrees(compassOf(thing.turn, north))}
            read={degreesRead(-360, 360)}
            onTake={(degrees) => onChange(() => ({ turn: wholeTurn(degrees + north) }))}
          />
        )}
        {thing.wide !== null && (
          <TypedField
            label={tell('thing.wide')}
            written={writtenLength(lengths, thing.wide)}
            read={lengthRead(lengths, 0.01)}
            onTake={(wide) => onChange(() => ({ wide }))}
          />
        )}
        {thing.long !== null && (
          <TypedField
            label={tell('thing.long')}
            written={writtenLength(lengths, thing.long)}
            read={lengthRead(lengths, 0.01)}
            onTake={(long) => onChange(() => ({ long }))}
          />
        )}
        <TypedField
          label={tell('thing.order')}
          hint={tell('thing.order-hint')}
          written={thing.order === null ? '' : String(thing.order)}
          read={(text) => (text.trim() === '' ? ok(0) : numberRead(1, 99)(text))}
          onTake={(order) => onChange(() => ({ order: order < 1 ? null : Math.round(order) }))}
        />
        <TypedField
          label={tell('thing.label')}
          written={thing.label}
          read={(text) => ok(text.trim().slice(0, 60))}
          onTake={(label) => onChange(() => ({ label }))}
        />
      </div>
      <p className="mt-3">
        <Button onClick={onRemove}>{tell('thing.take-off', { name })}</Button>
      </p>
    </Sheet>
  );
}

/** Where a thing lies from the dog with the one of both that was typed, and the other as it is stored. */
function fromDog(
  stored: Thing,
  dog: Thing | null,
  { on, metres }: { on?: number; metres?: number },
): Partial<Thing> {
  if (!dog) return {};
  return pointAt(dog, on ?? bearing(dog, stored) ?? 0, metres ?? distance(dog, stored));
}

/** A place may lie left of the edge or below it. */
export const lengthOrBelow = (lengths: Lengths) => (text: string) => {
  const below = /^\s*[-−]/.test(text);
  const read = lengthRead(lengths)(text.replace(/^\s*[-−]/, ''));
  return read.ok && below ? ok(-read.value) : read;
};
