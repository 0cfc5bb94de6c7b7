import { compassOf, type GroundPlan, type Lengths } from '@/core/breakdown';
import { wholeTurn } from '@/core/geometry';
import { ok } from '@/core/shared';
import { useKennel } from '@/data/live';
import type { Ground } from '@/data/read';
import { changeGround } from '@/data/write';
import { Sheet } from '@/ui';
import { writeNumber } from '@/words';
import { degreesRead, lengthRead, numberRead, writtenDegrees, writtenLength } from './reads';
import { TypedField } from './typed-field';
import { tell } from './words';

type Props = {
  readonly ground: Ground;
  readonly plan: GroundPlan;
  readonly lengths: Lengths;
  readonly onChange: (words: string, by: (plan: GroundPlan) => GroundPlan) => void;
};

/** Its name, its size, where north is and from where the wind usually comes. */
export function GroundSheet({ ground, plan, lengths, onChange }: Props) {
  const { kennel, done } = useKennel();
  const { wind, north } = plan;
  return (
    <Sheet title={tell('ground.sheet')}>
      <div className="grid grid-cols-2 gap-3">
        <TypedField
          label={tell('ground.name')}
          written={ground.name}
          read={(text) => ok(text.trim().slice(0, 60))}
          onTake={(name) =>
            name !== '' &&
            void done(
              tell('around.named', { title: name }),
              changeGround(kennel, ground.id, () => ({ name })),
            )
          }
        />
        <TypedField
          label={tell('around.north')}
          hint={tell('around.north-hint')}
          written={writtenDegrees(north)}
          read={degreesRead(0, 360)}
          onTake={(turn) =>
            onChange(tell('around.north-said'), (now) => ({ ...now, north: wholeTurn(turn) }))
          }
        />
        <TypedField
          label={tell('ground.wide')}
          written={writtenLength(lengths, plan.wide)}
          read={lengthRead(lengths, 5)}
          onTake={(wide) => onChange(tell('ground.changed'), (now) => ({ ...now, wide }))}
        />
        <TypedField
          label={tell('ground.deep')}
          written={writtenLength(lengths, plan.deep)}
          read={lengthRead(lengths, 5)}
          onTake={(deep) => onChange(tell('ground.changed'), (now) => ({ ...now, deep }))}
        />
        <TypedField
          label={tell('ground.wind-from')}
          hint={tell('around.wind-hint')}
          written={wind ? writtenDegrees(compassOf(wind.from, north)) : ''}
          read={degreesRead(-360, 360)}
          onTake={(from) =>
            onChange(tell('around.wind-said'), (now) => ({
              ...now,
              wind: { from: wholeTurn(from + now.north), speed: now.wind?.speed ?? 3 },
            }))
          }
        />
        <TypedField
          label={tell('around.wind-speed')}
          hint={tell('around.speed-hint')}
          written={wind ? writeNumber(wind.speed) : ''}
          read={numberRead(0, 60)}
          onTake={(speed) =>
            onChange(tell('around.wind-said'), (now) => ({
              ...now,
              wind: { from: now.wind?.from ?? 0, speed },
            }))
          }
        />
      </div>
    </Sheet>
  );
}
