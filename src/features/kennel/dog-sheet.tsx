import { useState } from 'react';
import { ageInMonths } from '@/core/planning';
import { type Day, isDay, ok, parseOne } from '@/core/shared';
import { useKennel } from '@/data/live';
import type { Dog } from '@/data/read';
import { ListField, SelectField, Sheet, TextField } from '@/ui';
import { numberCustom, wordsOf, writeNumber } from '@/words';
import { useDogChange } from './use-dog-change';
import { tell } from './words';

const SIZES: readonly (readonly [NonNullable<Dog['size']>, string])[] = [
  ['small', tell('dog-sheet.small')],
  ['medium', tell('dog-sheet.medium')],
  ['large', tell('dog-sheet.large')],
  ['giant', tell('dog-sheet.giant')],
];
const SIDES: readonly (readonly [NonNullable<Dog['betterSide']>, string])[] = [
  ['left', tell('dog-sheet.left')],
  ['right', tell('dog-sheet.right')],
  ['neither', tell('dog-sheet.neither')],
];

/** Who the dog is. What is not known stays open; nothing is assumed for it. */
export function DogSheet({ dog }: { readonly dog: Dog }) {
  const change = useDogChange(dog);
  const { today } = useKennel();
  return (
    <Sheet
      title={dog.name}
      aside={
        dog.born
          ? tell('dog-sheet.months-old', { ageInMonths: ageInMonths(dog.born, today) })
          : tell('dog-sheet.age-not-written-down')
      }
    >
      <div className="grid gap-4 sm:grid-cols-2">
        <Words
          label={tell('dog-sheet.name')}
          kept={dog.name}
          required
          onTake={(name) => change({ name }, tell('dog-sheet.name-changed'))}
        />
        <Words
          label={tell('dog-sheet.breed-in-your-words')}
          kept={dog.breed}
          onTake={(breed) => change({ breed }, tell('dog-sheet.breed-changed'))}
        />
        <Birthday
          dog={dog}
          today={today}
          onTake={(born) => change({ born }, tell('dog-sheet.birthday-changed'))}
        />
        <Choice
          label={tell('dog-sheet.size')}
          value={dog.size}
          options={SIZES}
          onTake={(size) => change({ size }, tell('dog-sheet.size-changed'))}
        />
        <Height
          dog={dog}
          onTake={(height) => change({ height }, tell('dog-sheet.height-changed', { name: dog.name }))}
        />
        <Choice
          label={tell('dog-sheet.short-nose')}
          value={dog.shortNosed === null ? null : dog.shortNosed ? 'yes' : 'no'}
          options={[
            ['yes', tell('dog-sheet.yes')],
            ['no', tell('dog-sheet.no')],
          ]}
          onTake={(answer) =>
            change({ shortNosed: answer === null ? null : answer === 'yes' }, tell('dog-sheet.build-changed'))
          }
        />
        <Choice
          label={tell('dog-sheet.better-side')}
          value={dog.betterSide}
          options={SIDES}
          onTake={(betterSide) => change({ betterSide }, tell('dog-sheet.better-side-changed'))}
        />
        <div className="sm:col-span-2">
          <ListField
            label={tell('dog-sheet.rewards-best-first')}
            items={dog.rewards}
            onTake={(rewards) => void change({ rewards }, tell('dog-sheet.rewards-changed'))}
          />
        </div>
      </div>
    </Sheet>
  );
}

type WordsProps = {
  readonly label: string;
  readonly kept: string;
  readonly required?: boolean;
  readonly onTake: (text: string) => void;
};

function Words({ label, kept, required = false, onTake }: WordsProps) {
  const [text, setText] = useState(kept);
  const clean = text.trim();
  const missing = required && clean === '';
  return (
    <TextField
      label={label}
      value={text}
      maxLength={60}
      problem={missing ? tell('dog-sheet.a-dog-needs-a-name-the-old-one-is') : undefined}
      onChange={(event) => setText(event.target.value)}
      onBlur={() => !missing && clean !== kept && onTake(clean)}
      onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
    />
  );
}

function Birthday({
  dog,
  today,
  onTake,
}: {
  readonly dog: Dog;
  readonly today: Day;
  readonly onTake: (born: Day | null) => void;
}) {
  const [text, setText] = useState<string>(dog.born ?? '');
  const [problem, setProblem] = useState<string>();
  const commit = (): void => {
    const fits = text === '' || (isDay(text) && text <= today);
    setProblem(fits ? undefined : tell('dog-sheet.a-day-in-the-past-please-what'));
    if (fits && text !== (dog.born ?? '')) onTake(text === '' ? null : (text as Day));
  };
  return (
    <TextField
      label={tell('dog-sheet.born')}
      type="date"
      max={today}
      value={text}
      problem={problem}
      onChange={(event) => setText(event.target.value)}
      onBlur={commit}
    />
  );
}

/** At the withers, in centimetres where no unit is written. Classes of height ask for it. */
function Height({ dog, onTake }: { readonly dog: Dog; readonly onTake: (height: number | null) => void }) {
  const kept = dog.height === null ? '' : writeHeight(dog.height);
  const [text, setText] = useState(kept);
  const [problem, setProblem] = useState<string>();
  const commit = (): void => {
    const read = text.trim() === '' ? ok(null) : parseOne(text, 'height', 'cm', numberCustom());
    const fits = read.ok && (read.value === null || (read.value > 0 && read.value <= 1.5));
    setProblem(read.ok ? (fits ? undefined : tell('dog-sheet.no-such-height')) : wordsOf(read.message));
    if (read.ok && fits && text.trim() !== kept) onTake(read.value);
  };
  return (
    <TextField
      label={tell('dog-sheet.height')}
      value={text}
      problem={problem}
      onChange={(event) => setText(event.target.value)}
      onBlur={commit}
      onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
    />
  );
}

const writeHeight = (metres: number): string => `${writeNumber(Math.round(metres * 1000) / 10)} cm`;

type ChoiceProps<T extends string> = {
  readonly label: string;
  readonly value: T | null;
  readonly options: readonly (readonly [T, string])[];
  readonly onTake: (value: T | null) => void;
};

function Choice<T extends string>({ label, value, options, onTake }: ChoiceProps<T>) {
  return (
    <SelectField
      label={label}
      look="mt-1 block min-h-11 w-full bg-paper px-2 text-lg"
      value={value ?? ''}
      options={[
        { value: '' as const, words: tell('dog-sheet.not-written-down') },
        ...options.map(([id, words]) => ({ value: id, words })),
      ]}
      onChange={(chosen) => onTake(chosen === '' ? null : chosen)}
    />
  );
}
