import type { Rules } from '@/core/rulebooks';
import { Button } from '@/ui';
import { append, type Draft, type Json, listAt, put, remove, textAt } from './draft';
import { DraftField } from './draft-field';
import { useEditor } from './editor-store';
import { Choice } from './exercise-editor';

/** Conditions of passing that come in lists: those of points off, and the levels of a checklist. */
export function PassEditor({ draft, family }: { readonly draft: Draft; readonly family: Rules['family'] }) {
  if (family === 'points-off') return <PointsOffPass draft={draft} />;
  return family === 'checklist' ? <Levels draft={draft} /> : null;
}

const CONDITIONS: Readonly<Record<string, Json>> = {
  total: { kind: 'total', atLeast: 1 },
  'share-of-each': { kind: 'share-of-each', percent: 50 },
};

function PointsOffPass({ draft }: { readonly draft: Draft }) {
  const change = useEditor((state) => state.change);
  const path = ['rules', 'pass'];
  return (
    <div className="mt-4">
      <h3 className="border-b border-ink font-bold">To pass</h3>
      {listAt(draft, path).map((condition, i) => {
        const total = textAt(condition, ['kind']) === 'total';
        const field = {
          path: [total ? 'atLeast' : 'percent'],
          label: total ? 'Points in all, at least' : 'Percent of each exercise',
          kind: 'number' as const,
        };
        return (
          // biome-ignore lint/suspicious/noArrayIndexKey: a condition is its place in the list
          <div key={i} className="flex items-end gap-2 pt-2">
            <DraftField
              draft={draft}
              base={[...path, i]}
              field={field}
              context={`condition ${i + 1}`}
              className="w-52"
            />
            <Button
              look="quiet"
              aria-label={`Remove condition ${i + 1}`}
              onClick={() => change((now) => remove(now, path, i))}
            >
              Remove
            </Button>
          </div>
        );
      })}
      <div className="mt-2 flex flex-wrap gap-2">
        <Button onClick={() => change((now) => append(now, path, CONDITIONS.total ?? null))}>
          Add a total
        </Button>
        <Button onClick={() => change((now) => append(now, path, CONDITIONS['share-of-each'] ?? null))}>
          Add a share of each
        </Button>
      </div>
    </div>
  );
}

function Levels({ draft }: { readonly draft: Draft }) {
  const change = useEditor((state) => state.change);
  const path = ['rules', 'levels'];
  const groups = listAt(draft, ['rules', 'groups']).map(
    (group) => [textAt(group, ['id']), textAt(group, ['title'])] as const,
  );
  const [first] = groups;
  return (
    <div className="mt-4">
      <h3 className="border-b border-ink font-bold">Levels, lowest first</h3>
      {listAt(draft, path).map((level, l) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: a level is its place in the list
        <div key={l} className="border-b border-hair py-2">
          <div className="flex items-end gap-2">
            <DraftField
              draft={draft}
              base={[...path, l]}
              field={{ path: ['title'], label: 'Level', kind: 'text' }}
              context={`${l + 1}`}
              className="flex-1"
            />
            <Button
              look="quiet"
              aria-label={`Remove level ${l + 1}`}
              onClick={() => change((now) => remove(now, path, l))}
            >
              Remove
            </Button>
          </div>
          {listAt(level, ['needs']).map((need, n) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: a need is its place in the level
            <div key={n} className="flex items-end gap-2 pt-2 pl-4">
              <DraftField
                draft={draft}
                base={[...path, l, 'needs', n]}
                field={{ path: ['atLeast'], label: 'At least', kind: 'number' }}
                context={`level ${l + 1}, need ${n + 1}`}
                className="w-24"
              />
              <NeedGroup
                value={textAt(need, ['group'])}
                path={[...path, l, 'needs', n, 'group']}
                groups={groups}
                context={`level ${l + 1}, need ${n + 1}`}
              />
            </div>
          ))}
          <Button
            className="mt-2"
            aria-label={`Add a need to level ${l + 1}`}
            onClick={() =>
              change((now) => append(now, [...path, l, 'needs'], { group: first?.[0] ?? '', atLeast: 1 }))
            }
          >
            Add a need
          </Button>
        </div>
      ))}
      <Button
        className="mt-2"
        onClick={() =>
          change((now) =>
            append(now, path, { title: 'Next level', needs: [{ group: first?.[0] ?? '', atLeast: 1 }] }),
          )
        }
      >
        Add a level
      </Button>
    </div>
  );
}

type NeedProps = {
  readonly value: string;
  readonly path: readonly (string | number)[];
  readonly groups: readonly (readonly [string, string])[];
  readonly context: string;
};

function NeedGroup({ value, path, groups, context }: NeedProps) {
  const change = useEditor((state) => state.change);
  return (
    <Choice
      label={`Group, ${context}`}
      shown="Group"
      value={value}
      onChange={(group) => change((now) => put(now, path, group))}
    >
      {groups}
    </Choice>
  );
}
