import { axisInWords, type Criteria } from '@/core/breakdown';
import type { DogWork, ElementRecord } from '@/data/read';
import { Button, SelectField } from '@/ui';
import { wordsOf } from '@/words';
import { missingOf, useDevice } from './use-device';
import { tell } from './words';

/** The links of an exercise that is run whole, in order: one press each. */
export function Links({ element, work }: { readonly element: ElementRecord; readonly work: DogWork }) {
  if (element.form.kind !== 'chain') return null;
  return (
    <div>
      <p className="text-lg font-semibold">{tell('before-card.whole-from-end-to-end')}</p>
      <ol className="list-inside list-decimal leading-snug">
        {element.form.links
          .map((id, place) => ({ id, key: `${place} ${id}` }))
          .map(({ id, key }) => (
            <li key={key}>
              {work.elements.find((one) => one.id === id)?.title ?? tell('pad-view.a-link-that-is-gone')}
            </li>
          ))}
      </ol>
      <p className="mt-1 leading-snug">{tell('before-card.few-whole-runs')}</p>
    </div>
  );
}

/** What this rung asks, in words, and what is set out where. */
export function SetOut({
  element,
  criteria,
}: {
  readonly element: ElementRecord;
  readonly criteria: Criteria;
}) {
  return (
    <p className="leading-snug">
      <span className="font-semibold">{tell('before-card.set-out')} </span>
      {element.axes.map((axis) => wordsOf(axisInWords(axis, criteria[axis.key] ?? axis.start))).join('; ')}.
      {element.setOut !== '' && ` ${element.setOut}`}
    </p>
  );
}

const RUNS = [8, 10, 12, 16, 20];

/**
 * For "better than luck?" either the number of runs is fixed now, or the series is looked at after
 * each and needs more to settle.
 */
export function FixedRuns({
  value,
  onChange,
}: {
  readonly value: number | null;
  readonly onChange: (value: number | null) => void;
}) {
  return (
    <SelectField
      label={tell('before-card.better-than-luck-hidden-runs-to-be')}
      value={String(value ?? '')}
      options={[
        { value: '', words: tell('before-card.look-after-every-run') },
        ...RUNS.map((runs) => ({ value: String(runs), words: tell('before-card.fixed-now-runs', { runs }) })),
      ]}
      onChange={(chosen) => onChange(chosen === '' ? null : Number(chosen))}
    />
  );
}

export function Bring({
  element,
  rewards,
}: {
  readonly element: ElementRecord;
  readonly rewards: readonly string[];
}) {
  if (element.kit.length === 0 && rewards.length === 0) return null;
  return (
    <p className="leading-snug">
      <span className="font-semibold">{tell('before-card.bring')} </span>
      {[...element.kit, ...rewards.slice(0, 1)].join(', ')}
    </p>
  );
}

type ConditionProps = {
  readonly condition: ElementRecord['conditions'][number];
  readonly chosen: string | null;
  readonly onChoose: (option: string | null) => void;
};

/** One condition of the day; a tap on what is chosen leaves it open again. */
export function Condition({ condition, chosen, onChoose }: ConditionProps) {
  return (
    <fieldset>
      <legend className="mb-1 font-semibold">{condition.title}</legend>
      <div className="flex flex-wrap gap-2">
        {condition.options.map((option) => (
          <Button
            key={option}
            size="big"
            look={option === chosen ? 'ink' : 'plain'}
            aria-pressed={option === chosen}
            onClick={() => onChoose(option === chosen ? null : option)}
          >
            {option}
          </Button>
        ))}
      </div>
    </fieldset>
  );
}

export function Missing() {
  const missing = missingOf(useDevice());
  if (missing.length === 0) return null;
  return (
    <details>
      <summary className="min-h-14 cursor-pointer py-3.5 leading-snug underline decoration-rule underline-offset-4">
        {missing.length === 1
          ? tell('before-card.one-thing-this-device-does-not')
          : tell('before-card.things-this-device-does-not-grant', { missingCount: missing.length })}
      </summary>
      <ul className="grid gap-1">
        {missing.map((line) => (
          <li key={line} className="leading-snug">
            {line}
          </li>
        ))}
      </ul>
    </details>
  );
}
