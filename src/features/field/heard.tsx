import { useRef } from 'react';
import { wordsOf } from '@/words';
import { tell } from './later-words';
import { usePad } from './pad-store';
import type { PadView } from './pad-view';

/**
 * For whoever listens instead of looking: the rep that went into the log just now, that one was taken back, and
 * which faults there are to choose from, each with its key.
 */
export function Heard({ view }: { readonly view: PadView }) {
  const choosing = usePad((state) => state.choosing);
  const counted = useRef({ reps: view.repCount, back: false, asked: false });
  const was = counted.current;
  if (was.reps !== view.repCount)
    counted.current = { reps: view.repCount, back: view.repCount < was.reps, asked: false };
  // A choice that closes has logged nothing yet: the rep before is not said again.
  else if (choosing !== 'outcome') counted.current = { ...was, asked: true };
  const { back, asked } = counted.current;
  return (
    <p role="status" aria-label={tell('heard.done-last')} className="sr-only">
      {choosing !== 'outcome' ? faultsToChoose(view, choosing) : asked ? '' : logged(view, back)}
    </p>
  );
}

function logged({ repCount, lastInWords }: PadView, isBack: boolean): string {
  if (isBack) return tell('heard.taken-back', { n: repCount });
  return lastInWords === null ? '' : tell('heard.rep', { n: repCount, words: lastInWords });
}

function faultsToChoose(view: PadView, choosing: 'flaw' | 'miss'): string {
  const faults = choosing === 'miss' ? view.misses : view.flaws;
  const named = faults.slice(0, 9).map((fault, i) => `${i + 1} ${wordsOf(fault.label)}`);
  return tell('heard.faults', { named: named.join(', ') });
}
