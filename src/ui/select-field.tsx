import { useId } from 'react';

type Props<T extends string> = {
  readonly label: string;
  readonly value: T;
  readonly options: readonly { readonly value: T; readonly words: string; readonly disabled?: boolean }[];
  readonly onChange: (value: T) => void;
  readonly className?: string;
};

/** One of a few, with its label above. */
export function SelectField<T extends string>({ label, value, options, onChange, className = '' }: Props<T>) {
  const id = useId();
  return (
    <div className={className}>
      <label htmlFor={id} className="block text-sm font-semibold">
        {label}
      </label>
      <select
        id={id}
        className="mt-1 block min-h-11 w-full border-b-2 border-ink bg-paper px-2 text-base"
        value={value}
        onChange={(event) => onChange(event.target.value as T)}
      >
        {options.map((option) => (
          <option key={option.value} value={option.value} disabled={option.disabled}>
            {option.words}
          </option>
        ))}
      </select>
    </div>
  );
}
