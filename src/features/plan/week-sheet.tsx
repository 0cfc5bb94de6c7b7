import { useLiveQuery } from 'dexie-react-hooks';
import { useState } from 'react';
import { type Day, isDay } from '@/core/shared';
import { useKennelWithDog } from '@/data/live';
import { keptOfDog, type Planning, type Usual, weekFromLog } from '@/data/read';
import { putUsual, putWeek, removeUsual } from '@/data/write';
import { Button, NumberField, Sheet, TextField } from '@/ui';
import { nameOfWeekday, weekStart, writeDay } from '@/words';
import { tell } from './words';

type Props = { readonly usuals: readonly Usual[]; readonly planning: Planning };
type Said = Omit<Usual, 'id' | 'changed'>;

/** The weekdays, 1 Monday … 7 Sunday, from the one on which this person's week begins. */
const weekdays = (): number[] => Array.from({ length: 7 }, (_, i) => ((weekStart() - 1 + i) % 7) + 1);
const nothing = (on: Usual['on']): Said => ({
  on,
  minutes: 0,
  strange: false,
  where: '',
  helper: false,
  hot: false,
});
const saidOf = ({ on, minutes, strange, where, helper, hot }: Said): Said => ({
  on,
  minutes,
  strange,
  where,
  helper,
  hot,
});

/** What time there is: a usual week, and days that are otherwise. */
export function WeekSheet({ usuals, planning }: Props) {
  const { kennel, today, done } = useKennelWithDog();
  const bouts = useLiveQuery(
    async () => (await Promise.all(planning.dogs.map((dog) => keptOfDog(kennel, dog.id)))).flat(),
    [kennel, planning.dogs],
  );
  const fromLog = planning.hasWeek ? [] : weekFromLog(bouts?.filter((one) => !one.link) ?? [], today);
  const put = (said: Said): void => void done(tell('week-sheet.kept'), putUsual(kennel, said));
  return (
    <Sheet title={tell('week-sheet.title')} aside={tell('week-sheet.all-dogs-together')}>
      {fromLog.length > 0 && (
        <p className="mb-3">
          <Button
            look="ink"
            onClick={() =>
              void done(
                tell('week-sheet.kept'),
                putWeek(
                  kennel,
                  fromLog.map(({ weekday, minutes }) => ({
                    ...nothing({ kind: 'weekday', weekday }),
                    minutes,
                  })),
                ),
              )
            }
          >
            {tell('week-sheet.as-in-the-log', {
              days: fromLog.map(({ weekday, minutes }) => `${nameOfWeekday(weekday)} ${minutes}`).join(', '),
            })}
          </Button>
        </p>
      )}
      <ul className="divide-y divide-hair">
        {weekdays().map((weekday) => {
          const on = { kind: 'weekday', weekday } as const;
          const said =
            usuals.find((one) => one.on.kind === 'weekday' && one.on.weekday === weekday) ?? nothing(on);
          return (
            <li key={weekday} className="py-2">
              <DayFields name={nameOfWeekday(weekday)} said={saidOf(said)} onTake={put} />
            </li>
          );
        })}
      </ul>
      <OtherDays usuals={usuals} today={today} onTake={put} />
    </Sheet>
  );
}

type FieldsProps = { readonly name: string; readonly said: Said; readonly onTake: (said: Said) => void };

function DayFields({ name, said, onTake }: FieldsProps) {
  const tick = (key: 'strange' | 'helper' | 'hot', words: string) => (
    <label className="flex min-h-11 items-center gap-2">
      <input
        type="checkbox"
        className="size-5 accent-ink"
        aria-label={`${name}: ${words}`}
        checked={said[key]}
        onChange={(event) => onTake({ ...said, [key]: event.target.checked })}
      />
      {words}
    </label>
  );
  return (
    <div className="grid items-end gap-x-4 gap-y-1 sm:grid-cols-[8rem_1fr]">
      <NumberField
        label={tell('week-sheet.minutes-of', { day: name })}
        value={said.minutes}
        least={0}
        most={720}
        onTake={(minutes) => minutes !== null && onTake({ ...said, minutes })}
      />
      {(said.minutes > 0 || said.on.kind === 'day') && (
        <div className="flex flex-wrap items-center gap-x-4">
          {said.minutes > 0 && tick('strange', tell('week-sheet.strange'))}
          {said.minutes > 0 && tick('helper', tell('week-sheet.helper'))}
          {said.on.kind === 'day' && tick('hot', tell('week-sheet.hot'))}
        </div>
      )}
    </div>
  );
}

/** Days that are otherwise: a journey, a rest day, heat, an hour more. */
function OtherDays({
  usuals,
  today,
  onTake,
}: {
  readonly usuals: readonly Usual[];
  readonly today: Day;
  readonly onTake: (said: Said) => void;
}) {
  const { kennel, done } = useKennelWithDog();
  const [day, setDay] = useState('');
  const [minutes, setMinutes] = useState('0');
  const [where, setWhere] = useState('');
  const [problem, setProblem] = useState<string>();
  const days = usuals
    .flatMap((one) => (one.on.kind === 'day' && one.on.day >= today ? [{ ...one, day: one.on.day }] : []))
    .sort((a, b) => (a.day < b.day ? -1 : 1));
  const add = (): void => {
    const count = Number(minutes.trim() === '' ? Number.NaN : minutes);
    const wrong = !isDay(day)
      ? tell('week-sheet.which-day')
      : day < today
        ? tell('week-sheet.that-day-is-past')
        : !Number.isInteger(count) || count < 0 || count > 720
          ? tell('week-sheet.how-many-minutes')
          : undefined;
    setProblem(wrong);
    if (wrong !== undefined || !isDay(day)) return;
    onTake({ ...nothing({ kind: 'day', day }), minutes: count, where: where.trim() });
    setDay('');
    setWhere('');
    setMinutes('0');
  };
  return (
    <section aria-label={tell('week-sheet.otherwise')} className="mt-4 border-t-2 border-ink pt-3">
      <h3 className="font-bold">{tell('week-sheet.otherwise')}</h3>
      <ul className="divide-y divide-hair">
        {days.map((one) => (
          <li key={one.id} className="grid gap-1 py-2">
            <p className="flex flex-wrap items-baseline justify-between gap-3">
              <span className="font-semibold">
                {writeDay(one.day)}
                {one.where && <span className="font-normal text-ink-soft"> · {one.where}</span>}
              </span>
              <Button
                look="quiet"
                aria-label={tell('week-sheet.as-usual-of', { day: writeDay(one.day) })}
                onClick={() => void done(tell('week-sheet.as-usual-again'), removeUsual(kennel, one.id))}
              >
                {tell('week-sheet.as-usual')}
              </Button>
            </p>
            <DayFields name={writeDay(one.day)} said={saidOf(one)} onTake={onTake} />
          </li>
        ))}
      </ul>
      <form
        className="mt-2 grid gap-3 sm:grid-cols-3"
        onSubmit={(event) => {
          event.preventDefault();
          add();
        }}
      >
        <TextField
          label={tell('week-sheet.day')}
          type="date"
          value={day}
          problem={problem}
          onChange={(event) => setDay(event.target.value)}
        />
        <TextField
          label={tell('week-sheet.minutes')}
          inputMode="numeric"
          value={minutes}
          onChange={(event) => setMinutes(event.target.value)}
        />
        <TextField
          label={tell('week-sheet.what')}
          value={where}
          maxLength={120}
          onChange={(event) => setWhere(event.target.value)}
        />
        <p>
          <Button type="submit">{tell('week-sheet.add-the-day')}</Button>
        </p>
      </form>
    </section>
  );
}
