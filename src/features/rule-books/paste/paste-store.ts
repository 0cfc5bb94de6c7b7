import { create } from 'zustand';
import { type LineKind, type PastedLine, pastedLines, type Rules } from '@/core/rulebooks';
import type { KennelName } from '@/data/read';
import { keepText } from '../editor/kept-text';

/** A sheet that was pasted: its lines as they stand now, and which doubtful ones somebody has found right. */
type Pasted = {
  readonly lines: readonly PastedLine[] | null;
  readonly right: readonly number[];
  /** What was chosen; null leaves it to what the sheet says. */
  readonly family: Rules['family'] | null;
  /** What stands in the field before it is read. */
  readonly text: string;
};
type PasteState = Pasted & {
  readonly kennel: KennelName | null;
  readonly open: (kennel: KennelName) => void;
  readonly type: (text: string) => void;
  readonly read: () => void;
  /** Back to the text, with the lines as they were mended. */
  readonly again: () => void;
  readonly mend: (index: number, text: string) => void;
  readonly sayKind: (index: number, as: LineKind | null) => void;
  readonly isRight: (index: number, right: boolean) => void;
  readonly score: (family: Rules['family']) => void;
  readonly close: () => void;
};

const EMPTY: Pasted = { lines: null, right: [], family: null, text: '' };
const keyOf = (kennel: KennelName): string => `regulon-pasted-${kennel}`;

/** The pasted sheet in hand. It outlives a reload. */
export const usePaste = create<PasteState>((set, get) => {
  const keep = (next: Partial<Pasted>): void => {
    const { kennel, lines, right, family, text } = { ...get(), ...next };
    set(next);
    if (kennel) keepText(keyOf(kennel), JSON.stringify({ lines, right, family, text } satisfies Pasted));
  };
  const change = (index: number, line: Partial<PastedLine>): void =>
    keep({
      lines: (get().lines ?? []).map((one, i) => (i === index ? { ...one, ...line } : one)),
      right: get().right.filter((one) => one !== index),
    });
  return {
    kennel: null,
    ...EMPTY,
    open: (kennel) => {
      if (get().kennel !== kennel) set({ kennel, ...EMPTY, ...readKept(kennel) });
    },
    type: (text) => keep({ text }),
    read: () => keep({ lines: pastedLines(get().text), right: [] }),
    again: () => keep({ text: (get().lines ?? []).map((line) => line.text).join('\n'), lines: null }),
    mend: (index, text) => change(index, { text }),
    sayKind: (index, as) => change(index, { as }),
    isRight: (index, right) =>
      keep({ right: right ? [...get().right, index] : get().right.filter((one) => one !== index) }),
    score: (family) => keep({ family }),
    close: () => {
      const { kennel } = get();
      if (kennel) keepText(keyOf(kennel), null);
      set(EMPTY);
    },
  };
});

function readKept(kennel: KennelName): Partial<Pasted> {
  try {
    const kept = JSON.parse(localStorage.getItem(keyOf(kennel)) ?? 'null') as Pasted | null;
    return kept && typeof kept.text === 'string' && Array.isArray(kept.right) ? kept : {};
  } catch {
    return {};
  }
}
