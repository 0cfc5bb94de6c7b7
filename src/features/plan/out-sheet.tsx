import { Link } from 'react-router';
import { useKennelWithDog } from '@/data/live';
import type { Planning } from '@/data/read';
import { Button, buttonClass, Sheet, saveText, useUndo } from '@/ui';
import { wordsOf } from '@/words';
import { calendarEvents } from './calendar-view';
import type { WeekStrip } from './plan-view';
import { tell } from './words';

type Props = { readonly planning: Planning; readonly weeks: readonly WeekStrip[] };

/** A calendar file, a week for the fridge, and the lessons as cards. */
export function OutSheet({ planning, weeks }: Props) {
  const { now, today } = useKennelWithDog();
  const fail = useUndo((state) => state.fail);
  const save = async (): Promise<void> => {
    // Written on demand: few people need it, and the package that writes it is large.
    const { writeCalendar } = await import('@/data/files');
    const written = writeCalendar(calendarEvents(planning, weeks), now());
    if (written.ok) saveText('regulon-plan.ics', written.value, 'text/calendar');
    else fail(wordsOf(written.message));
  };
  const isKept = planning.slots.some((one) => one.slot.day >= today);
  return (
    <Sheet title={tell('out-sheet.title')}>
      <div className="flex flex-wrap gap-3">
        <Button onClick={() => void save()}>{tell('out-sheet.calendar')}</Button>
        <Link className={buttonClass('plain')} to={`print/${today}`}>
          {tell('out-sheet.print')}
        </Link>
      </div>
      <p className="mt-2 leading-snug text-ink-soft">
        {isKept ? tell('out-sheet.reading-it-again') : tell('out-sheet.take-a-plan-first')}
      </p>
    </Sheet>
  );
}
