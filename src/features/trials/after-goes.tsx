import type { PartKey } from '@/core/shared';
import type { PartPlace } from '@/core/trials';
import { SelectField } from '@/ui';
import type { AfterView, Outcome } from './after-view';
import { tell } from './after-words';

type Props = {
  readonly view: AfterView;
  readonly onOf: (mark: string, part: PartKey | null) => void;
  readonly onSaid: (place: PartPlace, outcome: Outcome) => void;
};

const OUTCOMES = ['none', 'clean', 'flawed', 'miss'] as const;

/** The goes of a run, exercise by exercise, with what the sheet leaves open to be said. */
export function AfterGoes({ view, onOf, onSaid }: Props) {
  return (
    <ul className="mt-3 grid gap-2">
      {view.exercises.map((exercise) => (
        <li key={exercise.key} className="border-b border-hair pb-2">
          <p className="font-semibold leading-snug">{exercise.title}</p>
          <ul className="grid gap-x-6 gap-y-1 sm:grid-cols-2">
            {exercise.goes.map((go) => (
              <li key={go.key} className="leading-snug">
                <span className="text-ink-soft">{go.title}:</span> {go.words}
                {go.asks !== null && (
                  <SelectField
                    beside
                    label={tell('trials-after.how-was', { title: go.title })}
                    value={go.asks}
                    options={OUTCOMES.map((value) => ({
                      value,
                      words:
                        value === 'none'
                          ? tell('trials-after.nobody-says')
                          : tell('trials-after.outcome', { outcome: value }),
                    }))}
                    onChange={(value) => onSaid(go.place, value)}
                  />
                )}
              </li>
            ))}
          </ul>
          {exercise.loose.map((fault) => (
            <SelectField
              key={fault.mark}
              className="mt-1"
              beside
              label={tell('trials-after.which-part', { fault: fault.title })}
              value={fault.of ?? ''}
              options={[
                { value: '', words: tell('trials-after.of-none') },
                ...fault.parts.map(({ id, title }) => ({ value: id as string, words: title })),
              ]}
              onChange={(value) => onOf(fault.mark, fault.parts.find(({ id }) => id === value)?.id ?? null)}
            />
          ))}
        </li>
      ))}
    </ul>
  );
}
