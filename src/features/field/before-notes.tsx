import { isBodyWork } from '@/core/breakdown';
import type { Dog, ElementRecord, Gap } from '@/data/read';
import { Notice, writeDay } from '@/ui';

/** A dog that is off work is asked nothing; what it waits for stands here. */
export function OffWork({ dog }: { readonly dog: Dog }) {
  const { offWork } = dog;
  if (!offWork) return null;
  const until = offWork.until ? ` until ${writeDay(offWork.until)}` : '';
  return (
    <Notice tone="alert">
      {dog.name} is off work{until}
      {offWork.why === '' ? '' : `: ${offWork.why}`}.{' '}
      {offWork.vet === '' ? 'Ask the vet when and how it may begin again.' : `The vet said: ${offWork.vet}`}{' '}
      It is put back to work under Kennel.
    </Notice>
  );
}

/** What a gap means for today, before anything is asked. */
export function GapNote({ element, gap }: { readonly element: ElementRecord; readonly gap: Gap }) {
  if (!gap.long || gap.days === null) return null;
  const since = gap.offWork ? 'It comes back to work' : `Not worked for ${gap.days} days`;
  return (
    <Notice>
      {isBodyWork(element.work)
        ? `${since}: warm it up first, and begin at the first step. No old height, hold, pull or run is asked of a body${gap.offWork ? ', and what the vet said comes first' : ''}.`
        : element.policy.pace.ratchet === 'keep'
          ? `${since}. You never lower what was met: begin with a sure one, and help once if it is needed.`
          : `${since}: nobody knows what is left. Look first, cold, before you teach.`}
    </Notice>
  );
}
