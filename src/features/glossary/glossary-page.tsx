import { useState } from 'react';
import type { Region } from '@/core/shared';
import { PageHead, SelectField } from '@/ui';
import { BARE, BARE_UNITS, bareUnit, regionNow, takeBareUnit, takeRegion } from '@/words';
import { tell } from './words';

/** The few terms that stay, in the order in which somebody meets them. */
const TERMS: readonly (readonly [term: string, means: string])[] = [
  [tell('glossary-page.element'), tell('glossary-page.element-is')],
  [tell('glossary-page.ladder'), tell('glossary-page.ladder-is')],
  [tell('glossary-page.step'), tell('glossary-page.step-is')],
  [tell('glossary-page.demand'), tell('glossary-page.demand-is')],
  [tell('glossary-page.rep'), tell('glossary-page.rep-is')],
  [tell('glossary-page.counts'), tell('glossary-page.counts-is')],
  [tell('glossary-page.cue'), tell('glossary-page.cue-is')],
  [tell('glossary-page.silent'), tell('glossary-page.silent-is')],
  [tell('glossary-page.easy'), tell('glossary-page.easy-is')],
  [tell('glossary-page.handler'), tell('glossary-page.handler-is')],
  [tell('glossary-page.band'), tell('glossary-page.band-is')],
  [tell('glossary-page.cold'), tell('glossary-page.cold-is')],
  [tell('glossary-page.simulated'), tell('glossary-page.simulated-is')],
];

export function GlossaryPage() {
  return (
    <>
      <PageHead title={tell('glossary-page.title')}>{tell('glossary-page.few')}</PageHead>
      <RegionChoice />
      <BareUnits />
      <dl className="grid max-w-3xl gap-4">
        {TERMS.map(([term, means]) => (
          <div key={term} className="border-l-[6px] border-rule pl-3">
            <dt className="text-lg font-bold leading-tight">{term}</dt>
            <dd className="leading-snug">{means}</dd>
          </div>
        ))}
      </dl>
    </>
  );
}

/** Words of the region: a choice loads the page again, so that every word of it is the chosen one. */
function RegionChoice() {
  const region = regionNow();
  const take = (change: Partial<Region>): void => {
    takeRegion({ ...region, ...change });
    globalThis.location.reload();
  };
  return (
    <section
      aria-label={tell('glossary-page.your-words')}
      className="mb-6 grid max-w-3xl gap-3 sm:grid-cols-2"
    >
      <SelectField
        label={tell('glossary-page.what-is-thrown-and-fetched')}
        value={region.fetched}
        options={[
          { value: 'dummy', words: tell('glossary-page.fetched', { fetched: 'dummy' }) },
          { value: 'bumper', words: tell('glossary-page.fetched', { fetched: 'bumper' }) },
        ]}
        onChange={(fetched) => take({ fetched })}
      />
      <SelectField
        label={tell('glossary-page.lying-on-a-cue')}
        value={region.lying}
        options={[
          { value: 'down', words: tell('glossary-page.lying', { lying: 'down' }) },
          { value: 'lie', words: tell('glossary-page.lying', { lying: 'lie' }) },
        ]}
        onChange={(lying) => take({ lying })}
      />
    </section>
  );
}

/** What a number without a unit means; what is there already keeps the unit in which it was typed. */
function BareUnits() {
  const [, again] = useState(0);
  return (
    <section aria-label={tell('glossary-page.a-number-without-a-unit')} className="mb-6 max-w-3xl">
      <h2 className="text-lg font-bold">{tell('glossary-page.a-number-without-a-unit')}</h2>
      <p className="mb-2 leading-snug text-ink-soft">{tell('glossary-page.what-a-bare-number-means')}</p>
      <div className="grid gap-3 sm:grid-cols-3">
        {BARE.map((bare) => (
          <SelectField
            key={bare}
            label={tell('glossary-page.bare', { bare })}
            value={bareUnit(bare) ?? ''}
            options={[
              { value: '', words: tell('glossary-page.as-the-method-says') },
              ...BARE_UNITS[bare].map((unit) => ({ value: unit as string, words: unit as string })),
            ]}
            onChange={(unit) => {
              takeBareUnit(bare, unit);
              again((n) => n + 1);
            }}
          />
        ))}
      </div>
    </section>
  );
}
