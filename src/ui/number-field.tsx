import { useEffect, useState } from 'react';
import { tell } from '@/words/shell';
import { TextField } from './text-field';

type Props = {
  readonly label: string;
  readonly value: number | null;
  readonly least: number;
  readonly most: number;
  /** May be left empty, which takes null. */
  readonly open?: boolean;
  readonly onTake: (value: number | null) => void;
};

/**
 * A whole number, taken when the field is left or Enter pressed; what does not fit stays as it was
 * typed and says what would.
 */
export function NumberField({ label, value, least, most, open = false, onTake }: Props) {
  const [text, setText] = useState(String(value ?? ''));
  const [problem, setProblem] = useState<string>();
  useEffect(() => setText(String(value ?? '')), [value]);
  const commit = (): void => {
    const clean = text.trim();
    const empty = clean === '' && open;
    const number = Number(clean);
    const fits = empty || (/^\d+$/.test(clean) && number >= least && number <= most);
    setProblem(fits ? undefined : tell('number-field.a-whole-number-from-to', { least, most }));
    const taken = empty ? null : number;
    if (fits && taken !== value) onTake(taken);
  };
  return (
    <TextField
      label={label}
      inputMode="numeric"
      value={text}
      problem={problem}
      onChange={(event) => setText(event.target.value)}
      onBlur={commit}
      onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
    />
  );
}
