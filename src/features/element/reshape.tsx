import { useState } from 'react';
import { useNavigate } from 'react-router';
import type { AxisKey } from '@/core/shared';
import { useKennel } from '@/data/live';
import { activeElements } from '@/data/read';
import { mergeElements, splitElement } from '@/data/write';
import { Button, Notice, Sheet, TextField } from '@/ui';
import type { Opened } from './element-room';

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
    setProblem(made.ok ? undefined : made.message);
    if (made.ok) await navigate(`/${kennel.name}/breakdown`);
  };
  return (
    <Sheet
      title="Split or join"
      aside="reps that are logged stay with the undivided element until you say what they count for"
    >
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
          onSplit={(parts) => void settle('Split in two.', splitElement(kennel, opened.element.id, parts))}
        />
        <Join
          {...opened}
          onJoin={(other, title) =>
            void settle('Joined.', mergeElements(kennel, [opened.element.id, other], title))
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
      <h3 className="font-bold">Split it in two</h3>
      {(['First part', 'Second part'] as const).map((label, i) => (
        <TextField
          key={label}
          label={label}
          value={titles[i] ?? ''}
          onChange={(event) => setTitles(titles.map((title, k) => (k === i ? event.target.value : title)))}
        />
      ))}
      {element.axes.map((axis) => (
        <label key={axis.key} className="flex items-center justify-between gap-3">
          <span>{axis.title} belongs to</span>
          <select
            aria-label={`${axis.title} belongs to`}
            className="min-h-11 border-b-2 border-ink bg-paper px-2"
            value={sideOf(axis.key)}
            onChange={(event) => setSides({ ...sides, [axis.key]: event.target.value as Side })}
          >
            <option value="both">both parts</option>
            <option value="first">the first</option>
            <option value="second">the second</option>
          </select>
        </label>
      ))}
      <p>
        <Button type="submit">Split it</Button>
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
      <h3 className="font-bold">Join it with another</h3>
      <label className="block text-sm font-semibold">
        The other
        <select
          className="mt-1 block min-h-11 w-full border-b-2 border-ink bg-paper px-2 text-base font-normal"
          value={other.id}
          onChange={(event) => setChosen(event.target.value)}
        >
          {others.map((one) => (
            <option key={one.id} value={one.id}>
              {one.title}
            </option>
          ))}
        </select>
      </label>
      <TextField label="Name of the whole" value={title} onChange={(event) => setTitle(event.target.value)} />
      <p>
        <Button type="submit">Join them</Button>
      </p>
    </form>
  );
}
