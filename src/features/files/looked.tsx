import type { KennelCounts } from '@/data/read';
import { Button } from '@/ui';
import { writeInstant } from '@/words';
import type { FileAnswers } from '@/workers/client';
import { tell } from './words';

export type Looked = FileAnswers['look'];

type WaysProps = { readonly preview: Looked; readonly bring: (how: 'add' | 'replace') => Promise<void> };

/** What can be done with a kennel's file. */
export function WaysIn({ preview, bring }: WaysProps) {
  return (
    <>
      <Button look="signal" size="big" onClick={() => void bring('add')}>
        {tell('files-room.add-what-is-new-in-it')}
      </Button>
      <p className="-mt-2 text-sm leading-snug text-ink-soft">
        {tell('files-room.for-what-another-device-has-logs')}
      </p>
      {preview.after === null ? (
        <>
          <Button size="big" onClick={() => void bring('replace')}>
            {tell('files-room.replace-it')}
          </Button>
          <p className="-mt-2 text-sm leading-snug text-ink-soft">
            {tell('files-room.puts-the-file-in-the-place-of')}
          </p>
        </>
      ) : (
        <p className="-mt-2 text-sm leading-snug text-ink-soft">
          {tell('files-room.goes-on-from', { at: writeInstant(preview.after) })}
        </p>
      )}
    </>
  );
}

/** What is in a kennel, in numbers. */
export function Contents({ counts }: { readonly counts: KennelCounts }) {
  const { dogs, elements, bouts, reps, ruleBooks, trials } = counts;
  const lines = [
    `${dogs.length === 1 ? tell('files-room.1-dog') : tell('files-room.dogs', { dogsCount: dogs.length })}${dogs.length > 0 ? `: ${dogs.join(', ')}` : ''}`,
    tell('files-room.n-element', { n: elements }),
    `${tell('files-room.n-session', { n: bouts })}, ${tell('files-room.n-rep', { n: reps })}`,
    tell('files-room.n-rule-book', { n: ruleBooks }),
    tell('files-room.n-trial', { n: trials }),
  ];
  return (
    <ul className="text-lg leading-snug">
      {lines.map((line) => (
        <li key={line} className="border-b border-hair py-0.5">
          {line}
        </li>
      ))}
    </ul>
  );
}
