import { SelectField } from '@/ui';
import { COST_FIELDS, COST_STARTS, costOptions } from './cost-specs';
import { at, type Draft, type Path, put, textAt } from './draft';
import { useEditor } from './editor-store';
import { faultFields } from './row-specs';
import { SpecFields } from './spec-fields';
import { familyIn, smallestOf, unfolded } from './typed-values';
import { tell } from './words';

/** What a fault says seldom, and its price number by number. */
export function FaultMore({
  draft,
  exercise,
  path,
  context,
}: {
  readonly draft: Draft;
  readonly exercise: number;
  readonly path: Path;
  readonly context: string;
}) {
  const change = useEditor((state) => state.change);
  const opened = (now: Draft): Draft => {
    const whole = unfolded(at(now, path) ?? null, smallestOf(now));
    return whole === null ? now : put(now, path, whole);
  };
  const whole = opened(draft);
  const miss = at(whole, [...path, 'miss']) === true;
  const kind = textAt(whole, [...path, 'cost', 'kind']);
  const specs = faultFields(draft, exercise).filter(
    (spec) => !miss || ['ability', 'category', 'stops', 'across'].includes(String(spec.path[0])),
  );
  const fields = { draft: whole, context, before: opened };
  return (
    <div className="grid gap-3">
      <div className="flex flex-wrap items-end gap-x-3 gap-y-2">
        <SelectField
          label={tell('book-cost.kind-of', { context })}
          shown={tell('book-cost.kind')}
          look="block min-h-11 max-w-56 bg-paper px-1"
          value={kind}
          options={[
            ...costOptions(familyIn(draft)).map(([value, words]) => ({ value, words })),
            ...(kind === '' ? [{ value: '', words: tell('book-specs.choose') }] : []),
          ]}
          onChange={(next) => change((now) => put(opened(now), [...path, 'cost'], COST_STARTS[next] ?? null))}
        />
        <SpecFields {...fields} base={[...path, 'cost']} specs={COST_FIELDS[kind] ?? []} />
      </div>
      <SpecFields {...fields} base={path} specs={specs} />
    </div>
  );
}
