import { useDogs, useKennelWithDog } from '@/data/live';
import { Button } from '@/ui';
import { writeNumber } from '@/words';
import { useAsked } from './asked-store';
import { MINUTES } from './one-answer';
import { tell } from './words';

/** Minutes, where, which dog: what somebody has today. A dog that trains nothing yet is asked no minutes. */
export function Ask({ trains }: { readonly trains: boolean }) {
  const { dog, today, choose } = useKennelWithDog();
  const dogs = useDogs() ?? [];
  const { minutes, place, say } = useAsked(today);
  if (!trains && dogs.length < 2) return null;
  const chip = (words: string, on: boolean, onTap: () => void) => (
    <Button
      key={words}
      look={on ? 'ink' : 'plain'}
      className="min-h-12 !px-3"
      aria-pressed={on}
      onClick={onTap}
    >
      {words}
    </Button>
  );
  return (
    <section
      aria-label={tell('today-room.what-have-you-got')}
      className="flex flex-wrap gap-x-6 gap-y-2 print:hidden"
    >
      {trains && (
        <>
          <fieldset className="flex flex-wrap items-center gap-1.5" aria-label={tell('today-room.minutes')}>
            <span className="w-16 font-semibold md:w-auto">{tell('today-room.minutes')}</span>
            {MINUTES.map((one) =>
              chip(writeNumber(one), minutes === one, () => say({ minutes: minutes === one ? null : one })),
            )}
          </fieldset>
          <fieldset className="flex flex-wrap items-center gap-1.5" aria-label={tell('today-room.where')}>
            <span className="w-16 font-semibold md:w-auto">{tell('today-room.where')}</span>
            {chip(tell('today-room.usual-place'), place === 'usual', () => say({ place: 'usual' }))}
            {chip(tell('today-room.strange-place'), place === 'strange', () => say({ place: 'strange' }))}
          </fieldset>
        </>
      )}
      {dogs.length > 1 && (
        <fieldset className="flex flex-wrap items-center gap-1.5" aria-label={tell('today-room.which-dog')}>
          <span className="w-16 font-semibold md:w-auto">{tell('today-room.dog')}</span>
          {dogs.map((one) => chip(one.name, one.id === dog.id, () => choose(one.id)))}
        </fieldset>
      )}
    </section>
  );
}
