import type { GroundPlan, Lengths } from '@/core/breakdown';
import { ok } from '@/core/shared';
import { useKennel } from '@/data/live';
import type { Ground } from '@/data/read';
import { changeGround } from '@/data/write';
import { Sheet } from '@/ui';
import { lengthRead, writtenLength } from './reads';
import { TypedField } from './typed-field';
import { NorthField, WindFields } from './wind-fields';
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
        <NorthField
          north={north}
          onNorth={(turn) => onChange(tell('around.north-said'), (now) => ({ ...now, north: turn }))}
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
        <WindFields
          label={tell('ground.wind-from')}
          wind={wind}
          north={north}
          onWind={(said) => onChange(tell('around.wind-said'), (now) => ({ ...now, wind: said }))}
        />
      </div>
    </Sheet>
  );
}
