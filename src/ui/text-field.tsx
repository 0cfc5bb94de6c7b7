import { type InputHTMLAttributes, type Ref, useId } from 'react';

type Props = Omit<InputHTMLAttributes<HTMLInputElement>, 'id'> & {
  readonly label: string;
  readonly hint?: string | undefined;
  readonly problem?: string | undefined;
  readonly ref?: Ref<HTMLInputElement>;
};

/** Longer than any name or line; a field for more says so itself. */
const LONGEST = 1_000;

/** A labelled input with its hint and, when something is wrong, what and how to mend it. */
export function TextField({ label, hint, problem, className = '', ...rest }: Props) {
  const id = useId();
  const described = [hint ? `${id}-hint` : '', problem ? `${id}-problem` : ''].filter(Boolean).join(' ');
  return (
    <div className={className}>
      <label htmlFor={id} className="block text-sm font-semibold">
        {label}
      </label>
      <input
        id={id}
        aria-invalid={problem ? true : undefined}
        aria-describedby={described || undefined}
        className="mt-1 min-h-11 w-full rounded-none border-0 border-b-2 border-ink bg-paper px-2 text-lg placeholder:text-ink-soft"
        maxLength={LONGEST}
        {...rest}
      />
      {hint && (
        <p id={`${id}-hint`} className="mt-1 text-sm text-ink-soft">
          {hint}
        </p>
      )}
      {problem && (
        <p id={`${id}-problem`} role="alert" className="mt-1 text-sm font-semibold text-signal-ink">
          {problem}
        </p>
      )}
    </div>
  );
}
