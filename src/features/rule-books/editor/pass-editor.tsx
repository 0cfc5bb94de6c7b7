import type { Rules } from '@/core/rulebooks';
import { Button } from '@/ui';
import { tell } from '../words';
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
      <h3 className="border-b border-ink font-bold">{tell('pass-editor.to-pass')}</h3>
      {listAt(draft, path).map((condition, i) => {
        const total = textAt(condition, ['kind']) === 'total';
        const field = {
          path: [total ? 'atLeast' : 'percent'],
          label: total
            ? tell('pass-editor.points-in-all-at-least')
            : tell('pass-editor.percent-of-each-exercise'),
          kind: 'number' as const,
        };
        return (
          // biome-ignore lint/suspicious/noArrayIndexKey: a condition is its place in the list
          <div key={i} className="flex items-end gap-2 pt-2">
            <DraftField
              draft={draft}
              base={[...path, i]}
              field={field}
              context={tell('pass-editor.condition', { i: i + 1 })}
              className="w-52"
            />
            <Button
              look="quiet"
              aria-label={tell('pass-editor.remove-condition', { i: i + 1 })}
              onClick={() => change((now) => remove(now, path, i))}
            >
              {tell('pass-editor.remove')}
            </Button>
          </div>
        );
      })}
      <div className="mt-2 flex flex-wrap gap-2">
        <Button onClick={() => change((now) => append(now, path, CONDITIONS.total ?? null))}>
          {tell('pass-editor.add-a-total')}
        </Button>
        <Button onClick={() => change((now) => append(now, path, CONDITIONS['share-of-each'] ?? null))}>
          {tell('pass-editor.add-a-share-of-each')}
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
      <h3 className="border-b border-ink font-bold">{tell('pass-editor.levels-lowest-first')}</h3>
      {listAt(draft, path).map((level, l) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: a level is its place in the list
        <div key={l} className="border-b border-hair py-2">
          <div className="flex items-end gap-2">
            <DraftField
              draft={draft}
              base={[...path, l]}
              field={{ path: ['title'], label: tell('pass-editor.level'), kind: 'text' }}
              context={`${l + 1}`}
              className="flex-1"
            />
            <Button
              look="quiet"
              aria-label={tell('pass-editor.remove-level', { l: l + 1 })}
              onClick={() => change((now) => remove(now, path, l))}
            >
              {tell('pass-editor.remove')}
            </Button>
          </div>
          {listAt(level, ['needs']).map((need, n) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: a need is its place in the level
            <div key={n} className="flex items-end gap-2 pt-2 pl-4">
              <DraftField
                draft={draft}
                base={[...path, l, 'needs', n]}
                field={{ path: ['atLeast'], label: tell('pass-editor.at-least'), kind: 'number' }}
                context={tell('pass-editor.level-need', { l: l + 1, n: n + 1 })}
                className="w-24"
              />
              <NeedGroup
                value={textAt(need, ['group'])}
                path={[...path, l, 'needs', n, 'group']}
                groups={groups}
                context={tell('pass-editor.level-need', { l: l + 1, n: n + 1 })}
              />
            </div>
          ))}
          <Button
            className="mt-2"
            aria-label={tell('pass-editor.add-a-need-to-level', { l: l + 1 })}
            onClick={() =>
              change((now) => append(now, [...path, l, 'needs'], { group: first?.[0] ?? '', atLeast: 1 }))
            }
          >
            {tell('pass-editor.add-a-need')}
          </Button>
        </div>
      ))}
      <Button
        className="mt-2"
        onClick={() =>
          change((now) =>
            append(now, path, {
              title: tell('pass-editor.next-level'),
              needs: [{ group: first?.[0] ?? '', atLeast: 1 }],
            }),
          )
        }
      >
        {tell('pass-editor.add-a-level')}
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
      label={tell('pass-editor.group', { context })}
      shown={tell('pass-editor.group-2')}
      value={value}
      onChange={(group) => change((now) => put(now, path, group))}
    >
      {groups}
    </Choice>
  );
}
