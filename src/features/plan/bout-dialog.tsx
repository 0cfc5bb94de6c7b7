import { useNavigate } from 'react-router';
import type { Caution } from '@/core/planning';
import type { Day } from '@/core/shared';
import { useKennelWithDog } from '@/data/live';
import { cautionsOf, type Planning } from '@/data/read';
import { pinSlot, removeSlot } from '@/data/write';
import { Button, CautionNote, Dialog, SelectField } from '@/ui';
import type { Block, DayRow } from './plan-view';
import { PURPOSE_MEANS, PURPOSE_WORDS } from './plan-words';
import { SetOutOfBout } from './set-out-of-bout';
import { tell } from './words';

type Props = {
  readonly block: Block;
  readonly planning: Planning;
  readonly days: readonly DayRow[];
  readonly onMove: (day: Day) => void;
  readonly onClose: () => void;
};

/** One planned bout: what, how much, why; begun, moved, kept in its place, or taken out. */
export function BoutDialog({ block, planning, days, onMove, onClose }: Props) {
  const { kennel, choose, done } = useKennelWithDog();
  const navigate = useNavigate();
  const { today } = planning.question.frame;
  const { bout, slot, state, step, kit, why, title, dogName } = block;
  const place = days.find((one) => one.day === bout.day)?.place;
  const piece = planning.question.frame.pieces.find((one) => one.id === bout.piece);
  const open = days.filter((one) => one.day >= today);
  const isAhead = state === 'ahead' && bout.day >= today;
  return (
    <Dialog open title={planning.dogs.length > 1 ? `${dogName}: ${title}` : title} onClose={onClose}>
      <div className="grid gap-2 text-lg leading-snug">
        <p>
          <span className="inline-block font-bold first-letter:uppercase">
            {PURPOSE_WORDS[bout.purpose]}:
          </span>{' '}
          {PURPOSE_MEANS[bout.purpose]}
        </p>
        {step && <p>{step}</p>}
        <p>
          {tell('bout-dialog.how-much', { goes: bout.goes, sets: bout.sets, minutes: bout.minutes })}
          {piece?.guessed && ` ${tell('bout-dialog.guessed')}`}
          {piece?.bodily && ` ${tell('bout-dialog.warm-up')}`}
        </p>
        {place && <p>{tell('bout-dialog.where', { place })}</p>}
        {kit && <p>{tell('bout-dialog.bring', { kit })}</p>}
        {why && <p>{why}</p>}
        <SetOutOfBout block={block} planning={planning} />
        {state === 'skipped' && <p>{tell('bout-dialog.skipped')}</p>}
        {state === 'done' && <p>{tell('bout-dialog.done')}</p>}
        {slot === null && <p>{tell('bout-dialog.only-proposed')}</p>}
        {isAhead && cautionsIn(planning, block).map((one) => <CautionNote key={one.id} caution={one} />)}
      </div>
      {isAhead && (
        <p className="mt-4">
          <Button
            look="signal"
            size="big"
            onClick={() => {
              choose(bout.dog);
              void navigate(`../field/${bout.piece}`, { relative: 'path' });
            }}
          >
            {bout.day === today ? tell('bout-dialog.begin') : tell('bout-dialog.begin-today')}
          </Button>
        </p>
      )}
      {slot !== null && isAhead && (
        <div className="mt-4 grid gap-3">
          <SelectField
            label={tell('bout-dialog.on')}
            value={bout.day as string}
            options={open.map((one) => ({
              value: one.day as string,
              words: tell('bout-dialog.day-option', { day: one.name, used: one.used, minutes: one.minutes }),
            }))}
            onChange={(day) => onMove(day as Day)}
          />
          <p className="flex flex-wrap gap-3">
            <Button
              onClick={() => {
                const said = bout.pinned
                  ? tell('bout-dialog.free-again', { title })
                  : tell('bout-dialog.stays', { title });
                void done(said, pinSlot(kennel, slot, !bout.pinned));
                onClose();
              }}
            >
              {bout.pinned ? tell('bout-dialog.let-it-move') : tell('bout-dialog.keep-it-there')}
            </Button>
            <Button
              look="quiet"
              onClick={() => {
                void done(tell('bout-dialog.out', { title }), removeSlot(kennel, slot));
                onClose();
              }}
            >
              {tell('bout-dialog.take-it-out')}
            </Button>
          </p>
        </div>
      )}
    </Dialog>
  );
}

/** The usual cautions of what is planned: they stand where the work is set, as where it is logged. */
function cautionsIn(planning: Planning, { bout }: Block): readonly Caution[] {
  const work = planning.works.get(bout.dog);
  const dog = planning.dogs.find((one) => one.id === bout.dog);
  const element = work?.elements.find((one) => one.id === bout.piece);
  const evidence = planning.evidence.get(bout.dog);
  if (!work || !dog || !element || !evidence) return [];
  return cautionsOf(element, dog, evidence, work, planning.question.frame.today);
}
