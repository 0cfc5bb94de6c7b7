import { SelectField } from '@/ui';
import { at, type Draft, drop, listAt, type Path, put, textAt, typed } from './draft';
import { useEditor } from './editor-store';
import { written } from './made';
import type { FieldSpec } from './specs';
import { shownNumber } from './typed-values';
import { tell } from './words';

export type FieldsProps = {
  readonly draft: Draft;
  readonly base: Path;
  readonly specs: readonly FieldSpec[];
  /** What they are fields of, for who does not see where they stand. */
  readonly context: string;
  /** What has to be done to the draft before a field of it can be changed. */
  readonly before?: (draft: Draft) => Draft;
};

export type FieldProps = Omit<FieldsProps, 'specs'> & { readonly spec: FieldSpec };

export const useChange = (before: FieldProps['before']) => {
  const change = useEditor((state) => state.change);
  return (next: (draft: Draft) => Draft, step?: string): void =>
    change((draft) => next(before ? before(draft) : draft), step);
};

export function LineField({ draft, base, spec, context, before }: FieldProps) {
  const change = useChange(before);
  const leave = useEditor((state) => state.leave);
  const path = [...base, ...spec.path];
  const found = at(draft, path);
  const list = spec.kind === 'words' && Array.isArray(found) ? found.join(', ') : null;
  const take = (text: string): void => change((now) => taken(now, path, spec, text), written(path));
  const wide = 'wide' in spec && spec.wide;
  const narrow = spec.kind === 'number' || ('narrow' in spec && spec.narrow);
  return (
    <label className={`block ${wide ? 'w-full' : narrow ? 'w-36' : 'min-w-44 flex-1'}`}>
      <span className="block text-sm font-semibold leading-tight">{spec.label}</span>
      <input
        aria-label={`${spec.label}, ${context}`}
        data-cell={written(path)}
        inputMode={spec.kind === 'number' ? 'decimal' : undefined}
        value={list ?? (spec.kind === 'number' ? shownNumber(draft, path) : textAt(draft, path))}
        onChange={(event) => take(event.target.value)}
        onBlur={leave}
        className="min-h-11 w-full border-b-2 border-ink bg-paper px-2"
      />
    </label>
  );
}

/** The draft with what was typed in a field; an empty one that may be left out is taken out. */
function taken(draft: Draft, path: Path, spec: FieldSpec, text: string): Draft {
  const open = 'optional' in spec && spec.optional;
  if (open && text.trim() === '')
    return 'nullable' in spec && spec.nullable ? put(draft, path, null) : drop(draft, path);
  if (spec.kind === 'number') return put(draft, path, typed(text));
  return put(draft, path, spec.kind === 'words' ? text.split(',').map((one) => one.trimStart()) : text);
}

export function CheckField({ draft, base, spec, context, before }: FieldProps) {
  const change = useChange(before);
  const path = [...base, ...spec.path];
  return (
    <label className="flex min-h-11 items-center gap-2 font-semibold text-sm">
      <input
        type="checkbox"
        aria-label={`${spec.label}, ${context}`}
        data-cell={written(path)}
        checked={at(draft, path) === true}
        onChange={(event) => change((now) => put(now, path, event.target.checked))}
        className="size-5 accent-(--ink)"
      />
      {spec.label}
    </label>
  );
}

export type Of<K extends FieldSpec['kind']> = Omit<FieldProps, 'spec'> & {
  readonly spec: Extract<FieldSpec, { readonly kind: K }>;
};

export function ChoiceField({ draft, base, spec, context, before }: Of<'choice'>) {
  const change = useChange(before);
  const path = [...base, ...spec.path];
  const value = textAt(draft, path);
  const options = spec.options(draft);
  const known = value === '' || options.some(([id]) => id === value);
  const none: readonly (readonly [string, string])[] =
    spec.none === undefined
      ? value === '' || !known
        ? [['', tell('book-specs.choose')]]
        : []
      : [['', spec.none]];
  return (
    <SelectField
      label={`${spec.label}, ${context}`}
      shown={spec.label}
      look="block min-h-11 max-w-56 bg-paper px-1"
      value={known ? value : ''}
      options={[...options, ...none].map(([id, words]) => ({ value: id, words }))}
      onChange={(id) =>
        change((now) =>
          id !== '' ? put(now, path, id) : spec.nullable ? put(now, path, null) : drop(now, path),
        )
      }
    />
  );
}

export function PicksField({ draft, base, spec, context, before }: Of<'picks'>) {
  const change = useChange(before);
  const path = [...base, ...spec.path];
  const chosen = listAt(draft, path);
  const toggle = (id: string): void =>
    change((now) => {
      const all = listAt(now, path);
      const next = all.includes(id) ? all.filter((one) => one !== id) : [...all, id];
      const ordered = spec.options(now).flatMap(([one]) => (next.includes(one) ? [one] : []));
      return ordered.length === 0 && spec.optional ? drop(now, path) : put(now, path, ordered);
    });
  return (
    <fieldset data-cell={written(path)} tabIndex={-1}>
      <legend className="text-sm font-semibold leading-tight">{spec.label}</legend>
      <div className="flex flex-wrap gap-x-4">
        {spec.options(draft).map(([id, words]) => (
          <label key={id} className="flex min-h-11 items-center gap-2">
            <input
              type="checkbox"
              aria-label={`${spec.label}: ${words}, ${context}`}
              checked={chosen.includes(id)}
              onChange={() => toggle(id)}
              className="size-5 accent-(--ink)"
            />
            {words}
          </label>
        ))}
      </div>
    </fieldset>
  );
}
