import { useState } from 'react';
import { useNavigate } from 'react-router';
import type { AxisKey } from '@/core/shared';
import { useKennel } from '@/data/live';
import { activeElements } from '@/data/read';
import { mergeElements, splitElement } from '@/data/write';
import { Button, Notice, SelectField, Sheet, TextField } from '@/ui';
import { wordsOf } from '@/words';
import type { Opened } from './element-room';
import { tell } from './words';

/**
 * Splitting an element in two, or joining it with another. Nothing that is logged is lost by
 * either.
 */
export function Reshape(opened: Opened) {
  const { kennel, done } = useKennel();
  const navigate = useNavigate();
  const [problem, setProblem] = useState<string>();
  const settle = async (words: string, reshaping: ReturnType<typeof splitElement>): Promise<void> => {
    const made = await done(words, reshaping);
    setProblem(made.ok ? undefined : wordsOf(made.message));
    if (made.ok) await navigate(`/${kennel.name}/breakdown`);
  };
  return (
    <Sheet title={tell('reshape.split-or-join')} aside={tell('reshape.reps-that-are-logged-stay-with-the')}>
      {problem && (
        <div className="mb-3">
          <Notice tone="alert" role="alert">
            {problem}
          </Notice>
        </div>
      )}
      <div className="grid gap-8 lg:grid-cols-2">
        <Split
          {...opened}
          onSplit={(parts) =>
            void settle(tell('reshape.split-in-two'), splitElement(kennel, opened.element.id, parts))
          }
        />
        <Join
          {...opened}
          onJoin={(other, title) =>
            void settle(tell('reshape.joined'), mergeElements(kennel, [opened.element.id, other], title))
          }
        />
      </div>
    </Sheet>
  );
}

type Side = 'first' | 'second' | 'both';
type SplitProps = Opened & { readonly onSplit: (parts: Parameters<typeof splitElement>[2]) => void };

function Split({ element, onSplit }: SplitProps) {
  const [titles, setTitles] = useState(['', '']);
  const [sides, setSides] = useState<Readonly<Record<AxisKey, Side>>>({});
  const sideOf = (key: AxisKey): Side => sides[key] ?? 'both';
  const axesOf = (side: Side) =>
    element.axes.filter((axis) => sideOf(axis.key) === side || sideOf(axis.key) === 'both');
  return (
    <form
      className="grid content-start gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        onSplit([
          { title: titles[0] ?? '', axes: axesOf('first') },
          { title: titles[1] ?? '', axes: axesOf('second') },
        ]);
      }}
    >
      <h3 className="font-bold">{tell('reshape.split-it-in-two')}</h3>
      {([tell('reshape.first-part'), tell('reshape.second-part')] as const).map((label, i) => (
        <TextField
          key={label}
          label={label}
          value={titles[i] ?? ''}
          onChange={(event) => setTitles(titles.map((title, k) => (k === i ? event.target.value : title)))}
        />
      ))}
      {element.axes.map((axis) => (
        <SelectField
          key={axis.key}
          label={tell('reshape.belongs-to', { title: axis.title })}
          beside
          value={sideOf(axis.key)}
          options={SIDES}
          onChange={(side) => setSides({ ...sides, [axis.key]: side })}
        />
      ))}
      <p>
        <Button type="submit">{tell('reshape.split-it')}</Button>
      </p>
    </form>
  );
}

type JoinProps = Opened & { readonly onJoin: (other: Opened['element']['id'], title: string) => void };

function Join({ element, state, onJoin }: JoinProps) {
  const others = activeElements(state.work).filter((one) => one.id !== element.id);
  const [chosen, setChosen] = useState('');
  const [title, setTitle] = useState('');
  const other = others.find((one) => one.id === chosen) ?? others[0];
  if (!other) return null;
  return (
    <form
      className="grid content-start gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        onJoin(other.id, title);
      }}
    >
      <h3 className="font-bold">{tell('reshape.join-it-with-another')}</h3>
      <SelectField
        label={tell('reshape.the-other')}
        value={other.id as string}
        options={others.map((one) => ({ value: one.id as string, words: one.title }))}
        onChange={setChosen}
      />
      <TextField
        label={tell('reshape.name-of-the-whole')}
        value={title}
        onChange={(event) => setTitle(event.target.value)}
      />
      <p>
        <Button type="submit">{tell('reshape.join-them')}</Button>
      </p>
    </form>
  );
}

const SIDES: readonly { readonly value: Side; readonly words: string }[] = [
  { value: 'both', words: tell('reshape.both-parts') },
  { value: 'first', words: tell('reshape.the-first') },
  { value: 'second', words: tell('reshape.the-second') },
];
