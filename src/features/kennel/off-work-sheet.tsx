import { useState } from 'react';
import { isDay } from '@/core/shared';
import { useKennelWithDog } from '@/data/live';
import { type Dog, isOffWork } from '@/data/read';
import { Button, Sheet, TextField } from '@/ui';
import { writeDay } from '@/words';
import { useDogChange } from './use-dog-change';
import { tell } from './words';

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
      <Sheet title={tell('off-work-sheet.is-off-work', { name: dog.name })}>
        <p className="mb-3 leading-snug">
          {tell('off-work-sheet.since', {
            writeDay: writeDay(dog.offWork.since),
            until: dog.offWork.until
              ? tell('off-work-sheet.until', { writeDay: writeDay(dog.offWork.until) })
              : '',
            why: dog.offWork.why === '' ? '' : `: ${dog.offWork.why}`,
            vet:
              dog.offWork.vet === ''
                ? tell('off-work-sheet.ask-the-vet-how-it-may-begin-again')
                : tell('off-work-sheet.the-vet-said', { vet: dog.offWork.vet }),
          })}
        </p>
        <Button
          size="big"
          look="ink"
          onClick={() =>
            change(
              { offWork: dog.offWork && { ...dog.offWork, until: today } },
              tell('off-work-sheet.is-back-work-of-the-body-begins-at', { name: dog.name }),
            )
          }
        >
          {tell('off-work-sheet.back-to-work-from-today')}
        </Button>
      </Sheet>
    );
  return (
    <Sheet
      title={tell('off-work-sheet.off-work')}
      aside={tell('off-work-sheet.hurt-operated-in-season-in-whelp')}
    >
      <div className="grid gap-3">
        <TextField
          label={tell('off-work-sheet.why')}
          value={why}
          maxLength={120}
          onChange={(event) => setWhy(event.target.value)}
        />
        <TextField
          label={tell('off-work-sheet.until-empty-until-you-say')}
          type="date"
          value={until}
          problem={wrong ? tell('off-work-sheet.a-day-after-today-or-none') : undefined}
          onChange={(event) => setUntil(event.target.value)}
        />
        <TextField
          label={tell('off-work-sheet.what-the-vet-said-of-beginning')}
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
              tell('off-work-sheet.is-off-work-no-room-asks-anything', { name: dog.name }),
            )
          }
        >
          {tell('off-work-sheet.leave-out-of-work', { name: dog.name })}
        </Button>
      </div>
    </Sheet>
  );
}
