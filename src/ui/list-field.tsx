import { useEffect, useState } from 'react';
import { TextField } from './text-field';

type Props = {
  readonly label: string;
  readonly hint?: string;
  readonly items: readonly string[];
  /**
   * Called when the field is left, with names trimmed and none twice. Returns what is wrong, or
   * nothing.
   */
  readonly onTake: (items: string[]) => string | undefined;
};

/** A short list in one field, with commas. */
export function ListField({ label, hint, items, onTake }: Props) {
  const kept = items.join(', ');
  const [text, setText] = useState(kept);
  const [problem, setProblem] = useState<string>();
  useEffect(() => setText(kept), [kept]);
  const commit = (): void => {
    const read = text
      .split(',')
      .map((item) => item.trim())
      .filter(Boolean);
    const unique = read.filter(
      (item, i) => read.findIndex((other) => other.toLowerCase() === item.toLowerCase()) === i,
    );
    setProblem(unique.join(', ') === kept ? undefined : onTake(unique));
  };
  return (
    <TextField
      label={label}
      hint={hint}
      value={text}
      problem={problem}
      onChange={(event) => setText(event.target.value)}
      onBlur={commit}
      onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
    />
  );
}
