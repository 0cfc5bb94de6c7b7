import { useState } from 'react';
import type { DogId } from '@/core/shared';
import { useDogs, useKennel } from '@/data/live';
import { SelectField, Sheet } from '@/ui';
import { wordsOf } from '@/words';
import { useFileWork } from '../use-file-work';
import { useReadyFile } from '../use-ready-file';
import { tell } from '../words';
import { usePupils } from './pupils-store';
import { type SaidOfIt, SendIt } from './send-it';

const WEEKS = ['4', '12', 'all'] as const;

/** Chosen dogs for their coach, as one file. */
export function PacketSheet() {
  const { kennel, now, today } = useKennel();
  const dogs = useDogs();
  const name = usePupils((state) => state.name);
  const work = useFileWork();
  const { ready, hand } = useReadyFile();
  const [left, setLeft] = useState<ReadonlySet<DogId>>(new Set());
  const [weeks, setWeeks] = useState<(typeof WEEKS)[number]>('12');
  const [said, setSaid] = useState<SaidOfIt>(null);
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
      <SendIt
        work={work}
        ready={ready}
        said={said}
        make={tell('coach.make-packet')}
        look="ink"
        onMake={() => void make()}
      >
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
      </SendIt>
    </Sheet>
  );
}
