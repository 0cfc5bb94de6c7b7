import type { Pace } from '@/core/coaching';
import { NumberField } from '@/ui';
import { tell } from './words';

type Count = {
  readonly key: 'setSize' | 'sessionCap' | 'warmUpCap' | 'startBelow';
  readonly label: string;
  readonly least: number;
  readonly most: number;
  readonly open: boolean;
};

const COUNTS: readonly Count[] = [
  { key: 'setSize', label: tell('pace-fields.reps-in-a-set-then-rest'), least: 1, most: 50, open: false },
  {
    key: 'sessionCap',
    label: tell('pace-fields.reps-a-session-at-most-empty-no'),
    least: 1,
    most: 200,
    open: true,
  },
  {
    key: 'warmUpCap',
    label: tell('pace-fields.warm-up-reps-at-most-empty-no-cap'),
    least: 1,
    most: 200,
    open: true,
  },
  {
    key: 'startBelow',
    label: tell('pace-fields.next-day-starts-this-many-rungs'),
    least: 0,
    most: 10,
    open: false,
  },
];

/**
 * What is common to all rules: sets, caps, where the next day starts, and whether what was met is
 * gone below.
 */
export function PaceFields({ pace, onTake }: { readonly pace: Pace; readonly onTake: (pace: Pace) => void }) {
  return (
    <div className="grid gap-3 sm:grid-cols-2">
      {COUNTS.map((count) => (
        <NumberField
          key={count.key}
          label={count.label}
          least={count.least}
          most={count.most}
          open={count.open}
          value={pace[count.key]}
          onTake={(value) => onTake({ ...pace, [count.key]: value })}
        />
      ))}
      <fieldset className="sm:col-span-2">
        <legend className="text-sm font-semibold">
          {tell('pace-fields.a-rung-was-met-twice-today-and-now')}
        </legend>
        {(
          [
            ['back', tell('pace-fields.go-back-as-the-rule-says-the-next')],
            ['keep', tell('pace-fields.never-lower-what-was-met-no-rung')],
          ] as const
        ).map(([ratchet, words]) => (
          <label key={ratchet} className="flex min-h-11 items-center gap-2 leading-snug">
            <input
              type="radio"
              name="ratchet"
              className="size-4 shrink-0 accent-(--ink)"
              checked={pace.ratchet === ratchet}
              onChange={() => onTake({ ...pace, ratchet })}
            />
            {words}
          </label>
        ))}
      </fieldset>
    </div>
  );
}
