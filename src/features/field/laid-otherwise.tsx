import { type Criteria, levelPlace } from '@/core/breakdown';
import type { NextRun } from '@/core/coaching';
import type { ElementRecord } from '@/data/read';
import { SelectField } from '@/ui';
import { tell } from './later-words';

const SHAPE_WORDS = {
  line: tell('laid-otherwise.in-a-line-from-the-left'),
  circle: tell('laid-otherwise.in-a-circle-from-the-far-end-to'),
  scatter: tell('laid-otherwise.as-drawn'),
} as const;

export function layoutWords(
  { laid, target, scentIt, seen, nearer }: NextRun,
  shape: keyof typeof SHAPE_WORDS,
): string {
  const right = tell('laid-otherwise.the-right-one-is-number-scent-it', {
    target: laid[target],
    scentIt: Boolean(scentIt),
  });
  const near =
    nearer === null ? '' : tell('laid-otherwise.number-lies-nearer-a-decoy', { nearer: laid[nearer] });
  return tell('laid-otherwise.lay-the-dog-may-watch', {
    laidCount: laid.length,
    shape: SHAPE_WORDS[shape],
    seen: Boolean(seen),
    right,
    near,
  });
}

export const coveredWords = (known: boolean): string =>
  known
    ? tell('laid-otherwise.covered-now-this-run-was-seen-so')
    : tell('laid-otherwise.covered-only-the-helper-knows');

/** What lies where, where the person has laid it otherwise than drawn. */
export function LaidOtherwise({
  names,
  run,
  onLay,
}: {
  readonly names: readonly string[];
  readonly run: NextRun;
  readonly onLay: (laid: Pick<NextRun, 'laid' | 'target'>) => void;
}) {
  const put = (place: number, name: string): void => {
    // One that lay elsewhere changes places with it: none lies twice.
    const before = run.laid[place] ?? name;
    const laid = run.laid.map((one, i) => (i === place ? name : one === name ? before : one));
    onLay({ laid, target: run.target });
  };
  return (
    <details className="border-2 border-rule px-3">
      <summary className="flex min-h-14 cursor-pointer items-center text-lg underline decoration-rule underline-offset-4">
        {tell('laid-otherwise.i-laid-it-otherwise')}
      </summary>
      <div className="grid gap-2 pb-3">
        {run.laid.map((name, place) => (
          <SelectField
            // biome-ignore lint/suspicious/noArrayIndexKey: a place is what it is, whatever lies there
            key={place}
            label={tell('laid-otherwise.at-place-lies', { place: place + 1 })}
            beside
            look="min-h-14 flex-1 bg-paper px-2 text-lg"
            value={name}
            options={names.map((one) => ({ value: one, words: one }))}
            onChange={(chosen) => put(place, chosen)}
          />
        ))}
        <SelectField
          label={tell('laid-otherwise.the-right-one-lies-at')}
          beside
          look="min-h-14 flex-1 bg-paper px-2 text-lg"
          value={String(run.target)}
          options={run.laid.map((name, place) => ({
            value: String(place),
            words: tell('laid-otherwise.place', { place: place + 1, name }),
          }))}
          onChange={(chosen) => onLay({ laid: run.laid, target: Number(chosen) })}
        />
      </div>
    </details>
  );
}

/** A rung that says how articles are laid: in sight first, then hidden, then by a helper. */
export function laidByRung(element: ElementRecord, criteria: Criteria): 'seen' | 'hidden' | null {
  const axis = element.axes.find((one) => one.key === 'laid' && one.levels !== null);
  if (!axis?.levels) return null;
  return levelPlace(axis.levels, criteria[axis.key] ?? axis.start) === 0 ? 'seen' : 'hidden';
}
