import { useEffect, useState } from 'react';
import { type Axis, parseValue, writeValue } from '@/core/breakdown';
import type { RodData } from '@/core/evidence';
import { asLevel } from '@/core/shared';
import { Button, Rod, TextField } from '@/ui';
import { wordsOf } from '@/words';
import { type AxisField, fieldText, valueAt, withField } from './ladder-edit';
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
export function AxisEditor(props: Props) {
  const { axis, rod, onChange, onFind } = props;
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
      <div className="mt-1 flex flex-wrap items-start gap-x-4">
        <More {...props} />
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

function More({ axis, others, onChange, onRemove }: Props) {
  const eased = (key: Axis['key']): boolean => axis.eases.includes(key);
  return (
    <details className="text-base">
      <summary
        className="min-h-11 cursor-pointer py-2.5 underline decoration-rule underline-offset-4"
        aria-label={tell('axis-editor.more-about', { title: axis.title })}
      >
        {tell('axis-editor.more')}
      </summary>
      <div className="grid gap-4 border-l-[6px] border-rule bg-paper p-3 sm:grid-cols-3">
        <AxisInput
          axis={axis}
          field="limit"
          label={tell('axis-editor.largest-step-allowed')}
          onChange={onChange}
        />
        <MarginInput axis={axis} onChange={onChange} />
        <SafetyInput axis={axis} onChange={onChange} />
        {axis.levels !== null && <Anchors axis={axis} onChange={onChange} />}
        {others.length > 0 && (
          <fieldset className="sm:col-span-3">
            <legend className="text-sm font-semibold">
              {tell('axis-editor.eases-when-this-one-is-raised-at')}
            </legend>
            {others.map((other) => (
              <label key={other.key} className="mr-5 inline-flex min-h-11 items-center gap-2">
                <input
                  type="checkbox"
                  className="size-5 accent-(--ink)"
                  checked={eased(other.key)}
                  disabled={!eased(other.key) && axis.eases.length >= 2}
                  onChange={() =>
                    onChange({
                      ...axis,
                      eases: eased(other.key)
                        ? axis.eases.filter((key) => key !== other.key)
                        : [...axis.eases, other.key],
                    })
                  }
                />
                {other.title}
              </label>
            ))}
          </fieldset>
        )}
        {onRemove && (
          <p className="sm:col-span-3">
            <Button onClick={onRemove}>{tell('axis-editor.take-this-criterion-out')}</Button>
          </p>
        )}
      </div>
    </details>
  );
}

/**
 * The steps of a list: their names, what two people would agree on at each, and further ones. Ids stay,
 * so that what was logged keeps its step; one that was logged is renamed, never removed.
 */
function Anchors({ axis, onChange }: { readonly axis: Axis; readonly onChange: (axis: Axis) => void }) {
  const levels = axis.levels ?? [];
  const put = (place: number, change: { readonly name?: string; readonly anchor?: string }): void =>
    onChange({ ...axis, levels: levels.map((one, i) => (i === place ? { ...one, ...change } : one)) });
  const named = (name: string, but: number): boolean =>
    levels.some((one, i) => i !== but && one.name.toLowerCase() === name.toLowerCase());
  const add = (end: 'first' | 'last', name: string): void => {
    const id = asLevel(Math.max(...levels.map((one) => one.id)) + 1);
    const step = { id, name, anchor: '' };
    onChange({ ...axis, levels: end === 'first' ? [step, ...levels] : [...levels, step] });
  };
  return (
    <fieldset className="grid gap-2 sm:col-span-3 sm:grid-cols-2">
      <legend className="text-sm font-semibold">{tell('axis-editor.the-steps-easiest-first-and-how')}</legend>
      {levels.map((level, i) => (
        <div key={level.id} className="contents">
          <CommitField
            label={tell('axis-editor.step-2', { i: i + 1 })}
            kept={level.name}
            onCommit={(text) => {
              const name = text.trim();
              if (name === '') return tell('axis-editor.a-step-needs-a-name-the-old-one-is');
              if (named(name, i)) return tell('axis-editor.another-step-has-that-name');
              put(i, { name });
              return null;
            }}
          />
          <CommitField
            label={`${i + 1}. ${level.name}`}
            kept={level.anchor}
            onCommit={(anchor) => {
              put(i, { anchor: anchor.trim() });
              return null;
            }}
          />
        </div>
      ))}
      {(['first', 'last'] as const).map((end) => (
        <CommitField
          key={`${end} ${levels.length}`}
          label={
            end === 'first'
              ? tell('axis-editor.a-further-step-before-the-first')
              : tell('axis-editor.a-further-step-after-the-last')
          }
          kept=""
          onCommit={(text) => {
            const name = text.trim();
            if (name === '') return null;
            if (named(name, -1)) return tell('axis-editor.another-step-has-that-name');
            add(end, name);
            return null;
          }}
        />
      ))}
    </fieldset>
  );
}

function MarginInput({ axis, onChange }: { readonly axis: Axis; readonly onChange: (axis: Axis) => void }) {
  return (
    <CommitField
      label={tell('axis-editor.proof-beyond-the-demand')}
      kept={`${Math.round(axis.margin * 100)} %`}
      onCommit={(text) => {
        const percent = Number(text.replace('%', '').replace(',', '.').trim());
        if (!(percent >= 0 && percent <= 200) || text.trim() === '')
          return tell('axis-editor.a-share-of-the-demand-from-0-to');
        onChange({ ...axis, margin: percent / 100 });
        return null;
      }}
    />
  );
}

/** "40 cm, our vet": a value and who says it, or nothing. */
function SafetyInput({ axis, onChange }: { readonly axis: Axis; readonly onChange: (axis: Axis) => void }) {
  const kept = axis.safety ? `${wordsOf(writeValue(axis, axis.safety.value))}, ${axis.safety.source}` : '';
  return (
    <CommitField
      label={tell('axis-editor.limit-for-this-dog-and-who-says-so')}
      kept={kept}
      onCommit={(text) => {
        if (text.trim() === '') onChange({ ...axis, safety: null });
        else {
          const comma = text.indexOf(',', text.search(/\d,\d/) >= 0 ? text.search(/\d,\d/) + 2 : 0);
          const source = comma < 0 ? '' : text.slice(comma + 1).trim();
          if (source === '') return tell('axis-editor.write-the-value-a-comma-and-who');
          const value = parseValue(axis, text.slice(0, comma).replace(/\u00a0/g, ' '));
          if (!value.ok) return wordsOf(value.message);
          onChange({ ...axis, safety: { value: value.value, source } });
        }
        return null;
      }}
    />
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
  return (
    <CommitField
      label={label}
      ariaLabel={`${label}, ${axis.title}`}
      kept={fieldText(axis, field)}
      onCommit={(text) => {
        const changed = withField(axis, field, text);
        if (changed.ok) onChange(changed.value);
        return changed.ok ? null : wordsOf(changed.message);
      }}
    />
  );
}

type CommitProps = {
  readonly label: string;
  readonly ariaLabel?: string;
  readonly kept: string;
  readonly onCommit: (text: string) => string | null;
};

/**
 * A field that is taken when it is left or at Enter; Escape brings the old text back. What cannot
 * be taken stays, with the reason under it.
 */
function CommitField({ label, ariaLabel, kept, onCommit }: CommitProps) {
  const [text, setText] = useState(kept);
  const [problem, setProblem] = useState<string>();
  useEffect(() => setText(kept), [kept]);
  return (
    <TextField
      label={label}
      aria-label={ariaLabel ?? label}
      value={text}
      problem={problem}
      onChange={(event) => setText(event.target.value)}
      onBlur={() => setProblem(text === kept ? undefined : (onCommit(text) ?? undefined))}
      onKeyDown={(event) => {
        if (event.key === 'Enter') event.currentTarget.blur();
        if (event.key === 'Escape') setText(kept);
      }}
    />
  );
}
