import { isBodyWork } from '@/core/breakdown';
import type { Sentence } from '@/core/shared';
import { useKennel } from '@/data/live';
import type { Dog, ElementRecord, Gap } from '@/data/read';
import { changeElement } from '@/data/write';
import { Button, Notice } from '@/ui';
import { wordsOf, writeDay } from '@/words';
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

/** What it builds on, and the tap for a dog that has it already without a log. */
export function Waits({
  element,
  waits,
}: {
  readonly element: ElementRecord;
  readonly waits: readonly Sentence[];
}) {
  const { kennel, done } = useKennel();
  return (
    <div className="border-l-[6px] border-rule bg-paper px-3 py-2 leading-snug">
      <p>{tell('before-card.it-waits')}</p>
      <ul className="list-disc pl-5">
        {waits.map((wait) => (
          <li key={wordsOf(wait)}>{wordsOf(wait)}</li>
        ))}
      </ul>
      <p className="mt-1 text-ink-soft">{tell('before-card.you-can-work-it-all-the-same')}</p>
      <Button
        look="quiet"
        size="big"
        onClick={() =>
          void done(
            tell('before-card.nothing-is-waited-for'),
            changeElement(kennel, element.id, { needs: [] }),
          )
        }
      >
        {tell('before-card.it-has-that-already')}
      </Button>
    </div>
  );
}
