import { type ReactNode, useId } from 'react';

type Option<T extends string> = {
  readonly value: T;
  readonly words: string;
  readonly disabled?: boolean;
  /** Options of one group stand together, under its name. */
  readonly group?: string;
};

type Props<T extends string> = {
  readonly label: string;
  /** What is seen in place of the label, which is then only read out; null shows nothing. */
  readonly shown?: ReactNode;
  /** The label stands before the list, not above it. */
  readonly beside?: boolean;
  readonly value: T;
  readonly options: readonly Option<T>[];
  readonly onChange: (value: T) => void;
  readonly className?: string;
  /** Size and weight of the list itself. */
  readonly look?: string;
};

/** One of a few: the one list to choose from in the whole application. */
export function SelectField<T extends string>(props: Props<T>) {
  const { label, shown = label, beside = false, value, options, onChange, className = '', look } = props;
  const id = useId();
  const usual = beside ? 'min-h-11 bg-paper px-2' : 'mt-1 block min-h-11 w-full bg-paper px-2 text-base';
  const groups = [...new Set(options.map((option) => option.group))];
  return (
    <div
      className={`min-w-0 max-w-full ${beside ? 'flex flex-wrap items-center justify-between gap-x-3' : ''} ${className}`}
    >
      {shown !== null && (
        <label htmlFor={id} className={beside ? '' : 'block text-sm font-semibold'}>
          {shown}
        </label>
      )}
      <select
        id={id}
        aria-label={shown === label ? undefined : label}
        className={`border-b-2 border-ink ${look ?? usual}`}
        value={value}
        onChange={(event) => {
          const chosen = options.find((option) => option.value === event.target.value);
          if (chosen) onChange(chosen.value);
        }}
      >
        {groups.map((group) =>
          group === undefined ? (
            optionsOf(options, group)
          ) : (
            <optgroup key={group} label={group}>
              {optionsOf(options, group)}
            </optgroup>
          ),
        )}
      </select>
    </div>
  );
}

const optionsOf = <T extends string>(options: readonly Option<T>[], group: string | undefined) =>
  options
    .filter((option) => option.group === group)
    .map((option) => (
      <option key={option.value} value={option.value} disabled={option.disabled}>
        {option.words}
      </option>
    ));
