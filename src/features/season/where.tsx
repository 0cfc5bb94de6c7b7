import { useState } from 'react';
import { asId, type GroundId } from '@/core/shared';
import { useKennelWithDog } from '@/data/live';
import type { Ground, LiveDay } from '@/data/read';
import { changeLiveDay } from '@/data/write';
import { SelectField, TextField } from '@/ui';
import { tell } from './words';

/** Who is along, by name. */
export function Companions({ live }: { readonly live: LiveDay }) {
  const { kennel, done } = useKennelWithDog();
  const [text, setText] = useState(live.outing.helpers);
  const keep = (): void => {
    if (text.trim() === live.outing.helpers) return;
    void done(tell('day.companions-kept'), changeLiveDay(kennel, live.outing.id, { helpers: text.trim() }));
  };
  return (
    <TextField
      label={tell('day.companions')}
      hint={tell('day.companions-hint')}
      maxLength={80}
      value={text}
      onChange={(event) => setText(event.target.value)}
      onBlur={keep}
      onKeyDown={(event) => event.key === 'Enter' && keep()}
    />
  );
}

/** On which ground, and what the weather was like, in words. */
export function Where({ live, grounds }: { readonly live: LiveDay; readonly grounds: readonly Ground[] }) {
  const { kennel, done } = useKennelWithDog();
  const { outing } = live;
  const [text, setText] = useState(outing.weather?.words ?? '');
  const keep = (change: Parameters<typeof changeLiveDay>[2]): void =>
    void done(tell('day.kept'), changeLiveDay(kennel, outing.id, change));
  const keepWeather = (): void => {
    if (text.trim() === (outing.weather?.words ?? '')) return;
    keep({ weather: { temperature: null, wind: null, ...outing.weather, words: text.trim() } });
  };
  return (
    <>
      <SelectField
        label={tell('day.ground')}
        value={(outing.ground ?? '') as string}
        options={[
          { value: '', words: tell('day.no-ground') },
          ...grounds.map((one) => ({ value: one.id as string, words: one.name })),
        ]}
        onChange={(value) => keep({ ground: value === '' ? null : asId<GroundId>(value) })}
      />
      <TextField
        label={tell('day.weather')}
        maxLength={80}
        value={text}
        onChange={(event) => setText(event.target.value)}
        onBlur={keepWeather}
        onKeyDown={(event) => event.key === 'Enter' && keepWeather()}
      />
    </>
  );
}
