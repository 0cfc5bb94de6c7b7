import { useState } from 'react';
import type { RuleBook } from '@/core/rulebooks';
import type { ExerciseKey } from '@/core/shared';
import {
  CALL_KINDS,
  type CallKind,
  type Script,
  type ScriptDraw,
  type ScriptStep,
  usualScript,
} from '@/core/trials';
import { useKennel } from '@/data/live';
import { changeScript } from '@/data/write';
import { Button, ListField, NumberField, SelectField, Sheet, TextField } from '@/ui';
import { tell } from './words';

const KINDS: Readonly<Record<CallKind, string>> = {
  word: tell('script-editor.words'),
  shot: tell('script-editor.a-shot'),
  'passing-dog': tell('script-editor.a-dog-led-past'),
};

/** How the class is called: each step in the person’s words, how long after the one before, and what is drawn. */
export function ScriptEditor({ book, script }: { readonly book: RuleBook; readonly script: Script }) {
  const { kennel, done } = useKennel();
  // What is stored is changed, not what this page shows: two quick changes both stay.
  const put = (to: (stored: Script) => Script): void =>
    void done(null, changeScript(kennel, book.id, usualScript(book), to));
  const change = (step: ScriptStep, to: Partial<ScriptStep>): void =>
    put((stored) => ({
      ...stored,
      steps: stored.steps.map((one) => (one.key === step.key ? { ...one, ...to } : one)),
    }));
  const add = (exercise: ExerciseKey): void => {
    const step: ScriptStep = {
      key: `${exercise}/own/${crypto.randomUUID()}`,
      exercise,
      part: null,
      kind: 'word',
      words: tell('script-editor.new-step'),
      delay: { from: 2, to: 6 },
    };
    put((stored) => {
      const last = stored.steps.findLastIndex((one) => one.exercise === exercise);
      return { ...stored, steps: stored.steps.toSpliced(last + 1, 0, step) };
    });
  };
  return (
    <Sheet
      title={tell('script-editor.how-it-is-called')}
      aside={tell('script-editor.steps', { n: script.steps.length })}
    >
      <p className="leading-snug">{tell('script-editor.delays-are-drawn')}</p>
      {book.exercises.map(({ id, title }) => (
        <details key={id} className="mt-2 border-t border-rule">
          <summary className="flex min-h-11 cursor-pointer items-center font-bold underline underline-offset-4">
            {title}
          </summary>
          <ul className="grid gap-3 pb-2">
            {script.steps
              .filter((step) => step.exercise === id)
              .map((step) => (
                <StepFields
                  key={step.key}
                  step={step}
                  onChange={(to) => change(step, to)}
                  onRemove={() =>
                    put((stored) => ({
                      ...stored,
                      steps: stored.steps.filter((one) => one.key !== step.key),
                    }))
                  }
                />
              ))}
          </ul>
          <p className="flex flex-wrap gap-2 pb-3">
            <Button onClick={() => add(id)}>{tell('script-editor.a-step-more')}</Button>
            <AddDraw
              onAdd={(draw) =>
                put((stored) => ({ ...stored, draws: [...stored.draws, { ...draw, exercise: id }] }))
              }
              title={title}
            />
          </p>
        </details>
      ))}
      {script.draws.length > 0 && (
        <section className="mt-3">
          <h3 className="font-bold">{tell('script-editor.drawn-on-the-day')}</h3>
          <ul className="grid gap-3">
            {script.draws.map((draw) => (
              <DrawFields
                key={draw.key}
                draw={draw}
                onChange={(to) =>
                  put((stored) => ({
                    ...stored,
                    draws: stored.draws.map((one) => (one.key === draw.key ? { ...one, ...to } : one)),
                  }))
                }
                onRemove={() =>
                  put((stored) => ({ ...stored, draws: stored.draws.filter((one) => one.key !== draw.key) }))
                }
              />
            ))}
          </ul>
        </section>
      )}
      <p className="mt-3">
        <Button look="quiet" onClick={() => put(() => usualScript(book))}>
          {tell('script-editor.as-the-book-has-it')}
        </Button>
      </p>
    </Sheet>
  );
}

type StepProps = {
  readonly step: ScriptStep;
  readonly onChange: (to: Partial<ScriptStep>) => void;
  readonly onRemove: () => void;
};

function StepFields({ step, onChange, onRemove }: StepProps) {
  const { delay, words, kind } = step;
  const [text, setText] = useState(words);
  const take = (): void => {
    if (text.trim() !== '' && text.trim() !== words) onChange({ words: text.trim() });
  };
  return (
    <li className="grid grid-cols-2 items-end gap-2 sm:grid-cols-[1fr_9rem_5rem_5rem_auto]">
      <TextField
        className="col-span-2 sm:col-span-1"
        label={tell('script-editor.what-is-said')}
        value={text}
        onChange={(event) => setText(event.target.value)}
        onBlur={take}
        onKeyDown={(event) => event.key === 'Enter' && take()}
      />
      <SelectField
        label={tell('script-editor.kind')}
        value={kind}
        options={CALL_KINDS.map((value) => ({ value, words: KINDS[value] }))}
        onChange={(next) => onChange({ kind: next })}
      />
      <NumberField
        label={tell('script-editor.from-s')}
        value={delay.from}
        least={0}
        most={delay.to}
        onTake={(from) => from !== null && onChange({ delay: { ...delay, from } })}
      />
      <NumberField
        label={tell('script-editor.to-s')}
        value={delay.to}
        least={delay.from}
        most={600}
        onTake={(to) => to !== null && onChange({ delay: { ...delay, to } })}
      />
      <Button look="quiet" aria-label={tell('script-editor.leave-out-step', { words })} onClick={onRemove}>
        {tell('script-editor.leave-out')}
      </Button>
    </li>
  );
}

/** Positions, sides, places: what is drawn, out of what, and how many of them. */
function DrawFields({
  draw,
  onChange,
  onRemove,
}: {
  readonly draw: ScriptDraw;
  readonly onChange: (to: Partial<ScriptDraw>) => void;
  readonly onRemove: () => void;
}) {
  return (
    <li className="grid items-end gap-2 sm:grid-cols-[1fr_2fr_6rem_auto]">
      <p className="min-h-11 content-center font-semibold">{draw.title}</p>
      <ListField
        label={tell('script-editor.out-of')}
        items={draw.from}
        onTake={(from) => {
          if (from.length === 0) return tell('script-editor.out-of-nothing');
          onChange({ from, take: Math.min(draw.take, from.length) });
          return undefined;
        }}
      />
      <NumberField
        label={tell('script-editor.how-many')}
        value={draw.take}
        least={1}
        most={draw.from.length}
        onTake={(take) => take !== null && onChange({ take })}
      />
      <Button
        look="quiet"
        aria-label={tell('script-editor.leave-out-step', { words: draw.title })}
        onClick={onRemove}
      >
        {tell('script-editor.leave-out')}
      </Button>
    </li>
  );
}

/** Ready lists of what is often drawn; each can be changed afterwards. */
const READY = [
  ['sides', tell('script-editor.sides'), [tell('script-editor.left'), tell('script-editor.right')], 1],
  [
    'positions',
    tell('script-editor.positions'),
    [tell('script-editor.sit'), tell('script-editor.down'), tell('script-editor.stand')],
    3,
  ],
  ['places', tell('script-editor.places'), ['1', '2', '3', '4', '5', '6'], 1],
] as const;

function AddDraw({
  title,
  onAdd,
}: {
  readonly title: string;
  readonly onAdd: (draw: Omit<ScriptDraw, 'exercise'>) => void;
}) {
  return READY.map(([kind, words, from, take]) => (
    <Button
      key={kind}
      onClick={() =>
        onAdd({
          key: `${kind}/${crypto.randomUUID()}`,
          title: `${title}, ${words}`,
          from: [...from],
          take,
        })
      }
    >
      {tell('script-editor.draw-what', { what: words })}
    </Button>
  ));
}
