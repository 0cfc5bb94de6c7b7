import { useEffect, useRef } from 'react';
import { CALLS, type CallKind } from '@/core/coaching';
import type { Result } from '@/core/shared';
import { SelectField, TextField } from '@/ui';
import { useCaller } from './caller-store';
import type { Called } from './calls';
import { useHand } from './hand-store';
import { tell } from './later-words';
import { speak } from './signal';

const WORDS: Readonly<Record<CallKind, string>> = {
  cues: tell('caller.cue-words'),
  'left-right': tell('caller.left-or-right'),
  'return-or-call': tell('caller.go-back-or-call'),
  delay: tell('caller.the-stewards-delay'),
  reward: tell('caller.size-of-the-reward'),
  'false-move': tell('caller.a-false-move'),
};

type Props = { readonly called: Result<Called> | null; readonly repCount: number };

/**
 * The next thing to do, large, and the one after it, from an order that cannot be foreseen. It goes into
 * the rep as it was called. It is read; it is spoken only in the person's own code words and only where
 * that is switched on.
 */
export function CalledNow({ called, repCount }: Props) {
  const codes = useHand((state) => state.codes);
  const next = called?.ok ? called.value.said : undefined;
  // Spoken when a rep has been logged, never when the page opens.
  const spokenFor = useRef(repCount);
  useEffect(() => {
    if (spokenFor.current !== repCount && next !== undefined)
      speak(codes[next]?.trim().toLowerCase() === next.toLowerCase() ? undefined : codes[next]);
    spokenFor.current = repCount;
  }, [repCount, next, codes]);
  if (!called) return null;
  if (!called.ok) return <p className="leading-snug">{tell('caller.two-cue-words-at-least-are-needed')}</p>;
  return (
    <p
      className="flex items-baseline justify-between gap-4 border-2 border-ink bg-sheet px-4 py-2"
      role="status"
      aria-label={tell('caller.called')}
    >
      <span className="text-3xl font-extrabold">{called.value.words}</span>
      <span className="text-base text-ink-soft">
        {tell('caller.then', { after: called.value.after ?? tell('caller.a-new-order') })}
      </span>
    </p>
  );
}

/** What is called, if anything, and the code words that it is spoken in. */
export function Caller({ called }: Pick<Props, 'called'>) {
  const kind = useCaller((state) => state.kind);
  const choose = useCaller((state) => state.choose);
  const speech = useHand((state) => state.speech);
  return (
    <section aria-label={tell('caller.caller')} className="grid gap-2">
      <SelectField
        label={tell('caller.call-for-me')}
        beside
        className="min-h-14 border-2 border-rule px-3 text-base"
        look="min-h-14 flex-1 bg-transparent text-right text-lg font-semibold"
        value={kind ?? ''}
        options={[
          { value: '', words: tell('caller.nothing') },
          ...CALLS.map((one) => ({ value: one, words: WORDS[one] })),
        ]}
        onChange={(chosen) => choose(chosen === '' ? null : chosen)}
      />
      {speech && called?.ok && <CodeWords calls={called.value.all} />}
    </section>
  );
}

/**
 * A neutral word for each call, so that the dog never hears the cue from the telephone. A call
 * without one stays silent.
 */
function CodeWords({ calls }: { readonly calls: readonly string[] }) {
  const { codes, set } = useHand();
  return (
    <details className="border-2 border-rule px-3">
      <summary className="flex min-h-14 cursor-pointer items-center text-lg underline decoration-rule underline-offset-4">
        {tell('caller.code-words')}
      </summary>
      <p className="mb-2 leading-snug">{tell('caller.a-word-that-the-dog-does-not-know')}</p>
      <div className="grid gap-2 pb-3 sm:grid-cols-2">
        {calls.map((call) => (
          <TextField
            key={call}
            label={tell('caller.spoken-for', { call })}
            value={codes[call] ?? ''}
            maxLength={30}
            problem={
              codes[call]?.trim().toLowerCase() === call.toLowerCase()
                ? tell('caller.that-is-the-call-itself-the-dog')
                : undefined
            }
            onChange={(event) => set({ codes: { ...codes, [call]: event.target.value } })}
          />
        ))}
      </div>
    </details>
  );
}
