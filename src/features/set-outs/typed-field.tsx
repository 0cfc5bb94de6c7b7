import { useEffect, useRef, useState } from 'react';
import type { Result } from '@/core/shared';
import { TextField } from '@/ui';
import { wordsOf } from '@/words';

type Props<T> = {
  readonly label: string;
  readonly hint?: string;
  /** As it stands, written. */
  readonly written: string;
  readonly read: (text: string) => Result<T>;
  readonly onTake: (value: T) => void;
  /** It is done each time and the field is empty again: a move, a turn. */
  readonly once?: boolean;
};

/** A value that is taken on Enter and when the field is left; what does not fit stays as it was typed. */
export function TypedField<T>({ label, hint, written, read, onTake, once = false }: Props<T>) {
  const [text, setText] = useState(written);
  const [problem, setProblem] = useState<string>();
  // Enter and then leaving the field is one taking: the other would be what Undo takes back.
  const taken = useRef<string | null>(null);
  // What another field's write changes here shows at once, except under the fingers of somebody typing.
  const shown = useRef(written);
  useEffect(() => {
    const was = shown.current;
    const isTaken = taken.current !== null;
    shown.current = written;
    taken.current = null;
    setText((typed) => (isTaken || typed === was ? written : typed));
    if (isTaken) setProblem(undefined);
  }, [written]);
  const commit = (): void => {
    const value = text.trim() === written.trim() ? null : read(text);
    setProblem(value === null || value.ok ? undefined : wordsOf(value.message));
    if (!value?.ok || (!once && taken.current === text)) return;
    taken.current = text;
    onTake(value.value);
    if (once) setText(written);
  };
  return (
    <TextField
      label={label}
      hint={hint}
      value={text}
      problem={problem}
      onChange={(event) => setText(event.target.value)}
      onBlur={commit}
      onKeyDown={(event) => event.key === 'Enter' && commit()}
    />
  );
}
