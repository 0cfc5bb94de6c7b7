import { useRef } from 'react';
import { Button } from './button';
import type { ButtonLook } from './button-class';

type Props = {
  readonly label: string;
  readonly inputLabel: string;
  /** What can be chosen; JSON unless something else is said. */
  readonly accept?: string;
  readonly look?: ButtonLook;
  readonly onFile: (file: File) => void | Promise<void>;
};

/** A button that asks for one file. The same file can be chosen again after it was mended. */
export function FileButton({
  label,
  inputLabel,
  accept = '.json,application/json',
  look = 'plain',
  onFile,
}: Props) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <Button size="big" look={look} onClick={() => input.current?.click()}>
        {label}
      </Button>
      <input
        ref={input}
        type="file"
        accept={accept}
        aria-label={inputLabel}
        className="sr-only"
        tabIndex={-1}
        onChange={(event) => {
          const file = event.target.files?.[0];
          event.target.value = '';
          if (file) void onFile(file);
        }}
      />
    </>
  );
}
