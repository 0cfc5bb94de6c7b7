import {
  DndContext,
  type DragEndEvent,
  MouseSensor,
  TouchSensor,
  useDraggable,
  useDroppable,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import { Check, Minus, Pin } from 'lucide-react';
import { type KeyboardEvent, useState } from 'react';
import type { Day } from '@/core/shared';
import type { Planning } from '@/data/read';
import { BoutDialog } from './bout-dialog';
import type { Block, DayRow, WeekStrip } from './plan-view';
import { PURPOSE_WORDS } from './plan-words';
import { useMove } from './use-move';
import { tell } from './words';

type Props = {
  readonly planning: Planning;
  readonly weeks: readonly WeekStrip[];
  readonly blocks: readonly Block[];
};

/**
 * The weeks as measured strips: of each day with time a tape as long as its minutes, the bouts laid along it.
 * A block is dragged to another day, or moved with the arrow keys, or in its sheet.
 */
export function Weeks({ planning, weeks, blocks }: Props) {
  const [shown, setShown] = useState<string | null>(null);
  const move = useMove(planning, blocks);
  const sensors = useSensors(
    useSensor(MouseSensor, { activationConstraint: { distance: 6 } }),
    useSensor(TouchSensor, { activationConstraint: { delay: 300, tolerance: 8 } }),
  );
  const days = weeks.flatMap((week) => week.days).filter((one) => one.minutes > 0);
  const longest = Math.max(30, ...days.map((one) => Math.max(one.minutes, one.used)));
  const drop = ({ active, over }: DragEndEvent): void => {
    const block = blocks.find((one) => one.key === active.id);
    if (block && over && over.id !== block.bout.day) move(block, over.id as Day);
  };
  const step = (block: Block, by: 1 | -1): void => {
    const open = days.filter((one) => one.day >= planning.question.frame.today).map((one) => one.day);
    const next =
      by > 0 ? open.find((day) => day > block.bout.day) : open.findLast((day) => day < block.bout.day);
    if (next) move(block, next);
  };
  const block = blocks.find((one) => one.key === shown);
  return (
    <DndContext sensors={sensors} onDragEnd={drop} autoScroll>
      <div className="grid gap-5">
        {weeks.map((week) => (
          <Strip
            key={week.from}
            week={week}
            longest={longest}
            planning={planning}
            onShow={setShown}
            onStep={step}
          />
        ))}
      </div>
      <p className="mt-2 text-sm leading-snug text-ink-soft">{tell('weeks.how-to-move')}</p>
      {block && (
        <BoutDialog
          block={block}
          planning={planning}
          days={days}
          onMove={(day) => {
            move(block, day);
            setShown(null);
          }}
          onClose={() => setShown(null)}
        />
      )}
    </DndContext>
  );
}

type StripProps = {
  readonly week: WeekStrip;
  readonly longest: number;
  readonly planning: Planning;
  readonly onShow: (key: string) => void;
  readonly onStep: (block: Block, by: 1 | -1) => void;
};

function Strip({ week, longest, planning, onShow, onStep }: StripProps) {
  return (
    <section aria-label={week.name} className="border-2 border-ink bg-sheet">
      <header className="flex flex-wrap items-baseline justify-between gap-x-4 border-b border-rule px-3 py-1.5">
        <h2 className="text-lg font-bold">{week.name}</h2>
        <span className="text-sm text-ink-soft">
          {tell('weeks.minutes-of', { used: week.used, minutes: week.minutes })}
        </span>
      </header>
      <div className="grid divide-y divide-hair">
        {week.days.map((day) => (
          <Tape
            key={day.day}
            day={day}
            longest={longest}
            planning={planning}
            onShow={onShow}
            onStep={onStep}
          />
        ))}
      </div>
      {week.days.length === 0 && <p className="px-3 py-2 leading-snug">{tell('weeks.no-time')}</p>}
      {week.loads.length > 0 && (
        <ul className="flex flex-wrap gap-x-5 gap-y-1 border-t border-rule px-3 py-1.5 text-sm leading-snug">
          {week.loads.map((load) => (
            <li key={load.key} className="flex items-center gap-2">
              {load.share !== null && (
                <span aria-hidden="true" className="inline-block h-2.5 w-16 border border-ink">
                  <span
                    className={`block h-full ${load.share > 1 ? 'bg-signal' : 'bg-ink'}`}
                    style={{ width: `${Math.min(100, 100 * load.share)}%` }}
                  />
                </span>
              )}
              {load.words}
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}

type TapeProps = Omit<StripProps, 'week'> & { readonly day: DayRow };

/** A day: its name and time on the left, and its tape with a mark every ten minutes. */
function Tape({ day, longest, planning, onShow, onStep }: TapeProps) {
  const { setNodeRef, isOver } = useDroppable({
    id: day.day,
    disabled: day.day < planning.question.frame.today,
  });
  const isToday = day.day === planning.question.frame.today;
  const room = Math.max(day.minutes, day.used);
  return (
    <div
      ref={setNodeRef}
      data-day={day.day}
      className={`grid gap-x-3 px-3 py-2 sm:grid-cols-[9.5rem_1fr] ${isOver ? 'bg-paper' : ''}`}
    >
      <div className="leading-tight max-sm:mb-1 max-sm:flex max-sm:flex-wrap max-sm:items-baseline max-sm:gap-x-2">
        <p className="font-bold">
          {day.name}
          {isToday && <span className="ml-1.5 border border-ink px-1 text-sm">{tell('weeks.today')}</span>}
        </p>
        {(day.minutes > 0 || day.used > 0) && (
          <p className="text-sm text-ink-soft">
            {tell('weeks.used-of', {
              used: day.used,
              minutes: day.minutes,
              over: day.used > day.minutes && day.minutes > 0 ? 'yes' : 'no',
            })}
          </p>
        )}
        {day.place && <p className="text-sm leading-snug text-ink-soft">{day.place}</p>}
      </div>
      <div className="min-w-0">
        {day.flags.map((flag) => (
          <p key={flag} className="mb-1 w-fit border-2 border-ink bg-signal px-2 font-bold text-on-signal">
            {flag}
          </p>
        ))}
        {room > 0 && (
          <ol
            aria-label={day.name}
            className="flex min-h-12 flex-wrap content-start items-stretch border-b-2 border-ink pb-0.5 md:w-[var(--long)]"
            style={
              {
                '--long': `${(100 * room) / longest}%`,
                backgroundImage: 'linear-gradient(90deg, var(--ink) 0 1px, transparent 1px)',
                backgroundSize: `${1000 / room}% 6px`,
                backgroundPosition: 'left bottom',
                backgroundRepeat: 'repeat-x',
              } as Record<string, string>
            }
          >
            {day.blocks.map((block) => (
              <BlockButton
                key={block.key}
                block={block}
                share={(100 * block.bout.minutes) / room}
                several={planning.dogs.length > 1}
                isPast={day.day < planning.question.frame.today}
                onShow={onShow}
                onStep={onStep}
              />
            ))}
          </ol>
        )}
      </div>
    </div>
  );
}

type BlockProps = {
  readonly block: Block;
  readonly share: number;
  readonly several: boolean;
  readonly isPast: boolean;
  readonly onShow: (key: string) => void;
  readonly onStep: (block: Block, by: 1 | -1) => void;
};

/** Told apart by its edge and its word, not by colour. */
const EDGE: Readonly<Record<Block['bout']['purpose'], string>> = {
  build: 'border-2 border-ink border-l-[6px] bg-sheet',
  keep: 'border border-ink bg-paper',
  proof: 'border-2 border-dashed border-ink bg-sheet',
  join: 'border-2 border-ink bg-ink text-paper',
  rehearse: 'border-2 border-ink bg-signal text-on-signal',
};

function BlockButton({ block, share, several, isPast, onShow, onStep }: BlockProps) {
  const { bout, state, title, dogName, slot } = block;
  const fixed = state !== 'ahead' || slot === null || isPast;
  const { setNodeRef, listeners, transform, isDragging } = useDraggable({ id: block.key, disabled: fixed });
  const keys = (event: KeyboardEvent): void => {
    if (event.key !== 'ArrowRight' && event.key !== 'ArrowLeft') return;
    event.preventDefault();
    if (!fixed) onStep(block, event.key === 'ArrowRight' ? 1 : -1);
  };
  const name = tell('weeks.block', {
    title,
    dog: several ? dogName : '',
    purpose: PURPOSE_WORDS[bout.purpose],
    minutes: bout.minutes,
    state,
    pinned: bout.pinned ? 'yes' : 'no',
  }).trim();
  return (
    <li
      className="min-w-[7.5rem] flex-none basis-1/2 pr-1 pb-1 sm:basis-[9rem] md:min-w-[5.5rem] md:basis-[var(--share)]"
      style={{ '--share': `${share}%` } as Record<string, string>}
    >
      <button
        ref={setNodeRef}
        {...listeners}
        type="button"
        aria-label={name}
        onClick={() => onShow(block.key)}
        onKeyDown={keys}
        style={transform ? { transform: `translate(${transform.x}px, ${transform.y}px)` } : undefined}
        className={`flex h-full min-h-12 w-full flex-col items-start px-1.5 py-1 text-left text-sm leading-tight ${EDGE[bout.purpose]} ${
          isDragging ? 'relative z-30 shadow-md' : ''
        } ${state === 'skipped' ? 'opacity-70' : ''}`}
      >
        <span className={`line-clamp-2 font-bold ${state === 'skipped' ? 'line-through' : ''}`}>{title}</span>
        <span className="mt-auto flex flex-wrap items-center gap-x-1">
          {several && <span className="font-semibold">{dogName.slice(0, 1)}</span>}
          <span>{PURPOSE_WORDS[bout.purpose]}</span>
          {state === 'done' && <Check aria-hidden="true" className="size-4" strokeWidth={3} />}
          {state === 'skipped' && <Minus aria-hidden="true" className="size-4" strokeWidth={3} />}
          {bout.pinned && state === 'ahead' && <Pin aria-hidden="true" className="size-3.5" />}
        </span>
      </button>
    </li>
  );
}
