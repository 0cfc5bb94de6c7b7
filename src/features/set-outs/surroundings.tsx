import { useLiveQuery } from 'dexie-react-hooks';
import { dogOf, type Lengths, middleOf, type Thing, USUAL_SPREAD } from '@/core/breakdown';
import { turned, wholeTurn } from '@/core/geometry';
import { asId, type GroundId, ok } from '@/core/shared';
import { useKennel } from '@/data/live';
import { type LaidOut, type LaidOutView, listGrounds, type SetOut } from '@/data/read';
import type { SetOutSaid } from '@/data/write';
import { Button, SelectField, Sheet } from '@/ui';
import { writeNumber } from '@/words';
import { degreesRead, numberRead, writtenDegrees, writtenLength } from './reads';
import { lengthOrBelow } from './thing-sheet';
import { TypedField } from './typed-field';
import { NorthField, WindFields } from './wind-fields';
import { tell } from './words';

type Props = {
  readonly laid: LaidOut;
  readonly view: LaidOutView;
  readonly lengths: Lengths;
  readonly onChange: (words: string, change: (stored: SetOut) => Partial<SetOutSaid>) => Promise<void>;
};

/** Ground, wind, how this dog runs, and all of it moved or turned at once. */
export function Surroundings({ laid, view, lengths, onChange }: Props) {
  const { kennel } = useKennel();
  const grounds = useLiveQuery(() => listGrounds(kennel), [kennel]) ?? [];
  const { setOut } = laid;
  const { wind, north } = view;
  const spread = setOut.spread ?? {
    ...USUAL_SPREAD,
    ...(laid.measured ? { line: laid.measured.line } : {}),
  };
  const all = (words: string, by: (things: readonly Thing[]) => Thing[]) =>
    onChange(words, (stored) => ({ things: by(stored.things) }));
  return (
    <Sheet title={tell('around.title')}>
      <div className="grid grid-cols-2 gap-3">
        <TypedField
          label={tell('around.name')}
          written={setOut.title}
          read={(text) => ok(text.trim().slice(0, 80))}
          onTake={(title) =>
            title !== '' && void onChange(tell('around.named', { title }), () => ({ title }))
          }
        />
        <SelectField
          label={tell('new.on-ground')}
          value={(setOut.ground ?? '') as string}
          options={[
            { value: '', words: tell('new.no-ground') },
            ...grounds.map((one) => ({ value: one.id as string, words: one.name })),
          ]}
          onChange={(value) =>
            void onChange(tell('around.on-ground'), () => ({
              ground: value === '' ? null : asId<GroundId>(value),
            }))
          }
        />
        <WindFields
          label={tell('around.wind-from')}
          wind={wind}
          north={north}
          onWind={(said) => void onChange(tell('around.wind-said'), () => ({ wind: said }))}
        />
        {setOut.wind && (
          <Button
            className="col-span-2 justify-self-start"
            onClick={() => void onChange(tell('around.no-wind-said'), () => ({ wind: null }))}
          >
            {tell('around.no-wind')}
          </Button>
        )}
        {laid.ground === null && (
          <NorthField
            north={setOut.north}
            onNorth={(turn) => void onChange(tell('around.north-said'), () => ({ north: turn }))}
          />
        )}
      </div>
      <h3 className="mt-4 font-bold">{tell('around.dog-runs')}</h3>
      <p className="mb-1 leading-snug text-ink-soft">
        {setOut.spread
          ? tell('around.spread-said')
          : laid.measured
            ? tell('around.spread-measured', { runs: laid.measured.runs })
            : tell('around.spread-stated')}
      </p>
      <div className="grid grid-cols-2 gap-3">
        <TypedField
          label={tell('around.line')}
          written={writtenDegrees(spread.line)}
          read={degreesRead(0, 90)}
          onTake={(line) =>
            void onChange(tell('around.spread-kept'), () => ({ spread: { ...spread, line } }))
          }
        />
        <TypedField
          label={tell('around.reach')}
          written={writeNumber(Math.round(spread.reach * 100))}
          read={numberRead(0, 200)}
          onTake={(reach) =>
            void onChange(tell('around.spread-kept'), () => ({ spread: { ...spread, reach: reach / 100 } }))
          }
        />
      </div>
      <h3 className="mt-4 font-bold">{tell('around.all')}</h3>
      <div className="grid grid-cols-3 gap-3">
        <TypedField
          once
          label={tell('around.right')}
          written={writtenLength(lengths, 0)}
          read={lengthOrBelow(lengths)}
          onTake={(by) =>
            void all(tell('around.moved'), (things) => things.map((one) => ({ ...one, x: one.x + by })))
          }
        />
        <TypedField
          once
          label={tell('around.up')}
          written={writtenLength(lengths, 0)}
          read={lengthOrBelow(lengths)}
          onTake={(by) =>
            void all(tell('around.moved'), (things) => things.map((one) => ({ ...one, y: one.y + by })))
          }
        />
        <TypedField
          once
          label={tell('around.turn')}
          written={writtenDegrees(0)}
          read={degreesRead(-360, 360)}
          onTake={(by) => void all(tell('around.turned'), (things) => turnAll(things, by))}
        />
      </div>
    </Sheet>
  );
}

/** All of it turned about the dog, or about its middle where there is none. */
function turnAll(things: readonly Thing[], degrees: number): Thing[] {
  const about = dogOf(things) ?? middleOf(things);
  return things.map((one) => ({
    ...one,
    ...turned(one, degrees, about),
    turn: wholeTurn(one.turn + degrees),
  }));
}
