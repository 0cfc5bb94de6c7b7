import { compassOf } from '@/core/breakdown';
import { type Wind, wholeTurn } from '@/core/geometry';
import { writeNumber } from '@/words';
import { degreesRead, numberRead, writtenDegrees } from './reads';
import { TypedField } from './typed-field';
import { tell } from './words';

/** A breeze that moves leaves: where a side is said before a speed. */
const BREEZE = 3;

type Props = {
  readonly label: string;
  readonly wind: Wind | null;
  readonly north: number;
  readonly onWind: (wind: Wind) => void;
};

/** From where the wind comes, by the compass, and how strong it is. */
export function WindFields({ label, wind, north, onWind }: Props) {
  return (
    <>
      <TypedField
        label={label}
        hint={tell('around.wind-hint')}
        written={wind ? writtenDegrees(compassOf(wind.from, north)) : ''}
        read={degreesRead(-360, 360)}
        onTake={(from) => onWind({ from: wholeTurn(from + north), speed: wind?.speed ?? BREEZE })}
      />
      <TypedField
        label={tell('around.wind-speed')}
        hint={tell('around.speed-hint')}
        written={wind ? writeNumber(wind.speed) : ''}
        read={numberRead(0, 60)}
        onTake={(speed) => onWind({ from: wind?.from ?? north, speed })}
      />
    </>
  );
}

/** Where north is on the drawing. */
export function NorthField({
  north,
  onNorth,
}: {
  readonly north: number;
  readonly onNorth: (north: number) => void;
}) {
  return (
    <TypedField
      label={tell('around.north')}
      hint={tell('around.north-hint')}
      written={writtenDegrees(north)}
      read={degreesRead(0, 360)}
      onTake={(turn) => onNorth(wholeTurn(turn))}
    />
  );
}
