import { useLiveQuery } from 'dexie-react-hooks';
import { useState } from 'react';
import { LOADS, type Load } from '@/core/planning';
import { asId, type ElementId, isDay } from '@/core/shared';
import { useKennelWithDog } from '@/data/live';
import { activeElements, otherWorkOf, type Planning } from '@/data/read';
import { addOtherWork, removeOtherWork } from '@/data/write';
import { Button, SelectField, Sheet, TextField } from '@/ui';
import { writeDay } from '@/words';
import { loadWords } from './plan-words';
import { tell } from './words';

const LABELS: Readonly<Record<Load, string>> = {
  jumps: tell('other-work-sheet.jumps'),
  'sharp-turns': tell('other-work-sheet.turns'),
  'upright-holds': tell('other-work-sheet.upright'),
  'run-metres': tell('other-work-sheet.metres'),
};
type Typed = Readonly<Record<Load, string>>;
const UNTYPED: Typed = { jumps: '', 'sharp-turns': '', 'upright-holds': '', 'run-metres': '' };

/** Work outside the log, in one line: it counts for loads and for gaps, and is no evidence. */
export function OtherWorkSheet({ planning }: { readonly planning: Planning }) {
  const { kennel, dog, today, done } = useKennelWithDog();
  const listed = useLiveQuery(() => otherWorkOf(kennel, dog.id), [kennel, dog.id]);
  const [day, setDay] = useState<string>(today);
  const [minutes, setMinutes] = useState('');
  const [element, setElement] = useState('');
  const [words, setWords] = useState('');
  const [loads, setLoads] = useState(UNTYPED);
  const [problem, setProblem] = useState<string>();
  const work = planning.works.get(dog.id);
  const elements = work ? activeElements(work) : [];
  const add = async (): Promise<void> => {
    const numbers = [minutes, ...LOADS.map((of) => loads[of])];
    if (!isDay(day)) return setProblem(tell('other-work-sheet.which-day'));
    if (numbers.some((one) => one.trim() !== '' && !(Number(one) >= 0)))
      return setProblem(tell('other-work-sheet.a-number'));
    const added = await done(
      tell('other-work-sheet.kept'),
      addOtherWork(
        kennel,
        {
          dogId: dog.id,
          day,
          minutes: Math.round(Number(minutes || 0)),
          elements: element === '' ? [] : [asId<ElementId>(element)],
          loads: Object.fromEntries(
            LOADS.flatMap((of) => (Number(loads[of]) > 0 ? [[of, Number(loads[of])]] : [])),
          ),
          words,
        },
        today,
      ),
    );
    setProblem(undefined);
    if (!added.ok) return;
    setMinutes('');
    setElement('');
    setWords('');
    setLoads(UNTYPED);
  };
  return (
    <Sheet
      title={<span id="other">{tell('other-work-sheet.title', { name: dog.name })}</span>}
      aside={tell('other-work-sheet.counts-for')}
    >
      <form
        className="grid gap-3 sm:grid-cols-2"
        onSubmit={(event) => {
          event.preventDefault();
          void add();
        }}
      >
        <TextField
          label={tell('other-work-sheet.day')}
          type="date"
          value={day}
          max={today}
          problem={problem}
          onChange={(event) => setDay(event.target.value)}
        />
        <TextField
          label={tell('other-work-sheet.minutes')}
          inputMode="numeric"
          value={minutes}
          maxLength={4}
          onChange={(event) => setMinutes(event.target.value)}
        />
        <SelectField
          label={tell('other-work-sheet.used')}
          value={element}
          options={[
            { value: '', words: tell('other-work-sheet.none') },
            ...elements.map((one) => ({ value: one.id as string, words: one.title })),
          ]}
          onChange={setElement}
        />
        <TextField
          label={tell('other-work-sheet.words')}
          hint={tell('other-work-sheet.for-example')}
          value={words}
          maxLength={200}
          onChange={(event) => setWords(event.target.value)}
        />
        {LOADS.map((of) => (
          <TextField
            key={of}
            label={LABELS[of]}
            inputMode="decimal"
            value={loads[of]}
            maxLength={6}
            onChange={(event) => setLoads({ ...loads, [of]: event.target.value })}
          />
        ))}
        <p className="self-end">
          <Button type="submit">{tell('other-work-sheet.keep-it')}</Button>
        </p>
      </form>
      <ul className="mt-2 divide-y divide-hair">
        {(listed ?? []).slice(0, LISTED).map((one) => (
          <li key={one.id} className="flex items-center justify-between gap-3 py-1.5">
            <span className="leading-snug">
              {[
                writeDay(one.day),
                ...(one.minutes > 0
                  ? [tell('other-work-sheet.so-many-minutes', { minutes: one.minutes })]
                  : []),
                ...one.elements.map((id) => elements.find((each) => each.id === id)?.title ?? ''),
                ...LOADS.flatMap((of) => (one.loads[of] ? [loadWords(of, one.loads[of])] : [])),
                ...(one.words ? [one.words] : []),
              ].join(' · ')}
            </span>
            <Button
              look="quiet"
              aria-label={tell('other-work-sheet.take-off-of', { day: writeDay(one.day) })}
              onClick={() => void done(tell('other-work-sheet.gone'), removeOtherWork(kennel, one.id))}
            >
              {tell('other-work-sheet.take-off')}
            </Button>
          </li>
        ))}
      </ul>
    </Sheet>
  );
}

/** So many of the last lines are shown. */
const LISTED = 5;
