import { useId } from 'react';
import type { Path } from './draft';
import { useEditor } from './editor-store';
import { written } from './made';

type Props = {
  readonly path: Path;
  readonly label: string;
  readonly value: string;
  readonly onText: (text: string) => void;
  readonly placeholder?: string;
  readonly list?: string;
  readonly decimal?: boolean;
  readonly wrong?: boolean;
  readonly describedBy?: string;
  readonly className?: string;
};

/** A cell of the table: what is typed goes into the draft at once, letter by letter, and is one step to undo. */
export function Cell({
  path,
  label,
  value,
  onText,
  placeholder,
  list,
  decimal,
  wrong,
  describedBy,
  className = '',
}: Props) {
  const leave = useEditor((state) => state.leave);
  return (
    <input
      aria-label={label}
      aria-invalid={wrong || undefined}
      aria-describedby={describedBy}
      data-cell={written(path)}
      value={value}
      placeholder={placeholder}
      list={list}
      inputMode={decimal ? 'decimal' : undefined}
      autoComplete="off"
      onChange={(event) => onText(event.target.value)}
      onBlur={leave}
      className={`min-h-11 min-w-0 border-b-2 bg-paper px-2 placeholder:text-ink-soft ${wrong ? 'border-signal-ink' : 'border-rule'} ${className}`}
    />
  );
}

type ReadProps = Omit<Props, 'wrong' | 'describedBy'> & {
  /** How it is understood, or why it is not; empty where nothing is written yet. */
  readonly understood: { readonly words: string; readonly wrong: boolean };
};

/** A cell that is written as one says it; below it stands how it is understood. */
export function ReadCell({ understood: { words, wrong }, ...rest }: ReadProps) {
  const id = useId();
  return (
    <>
      <Cell {...rest} wrong={wrong} {...(words === '' ? {} : { describedBy: id })} />
      {words !== '' && (
        <p
          id={id}
          className={`px-2 text-sm leading-snug ${wrong ? 'font-semibold text-signal-ink' : 'text-ink-soft'}`}
        >
          {words}
        </p>
      )}
    </>
  );
}
