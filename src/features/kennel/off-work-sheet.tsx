import { useState } from 'react';
import { isDay } from '@/core/shared';
import { useKennelWithDog } from '@/data/live';
import { type Dog, isOffWork } from '@/data/read';
import { Button, Sheet, TextField, writeDay } from '@/ui';
import { useDogChange } from './use-dog-change';

/**
 * Off work: hurt, operated, in season, in whelp. Every room leaves the dog out until it is put back, and
 * then it begins low, on what the vet said.
 */
export function OffWorkSheet({ dog }: { readonly dog: Dog }) {
  const { today } = useKennelWithDog();
  const change = useDogChange(dog);
  const [why, setWhy] = useState('');
  const [until, setUntil] = useState('');
  const [vet, setVet] = useState('');
  const off = isOffWork(dog, today);
  const wrong = until !== '' && !(isDay(until) && until > today);
  if (off && dog.offWork)
    return (
      <Sheet title={`${dog.name} is off work`}>
        <p className="mb-3 leading-snug">
          Since {writeDay(dog.offWork.since)}
          {dog.offWork.until ? `, until ${writeDay(dog.offWork.until)}` : ''}
          {dog.offWork.why === '' ? '' : `: ${dog.offWork.why}`}.
          {dog.offWork.vet === ''
            ? ' Ask the vet how it may begin again.'
            : ` The vet said: ${dog.offWork.vet}`}
        </p>
        <Button
          size="big"
          look="ink"
          onClick={() =>
            change(
              { offWork: dog.offWork && { ...dog.offWork, until: today } },
              `${dog.name} is back: work of the body begins at its first step.`,
            )
          }
        >
          Back to work from today
        </Button>
      </Sheet>
    );
  return (
    <Sheet title="Off work" aside="hurt, operated, in season, in whelp">
      <div className="grid gap-3">
        <TextField label="Why" value={why} maxLength={120} onChange={(event) => setWhy(event.target.value)} />
        <TextField
          label="Until (empty: until you say)"
          type="date"
          value={until}
          problem={wrong ? 'A day after today, or none.' : undefined}
          onChange={(event) => setUntil(event.target.value)}
        />
        <TextField
          label="What the vet said of beginning again"
          value={vet}
          maxLength={300}
          onChange={(event) => setVet(event.target.value)}
        />
        <Button
          size="big"
          disabled={wrong || why.trim() === ''}
          onClick={() =>
            change(
              {
                offWork: {
                  since: today,
                  until: isDay(until) ? until : null,
                  why: why.trim(),
                  vet: vet.trim(),
                },
              },
              `${dog.name} is off work: no room asks anything of it.`,
            )
          }
        >
          Leave {dog.name} out of work
        </Button>
      </div>
    </Sheet>
  );
}
