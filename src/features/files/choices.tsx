import { useId } from 'react';
import type { Difference } from './apart-view';
import { tell } from './words';

type Props = {
  /** Whose version each is, and when it was changed. */
  readonly heads: readonly string[];
  readonly rows: readonly Difference[];
  /** Which version is chosen, by the key of a row; the first where nobody chose. */
  readonly choice: Readonly<Record<string, number>>;
  readonly onChoose: (key: string, version: number) => void;
};

/** Versions side by side, one thing a row; of each the person takes the one that is right. */
export function Choices({ heads, rows, choice, onChoose }: Props) {
  const own = useId();
  return (
    <div className="my-2 grid gap-3">
      {rows.map((row) => (
        <fieldset key={row.key} className="border-t border-hair pt-2">
          <legend className="float-left mb-1 font-semibold text-sm">
            {row.label || tell('apart-words.of-which-nobody-has-a-word')}
          </legend>
          <div className="clear-both grid gap-2 sm:grid-cols-2">
            {row.said.map((said, version) => {
              const chosen = (choice[row.key] ?? 0) === version;
              return (
                <label
                  // A version has no name of its own but its place.
                  // biome-ignore lint/suspicious/noArrayIndexKey: versions never change places
                  key={version}
                  className={`flex min-h-11 cursor-pointer items-start gap-2 rounded border-2 px-3 py-2 leading-snug ${chosen ? 'border-ink' : 'border-ink-soft'}`}
                >
                  <input
                    type="radio"
                    name={`${own}-${row.key}`}
                    checked={chosen}
                    onChange={() => onChoose(row.key, version)}
                    className="mt-1 size-4 accent-ink"
                  />
                  <span>
                    <span className="block text-ink-soft text-sm">{heads[version]}</span>
                    {said}
                  </span>
                </label>
              );
            })}
          </div>
        </fieldset>
      ))}
    </div>
  );
}
