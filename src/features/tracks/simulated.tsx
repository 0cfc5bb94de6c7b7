import { useState } from 'react';
import { useNavigate } from 'react-router';
import { dogOf, sentFor } from '@/core/breakdown';
import { toEarth } from '@/core/geometry';
import { receiverFixes, simulatedRun } from '@/core/learner';
import { seeded } from '@/core/shared';
import { writeTrackGpx } from '@/data/files';
import { useDogs, useKennelWithDog } from '@/data/live';
import type { SetOut } from '@/data/read';
import { Button, SelectField, Sheet, saveText } from '@/ui';
import { useOpenTrack } from './use-open-track';
import { tell } from './words';

/** Somewhere on the earth where nobody trains. */
const NOWHERE = { lat: 47.5, lon: 9.5 };

/** A collar that is simulated, for who has none: it runs a set-out with a dog's errors and writes the same file. */
export function Simulated({ setOuts }: { readonly setOuts: readonly SetOut[] }) {
  const { kennel, dog, now } = useKennelWithDog();
  const dogs = useDogs();
  const navigate = useNavigate();
  const { open } = useOpenTrack();
  const runnable = setOuts.filter(({ things }) => dogOf(things) && sentFor(things).length > 0);
  const [chosen, setChosen] = useState('');
  const setOut = runnable.find(({ id }) => id === chosen) ?? runnable[0];
  if (!setOut) return null;
  const file = (): string => {
    const seed = Math.floor(now() / 1000) % 100_000;
    return simulatedFile(setOut, dog.name, now(), seed);
  };
  const run = async (): Promise<void> => {
    const made = await open(new File([file()], 'simulated.gpx'), dogs ?? [], dog.id, {
      source: 'simulated',
      setOut: setOut.id,
    });
    if (made[0]) void navigate(`/${kennel.name}/tracks/${made[0].id}`);
  };
  return (
    <Sheet title={tell('tracks.simulated.title')}>
      <p className="leading-snug">{tell('tracks.simulated.what')}</p>
      <SelectField
        className="my-2"
        label={tell('tracks.simulated.set-out')}
        value={setOut.id}
        options={runnable.map(({ id, title }) => ({ value: id as string, words: title }))}
        onChange={setChosen}
      />
      <p className="flex flex-wrap gap-2">
        <Button onClick={() => void run()}>{tell('tracks.simulated.run')}</Button>
        <Button look="quiet" onClick={() => saveText('simulated.gpx', file(), 'application/gpx+xml')}>
          {tell('tracks.simulated.save')}
        </Button>
      </p>
    </Sheet>
  );
}

/**
 * The file of a simulated collar: the dog is sent for everything that lies there, one after the other, a few degrees
 * beside its line, hesitating once.
 */
function simulatedFile(
  setOut: Pick<SetOut, 'things' | 'north'>,
  name: string,
  at: number,
  seed: number,
): string {
  const random = seeded(seed);
  const from = dogOf(setOut.things) ?? { x: 0, y: 0 };
  let begin = 0;
  const fixes = sentFor(setOut.things).flatMap((goal) => {
    const run = simulatedRun(from, goal, {
      line: 5 * random.normal(),
      speed: 4 + 2 * random.uniform(),
      hesitates: random.uniform() < 0.5 ? [{ after: 0.4 + 0.3 * random.uniform(), seconds: 4 }] : [],
      casts: [],
    });
    const shifted = receiverFixes(run.truth, random).map((one) => ({ ...one, t: one.t + begin }));
    begin = (shifted.at(-1)?.t ?? 0) + 1;
    return shifted;
  });
  const track = fixes.map(({ t, x, y }) => ({
    ...toEarth(NOWHERE, setOut.north, { x, y }),
    at: at + t * 1000,
  }));
  return writeTrackGpx([{ name, fixes: track }]);
}
