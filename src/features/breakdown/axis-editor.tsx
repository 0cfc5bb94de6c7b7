import { useEffect, useState } from 'react';
import type { Axis } from '@/core/breakdown';
import type { RodData } from '@/core/evidence';
import { Rod, TextField } from '@/ui';
import { type AxisField, fieldText, withField } from './ladder-edit';

type Props = { readonly axis: Axis; readonly rod: RodData | null; readonly onChange: (axis: Axis) => void };

const FIELDS: readonly { readonly field: AxisField; readonly label: string }[] = [
  { field: 'start', label: 'Start' },
  { field: 'step', label: 'Step' },
  { field: 'demand', label: 'Demand' },
];

/** A rod with the three values that make it: start, step and demand. */
export function AxisEditor({ axis, rod, onChange }: Props) {
  return (
    <fieldset className="grid grid-cols-1 gap-4 border-0 lg:grid-cols-[1fr_24rem] lg:items-end">
      <legend className="sr-only">{axis.title}</legend>
      <div className="min-w-0">
        {rod ? <Rod data={rod} /> : <p className="font-semibold">{axis.title}: no rod can be drawn until the values fit together.</p>}
      </div>
      <div className="grid grid-cols-3 gap-3">
        {FIELDS.map(({ field, label }) => (
          <AxisInput key={field} axis={axis} field={field} label={label} onChange={onChange} />
        ))}
      </div>
    </fieldset>
  );
}

function AxisInput({
  axis,
  field,
  label,
  onChange,
}: {
  readonly axis: Axis;
  readonly field: AxisField;
  readonly label: string;
  readonly onChange: (axis: Axis) => void;
}) {
  const kept = fieldText(axis, field);
  const [text, setText] = useState(kept);
  const [problem, setProblem] = useState<string>();
  useEffect(() => setText(kept), [kept]);
  const commit = (): void => {
    const changed = text === kept ? null : withField(axis, field, text);
    setProblem(changed && !changed.ok ? changed.message : undefined);
    if (changed?.ok) onChange(changed.value);
  };
  return (
    <TextField
      label={label}
      aria-label={`${label}, ${axis.title}`}
      value={text}
      problem={problem}
      onChange={(event) => setText(event.target.value)}
      onBlur={commit}
      onKeyDown={(event) => {
        if (event.key === 'Enter') event.currentTarget.blur();
        if (event.key === 'Escape') setText(kept);
      }}
    />
  );
}
