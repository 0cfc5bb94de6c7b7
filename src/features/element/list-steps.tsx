import type { Axis } from '@/core/breakdown';
import { asLevel } from '@/core/shared';
import { CommitField } from './commit-field';
import { tell } from './words';

/**
 * The steps of a list: their names, what two people would agree on at each, and further ones. Ids stay,
 * so that what was logged keeps its step; one that was logged is renamed, never removed.
 */
export function ListSteps({
  axis,
  onChange,
}: {
  readonly axis: Axis;
  readonly onChange: (axis: Axis) => void;
}) {
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
