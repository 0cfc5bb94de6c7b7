import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { PURPOSES } from '@/core/planning';
import { addDays, type Day, isDay } from '@/core/shared';
import { useKennelWithDog } from '@/data/live';
import { type Planning, weekOf } from '@/data/read';
import { Button, buttonClass, PageHead } from '@/ui';
import { weekStart } from '@/words';
import { type Block, blocksOf, type DayRow, type WeekStrip, weeksOf } from './plan-view';
import { PURPOSE_MEANS, PURPOSE_WORDS } from './plan-words';
import { SetOutOfBout } from './set-out-of-bout';
import { usePlanning } from './use-planning';
import { tell } from './words';

/** A week for the fridge, and its lessons as cards with their steps: printed by the browser. */
export function PrintPage() {
  const { today } = useKennelWithDog();
  const { day } = useParams();
  const state = usePlanning(true);
  const [from, setFrom] = useState<Day>(() =>
    weekOf(day !== undefined && isDay(day) ? day : today, weekStart()),
  );
  if (!state) return <p className="text-lg">{tell('plan-room.reading-the-log')}</p>;
  const { planning, usuals } = state;
  const weeks = weeksOf(planning, usuals, blocksOf(planning, null));
  const week = weeks.find((one) => one.from === from);
  return (
    <div>
      <div className="print:hidden">
        <PageHead title={tell('print-page.title')}>{tell('print-page.one-page')}</PageHead>
        <p className="mb-4 flex flex-wrap gap-3">
          <Button look="ink" onClick={() => window.print()}>
            {tell('print-page.print')}
          </Button>
          {weeks.some((one) => one.from === addDays(from, -7)) && (
            <Button onClick={() => setFrom(addDays(from, -7))}>{tell('print-page.before')}</Button>
          )}
          {weeks.some((one) => one.from === addDays(from, 7)) && (
            <Button onClick={() => setFrom(addDays(from, 7))}>{tell('print-page.after')}</Button>
          )}
          <Link className={buttonClass('quiet')} to="../plan" relative="path">
            {tell('print-page.back')}
          </Link>
        </p>
      </div>
      {week ? (
        <>
          <h2 className="mb-2 text-2xl font-extrabold">{week.name}</h2>
          <div className="grid gap-3">
            {week.days.map((one) => (
              <PrintDay key={one.day} row={one} planning={planning} />
            ))}
          </div>
          <Legend week={week} />
          {week.days.every((one) => one.blocks.length === 0) && (
            <p className="text-lg">{tell('print-page.nothing-planned')}</p>
          )}
        </>
      ) : (
        <p className="text-lg">{tell('print-page.nothing-planned')}</p>
      )}
    </div>
  );
}

/** What the words of this week mean, once for all. */
function Legend({ week }: { readonly week: WeekStrip }) {
  const used = new Set(week.days.flatMap((day) => day.blocks.map((block) => block.bout.purpose)));
  return (
    <ul className="mt-3 text-sm leading-snug">
      {PURPOSES.filter((one) => used.has(one)).map((one) => (
        <li key={one}>
          <span className="font-bold">{PURPOSE_WORDS[one]}: </span>
          {PURPOSE_MEANS[one]}
        </li>
      ))}
    </ul>
  );
}

/** A day: a line for the fridge, then a card for each lesson with a box to tick. */
function PrintDay({ row, planning }: { readonly row: DayRow; readonly planning: Planning }) {
  const dogs = planning.dogs.filter((dog) => row.blocks.some((block) => block.bout.dog === dog.id));
  return (
    <section aria-label={row.name} className="break-inside-avoid border-2 border-ink bg-sheet px-3 py-2">
      <h3 className="flex flex-wrap items-baseline gap-x-3 text-lg font-bold">
        {row.name}
        <span className="text-base font-normal">
          {[tell('print-page.minutes', { used: row.used, minutes: row.minutes }), row.place]
            .filter((one) => one !== '')
            .join(' · ')}
        </span>
        {row.flags.map((flag) => (
          <span key={flag} className="border-2 border-ink px-1.5">
            {flag}
          </span>
        ))}
      </h3>
      {dogs.map((dog) => {
        const own = row.blocks.filter((block) => block.bout.dog === dog.id);
        const warm = own.some(
          ({ bout }) => planning.question.frame.pieces.find((one) => one.id === bout.piece)?.bodily,
        );
        const minutes = planning.plans.get(dog.id)?.warmUp ?? 0;
        return (
          <div key={dog.id} className="mt-1">
            {planning.dogs.length > 1 && <p className="font-bold">{dog.name}</p>}
            <ol className="divide-y divide-hair">
              {warm && minutes > 0 && <li className="py-1">{tell('print-page.warm-up', { minutes })}</li>}
              {own.map((block) => (
                <PrintBout key={block.key} block={block} planning={planning} />
              ))}
            </ol>
          </div>
        );
      })}
    </section>
  );
}

function PrintBout({ block, planning }: { readonly block: Block; readonly planning: Planning }) {
  const { title, bout, step, kit } = block;
  return (
    <li className="grid grid-cols-[1.5rem_1fr] gap-x-2 py-1 leading-snug">
      <span aria-hidden="true" className="mt-1 size-4 border-2 border-ink" />
      <span>
        <span className="font-bold">{title}</span>
        {` · ${PURPOSE_WORDS[bout.purpose]} · ${tell('print-page.how-much', { goes: bout.goes, sets: bout.sets, minutes: bout.minutes })}`}
        {step && <span className="block">{step}</span>}
        {kit && <span className="block">{tell('bout-dialog.bring', { kit })}</span>}
        <SetOutOfBout block={block} planning={planning} />
      </span>
    </li>
  );
}
