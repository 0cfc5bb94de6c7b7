import { isBodyWork } from '@/core/breakdown';
import type { Dog, ElementRecord, Gap } from '@/data/read';
import { Notice } from '@/ui';
import { writeDay } from '@/words';
import { tell } from './later-words';

/** A dog that is off work is asked nothing; what it waits for stands here. */
export function OffWork({ dog }: { readonly dog: Dog }) {
  const { offWork } = dog;
  if (!offWork) return null;
  const until = offWork.until ? tell('before-notes.until', { writeDay: writeDay(offWork.until) }) : '';
  return (
    <Notice tone="alert">
      {tell('before-notes.is-off-work-it-is-put-back-to-work', {
        name: dog.name,
        until,
        why: offWork.why === '' ? '' : `: ${offWork.why}`,
        vet:
          offWork.vet === ''
            ? tell('before-notes.ask-the-vet-when-and-how-it-may')
            : tell('before-notes.the-vet-said', { vet: offWork.vet }),
      })}
    </Notice>
  );
}

/** What a gap means for today, before anything is asked. */
export function GapNote({ element, gap }: { readonly element: ElementRecord; readonly gap: Gap }) {
  if (!gap.long || gap.days === null) return null;
  const since = gap.offWork
    ? tell('before-notes.it-comes-back-to-work')
    : tell('before-notes.not-worked-for-days', { days: gap.days });
  return (
    <Notice>
      {isBodyWork(element.work)
        ? tell('before-notes.warm-it-up-first-and-begin-at-the', { since, offWork: Boolean(gap.offWork) })
        : element.policy.pace.ratchet === 'keep'
          ? tell('before-notes.you-never-lower-what-was-met-begin', { since })
          : tell('before-notes.nobody-knows-what-is-left-look', { since })}
    </Notice>
  );
}
