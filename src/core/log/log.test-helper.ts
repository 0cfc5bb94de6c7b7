import fc from 'fast-check';
import type { AxisKey, BoutId, DeviceId, DogId, EntryId } from '@/core/shared';
import { asId } from '@/core/shared';
import { type Entry, plainRep, type Said } from './entry';
import { foldLog } from './fold';

const DISTANCE = asId<AxisKey>('distance');
export const at = (metres: number) => ({ [DISTANCE]: metres });

/** What a person may do on the pad, in any order. */
export type Deed =
  | { readonly deed: 'rep'; readonly outcome: 'clean' | 'flawed' | 'miss' | 'none' }
  | { readonly deed: 'judge'; readonly cause: 'dog' | 'handler' }
  | { readonly deed: 'say'; readonly more: 'held' | 'angle' | 'pay' | 'calm' | 'chip' }
  | { readonly deed: 'undo' }
  | { readonly deed: 'move'; readonly to: number }
  | { readonly deed: 'sign' | 'rest' | 'laid' | 'note' };

export const anyDeeds = fc.array(
  fc.oneof(
    {
      weight: 5,
      arbitrary: fc
        .constantFrom('clean', 'flawed', 'miss', 'none')
        .map((outcome): Deed => ({ deed: 'rep', outcome: outcome as 'clean' })),
    },
    { weight: 2, arbitrary: fc.constant<Deed>({ deed: 'undo' }) },
    {
      weight: 2,
      arbitrary: fc
        .constantFrom('dog', 'handler')
        .map((cause): Deed => ({ deed: 'judge', cause: cause as 'dog' })),
    },
    {
      weight: 3,
      arbitrary: fc
        .constantFrom('held', 'angle', 'pay', 'calm', 'chip')
        .map((more): Deed => ({ deed: 'say', more: more as 'held' })),
    },
    {
      weight: 1,
      arbitrary: fc.constantFrom(5, 10, 20).map((to): Deed => ({ deed: 'move', to })),
    },
    {
      weight: 1,
      arbitrary: fc
        .constantFrom('sign', 'rest', 'laid', 'note')
        .map((deed): Deed => ({ deed: deed as 'sign' })),
    },
  ),
  { maxLength: 40 },
);

const BY = asId<DeviceId>('here');
const entry = (seq: number, said: Said): Entry => ({
  ...said,
  id: asId<EntryId>(`e${seq}`),
  boutId: asId<BoutId>('b'),
  dogId: asId<DogId>('d'),
  seq,
  by: BY,
  at: seq,
  timed: true,
});

/** The log that those deeds write, one entry a deed that does anything. */
export function logOf(deeds: readonly Deed[], start = at(10)): Entry[] {
  const log: Entry[] = [];
  for (const deed of deeds) {
    const { reps, stands, undoTarget } = foldLog(start, log);
    const last = reps.at(-1);
    const said = saidBy(deed, {
      last: last?.id ?? null,
      stands,
      undo: undoTarget?.id ?? null,
      n: log.length,
    });
    if (said) log.push(entry(log.length, said));
  }
  return log;
}

type Now = {
  readonly last: EntryId | null;
  readonly stands: ReturnType<typeof at>;
  readonly undo: EntryId | null;
  readonly n: number;
};

function saidBy(deed: Deed, { last, stands, undo, n }: Now): Said | null {
  switch (deed.deed) {
    case 'rep':
      return { kind: 'rep', ...plainRep(stands, { outcome: deed.outcome }) };
    case 'judge':
      return last && { kind: 'amend', of: last, judged: { cause: deed.cause } };
    case 'say':
      return last && { kind: 'amend', of: last, ...MORE[deed.more](n) };
    case 'undo':
      return undo && { kind: 'undo', of: undo };
    case 'move':
      return { kind: 'move', to: at(deed.to), because: 'hand' };
    case 'sign':
      return { kind: 'sign', sign: 'panting' };
    case 'note':
      return { kind: 'note', text: `note ${n}` };
    case 'rest':
    case 'laid':
      return { kind: deed.deed };
  }
}

const MORE = {
  held: (n: number) => ({ seen: { measured: { held: { value: n, how: 'tap' as const } } } }),
  angle: (n: number) => ({ seen: { measured: { angle: { value: n, how: 'typed' as const } } } }),
  pay: (n: number) => ({ paid: { pieces: n } }),
  calm: (n: number) => ({ seen: { calm: n % 2 ? { on: n % 6 } : { off: n % 6 } } }),
  chip: (n: number) => ({ asked: { chips: { [n % 2 ? 'side' : 'hand']: String(n) } } }),
} as const;
