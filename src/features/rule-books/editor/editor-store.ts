import { create } from 'zustand';
import type { KennelName } from '@/data/read';
import type { Draft } from './draft';

type EditorState = {
  readonly kennel: KennelName | null;
  readonly draft: Draft | null;
  readonly past: readonly Draft[];
  readonly open: (kennel: KennelName) => void;
  readonly start: (draft: Draft) => void;
  readonly change: (next: (draft: Draft) => Draft) => void;
  readonly undo: () => void;
  readonly close: () => void;
};

const keyOf = (kennel: KennelName): string => `regulon-draft-${kennel}`;

/**
 * The draft in hand and the ones before it. It is kept through a reload, since typing is work too.
 */
export const useEditor = create<EditorState>((set, get) => {
  const keep = (draft: Draft | null, past: readonly Draft[]): void => {
    const { kennel } = get();
    if (kennel && draft) localStorage.setItem(keyOf(kennel), JSON.stringify(draft));
    else if (kennel) localStorage.removeItem(keyOf(kennel));
    set({ draft, past });
  };
  return {
    kennel: null,
    draft: null,
    past: [],
    open: (kennel) => {
      if (get().kennel !== kennel) set({ kennel, draft: readKept(kennel), past: [] });
    },
    start: (draft) => keep(draft, []),
    change: (next) => {
      const { draft, past } = get();
      if (draft) keep(next(draft), [...past, draft].slice(-200));
    },
    undo: () => {
      const { past } = get();
      const last = past.at(-1);
      if (last) keep(last, past.slice(0, -1));
    },
    close: () => keep(null, []),
  };
});

function readKept(kennel: KennelName): Draft | null {
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(keyOf(kennel)) ?? 'null');
    return typeof kept === 'object' && kept !== null && 'rules' in kept ? (kept as Draft) : null;
  } catch {
    return null;
  }
}
