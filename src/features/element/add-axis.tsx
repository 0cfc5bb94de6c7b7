import { useState } from 'react';
import { AXIS_KINDS, type Axis, axisFrom, listAxis, readNewAxis } from '@/core/breakdown';
import { type AxisKey, asId, fail, type Result } from '@/core/shared';
import { Button, TextField } from '@/ui';

/** A further criterion: a measured one with its three values, or a list of a person's own. */
export function AddAxis({
  axes,
  onAdd,
}: {
  readonly axes: readonly Axis[];
  readonly onAdd: (axis: Axis) => void;
}) {
  const [open, setOpen] = useState(false);
  const [kind, setKind] = useState('distance');
  const [text, setText] = useState(EMPTY);
  const [problem, setProblem] = useState<string>();
  const field = (key: keyof typeof text, label: string, hint?: string) => (
    <TextField
      label={label}
      hint={hint}
      value={text[key]}
      onChange={(event) => setText({ ...text, [key]: event.target.value })}
    />
  );
  const key = asId<AxisKey>(freeKey(kind, axes));
  const add = (): void => {
    const read = readForm(kind, key, text);
    setProblem(read.ok ? undefined : read.message);
    if (!read.ok) return;
    setOpen(false);
    setText(EMPTY);
    onAdd(read.value);
  };
  if (!open)
    return (
      <p>
        <Button onClick={() => setOpen(true)}>Add a criterion</Button>
      </p>
    );
  return (
    <fieldset className="border-2 border-rule p-3">
      <legend className="px-1 font-semibold">A further criterion</legend>
      <div className="grid gap-3 sm:grid-cols-[14rem_1fr_1fr_1fr] sm:items-start">
        <label className="block text-sm font-semibold">
          Kind
          <select
            className="mt-1 block min-h-11 w-full border-b-2 border-ink bg-paper px-2 text-base font-normal"
            value={kind}
            onChange={(event) => setKind(event.target.value)}
          >
            {AXIS_KINDS.map((one) => (
              <option key={one.id} value={one.id}>
                {one.title}
              </option>
            ))}
            <option value="list">A list of steps</option>
            <option value="help">Help that fades</option>
            <option value="pay">Pay that thins out</option>
          </select>
        </label>
        {field('title', 'Name', isList(kind) ? undefined : 'its own name if left empty')}
        {isList(kind) ? (
          <div className="sm:col-span-2">
            {field('list', 'Steps, easiest first', 'for example: whole hand, half, a look, none')}
          </div>
        ) : (
          <>
            {field('start', 'Start')}
            {field('demand', 'Demand')}
            <div className="sm:col-start-2">{field('step', 'Step')}</div>
          </>
        )}
      </div>
      {problem && (
        <p role="alert" className="mt-2 text-sm font-semibold text-signal-ink">
          {problem}
        </p>
      )}
      <p className="mt-3 flex gap-3">
        <Button look="ink" onClick={add}>
          Add it
        </Button>
        <Button look="quiet" onClick={() => setOpen(false)}>
          Leave it
        </Button>
      </p>
    </fieldset>
  );
}

const EMPTY = { title: '', start: '', demand: '', step: '', list: '' };

/** Kinds that are written as a list of steps: a criterion, help, or pay. */
const isList = (kind: string): kind is 'list' | 'help' | 'pay' =>
  kind === 'list' || kind === 'help' || kind === 'pay';

function readForm(kind: string, key: AxisKey, text: typeof EMPTY): Result<Axis> {
  const title = text.title.trim();
  if (!isList(kind))
    return readNewAxis(AXIS_KINDS.find((one) => one.id === kind)?.make(key), { ...text, title });
  if (title === '') return fail('title', '', 'Give the list a name.');
  const list = listAxis(key, title, text.list, kind === 'list' ? 'criterion' : kind);
  if (!list) return fail('list', '', 'Write two steps or more, with commas, easiest first, no name twice.');
  return axisFrom(list, { start: null, demand: null, step: null });
}

function freeKey(kind: string, axes: readonly Axis[]): string {
  const taken = new Set<string>(axes.map((axis) => axis.key));
  for (let n = 1; ; n++) {
    const key = n === 1 ? kind : `${kind}-${n}`;
    if (!taken.has(key)) return key;
  }
}
