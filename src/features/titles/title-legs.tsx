import { useLiveQuery } from 'dexie-react-hooks';
import { useState } from 'react';
import { type Day, isDay } from '@/core/shared';
import { useKennelWithDog } from '@/data/live';
import { type DogTitle, listPeople, type TitlePass } from '@/data/read';
import { removeLeg, sayLeg } from '@/data/write';
import { Button, TextField } from '@/ui';
import { writeDay } from '@/words';
import { tell } from './words';

/** The passes of a title, under whom each was, and those from before the log. */
export function TitleLegs({ title }: { readonly title: DogTitle }) {
  const { kennel } = useKennelWithDog();
  const people = useLiveQuery(async () => listPeople(kennel), [kennel]) ?? [];
  const nameOf = (id: string): string => people.find((one) => one.id === id)?.name ?? '';
  return (
    <section aria-label={tell('titles.legs')}>
      <h3 className="text-lg font-bold">{tell('titles.legs')}</h3>
      {title.passes.length === 0 && <p className="leading-snug">{tell('titles.no-pass')}</p>}
      <ul>
        {title.passes.map((pass) => (
          <PassLine key={pass.result?.id ?? pass.leg?.id} title={title} pass={pass} nameOf={nameOf} />
        ))}
      </ul>
      <AddPass title={title} />
    </section>
  );
}

type LineProps = {
  readonly title: DogTitle;
  readonly pass: TitlePass;
  readonly nameOf: (id: string) => string;
};

function PassLine({ title, pass, nameOf }: LineProps) {
  const { kennel, dog, today, done } = useKennelWithDog();
  const [text, setText] = useState('');
  const day = writeDay(pass.day);
  const say = (): void =>
    void done(
      tell('titles.kept'),
      sayLeg(
        kennel,
        {
          dogId: dog.id,
          book: title.book.id,
          result: pass.result?.id ?? null,
          day: pass.day,
          judges: text.split(','),
        },
        today,
      ),
    );
  return (
    <li className="border-b border-hair py-1.5 leading-snug">
      <p className="flex flex-wrap items-baseline justify-between gap-x-3">
        <span>
          <span className="font-semibold">
            {tell('titles.pass', { day, points: pass.result?.points ?? null })}
          </span>{' '}
          {pass.judges.length > 0
            ? tell('titles.under', { judges: { list: pass.judges.map(nameOf), between: ', ' } })
            : tell('titles.not-said')}
          {pass.result === null && (
            <span className="block text-sm text-ink-soft">{tell('titles.from-before')}</span>
          )}
        </span>
        {pass.leg && (
          <Button
            look="quiet"
            aria-label={tell('titles.take-out-of', { day })}
            onClick={() => pass.leg && void done(tell('titles.taken-out'), removeLeg(kennel, pass.leg.id))}
          >
            {tell('titles.take-out')}
          </Button>
        )}
      </p>
      {pass.judges.length === 0 && pass.result !== null && (
        <form
          className="mt-1 flex items-end gap-2"
          onSubmit={(event) => {
            event.preventDefault();
            if (text.trim() !== '') say();
          }}
        >
          <TextField
            className="flex-1"
            label={tell('titles.under-whom', { day })}
            value={text}
            onChange={(event) => setText(event.target.value)}
          />
          <Button type="submit">{tell('titles.say')}</Button>
        </form>
      )}
    </li>
  );
}

function AddPass({ title }: { readonly title: DogTitle }) {
  const { kennel, dog, today, done } = useKennelWithDog();
  const [day, setDay] = useState('');
  const [judge, setJudge] = useState('');
  const [problem, setProblem] = useState<string>();
  const keep = async (): Promise<void> => {
    if (!isDay(day) || day > today) return setProblem(tell('titles.which-day'));
    setProblem(undefined);
    const kept = await done(
      tell('titles.kept'),
      sayLeg(
        kennel,
        { dogId: dog.id, book: title.book.id, result: null, day: day as Day, judges: judge.split(',') },
        today,
      ),
    );
    if (!kept.ok) return;
    setDay('');
    setJudge('');
  };
  return (
    <details className="mt-2">
      <summary className="flex min-h-11 cursor-pointer items-center underline underline-offset-4">
        {tell('titles.add')}
      </summary>
      <form
        className="mt-1 grid gap-3 sm:grid-cols-2"
        noValidate
        onSubmit={(event) => {
          event.preventDefault();
          void keep();
        }}
      >
        <TextField
          label={tell('titles.day')}
          type="date"
          max={today}
          value={day}
          problem={problem}
          onChange={(event) => setDay(event.target.value)}
        />
        <TextField
          label={tell('titles.judge')}
          hint={tell('titles.judges-hint')}
          value={judge}
          onChange={(event) => setJudge(event.target.value)}
        />
        <p>
          <Button type="submit" look="ink">
            {tell('titles.keep')}
          </Button>
        </p>
      </form>
    </details>
  );
}
