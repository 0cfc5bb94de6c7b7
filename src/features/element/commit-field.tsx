import { useEffect, useState } from 'react';
import { TextField } from '@/ui';

type Props = {
  readonly label: string;
  readonly ariaLabel?: string;
  readonly hint?: string | undefined;
  readonly kept: string;
  readonly onCommit: (text: string) => string | null;
};

/**
 * A field that is taken when it is left or at Enter; Escape brings the old text back. What cannot
 * be taken stays, with the reason under it.
 */
export function CommitField({ label, ariaLabel, hint, kept, onCommit }: Props) {
  const [text, setText] = useState(kept);
  const [problem, setProblem] = useState<string>();
  useEffect(() => setText(kept), [kept]);
  return (
    <TextField
      label={label}
      aria-label={ariaLabel ?? label}
      value={text}
      hint={hint}
      problem={problem}
      onChange={(event) => setText(event.target.value)}
      onBlur={() => setProblem(text === kept ? undefined : (onCommit(text) ?? undefined))}
      onKeyDown={(event) => {
        if (event.key === 'Enter') event.currentTarget.blur();
        if (event.key === 'Escape') setText(kept);
      }}
    />
  );
}
