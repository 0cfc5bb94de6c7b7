import { useRef } from 'react';
import { Button } from './button';

type Props = {
  readonly label: string;
  readonly inputLabel: string;
  readonly onFile: (file: File) => void | Promise<void>;
};

/** A button that asks for one JSON file. The same file can be chosen again after it was mended. */
export function FileButton({ label, inputLabel, onFile }: Props) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <Button size="big" onClick={() => input.current?.click()}>
        {label}
      </Button>
      <input
        ref={input}
        type="file"
        accept=".json,application/json"
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
