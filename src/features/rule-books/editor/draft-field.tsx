import { at, type Draft, type Json, put, textAt, typed } from './draft';
import { useEditor } from './editor-store';
import type { FieldSpec } from './fields';

type Props = {
  readonly draft: Draft;
  readonly base: readonly (string | number)[];
  readonly field: FieldSpec;
  readonly context: string;
  readonly className?: string;
  readonly list?: string;
};

/**
 * One field of the draft. What is typed goes into it at once, right or wrong: the check beside the
 * page says which.
 */
export function DraftField({ draft, base, field, context, className = 'w-32', list }: Props) {
  const change = useEditor((state) => state.change);
  const path = [...base, ...field.path];
  const label = `${field.label}, ${context}`;
  const set = (value: Json): void => change((now) => put(now, path, value));
  if (field.kind === 'check') {
    return (
      <label className="flex min-h-11 items-center gap-2 text-sm font-semibold">
        <input
          type="checkbox"
          aria-label={label}
          checked={at(draft, path) === true}
          onChange={(event) => set(event.target.checked)}
          className="size-5 accent-(--ink)"
        />
        {field.label}
      </label>
    );
  }
  const found = at(draft, path);
  const shown = field.kind === 'list' && Array.isArray(found) ? found.join(', ') : textAt(draft, path);
  const read = (text: string): Json => {
    if (field.kind === 'list') return text.split(',').map((part) => part.trim());
    if (field.kind === 'text') return text;
    // The least mark is null where there is none.
    if (text.trim() === '') return field.path.at(-1) === 'eachMark' ? null : '';
    return typed(text);
  };
  const write = (text: string): void => {
    const holder = path.slice(0, -1);
    if (field.optional && text.trim() === '') {
      change((now) => {
        const { [String(path.at(-1))]: _, ...rest } = (at(now, holder) ?? {}) as Record<string, Json>;
        return put(now, holder, rest);
      });
    } else set(read(text));
  };
  return (
    <label className={`block ${className}`}>
      <span className="block text-sm font-semibold leading-tight">{field.label}</span>
      <input
        aria-label={label}
        list={list}
        value={shown}
        onChange={(event) => write(event.target.value)}
        className="min-h-11 w-full border-b-2 border-ink bg-paper px-2"
      />
    </label>
  );
}
