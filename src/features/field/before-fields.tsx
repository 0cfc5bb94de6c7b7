import { useState } from 'react';
import { axisInWords, type Criteria } from '@/core/breakdown';
import { useKennel, useKennelWithDog, useSignals } from '@/data/live';
import { type DogWork, type ElementRecord, numberedArticles, ownCuesOf } from '@/data/read';
import { changeElement, putSignal } from '@/data/write';
import { Button, SelectField, TextField } from '@/ui';
import { wordsOf } from '@/words';
import { tell } from './later-words';
import { missingOf, useDevice } from './use-device';

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

/**
 * Where another can be picked, and nobody has said yet how many articles there are: asked where the work
 * begins, because the pad lays them out only by their number.
 */
export function NumberedArticles({ element }: { readonly element: ElementRecord }) {
  const { kennel, done } = useKennel();
  const [text, setText] = useState('');
  if (element.articles !== null || !element.faults.some((fault) => fault.key === 'wrong-pick')) return null;
  const count = Number(text);
  const fits = Number.isInteger(count) && count >= 2 && count <= 60;
  const keep = (): void => {
    if (fits)
      void done(
        tell('before-card.numbered-articles-are-laid', { count }),
        changeElement(kennel, element.id, { articles: numberedArticles(count) }),
      );
  };
  return (
    <TextField
      label={tell('before-card.how-many-numbered-articles')}
      hint={tell('before-card.the-pad-then-says-what-to-lay-where')}
      inputMode="numeric"
      value={text}
      problem={text.trim() === '' || fits ? undefined : tell('before-card.a-whole-number-from-2-to-60')}
      onChange={(event) => setText(event.target.value)}
      onBlur={keep}
      onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
    />
  );
}

/** The word that it is asked by, or one to name; a new behaviour has none yet. */
export function ItsWord({ element }: { readonly element: ElementRecord }) {
  const { kennel, dog, done } = useKennelWithDog();
  const signals = useSignals();
  const [text, setText] = useState('');
  if (!signals) return null;
  const named = ownCuesOf(signals, dog.id, element.id);
  if (named.length > 0)
    return (
      <p className="leading-snug">
        <span className="font-semibold">{tell('before-card.word')} </span>
        {named.join(', ')}
      </p>
    );
  const keep = (): void => {
    const word = text.trim();
    if (word === '') return;
    const said = { id: null, dogId: dog.id, kind: 'cue', word, means: element.title, stays: null } as const;
    void done(
      tell('before-card.its-word-is', { word }),
      putSignal(kennel, { ...said, elements: [element.id] }),
    );
  };
  return (
    <TextField
      label={tell('before-card.its-word')}
      hint={tell('before-card.empty-while-it-has-none')}
      autoComplete="off"
      maxLength={40}
      value={text}
      onChange={(event) => setText(event.target.value)}
      onBlur={keep}
      onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
    />
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
