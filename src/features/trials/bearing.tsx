import { useKennel } from '@/data/live';
import { sayBearing } from '@/data/write';
import { Button, Sheet } from '@/ui';
import type { RunState } from './run-state';
import { tell } from './words';

export type Told = { readonly calmAtShots: boolean | null; readonly mayBite: boolean | null };
type BearingProps = { readonly state: RunState; readonly told: Told; readonly withheld: number };

/** Two questions that decide what a dog meets; what nobody has answered is left out of the run. */
export function Bearing({ state: { run }, told, withheld }: BearingProps) {
  const { kennel, done } = useKennel();
  const { dogId } = run;
  if (dogId === null) return null;
  const asked = [
    ['calmAtShots', tell('bearing.calm-at-shots', { name: run.name })],
    ['mayBite', tell('bearing.may-bite', { name: run.name })],
  ] as const;
  return (
    <Sheet title={tell('bearing.what-it-meets')} aside={tell('bearing.left-out', { n: withheld })}>
      <div className="grid gap-4 sm:grid-cols-2">
        {asked.map(([key, question]) => (
          <fieldset key={key}>
            <legend className="leading-snug">{question}</legend>
            <div className="mt-1 flex gap-2">
              {([true, false] as const).map((answer) => (
                <Button
                  key={String(answer)}
                  aria-pressed={told[key] === answer}
                  onClick={() => void done(null, sayBearing(kennel, dogId, { [key]: answer }))}
                >
                  {tell('bearing.answer', { key, answer })}
                </Button>
              ))}
              {told[key] !== null && (
                <Button
                  look="quiet"
                  onClick={() => void done(null, sayBearing(kennel, dogId, { [key]: null }))}
                >
                  {tell('bearing.nobody-knows')}
                </Button>
              )}
            </div>
          </fieldset>
        ))}
      </div>
      <p className="mt-2 text-sm leading-snug text-ink-soft">{tell('bearing.firearms')}</p>
    </Sheet>
  );
}
