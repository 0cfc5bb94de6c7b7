import { useState } from 'react';
import type { DogId } from '@/core/shared';
import { useDogs, useKennel } from '@/data/live';
import { Button, Notice, SelectField, Sheet, TextField } from '@/ui';
import { wordsOf } from '@/words';
import { ReadyToHand } from '../ready-to-hand';
import { useFileWork } from '../use-file-work';
import { useReadyFile } from '../use-ready-file';
import { tell } from '../words';
import { Working } from '../working';
import { usePupils } from './pupils-store';

const WEEKS = ['4', '12', 'all'] as const;

/** Chosen dogs for their coach, as one file. */
export function PacketSheet() {
  const { kennel, now, today } = useKennel();
  const dogs = useDogs();
  const { name, sign } = usePupils();
  const work = useFileWork();
  const { ready, hand } = useReadyFile();
  const [left, setLeft] = useState<ReadonlySet<DogId>>(new Set());
  const [weeks, setWeeks] = useState<(typeof WEEKS)[number]>('12');
  const [said, setSaid] = useState<{ readonly words: string; readonly wrong: boolean } | null>(null);
  const chosen = (dogs ?? []).filter((dog) => !left.has(dog.id));
  const make = async (): Promise<void> => {
    if (chosen.length === 0) return setSaid({ words: tell('coach.no-dog'), wrong: true });
    const made = await work.run({
      kind: 'packet',
      dogs: chosen.map((dog) => dog.id),
      weeks: weeks === 'all' ? null : Number(weeks),
      today,
      by: name.trim(),
      kennel: kennel.name,
      now: now(),
    });
    if (!made.ok) return setSaid({ words: wordsOf(made.message), wrong: true });
    hand(`regulon-packet-${today}.json`, made.value.file);
    setSaid({ words: tell('coach.packet-made', { n: made.value.bouts }), wrong: false });
  };
  if (!dogs || dogs.length === 0) return null;
  return (
    <Sheet title={tell('coach.a-packet')}>
      <p className="mb-3 leading-snug">{tell('coach.packet-what')}</p>
      <fieldset className="mb-3 flex flex-wrap gap-x-5">
        <legend className="font-semibold">{tell('coach.which-dogs')}</legend>
        {dogs.map((dog) => (
          <label key={dog.id} className="flex min-h-11 items-center gap-2">
            <input
              type="checkbox"
              className="size-5 accent-ink"
              checked={!left.has(dog.id)}
              onChange={(event) => {
                const next = new Set(left);
                if (event.target.checked) next.delete(dog.id);
                else next.add(dog.id);
                setLeft(next);
              }}
            />
            {dog.name}
          </label>
        ))}
      </fieldset>
      <div className="flex flex-wrap items-end gap-3">
        <SelectField
          label={tell('coach.how-far-back')}
          value={weeks}
          options={WEEKS.map((value) => ({
            value,
            words:
              value === 'all' ? tell('coach.everything') : tell('coach.last-weeks', { weeks: Number(value) }),
          }))}
          onChange={setWeeks}
        />
        <TextField
          label={tell('coach.your-name')}
          value={name}
          autoComplete="off"
          onChange={(event) => sign(event.target.value)}
        />
        <Button look="ink" onClick={() => void make()}>
          {tell('coach.make-packet')}
        </Button>
      </div>
      <Working work={work} />
      {ready?.share && <ReadyToHand ready={ready} share={ready.share} />}
      {said && (
        <div className="mt-3">
          <Notice tone={said.wrong ? 'alert' : 'plain'} role={said.wrong ? 'alert' : 'status'}>
            {said.words}
          </Notice>
        </div>
      )}
    </Sheet>
  );
}
