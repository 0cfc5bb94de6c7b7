import { SelectField, Sheet } from '@/ui';
import { FIRST_CHOICES, type FirstChoice, USUAL_FIRST } from './first-element';
import { tell } from './words';

const WAYS = [
  ['own', tell('what-to-teach.something-of-my-own'), tell('what-to-teach.a-name-and-what-makes-it-harder')],
  [
    'book',
    tell('what-to-teach.an-exercise-of-a-rule-book'),
    tell('what-to-teach.read-the-rule-book-in-next'),
  ],
  ['name', tell('what-to-teach.only-the-name-for-now'), tell('what-to-teach.the-rest-whenever-you-like')],
] as const;

type WhatProps = {
  readonly what: string;
  readonly known: boolean;
  readonly onChoose: (what: string) => void;
};

/**
 * Three usual ones stand open, all other methods are one list, and there are ways without one. The cards are
 * not registered with the form: it would read the choice from them, and find none where it is in the list.
 */
export function WhatToTeach({ what, known, onChoose }: WhatProps) {
  const usual = FIRST_CHOICES.filter((one) => USUAL_FIRST.some((id) => id === one.id));
  const others = FIRST_CHOICES.filter((one) => !usual.includes(one));
  const listed = others.find((one) => one.id === what);
  return (
    <fieldset>
      <legend className="text-sm font-semibold">{tell('what-to-teach.what-to-teach')}</legend>
      <div className="mt-1 grid gap-2">
        {usual.map((one) => (
          <Card
            key={one.id}
            checked={one.id === what}
            onChoose={() => onChoose(one.id)}
            title={one.element.title}
            words={one.element.teaches}
          />
        ))}
        <SelectField
          label={tell('what-to-teach.or-another-method')}
          look={`mt-1 block min-h-14 w-full px-2 text-lg ${listed ? 'border-2 bg-paper font-semibold' : 'bg-sheet'}`}
          value={listed?.id ?? ''}
          options={[
            { value: '', words: tell('what-to-teach.choose-from-all-methods', { n: others.length }) },
            ...others.map((one) => ({ value: one.id, words: one.method.title })),
          ]}
          onChange={(id) => onChoose(id === '' ? USUAL_FIRST[0] : id)}
        />
        {WAYS.filter(([id]) => id !== 'name' || !known).map(([id, title, words]) => (
          <Card key={id} checked={id === what} onChoose={() => onChoose(id)} title={title} words={words} />
        ))}
      </div>
    </fieldset>
  );
}

function Card({
  checked,
  onChoose,
  title,
  words,
}: {
  readonly checked: boolean;
  readonly onChoose: () => void;
  readonly title: string;
  readonly words: string;
}) {
  return (
    <label className="flex min-h-14 cursor-pointer items-start gap-3 border-2 border-rule px-3 py-2 has-checked:border-ink has-checked:bg-paper">
      <input
        type="radio"
        name="what"
        checked={checked}
        onChange={onChoose}
        className="mt-1.5 size-4 accent-(--ink)"
      />
      <span>
        <span className="block text-lg font-semibold leading-snug">{title}</span>
        <span className="block leading-snug text-ink-soft">{words}</span>
      </span>
    </label>
  );
}

export function HowTo({ chosen }: { readonly chosen: FirstChoice }) {
  const { method, element } = chosen;
  return (
    <Sheet title={tell('what-to-teach.how-to-teach', { title: element.title.toLowerCase() })}>
      <dl className="grid gap-2 leading-snug">
        {method.kit.length > 0 && (
          <>
            <dt className="font-semibold">{tell('what-to-teach.bring')}</dt>
            <dd>{method.kit.join(', ')}</dd>
          </>
        )}
        <dt className="font-semibold">{tell('what-to-teach.keep-in-mind')}</dt>
        <dd>{method.advice.join(' ')}</dd>
        <dt className="font-semibold">{tell('what-to-teach.when-it-goes-wrong')}</dt>
        {method.trouble.map((one) => (
          <dd key={one.seen}>
            <span className="font-semibold">{one.seen}: </span>
            {one.remedy}
          </dd>
        ))}
      </dl>
    </Sheet>
  );
}
