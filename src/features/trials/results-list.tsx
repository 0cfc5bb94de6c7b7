import { Fragment } from 'react';
import { Button } from '@/ui';
import type { ResultsView } from './results-view';
import { tell } from './results-words';

/** The results of a class: each class of size by itself, places, what told equal ones apart, and the critique. */
export function ResultsList({ view }: { readonly view: ResultsView }) {
  const sizes = [...new Set(view.lines.map((one) => one.size))];
  return (
    <section aria-label={tell('trials-results.title')} className="mt-4 border-t-2 border-ink pt-3">
      <h3 className="flex flex-wrap items-baseline justify-between gap-2 text-lg font-bold">
        {tell('trials-results.title')}
        <span className="text-sm font-normal text-ink-soft">
          {tell('trials-results.aside', { open: view.open })}
        </span>
      </h3>
      {sizes.map((size) => (
        <Fragment key={size ?? ''}>
          {size !== null && <h4 className="mt-2 font-semibold">{size}</h4>}
          <ol>
            {view.lines
              .filter((one) => one.size === size)
              .map((one) => (
                <li
                  key={one.key}
                  className="grid grid-cols-[3rem_1fr] gap-x-2 border-b border-hair py-1.5 leading-snug"
                >
                  <span className="text-xl font-extrabold tabular-nums">
                    {one.place ?? tell('trials-results.no-place')}
                  </span>
                  <span>
                    <span className="font-semibold">
                      {tell('trials-results.line', { number: one.number, name: one.name })}
                    </span>
                    {one.handler !== '' && <span className="text-ink-soft"> {one.handler}</span>}
                    <span className="block">
                      {tell('trials-results.score', { said: one.said, passed: one.passed, award: one.award })}
                      {one.why !== null && `, ${one.why}`}
                    </span>
                    {one.critique.map((text) => (
                      <span key={text} className="block text-sm text-ink-soft">
                        {text}
                      </span>
                    ))}
                  </span>
                </li>
              ))}
          </ol>
        </Fragment>
      ))}
      <p className="mt-2 text-sm leading-snug text-ink-soft">{view.ties}</p>
    </section>
  );
}

export const SaveResults = ({ onSave }: { readonly onSave: () => void }) => (
  <Button onClick={onSave}>{tell('trials-results.save')}</Button>
);
