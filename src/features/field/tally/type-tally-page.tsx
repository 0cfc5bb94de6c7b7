import { useLiveQuery } from 'dexie-react-hooks';
import { useState } from 'react';
import { Link } from 'react-router';
import { buildLadder, describePlace } from '@/core/breakdown';
import { type Day, isDay } from '@/core/shared';
import { useKennelWithDog } from '@/data/live';
import { workOf } from '@/data/read';
import { typeInBouts } from '@/data/write';
import { Button, buttonClass, Notice, PageHead, SelectField, Sheet, TextField } from '@/ui';
import { wordsOf, writeDay, writeInstant } from '@/words';
import { tell } from '../later-words';
import { readPaper } from '../paper';
import { type Tally, useTallies } from './tally-store';

/** A tally sheet typed in as it stands: its number, its day, and the letters of each line. */
export function TypeTallyPage() {
  const { kennel, dog } = useKennelWithDog();
  const all = useTallies((state) => state.sheets);
  const sheets = all.filter((one) => one.kennel === kennel.name && one.dog === dog.id);
  const [chosen, setChosen] = useState<string | null>(null);
  const sheet = sheets.find((one) => String(one.number) === chosen) ?? sheets[0];
  return (
    <>
      <PageHead title={tell('tally.type-in', { name: dog.name })}>{tell('tally.type-in-what')}</PageHead>
      {sheet ? (
        <Sheet title={tell('tally.head', { number: sheet.number, name: dog.name })}>
          <div className="mb-4 max-w-md">
            <SelectField
              label={tell('tally.which-sheet')}
              value={String(sheet.number)}
              options={sheets.map((one) => ({
                value: String(one.number),
                words: tell('tally.of-when', { number: one.number, at: writeInstant(one.printedAt) }),
              }))}
              onChange={setChosen}
            />
          </div>
          <Lines key={sheet.number} sheet={sheet} />
        </Sheet>
      ) : (
        <p className="grid justify-items-start gap-3 text-lg">
          {tell('tally.none-printed', { name: dog.name })}
          <Link className={buttonClass('ink')} to=".." relative="path">
            {tell('tally.to-the-sheet')}
          </Link>
        </p>
      )}
    </>
  );
}

function Lines({ sheet }: { readonly sheet: Tally }) {
  const { kennel, dog, now, today, done } = useKennelWithDog();
  const work = useLiveQuery(() => workOf(kennel, dog.id), [kennel, dog.id]);
  const [typed, setTyped] = useState<readonly string[]>(() => sheet.lines.map(() => ''));
  const [day, setDay] = useState<string>(today);
  const [away, setAway] = useState<'usual' | 'away'>('usual');
  const [tried, setTried] = useState(false);
  const [stored, setStored] = useState<string | null>(null);
  if (!work) return null;
  const lines = sheet.lines.map((line, i) => {
    const text = typed[i] ?? '';
    const read = text.trim() === '' ? null : readPaper(text);
    return { ...line, element: work.elements.find((one) => one.id === line.element) ?? null, text, read };
  });
  const wrong = lines.some(({ read }) => read && !read.ok);
  const dayWrong = !isDay(day) || day > today ? tell('paper.the-day-must-be-today-or-before') : undefined;
  const save = async (): Promise<void> => {
    setTried(true);
    setStored(null);
    const filled = lines.flatMap(({ element, criteria, read }) =>
      element && read?.ok ? [{ element, start: criteria, outcomes: read.value }] : [],
    );
    if (wrong || dayWrong || filled.length === 0) return;
    const noon = day === today ? now() : new Date(`${day}T12:00:00`).getTime();
    const goes = filled.reduce((sum, one) => sum + one.outcomes.length, 0);
    const words = tell('tally.is-in-the-log', { goes, lines: filled.length, day: writeDay(day as Day) });
    const paper = { day: day as Day, away: away === 'away', noon };
    const written = await done(words, typeInBouts(kennel, paper, filled));
    if (!written.ok) return;
    setTyped(sheet.lines.map(() => ''));
    setTried(false);
    setStored(words);
  };
  return (
    <form
      noValidate
      className="grid gap-4"
      onSubmit={(event) => {
        event.preventDefault();
        void save();
      }}
    >
      <div className="flex flex-wrap items-end gap-3">
        <TextField
          label={tell('type-in.day')}
          type="date"
          max={today}
          value={day}
          onChange={(event) => setDay(event.target.value)}
          problem={tried ? dayWrong : undefined}
        />
        <SelectField
          label={tell('type-in.place')}
          value={away}
          options={[
            { value: 'usual', words: tell('type-in.usual') },
            { value: 'away', words: tell('type-in.strange') },
          ]}
          onChange={setAway}
        />
      </div>
      <ol className="grid gap-3">
        {lines.map(({ element, criteria, text, read }, i) => (
          <li key={sheet.lines[i]?.element}>
            {element ? (
              <TextField
                label={tell('tally.line', { n: i + 1, title: element.title })}
                hint={wordsOf(describePlace(buildLadder(element), criteria))}
                value={text}
                autoComplete="off"
                autoCapitalize="off"
                onChange={(event) => setTyped(typed.map((one, at) => (at === i ? event.target.value : one)))}
                problem={read && !read.ok ? wordsOf(read.message) : undefined}
              />
            ) : (
              <p className="text-ink-soft">{tell('tally.line-gone', { n: i + 1 })}</p>
            )}
          </li>
        ))}
      </ol>
      <p>
        <Button type="submit" look="ink" size="big">
          {tell('tally.put-in')}
        </Button>
      </p>
      {tried && lines.every(({ text }) => text.trim() === '') && (
        <Notice tone="alert" role="alert">
          {tell('tally.nothing-typed')}
        </Notice>
      )}
      {stored && (
        <Notice tone="plain" role="status">
          {stored}
        </Notice>
      )}
    </form>
  );
}
