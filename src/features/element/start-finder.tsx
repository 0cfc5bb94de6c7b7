import { useState } from 'react';
import { type Axis, nextStartTry, parseValue, type Tried, writeValue } from '@/core/breakdown';
import { Button, Dialog, Notice, TextField } from '@/ui';
import { numberCustom, wordsOf } from '@/words';
import { tell } from './words';

type Props = { readonly axis: Axis; readonly onClose: () => void; readonly onFound: (start: number) => void };

/**
 * Finds where a dog can start, in at most five reps. None of them is logged: they say nothing
 * against the dog.
 */
export function StartFinder({ axis, onClose, onFound }: Props) {
  const [guess, setGuess] = useState<number | null>(null);
  const [text, setText] = useState('');
  const [problem, setProblem] = useState<string>();
  const [tried, setTried] = useState<readonly Tried[]>([]);
  const next = guess === null ? null : nextStartTry(axis, guess, tried);
  const begin = (): void => {
    const value = parseValue(
      axis.harder === 'both' ? { ...axis, harder: 'more' } : axis,
      text,
      numberCustom(),
    );
    const first = value.ok ? nextStartTry(axis, value.value, []) : value;
    setProblem(first.ok ? undefined : wordsOf(first.message));
    if (value.ok && first.ok) setGuess(value.value);
  };
  return (
    <Dialog open onClose={onClose} title={tell('start-finder.where-can-it-start', { title: axis.title })}>
      {next === null ? (
        <div className="grid gap-3">
          <p className="leading-snug">{tell('start-finder.say-what-you-believe-it-can-do-it')}</p>
          <TextField
            label={tell('start-finder.what-it-can-surely-do')}
            value={text}
            problem={problem}
            onChange={(event) => setText(event.target.value)}
          />
          <Button look="ink" onClick={begin}>
            {tell('start-finder.begin')}
          </Button>
        </div>
      ) : !next.ok ? (
        <Notice tone="alert">{wordsOf(next.message)}</Notice>
      ) : next.value.kind === 'try' ? (
        <Try
          axis={axis}
          value={next.value.value}
          rep={next.value.rep}
          reason={wordsOf(next.value.reason)}
          onDone={(clean, value) => setTried([...tried, { value, clean }])}
        />
      ) : next.value.kind === 'found' ? (
        <Found
          axis={axis}
          value={next.value.value}
          reason={wordsOf(next.value.reason)}
          onTake={onFound}
          onClose={onClose}
        />
      ) : (
        <Notice tone="alert">{wordsOf(next.value.reason)}</Notice>
      )}
    </Dialog>
  );
}

type TryProps = {
  readonly axis: Axis;
  readonly value: number;
  readonly rep: number;
  readonly reason: string;
  readonly onDone: (clean: boolean, value: number) => void;
};

function Try({ axis, value, rep, reason, onDone }: TryProps) {
  return (
    <div className="grid gap-3" aria-live="polite">
      <p className="leading-snug">{tell('start-finder.rep-of-at-most-5', { rep, reason })}</p>
      <p className="text-4xl font-extrabold">{wordsOf(writeValue(axis, value))}</p>
      <div className="grid grid-cols-2 gap-2">
        <Button size="big" look="signal" onClick={() => onDone(true, value)}>
          {tell('start-finder.clean')}
        </Button>
        <Button size="big" onClick={() => onDone(false, value)}>
          {tell('start-finder.not-clean')}
        </Button>
      </div>
    </div>
  );
}

type FoundProps = {
  readonly axis: Axis;
  readonly value: number;
  readonly reason: string;
  readonly onTake: (start: number) => void;
  readonly onClose: () => void;
};

function Found({ axis, value, reason, onTake, onClose }: FoundProps) {
  return (
    <div className="grid gap-3" aria-live="polite">
      <p className="text-lg leading-snug">
        {tell('start-finder.start-at')} <span className="font-bold">{wordsOf(writeValue(axis, value))}</span>.{' '}
        {reason}
      </p>
      <Button
        look="signal"
        size="big"
        onClick={() => {
          onTake(value);
          onClose();
        }}
      >
        {tell('start-finder.take-it-as-the-start')}
      </Button>
    </div>
  );
}
