import { useState } from 'react';
import { buildLadder, describeRung } from '@/core/breakdown';
import { type Day, isDay } from '@/core/shared';
import { useKennelWithDog } from '@/data/live';
import type { ElementRecord } from '@/data/read';
import { typeInBout } from '@/data/write';
import { Button, Notice, Sheet, TextField } from '@/ui';
import { readPaper } from './paper';

/** A session that was kept on paper, typed in later: its day, its rung, its reps in order. */
export function TypeIn({ element }: { readonly element: ElementRecord }) {
  const { kennel, now, today, done } = useKennelWithDog();
  const ladder = buildLadder(element);
  const [day, setDay] = useState<string>(today);
  const [rung, setRung] = useState(0);
  const [text, setText] = useState('');
  const [problem, setProblem] = useState<string>();
  const save = async (): Promise<void> => {
    const read = readPaper(text);
    const fits = isDay(day) && day <= today;
    setProblem(!fits ? 'The day must be today or before.' : read.ok ? undefined : read.message);
    if (!fits || !read.ok) return;
    // The hour was not kept, and the order of the reps is what counts.
    const noon = day === today ? now() : new Date(`${day}T12:00:00`).getTime();
    const start = ladder.rungs[rung]?.criteria ?? {};
    const paper = { day: day as Day, away: false, start, noon };
    const words = `${read.value.length} reps of ${day} are in the log.`;
    const typed = await done(words, typeInBout(kennel, element, paper, read.value));
    setProblem(typed.ok ? undefined : typed.message);
    if (typed.ok) setText('');
  };
  return (
    <Sheet title="Type in a session from paper" className="mb-6">
      <form
        className="grid gap-3 sm:grid-cols-[11rem_1fr]"
        onSubmit={(event) => {
          event.preventDefault();
          void save();
        }}
      >
        <TextField
          label="Day"
          type="date"
          max={today}
          value={day}
          onChange={(event) => setDay(event.target.value)}
        />
        <label className="block text-sm font-semibold">
          Rung
          <select
            aria-label="Rung"
            className="mt-1 block min-h-11 w-full border-b-2 border-ink bg-paper px-2 text-lg font-normal"
            value={rung}
            onChange={(event) => setRung(Number(event.target.value))}
          >
            {ladder.rungs.map((_, i) => (
              // biome-ignore lint/suspicious/noArrayIndexKey: a rung is its place on the ladder
              <option key={i} value={i}>
                {describeRung(ladder, i)}
              </option>
            ))}
          </select>
        </label>
        <TextField
          className="sm:col-span-2"
          label="Reps in order: c clean, f flawed, m miss"
          hint="for example: c c f m c"
          value={text}
          onChange={(event) => setText(event.target.value)}
        />
        {problem && (
          <div className="sm:col-span-2">
            <Notice tone="alert" role="alert">
              {problem}
            </Notice>
          </div>
        )}
        <p className="sm:col-span-2">
          <Button type="submit" look="ink">
            Put it in the log
          </Button>
        </p>
      </form>
    </Sheet>
  );
}
