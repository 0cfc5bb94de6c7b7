import { WORD_OUTCOMES, type WordOutcome } from '@/data/files';
import { SelectField, TextField } from '@/ui';
import { tell } from '../words';
import type { OpenSheet, OwnSheetState } from './use-own-sheet';

const OUTCOME_WORDS: Readonly<Record<WordOutcome, string>> = {
  clean: tell('own-sheet.is-clean'),
  flawed: tell('own-sheet.is-flawed'),
  miss: tell('own-sheet.is-miss'),
  skip: tell('own-sheet.leave-out'),
};
/** So many names of a kind are listed; what people train is fewer. */
const LISTED = 40;

type Props = {
  readonly sheet: OpenSheet;
  readonly change: OwnSheetState['change'];
  /** Names that are in the kennel. */
  readonly dogs: readonly string[];
  readonly elements: readonly string[];
};

/** What the sheet's own words and names are in the kennel. */
export function NameChoices({ sheet: { mapping, read }, change, dogs, elements }: Props) {
  if (!read) return null;
  const unknown = read.words.filter((word) => !Object.hasOwn(mapping.outcomes, word));
  const known = read.words.filter((word) => Object.hasOwn(mapping.outcomes, word));
  return (
    <div className="grid gap-4">
      {read.words.length > 0 && (
        <fieldset>
          <legend className="font-semibold">{tell('own-sheet.words-of-the-outcome')}</legend>
          <div className="mt-1 flex flex-wrap gap-3">
            {[...unknown, ...known].slice(0, LISTED).map((word) => (
              <SelectField
                key={word}
                label={word}
                value={mapping.outcomes[word] ?? ''}
                options={[
                  ...(Object.hasOwn(mapping.outcomes, word)
                    ? []
                    : [{ value: '' as const, words: tell('own-sheet.say-what-it-means') }]),
                  ...WORD_OUTCOMES.map((value) => ({ value, words: OUTCOME_WORDS[value] })),
                ]}
                onChange={(outcome) =>
                  outcome !== '' && void change({ outcomes: { ...mapping.outcomes, [word]: outcome } })
                }
              />
            ))}
          </div>
        </fieldset>
      )}
      {mapping.columns.includes('dog') ? (
        <Names
          legend={tell('own-sheet.its-dogs')}
          names={read.dogs}
          into={mapping.dogs}
          there={dogs}
          onTake={(next) => void change({ dogs: next })}
        />
      ) : (
        <div className="max-w-sm">
          <TextField
            label={tell('own-sheet.whose-sheet')}
            value={mapping.dog}
            onChange={(event) => void change({ dog: event.target.value })}
          />
        </div>
      )}
      <Names
        legend={tell('own-sheet.its-exercises')}
        names={read.elements}
        into={mapping.elements}
        there={elements}
        onTake={(next) => void change({ elements: next })}
      />
    </div>
  );
}

type NamesProps = {
  readonly legend: string;
  readonly names: readonly string[];
  readonly into: Readonly<Record<string, string | null>>;
  readonly there: readonly string[];
  readonly onTake: (into: Readonly<Record<string, string | null>>) => void;
};

const LEAVE_OUT = '\u0000out';

function Names({ legend, names, into, there, onTake }: NamesProps) {
  if (names.length === 0) return null;
  return (
    <fieldset>
      <legend className="font-semibold">{legend}</legend>
      <div className="mt-1 flex flex-wrap gap-3">
        {names.slice(0, LISTED).map((name) => {
          const key = name.toLowerCase();
          const same = there.find((one) => one.toLowerCase() === key);
          const taken = Object.hasOwn(into, key) ? (into[key] ?? LEAVE_OUT) : (same ?? name);
          const options = [
            ...(same === undefined ? [{ value: name, words: tell('own-sheet.new-one', { name }) }] : []),
            ...there.map((one) => ({ value: one, words: one })),
            { value: LEAVE_OUT, words: tell('own-sheet.leave-out') },
          ];
          return (
            <SelectField
              key={key}
              label={name}
              value={taken}
              options={options}
              onChange={(value) => onTake({ ...into, [key]: value === LEAVE_OUT ? null : value })}
            />
          );
        })}
      </div>
    </fieldset>
  );
}
