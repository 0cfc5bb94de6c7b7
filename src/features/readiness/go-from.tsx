import { useState } from 'react';
import { useKennel } from '@/data/live';
import type { Trial } from '@/data/read';
import { changeTrial } from '@/data/write';
import { Button, SelectField, TextField } from '@/ui';
import { goingPaysFrom } from './go-from-view';
import { readPoints } from './trial-form';
import { tell } from './words';

const CHOICES = [0.1, 0.2, 0.3, 0.4, 0.5, 0.6, 0.7, 0.8, 0.9] as const;

/** From what chance of passing the person would go: asked once, by itself or from cost and worth. */
export function GoFrom({ trial }: { readonly trial: Trial }) {
  const { kennel, done } = useKennel();
  const { goFrom } = trial.assumptions;
  const take = async (share: number): Promise<void> => {
    const changing = changeTrial(kennel, trial.id, (stored) => ({
      assumptions: { ...stored.assumptions, goFrom: share },
    }));
    await done(tell('go-from.changed'), changing);
  };
  const own = CHOICES.some((one) => one === goFrom) ? [] : [goFrom];
  return (
    <div className="mb-3 grid gap-2">
      <SelectField
        label={tell('go-from.from-what-chance')}
        value={String(goFrom)}
        options={[...CHOICES, ...own]
          .toSorted((a, b) => a - b)
          .map((share) => ({
            value: String(share),
            words: tell('go-from.in-100', { from: Math.round(share * 100) }),
          }))}
        onChange={(share) => void take(Number(share))}
      />
      <ByCost onTake={(share) => void take(share)} />
    </div>
  );
}

function ByCost({ onTake }: { readonly onTake: (share: number) => void }) {
  const [cost, setCost] = useState('');
  const [worth, setWorth] = useState('');
  const share = goingPaysFrom(readPoints(cost) ?? null, readPoints(worth) ?? null);
  const isTyped = cost.trim() !== '' && worth.trim() !== '';
  return (
    <details>
      <summary className="flex min-h-11 cursor-pointer items-center underline underline-offset-4">
        {tell('go-from.by-what-it-costs')}
      </summary>
      <p className="mb-2 text-sm leading-snug">{tell('go-from.words')}</p>
      <div className="grid gap-3 sm:grid-cols-2">
        <TextField
          label={tell('go-from.cost')}
          inputMode="decimal"
          value={cost}
          onChange={(event) => setCost(event.target.value)}
        />
        <TextField
          label={tell('go-from.worth')}
          inputMode="decimal"
          value={worth}
          onChange={(event) => setWorth(event.target.value)}
          problem={isTyped && share === null ? tell('go-from.both') : undefined}
        />
      </div>
      {share !== null && (
        <p className="mt-2">
          <Button onClick={() => onTake(share)}>
            {tell('go-from.take', { from: Math.round(share * 100) })}
          </Button>
        </p>
      )}
    </details>
  );
}
