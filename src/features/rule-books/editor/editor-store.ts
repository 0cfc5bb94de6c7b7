import { create } from 'zustand';
import type { KennelName } from '@/data/read';
import { at, type Draft, type Path, textAt } from './draft';
import { keepText } from './kept-text';

/** The book that a draft corrects; null for one that is new. */
export type Origin = string | null;
type Kept = { readonly draft: Draft; readonly origin: Origin };

type EditorState = {
  readonly kennel: KennelName | null;
  readonly draft: Draft | null;
  readonly origin: Origin;
  readonly past: readonly Draft[];
  /** The field in which somebody is typing: all that is typed there is one step to undo. */
  readonly step: string | null;
  /** Ids of exercises, parts and faults that are unfolded. */
  readonly unfolded: ReadonlySet<string>;
  /** Whether the draft would outlive a reload: not where the storage is full. */
  readonly kept: boolean;
  /** Where the cursor goes next. */
  readonly target: Path | null;
  readonly open: (kennel: KennelName) => void;
  readonly start: (draft: Draft, origin?: Origin) => void;
  /** Changes the draft; with a step, changes of the same step are undone together. */
  readonly change: (next: (draft: Draft) => Draft, step?: string) => void;
  readonly leave: () => void;
  readonly undo: () => void;
  readonly close: () => void;
  readonly fold: (id: string, unfolded: boolean) => void;
  readonly goTo: (path: Path) => void;
  readonly arrived: () => void;
};

const keyOf = (kennel: KennelName): string => `regulon-draft-${kennel}`;
const NEW = { past: [], step: null, unfolded: new Set<string>(), target: null };

/**
 * The draft in hand and the ones before it. It is kept through a reload, since typing is work too.
 */
export const useEditor = create<EditorState>((set, get) => {
  const keep = (draft: Draft | null, more: Partial<EditorState>): void => {
    const { kennel, origin } = { ...get(), ...more };
    const text = draft ? JSON.stringify({ draft, origin } satisfies Kept) : null;
    set({ draft, ...more, kept: kennel === null || keepText(keyOf(kennel), text) });
  };
  return {
    kennel: null,
    draft: null,
    origin: null,
    kept: true,
    ...NEW,
    open: (kennel) => {
      if (get().kennel !== kennel) set({ kennel, ...NEW, ...readKept(kennel) });
    },
    start: (draft, origin = null) => keep(draft, { ...NEW, origin }),
    change: (next, step) => {
      const { draft, past, step: last } = get();
      if (!draft) return;
      const same = step !== undefined && step === last;
      keep(next(draft), { past: same ? past : [...past, draft].slice(-200), step: step ?? null });
    },
    leave: () => set({ step: null }),
    undo: () => {
      const { past } = get();
      const last = past.at(-1);
      if (last) keep(last, { past: past.slice(0, -1), step: null });
    },
    close: () => keep(null, { ...NEW, origin: null }),
    fold: (id, unfolded) => {
      const next = new Set(get().unfolded);
      if (unfolded) next.add(id);
      else next.delete(id);
      set({ unfolded: next });
    },
    goTo: (path) =>
      set({ target: path, unfolded: new Set([...get().unfolded, ...idsOnTheWay(get().draft, path)]) }),
    arrived: () => set({ target: null }),
  };
});

/** The exercise, and the part or fault, within which a place lies. */
function idsOnTheWay(draft: Draft | null, path: Path): string[] {
  if (!draft) return [];
  const scored = path[0] === 'rules';
  const e = path[scored ? 2 : 1];
  if (typeof e !== 'number' || (scored ? path[1] : path[0]) !== 'exercises') {
    const inSight = ['title', 'edition'].includes(String(path[0])) || (scored && path[1] !== 'awards');
    return inSight ? [] : [path[1] === 'awards' || path[0] === 'note' ? 'awards' : 'more'];
  }
  const exercise = textAt(draft, ['exercises', e, 'id']);
  const list = path[scored ? 3 : 2];
  if (list !== 'faults' && list !== 'parts')
    return list === 'title' || IN_THE_ROW.has(String(list)) ? [] : [`${exercise}-more`];
  const row = path.slice(0, scored ? 5 : 4);
  const cell = path[row.length];
  const inCells =
    path.length <= row.length + 1 && ['title', 'cost', 'demands', undefined].includes(cell as string);
  return inCells ? [exercise] : [exercise, textAt(at(draft, row) ?? null, ['id'])];
}
const IN_THE_ROW = new Set(['maximum', 'coefficient', 'attempts', 'most']);

function readKept(kennel: KennelName): Pick<EditorState, 'draft' | 'origin'> {
  try {
    const kept = JSON.parse(localStorage.getItem(keyOf(kennel)) ?? 'null') as Partial<Kept> | Draft | null;
    if (typeof kept !== 'object' || kept === null) return NO_DRAFT;
    // Before a saved book could be corrected the draft was kept by itself.
    const draft = ('rules' in kept ? kept : kept.draft) as Draft | undefined;
    const origin = 'rules' in kept ? null : ((kept.origin ?? null) as Origin);
    return isTable(draft) ? { draft, origin } : NO_DRAFT;
  } catch {
    return NO_DRAFT;
  }
}

const NO_DRAFT = { draft: null, origin: null };
const isTable = (draft: Draft | undefined): draft is Draft =>
  typeof draft === 'object' &&
  draft !== null &&
  Array.isArray(draft.exercises) &&
  typeof draft.rules === 'object';
