import type { Failure } from '@/core/shared';
import { Notice, PageHead } from '@/ui';
import { tellerOf, wordsOf } from '@/words';
import rules from '@/words/en/core-rules.json';
import { tell } from '@/words/shell';

// A kennel can be refused for a rule book in it: the words for that are not loaded before.
tellerOf(rules);

/** Why the kennel stays closed. */
export function Refused({ failure }: { readonly failure: Failure }) {
  return (
    <main className="mx-auto max-w-2xl p-6">
      <PageHead title={tell('kennel-frame.the-kennel-stays-closed')} />
      <Notice tone="alert" role="alert">
        {wordsOf(failure.message)}
      </Notice>
    </main>
  );
}
