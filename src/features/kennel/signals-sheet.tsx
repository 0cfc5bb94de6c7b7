import { useState } from 'react';
import { confusables, SIGNAL_KINDS, type SignalKind } from '@/core/coaching';
import { asId, type DogId } from '@/core/shared';
import { useDogs, useKennel, useSignals, useWork } from '@/data/live';
import { activeElements, type Dog, type Signal } from '@/data/read';
import { putSignal, removeSignal, type SignalSaid } from '@/data/write';
import { Button, Notice, SelectField, Sheet, TextField } from '@/ui';
import { wordsOf } from '@/words';
import { tell } from './words';

const KIND_WORDS: Readonly<Record<SignalKind, string>> = {
  cue: tell('signals-sheet.cue'),
  marker: tell('signals-sheet.marker'),
  'keep-going': tell('signals-sheet.keep-going'),
  error: tell('signals-sheet.error'),
  release: tell('signals-sheet.release'),
  end: tell('signals-sheet.end'),
};

const NOTHING: SignalSaid = {
  id: null,
  dogId: null,
  kind: 'cue',
  word: '',
  means: '',
  stays: null,
  elements: [],
};

/** All words and signals in one list, with those that a dog may take for each other. */
export function SignalsSheet({ dog }: { readonly dog: Dog }) {
  const { kennel, done } = useKennel();
  const signals = useSignals();
  const dogs = useDogs() ?? [];
  const [said, setSaid] = useState<SignalSaid | null>(null);
  if (!signals) return null;
  const whose = (one: Signal): string =>
    dogs.find(({ id }) => id === one.dogId)?.name ?? tell('signals-sheet.all-dogs');
  const keep = async (one: SignalSaid): Promise<string | undefined> => {
    const kept = await done(
      tell('signals-sheet.is-on-the-list', { word: one.word.trim() }),
      putSignal(kennel, one),
    );
    if (kept.ok) setSaid(null);
    return kept.ok ? undefined : wordsOf(kept.message);
  };
  return (
    <Sheet title={tell('signals-sheet.words-and-signals')} aside={tell('signals-sheet.what-you-say-and-do')}>
      <div className="grid gap-3">
        {alikeInWords(signals).map((line) => (
          <Notice key={line} tone="alert">
            {line}
          </Notice>
        ))}
        <ul className="divide-y divide-hair">
          {signals.map((one) => (
            <li key={one.id} className="flex flex-wrap items-center justify-between gap-x-3 py-1">
              <span className="leading-snug">
                <span className="font-semibold">{one.word}</span>
                <span className="text-ink-soft">
                  {tell('signals-sheet.line', {
                    kind: KIND_WORDS[one.kind].toLowerCase(),
                    means: one.means === '' ? '' : tell('signals-sheet.means', { means: one.means }),
                    whose: whose(one),
                    stays: one.stays === true,
                    elements: one.elements.length,
                  })}
                </span>
              </span>
              <span className="flex">
                <Button
                  look="quiet"
                  className="!px-2"
                  aria-label={tell('signals-sheet.change-word', { word: one.word })}
                  onClick={() => setSaid(one)}
                >
                  {tell('signals-sheet.change')}
                </Button>
                <Button
                  look="quiet"
                  className="!px-2"
                  aria-label={tell('signals-sheet.take-word-off', { word: one.word })}
                  onClick={() =>
                    void done(
                      tell('signals-sheet.is-off-the-list', { word: one.word }),
                      removeSignal(kennel, one.id),
                    )
                  }
                >
                  {tell('signals-sheet.take-off')}
                </Button>
              </span>
            </li>
          ))}
        </ul>
        {signals.length === 0 && (
          <p className="leading-snug">{tell('signals-sheet.nothing-yet-cue-marker-release')}</p>
        )}
        {said ? (
          <SignalForm
            key={said.id ?? 'new'}
            said={said}
            dog={dog}
            dogs={dogs}
            onKeep={keep}
            onClose={() => setSaid(null)}
          />
        ) : (
          <p>
            <Button look="ink" onClick={() => setSaid(NOTHING)}>
              {tell('signals-sheet.write-one-down')}
            </Button>
          </p>
        )}
      </div>
    </Sheet>
  );
}

/**
 * What can be taken for what, each with what to do about it.
 * @internal
 */
export function alikeInWords(signals: readonly Signal[]): string[] {
  const of = (id: string): Signal | undefined => signals.find((one) => one.id === id);
  return confusables(signals).flatMap(({ first, second, how }) => {
    const [a, b] = [of(first), of(second)];
    if (!a || !b) return [];
    const values = {
      word: a.word,
      kind: KIND_WORDS[a.kind].toLowerCase(),
      other: b.word,
      otherKind: KIND_WORDS[b.kind].toLowerCase(),
    };
    if (how === 'alike') return [tell('signals-sheet.alike', values)];
    return [
      a.kind === b.kind
        ? tell('signals-sheet.twice', { word: a.word, kind: values.kind })
        : tell('signals-sheet.two-things', { word: a.word, kind: values.kind, otherKind: values.otherKind }),
    ];
  });
}

type FormProps = {
  readonly said: SignalSaid;
  readonly dog: Dog;
  readonly dogs: readonly Dog[];
  readonly onKeep: (said: SignalSaid) => Promise<string | undefined>;
  readonly onClose: () => void;
};

function SignalForm({ said, dog, dogs, onKeep, onClose }: FormProps) {
  const [now, setNow] = useState(said);
  const [problem, setProblem] = useState<string>();
  const work = useWork(now.dogId ?? dog.id);
  const elements = work ? activeElements(work) : [];
  return (
    <form
      className="grid gap-3 border-t border-rule pt-3 sm:grid-cols-2"
      onSubmit={(event) => {
        event.preventDefault();
        void onKeep(now).then(setProblem);
      }}
    >
      <TextField
        label={tell('signals-sheet.word-or-signal')}
        hint={tell('signals-sheet.as-you-say-it-or-what-it-is')}
        value={now.word}
        problem={problem}
        maxLength={60}
        onChange={(event) => setNow({ ...now, word: event.target.value })}
      />
      <SelectField
        label={tell('signals-sheet.what-for')}
        value={now.kind}
        options={SIGNAL_KINDS.map((kind) => ({ value: kind, words: KIND_WORDS[kind] }))}
        onChange={(kind) => setNow({ ...now, kind })}
      />
      <TextField
        label={tell('signals-sheet.what-it-means')}
        value={now.means}
        maxLength={200}
        onChange={(event) => setNow({ ...now, means: event.target.value })}
      />
      <SelectField
        label={tell('signals-sheet.for-which-dog')}
        value={(now.dogId ?? '') as string}
        options={[
          { value: '', words: tell('signals-sheet.all-dogs') },
          ...dogs.map((one) => ({ value: one.id as string, words: one.name })),
        ]}
        onChange={(id) => setNow({ ...now, dogId: id === '' ? null : asId<DogId>(id), elements: [] })}
      />
      {now.kind === 'cue' && (
        <SelectField
          label={tell('signals-sheet.does-it-stay-until-released')}
          value={now.stays === null ? '' : now.stays ? 'yes' : 'no'}
          options={[
            { value: '', words: tell('signals-sheet.not-said') },
            { value: 'yes', words: tell('signals-sheet.yes-until-the-release-word') },
            { value: 'no', words: tell('signals-sheet.no') },
          ]}
          onChange={(stays) => setNow({ ...now, stays: stays === '' ? null : stays === 'yes' })}
        />
      )}
      {elements.length > 0 && (
        <details className="sm:col-span-2">
          <summary className="min-h-11 cursor-pointer py-2.5 underline decoration-rule underline-offset-4">
            {tell('signals-sheet.which-elements', { n: now.elements.length })}
          </summary>
          <div className="grid gap-x-6 sm:grid-cols-2">
            {elements.map((element) => (
              <label key={element.id} className="flex min-h-11 items-center gap-2">
                <input
                  type="checkbox"
                  className="size-5 accent-(--ink)"
                  checked={now.elements.includes(element.id)}
                  onChange={(event) =>
                    setNow({
                      ...now,
                      elements: event.target.checked
                        ? [...now.elements, element.id]
                        : now.elements.filter((one) => one !== element.id),
                    })
                  }
                />
                {element.title}
              </label>
            ))}
          </div>
        </details>
      )}
      <p className="flex gap-3 sm:col-span-2">
        <Button type="submit" look="ink">
          {tell('signals-sheet.keep-it')}
        </Button>
        <Button look="quiet" onClick={onClose}>
          {tell('signals-sheet.leave-it')}
        </Button>
      </p>
    </form>
  );
}
