import { useState } from 'react';
import { LAID, LAYOUT_SHAPES } from '@/core/coaching';
import { type ElementRecord, numberedArticles } from '@/data/read';
import { SelectField, TextField } from '@/ui';
import { useElementChange } from './use-element-change';
import { tell } from './words';

const SHAPES: Readonly<Record<(typeof LAYOUT_SHAPES)[number], string>> = {
  line: tell('articles-fields.in-a-line'),
  circle: tell('articles-fields.in-a-circle'),
  scatter: tell('articles-fields.scattered'),
};
const HOW: Readonly<Record<(typeof LAID)[number], string>> = {
  hidden: tell('articles-fields.out-of-the-dogs-sight'),
  seen: tell('articles-fields.while-the-dog-watches'),
  turns: tell('articles-fields.now-seen-now-hidden'),
};

/**
 * How many numbered articles there are, and how they are laid; the field then logs by first touch
 * and pick.
 */
export function ArticlesFields({ element }: { readonly element: ElementRecord }) {
  const change = useElementChange(element);
  const { articles } = element;
  const [text, setText] = useState(String(articles?.count ?? ''));
  const lay = (part: Partial<NonNullable<ElementRecord['articles']>>): void =>
    change(
      (stored) => ({ articles: stored.articles && { ...stored.articles, ...part } }),
      tell('articles-fields.layout-changed'),
    );
  const value = Number(text);
  const fits = text.trim() === '' || (Number.isInteger(value) && value >= 2 && value <= 60);
  const commit = (): void => {
    const count = text.trim() === '' ? null : value;
    if (!fits || count === (articles?.count ?? null)) return;
    if (count === null) change({ articles: null }, tell('articles-fields.no-articles'));
    else
      change(
        {
          articles: { ...numberedArticles(count), ...articles, count },
        },
        tell('articles-fields.numbered-articles', { count }),
      );
  };
  return (
    <div className="mb-3 grid gap-3">
      <TextField
        label={tell('articles-fields.numbered-articles-empty-none')}
        inputMode="numeric"
        value={text}
        problem={fits ? undefined : tell('articles-fields.a-whole-number-from-2-to-60')}
        onChange={(event) => setText(event.target.value)}
        onBlur={commit}
        onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
      />
      {articles && (
        <>
          <SelectField
            label={tell('articles-fields.laid')}
            value={articles.shape}
            options={LAYOUT_SHAPES.map((shape) => ({ value: shape, words: SHAPES[shape] }))}
            onChange={(shape) => lay({ shape })}
          />
          <SelectField
            label={tell('articles-fields.laid-how')}
            value={articles.laid}
            options={LAID.map((how) => ({ value: how, words: HOW[how] }))}
            onChange={(laid) => lay({ laid })}
          />
          <label className="inline-flex min-h-11 items-center gap-2">
            <input
              type="checkbox"
              className="size-5 accent-(--ink)"
              checked={articles.nearer}
              onChange={() => lay({ nearer: !articles.nearer })}
            />
            {tell('articles-fields.in-every-other-run-a-decoy-lies')}
          </label>
          <label className="inline-flex min-h-11 items-center gap-2">
            <input
              type="checkbox"
              className="size-5 accent-(--ink)"
              checked={articles.aidedAgain}
              onChange={() => lay({ aidedAgain: !articles.aidedAgain })}
            />
            {tell('articles-fields.one-that-was-helped-with-may-be')}
          </label>
          <NamesField articles={articles} onTake={(names) => lay({ names })} />
        </>
      )}
    </div>
  );
}

/** What is set out where, as one would tell a helper. It stands on the card before a session. */
export function SetOutField({ element }: { readonly element: ElementRecord }) {
  const change = useElementChange(element);
  const [text, setText] = useState(element.setOut);
  return (
    <TextField
      label={tell('articles-fields.set-out-in-your-words')}
      className="mb-3"
      hint={tell('articles-fields.for-example-cone-at-20-m-upwind')}
      maxLength={500}
      value={text}
      onChange={(event) => setText(event.target.value)}
      onBlur={() =>
        text.trim() !== element.setOut &&
        change({ setOut: text.trim() }, tell('articles-fields.set-out-kept'))
      }
      onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
    />
  );
}

/** The person's own numbers or names, as they stand on the articles. */
function NamesField({
  articles,
  onTake,
}: {
  readonly articles: NonNullable<ElementRecord['articles']>;
  readonly onTake: (names: string[]) => void;
}) {
  const kept = articles.names.join(', ');
  const [text, setText] = useState(kept);
  const names = text
    .split(',')
    .map((one) => one.trim())
    .filter(Boolean);
  const doubled = new Set(names).size < names.length;
  const wrong = names.length > 0 && (names.length !== articles.count || doubled);
  const problem = doubled
    ? tell('articles-fields.two-of-them-have-the-same-name')
    : tell('articles-fields.names-for-articles', { namesCount: names.length, count: articles.count });
  return (
    <TextField
      label={tell('articles-fields.what-stands-on-them-empty-1-2-3')}
      hint={tell('articles-fields.with-commas-between-for-example-7')}
      value={text}
      problem={wrong ? problem : undefined}
      onChange={(event) => setText(event.target.value)}
      onBlur={() => !wrong && names.join(', ') !== kept && onTake(names)}
      onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
    />
  );
}
