import { useState } from 'react';
import { USUAL_PACE } from '@/core/breakdown';
import { fail, ok, parseOne, type Result, say } from '@/core/shared';
import { useKennel } from '@/data/live';
import { sayPace } from '@/data/write';
import { Button, SelectField, Sheet, TextField, useLengthChoice } from '@/ui';
import { numberCustom, wordsOf, writeDigits } from '@/words';
import { useLengths } from './use-laid-out';
import { tell } from './words';

/** How long a pace is: walked over a known distance and counted, each person's own. */
export function PaceSheet() {
  const { kennel, done } = useKennel();
  const { unit, whose, choose } = useLengthChoice();
  const { people } = useLengths(null);
  const [name, setName] = useState(whose ?? tell('pace.you'));
  const [way, setWay] = useState('');
  const [count, setCount] = useState('');
  const [problem, setProblem] = useState<{ readonly field: string; readonly words: string }>();
  const measured = people.filter((one) => one.pace !== null && !one.putAway);
  const keep = async (): Promise<void> => {
    const pace = paceOf(way, count);
    if (name.trim() === '') return setProblem({ field: 'name', words: tell('pace.whose') });
    if (!pace.ok) return setProblem({ field: pace.path, words: wordsOf(pace.message) });
    const kept = await done(
      tell('pace.kept', { name: name.trim(), metres: writeDigits(pace.value, 2) }),
      sayPace(kennel, name, pace.value),
    );
    if (!kept.ok) return;
    choose({ whose: kept.value.made.name, unit: 'paces' });
    setWay('');
    setCount('');
    setProblem(undefined);
  };
  const wrong = (field: string): string | undefined => (problem?.field === field ? problem.words : undefined);
  return (
    <Sheet title={tell('pace.title')} aside={tell('pace.how')}>
      {measured.length > 0 && (
        <ul className="mb-2">
          {measured.map((one) => (
            <li key={one.id}>{tell('pace.is', { name: one.name, metres: writeDigits(one.pace ?? 0, 2) })}</li>
          ))}
        </ul>
      )}
      {measured.length === 0 && (
        <p className="mb-2 leading-snug">{tell('pace.usual', { metres: writeDigits(USUAL_PACE, 2) })}</p>
      )}
      <form
        className="grid gap-3 sm:grid-cols-3"
        onSubmit={(event) => {
          event.preventDefault();
          void keep();
        }}
      >
        <TextField
          label={tell('pace.name')}
          value={name}
          problem={wrong('name')}
          maxLength={60}
          onChange={(event) => setName(event.target.value)}
        />
        <TextField
          label={tell('pace.way')}
          hint={tell('pace.way-hint')}
          value={way}
          problem={wrong('way')}
          onChange={(event) => setWay(event.target.value)}
        />
        <TextField
          label={tell('pace.count')}
          inputMode="numeric"
          value={count}
          problem={wrong('count')}
          onChange={(event) => setCount(event.target.value)}
        />
        <Button type="submit" look="ink" className="justify-self-start">
          {tell('pace.keep')}
        </Button>
      </form>
      <div className="mt-3 grid gap-3 sm:grid-cols-2">
        <UnitField />
        {unit === 'paces' && measured.length > 0 && (
          <SelectField
            label={tell('pace.paces-of')}
            value={whose ?? ''}
            options={[
              { value: '', words: tell('pace.nobody') },
              ...measured.map((one) => ({ value: one.name, words: one.name })),
            ]}
            onChange={(value) => choose({ whose: value === '' ? null : value })}
          />
        )}
      </div>
    </Sheet>
  );
}

/** In what lengths are written on every drawing. */
export function UnitField({ beside = false }: { readonly beside?: boolean }) {
  const { unit, choose } = useLengthChoice();
  return (
    <SelectField
      label={tell('pace.count-in')}
      beside={beside}
      value={unit ?? 'as-drawn'}
      options={(['as-drawn', 'm', 'yd', 'paces'] as const).map((value) => ({
        value,
        words: tell('pace.unit', { unit: value === 'as-drawn' ? 'drawn' : value }),
      }))}
      onChange={(value) => choose({ unit: value === 'as-drawn' ? null : value })}
    />
  );
}

/** "40 m" walked in 52 paces → 0.77 m; what no leg can be is refused. */
function paceOf(way: string, count: string): Result<number> {
  const metres = parseOne(way, 'distance', 'm', numberCustom());
  if (!metres.ok) return { ...metres, path: 'way' };
  const paces = Number(count.trim());
  if (!Number.isInteger(paces) || paces < 1) return fail('count', 'count', say('pace.whole-paces'));
  const pace = metres.value / paces;
  return pace >= 0.2 && pace <= 2
    ? ok(pace)
    : fail('pace', 'count', say('pace.no-pace', { metres: { number: pace, digits: 2 } }));
}
