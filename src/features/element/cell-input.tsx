import { useEffect, useState } from 'react';
import { tell } from './words';

type Props = {
  readonly label: string;
  readonly value: string;
  readonly wide?: boolean;
  readonly raised: boolean;
  readonly edited: boolean;
  /** Returns what is wrong with the text, or null when it was taken. */
  readonly onCommit: (text: string) => string | null;
};

/**
 * One cell of the ladder. What is typed is taken when the cell is left or at Enter; Escape brings
 * the old value back.
 */
export function CellInput({ label, value, wide = false, raised, edited, onCommit }: Props) {
  const [text, setText] = useState(value);
  const [problem, setProblem] = useState<string | null>(null);
  useEffect(() => setText(value), [value]);
  const commit = (): void => {
    const wrong = text === value ? null : onCommit(text);
    setProblem(wrong);
    if (wrong === null && text.trim() === '') setText(value);
  };
  return (
    <>
      <input
        aria-label={`${label}${edited ? tell('cell-input.set-by-hand') : ''}`}
        aria-invalid={problem ? true : undefined}
        value={text}
        onChange={(event) => setText(event.target.value)}
        onBlur={commit}
        onKeyDown={(event) => {
          if (event.key === 'Enter') event.currentTarget.blur();
          if (event.key === 'Escape') setText(value);
        }}
        className={`min-h-9 ${wide ? 'w-44' : 'w-24'} border-b-2 bg-transparent px-1 ${raised ? 'border-ink font-bold' : 'border-hair'} ${edited ? 'italic underline decoration-signal-ink decoration-2' : ''}`}
      />
      {problem && (
        <p role="alert" className="max-w-48 text-sm text-signal-ink">
          {problem}
        </p>
      )}
    </>
  );
}
