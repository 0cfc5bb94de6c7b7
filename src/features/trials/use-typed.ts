import { useEffect, useRef, useState } from 'react';
import type { Result } from '@/core/shared';
import { wordsOf } from '@/words';

/** After so many milliseconds without a key what was typed counts, without Enter. */
const SETTLES = 700;

type Typed = {
  readonly text: string;
  readonly problem: string | undefined;
  readonly type: (text: string) => void;
  /** The field is left, or Enter pressed: what does not fit is said now. */
  readonly leave: () => void;
};

/**
 * A number that counts without Enter: as soon as nobody types, or the field is left, or the page goes.
 * While somebody types a thing that does not fit yet nothing is said. `take` is told each number once.
 */
export function useTyped(
  shown: string,
  read: (text: string) => Result<number>,
  take: (value: number) => Promise<boolean>,
  clears = false,
): Typed {
  const [text, setText] = useState(shown);
  const [problem, setProblem] = useState<string>();
  const [touched, setTouched] = useState(false);
  const taken = useRef<number | null>(null);
  const writing = useRef<Promise<boolean>>(Promise.resolve(true));
  const settle = (typed: string, over: boolean): void => {
    if (!touched && !over) return;
    const value = typed.trim() === '' ? null : read(typed);
    if (value?.ok && value.value !== taken.current) {
      taken.current = value.value;
      writing.current = take(value.value);
    }
    if (!over) return;
    setProblem(value && !value.ok ? wordsOf(value.message) : undefined);
    if (value && !value.ok) return;
    setTouched(false);
    taken.current = null;
    // What could not be written stays as it was typed, and Enter tries again.
    void writing.current.then((written) => {
      if (!written) setTouched(true);
      else if (clears) setText((now) => (now === typed ? '' : now));
    });
  };
  const latest = useRef(settle);
  latest.current = settle;
  // biome-ignore lint/correctness/useExhaustiveDependencies: what is shown comes back from the sheet
  useEffect(() => {
    if (!touched) setText(shown);
  }, [shown]);
  useEffect(() => {
    if (!touched) return;
    const timer = setTimeout(() => latest.current(text, false), SETTLES);
    return () => clearTimeout(timer);
  }, [text, touched]);
  useEffect(() => {
    const goes = (): void => latest.current(field.current, false);
    addEventListener('pagehide', goes);
    return () => {
      removeEventListener('pagehide', goes);
      goes();
    };
  }, []);
  const field = useRef(text);
  field.current = text;
  return {
    text,
    problem,
    type: (next) => {
      setTouched(true);
      setText(next);
    },
    leave: () => touched && settle(text, true),
  };
}
