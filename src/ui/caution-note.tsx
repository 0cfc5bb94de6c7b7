import type { Caution } from '@/core/planning';
import { tell, wordsOf } from '@/words/shell';
import { Notice } from './sheet';

/** One caution with why it is shown. What must hold before the work begins is marked so. */
export function CautionNote({ caution }: { readonly caution: Caution }) {
  return (
    <Notice tone={caution.must ? 'alert' : 'plain'}>
      {caution.must && <span className="font-semibold">{tell('caution-note.before-you-begin')} </span>}
      {wordsOf(caution.text)} <span className="text-ink-soft">{wordsOf(caution.why)}</span>
    </Notice>
  );
}
