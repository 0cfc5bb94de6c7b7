import { type Axis, axisInWords, heldAxes } from '@/core/breakdown';
import type { RodData } from '@/core/evidence';
import { Button, Rod } from '@/ui';
import { AxisInput } from './axis-input';
import { AxisMore } from './axis-more';
import { type AxisField, valueAt } from './ladder-edit';
import { tell } from './words';

type Props = {
  readonly axis: Axis;
  readonly others: readonly Axis[];
  readonly rod: RodData | null;
  readonly onChange: (axis: Axis) => void;
  readonly onRemove: (() => void) | null;
  readonly onFind: (() => void) | null;
};

const FIELDS: readonly { readonly field: AxisField; readonly label: string }[] = [
  { field: 'start', label: tell('axis-editor.start') },
  { field: 'step', label: tell('axis-editor.step') },
  { field: 'demand', label: tell('axis-editor.demand') },
];

/** A rod with the three values that make it, and what else can be said of the axis under "more". */
export function AxisEditor({ axis, others, rod, onChange, onRemove, onFind }: Props) {
  return (
    <fieldset className="border-0">
      <legend className="sr-only">{axis.title}</legend>
      <div className="grid grid-cols-1 gap-4 lg:grid-cols-[1fr_24rem] lg:items-end">
        <div className="min-w-0">
          {rod ? (
            <Rod
              data={rod}
              onMove={axis.levels === null ? (which, at) => moveMark(axis, which, at, onChange) : null}
            />
          ) : (
            <p className="font-semibold">
              {tell('axis-editor.no-rod-can-be-drawn-until-the', { title: axis.title })}
            </p>
          )}
        </div>
        <div className="grid grid-cols-3 gap-3">
          {FIELDS.map(({ field, label }) => (
            <AxisInput key={field} axis={axis} field={field} label={label} onChange={onChange} />
          ))}
        </div>
      </div>
      {heldAxes([axis]).length > 0 && (
        <p className="mt-1 leading-snug">
          {tell('axis-editor.held-not-climbed', { asked: axisInWords(axis, axis.start) })}
        </p>
      )}
      <div className="mt-1 flex flex-wrap items-start gap-x-4">
        <AxisMore axis={axis} others={others} onChange={onChange} onRemove={onRemove} />
        {onFind && (
          <Button
            look="quiet"
            className="!px-1 text-base"
            onClick={onFind}
            aria-label={tell('axis-editor.find-where-it-can-start', { title: axis.title })}
          >
            {tell('axis-editor.find-the-start')}
          </Button>
        )}
      </div>
    </fieldset>
  );
}

/**
 * A mark of the rod was moved to a place on its scale: the value there, in round figures of the
 * person's unit.
 */
function moveMark(axis: Axis, which: 'start' | 'demand', at: number, onChange: (axis: Axis) => void): void {
  const value = valueAt(axis, at);
  if (value !== null && value !== axis[which]) onChange({ ...axis, [which]: value });
}
