import { useState } from 'react';
import { TextField } from '@/ui';
import { readAmount } from './title-view';
import { tell } from './words';

type SaidProps = {
  readonly label: string;
  readonly name?: string;
  readonly hint?: string | undefined;
  readonly type?: 'date';
  readonly kept: string;
  /** What is wrong with what was typed; it stays as typed, and is not taken. */
  readonly problemOf?: (text: string) => string | undefined;
  readonly onTake: (text: string) => void;
};

export const amountProblem = (text: string): string | undefined =>
  readAmount(text) === undefined ? tell('titles.no-amount') : undefined;

/** A field that is taken when it is left, or with Enter; typed key by key, nothing happens before. */
export function Said({ label, name, hint, type, kept, problemOf, onTake }: SaidProps) {
  const [text, setText] = useState(kept);
  const problem = problemOf?.(text);
  const take = (): void => {
    if (text.trim() !== kept && problem === undefined) onTake(text.trim());
  };
  return (
    <TextField
      label={label}
      aria-label={name}
      hint={hint}
      type={type}
      problem={problem}
      value={text}
      onChange={(event) => setText(event.target.value)}
      onBlur={take}
      onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
    />
  );
}
