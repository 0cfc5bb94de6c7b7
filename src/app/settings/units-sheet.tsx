import { useState } from 'react';
import type { Region } from '@/core/shared';
import { SelectField, Sheet, useLengthChoice } from '@/ui';
import { BARE, BARE_UNITS, bareUnit, regionNow, takeBareUnit, takeRegion } from '@/words';
import { tell } from './words';

const LENGTHS = ['drawn', 'm', 'yd', 'paces'] as const;

/** What a number without a unit means, in what drawings are measured, and words of the region. */
export function UnitsSheet() {
  const [, again] = useState(0);
  const { unit, choose } = useLengthChoice();
  return (
    <>
      <Sheet title={tell('settings.a-number-without-a-unit')}>
        <p className="mb-2 leading-snug text-ink-soft">{tell('settings.what-a-bare-number-means')}</p>
        <div className="grid grid-cols-1 gap-3 sm:grid-cols-2">
          {BARE.map((bare) => (
            <SelectField
              key={bare}
              label={tell('settings.bare', { bare })}
              value={bareUnit(bare) ?? ''}
              options={[
                { value: '', words: tell('settings.as-the-method-says') },
                ...BARE_UNITS[bare].map((one) => ({ value: one as string, words: one as string })),
              ]}
              onChange={(next) => {
                takeBareUnit(bare, next);
                again((n) => n + 1);
              }}
            />
          ))}
          <SelectField
            label={tell('settings.drawings-in')}
            value={unit ?? 'drawn'}
            options={LENGTHS.map((value) => ({ value, words: tell('settings.length', { unit: value }) }))}
            onChange={(next) => choose({ unit: next === 'drawn' ? null : next })}
          />
        </div>
        {unit === 'paces' && <p className="mt-2 leading-snug">{tell('settings.paces-hint')}</p>}
      </Sheet>
      <RegionChoice />
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
    <Sheet title={tell('settings.your-words')}>
      <div className="grid grid-cols-1 gap-3 sm:grid-cols-2">
        <SelectField
          label={tell('settings.what-is-thrown-and-fetched')}
          value={region.fetched}
          options={[
            { value: 'dummy', words: tell('settings.fetched', { fetched: 'dummy' }) },
            { value: 'bumper', words: tell('settings.fetched', { fetched: 'bumper' }) },
          ]}
          onChange={(fetched) => take({ fetched })}
        />
        <SelectField
          label={tell('settings.lying-on-a-cue')}
          value={region.lying}
          options={[
            { value: 'down', words: tell('settings.lying', { lying: 'down' }) },
            { value: 'lie', words: tell('settings.lying', { lying: 'lie' }) },
          ]}
          onChange={(lying) => take({ lying })}
        />
      </div>
    </Sheet>
  );
}
