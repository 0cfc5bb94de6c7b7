import { useId } from 'react';
import { Button } from '@/ui';
import { at, drop, insert, type Json, listAt, put, remove, textAt } from './draft';
import { written } from './made';
import {
  CheckField,
  ChoiceField,
  type FieldProps,
  type FieldsProps,
  LineField,
  type Of,
  PicksField,
  useChange,
} from './plain-fields';
import { tell } from './words';

/** Fields as they are declared, one after the other. */
export function SpecFields({ specs, ...rest }: FieldsProps) {
  return (
    <div className="flex flex-wrap items-end gap-x-3 gap-y-2">
      {specs.map((spec) => (
        <Field key={spec.path.join('.')} spec={spec} {...rest} />
      ))}
    </div>
  );
}

function Field(props: FieldProps) {
  switch (props.spec.kind) {
    case 'number':
    case 'text':
    case 'words':
      return <LineField {...props} />;
    case 'check':
      return <CheckField {...props} />;
    case 'choice':
      return <ChoiceField {...props} spec={props.spec} />;
    case 'picks':
      return <PicksField {...props} spec={props.spec} />;
    case 'rows':
      return <RowsField {...props} spec={props.spec} />;
    case 'perhaps':
      return <PerhapsField {...props} spec={props.spec} />;
    case 'by-size':
      return <BySizeField {...props} />;
  }
}

function RowsField({ draft, base, spec, context, before }: Of<'rows'>) {
  const change = useChange(before);
  const path = [...base, ...spec.path];
  const rows = listAt(draft, path);
  const takeOut = (i: number): void =>
    change((now) =>
      spec.optional && listAt(now, path).length === 1 ? drop(now, path) : remove(now, path, i),
    );
  if (rows.length === 0 && spec.starts.length === 0) return null;
  return (
    <fieldset className="w-full" data-cell={written(path)} tabIndex={-1}>
      <legend className="w-full border-b border-hair text-sm font-semibold">{spec.label}</legend>
      {rows.map((item, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: a row is its place in the list
        <div key={i} className="flex flex-wrap items-end gap-2 pt-2">
          <SpecFields
            draft={draft}
            base={[...path, i]}
            specs={spec.fields(item)}
            context={`${spec.label} ${i + 1}, ${context}`}
            {...(before ? { before } : {})}
          />
          <Button
            look="quiet"
            aria-label={tell('book-specs.take-out', { label: spec.label, i: i + 1, context })}
            onClick={() => takeOut(i)}
          >
            {tell('book-specs.take-out-short')}
          </Button>
        </div>
      ))}
      <div className="flex flex-wrap gap-2 pt-2">
        {spec.starts.map(([label, item]) => (
          <Button
            key={label}
            aria-label={`${label}, ${context}`}
            onClick={() => change((now) => insert(now, path, item(now)))}
          >
            {label}
          </Button>
        ))}
      </div>
    </fieldset>
  );
}

function PerhapsField({ draft, base, spec, context, before }: Of<'perhaps'>) {
  const change = useChange(before);
  const path = [...base, ...spec.path];
  const has = isSaid(at(draft, path));
  const id = useId();
  return (
    <div className="w-full">
      <label className="flex min-h-11 items-center gap-2 font-semibold text-sm" htmlFor={id}>
        <input
          id={id}
          type="checkbox"
          aria-label={`${spec.label}, ${context}`}
          data-cell={written(path)}
          checked={has}
          onChange={() =>
            change((now) =>
              has
                ? spec.nullable
                  ? put(now, path, null)
                  : drop(now, path)
                : put(now, path, spec.start(now)),
            )
          }
          className="size-5 accent-(--ink)"
        />
        {spec.label}
      </label>
      {has && (
        <div className="pl-7">
          <SpecFields
            draft={draft}
            base={path}
            specs={spec.fields}
            context={`${spec.label}, ${context}`}
            {...(before ? { before } : {})}
          />
        </div>
      )}
    </div>
  );
}
const isSaid = (value: Json | undefined): boolean => value !== undefined && value !== null;

function BySizeField({ draft, base, spec, context, before }: FieldProps) {
  const sizes = listAt(draft, ['sizes']);
  if (sizes.length === 0) return null;
  return (
    <SpecFields
      draft={draft}
      base={[...base, ...spec.path]}
      specs={sizes.map((size, i) => ({
        kind: 'number',
        path: [textAt(size, ['id'])],
        label: `${spec.label}: ${textAt(size, ['title']) || i + 1}`,
        optional: true,
      }))}
      context={context}
      {...(before ? { before } : {})}
    />
  );
}
