import { openBook, type WeeksPlan } from '@/core/planning';
import { addDays } from '@/core/shared';
import { useKennelWithDog } from '@/data/live';
import { asSaid, type Planning } from '@/data/read';
import { addSlot } from '@/data/write';
import { Button, Sheet, useUndo } from '@/ui';
import { writeWeekday } from '@/words';
import { neverTrained } from './neglected';
import { type PieceRow, pieceRows, type WeekStrip } from './plan-view';
import { tell } from './words';

type Props = {
  readonly planning: Planning;
  readonly plan: WeeksPlan | null;
  readonly weeks: readonly WeekStrip[];
};

/** Every piece through the weeks: what is kept, what is neglected, and what was never trained. */
export function PiecesSheet({ planning, plan, weeks }: Props) {
  const rows = pieceRows(planning, plan, weeks);
  const never = neverTrained(planning, plan);
  const put = usePutIn(planning, weeks);
  return (
    <Sheet title={tell('pieces-sheet.kept-and-neglected')} aside={tell('pieces-sheet.bouts-by-week')}>
      {never.length > 0 && (
        <ul
          aria-label={tell('pieces-sheet.never-trained')}
          className="mb-3 list-inside list-disc leading-snug"
        >
          {never.map((line) => (
            <li key={line}>{line}</li>
          ))}
        </ul>
      )}
      {planning.dogs.map((dog) => {
        const own = rows.filter((row) => row.dog === dog.id);
        if (own.length === 0) return null;
        return (
          <div key={dog.id} className="mb-3">
            {planning.dogs.length > 1 && <h3 className="font-bold">{dog.name}</h3>}
            <ul className="divide-y divide-hair">
              {own.map((row) => (
                <li key={row.id} className="flex flex-wrap items-center justify-between gap-x-3 py-1.5">
                  <span className="min-w-0 flex-1 basis-52 leading-snug">
                    <span className={row.neglected ? 'font-bold' : 'font-semibold'}>{row.title}</span>
                    <span className="block text-sm text-ink-soft">{row.words}</span>
                  </span>
                  <Counts row={row} />
                  {row.neglected && (
                    <Button
                      look="quiet"
                      aria-label={tell('pieces-sheet.plan-it-of', { title: row.title })}
                      onClick={() => put(row)}
                    >
                      {tell('pieces-sheet.plan-it')}
                    </Button>
                  )}
                </li>
              ))}
            </ul>
          </div>
        );
      })}
    </Sheet>
  );
}

/** Strokes by week, as on a tally stick; a gap where there is none. */
function Counts({ row }: { readonly row: PieceRow }) {
  return (
    <span
      role="img"
      aria-label={tell('pieces-sheet.counts', { counts: row.counts.join(', ') })}
      className="flex shrink-0 gap-1"
    >
      {row.counts.map((count, week) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: the place is the week
        <span key={week} className="flex h-6 w-6 items-end justify-center gap-px border-b-2 border-ink">
          {Array.from({ length: Math.min(count, 5) }, (_, i) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: strokes are alike
            <span key={i} className="h-5 w-[3px] bg-ink" />
          ))}
        </span>
      ))}
    </span>
  );
}

/** Plans a bout of a neglected piece on the first day on which it breaks nothing; it stays there. */
function usePutIn(planning: Planning, weeks: readonly WeekStrip[]): (row: PieceRow) => void {
  const { kennel, done } = useKennelWithDog();
  const fail = useUndo((state) => state.fail);
  const { frame } = planning.question;
  return (row) => {
    const piece = frame.pieces.find((one) => one.id === row.id);
    if (!piece) return;
    const book = openBook(frame);
    for (const block of weeks.flatMap((week) => week.days.flatMap((day) => day.blocks)))
      if (block.slot && block.state === 'ahead') book.enter(block.bout);
    const bout = (d: number) => ({
      slot: null,
      day: addDays(frame.today, d),
      dog: piece.dog,
      piece: piece.id,
      rung: piece.stands,
      purpose: piece.stands === piece.rungs.length - 1 ? ('keep' as const) : ('build' as const),
      goes: piece.goes,
      sets: Math.ceil(piece.goes / piece.setSize),
      minutes: piece.minutes,
      pinned: true,
      why: null,
    });
    const day = frame.days.findIndex((_, d) => book.problems(bout(d)).length === 0);
    if (day < 0) {
      fail(tell('pieces-sheet.no-day-has-room', { title: row.title }));
      return;
    }
    void done(
      tell('pieces-sheet.is-planned', { title: row.title, day: writeWeekday(addDays(frame.today, day)) }),
      addSlot(kennel, asSaid(bout(day), frame.pieces)),
    );
  };
}
