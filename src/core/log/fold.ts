import type { Criteria } from '@/core/breakdown';
import type { ArticleEvent, BodySign } from '@/core/coaching';
import type { EntryId } from '@/core/shared';
import type { Amendment, Entry, RepEntry, RepSaid } from './entry';

/** A rep as it stands after all that was said of it later. `corrected`: it was said otherwise first. */
export type StandingRep = RepSaid & {
  readonly id: EntryId;
  readonly at: number;
  readonly timed: boolean;
  readonly corrected: boolean;
  /** A rest was taken since the rep before. */
  readonly rested: boolean;
};

/** A sign of the body; `over` says why it no longer holds, null while it does. */
export type StandingSign = {
  readonly id: EntryId;
  readonly at: number;
  readonly sign: BodySign;
  readonly over: string | null;
};

/** What a bout's log comes to. */
export type Folded = {
  readonly reps: readonly StandingRep[];
  /** Where the dog stands: the last move, or where the bout began. */
  readonly stands: Criteria;
  /** What the next undo takes back: the last thing that somebody tapped and that still stands. */
  readonly undoTarget: Entry | null;
  /** What has happened to numbered articles, oldest first. */
  readonly articles: readonly ArticleEvent[];
  /** How many things lie out: confirmed ones less those picked up. A refusal or a void send leaves one. */
  readonly lying: number;
  /** Which of the set-out lie there, the first laid first; '' where nobody said. What was picked up first is gone first. */
  readonly lyingThings: readonly string[];
  readonly signs: readonly StandingSign[];
  readonly notes: readonly { readonly id: EntryId; readonly at: number; readonly text: string }[];
  /** The reps of a cold probe that is not decided yet; null where none is under way. */
  readonly probe: readonly StandingRep[] | null;
  /** Whether the dog is off on business of its own just now. */
  readonly off: boolean;
  /** Entries that an undo took back. */
  readonly undone: ReadonlySet<EntryId>;
};

/** What happens by itself is not taken back by hand. */
const NOT_TAPPED: ReadonlySet<Entry['kind']> = new Set(['undo', 'rest', 'time-out', 'clock'] as const);

/**
 * Folds a log, in its order, into what stands: undone entries are left out, amended reps say what
 * was said last, key by key. An undo names one entry and is itself final.
 */
export function foldLog(start: Criteria, entries: readonly Entry[]): Folded {
  const undone = new Set(entries.flatMap((entry) => (entry.kind === 'undo' ? [entry.of] : [])));
  const reps = new Map<EntryId, StandingRep>();
  const waiting = new Map<EntryId, Amendment[]>();
  const signs = new Map<EntryId, StandingSign>();
  const notes = new Map<EntryId, Folded['notes'][number]>();
  const order: {
    readonly kind: 'washed' | 'out-of-use' | 'touched' | 'rep';
    readonly id: EntryId;
    readonly article: string;
  }[] = [];
  let [stands, target, off] = [start, null as Entry | null, false];
  const laid: string[] = [];
  let probe = null as EntryId[] | null;
  let rested = false;
  for (const entry of entries) {
    if (undone.has(entry.id)) continue;
    if (!NOT_TAPPED.has(entry.kind)) target = entry;
    switch (entry.kind) {
      case 'rep':
        reps.set(entry.id, amended(standing(entry, rested), waiting.get(entry.id) ?? []));
        rested = false;
        order.push({ kind: 'rep', id: entry.id, article: '' });
        probe?.push(entry.id);
        break;
      case 'amend': {
        // Two devices may have written it before its rep in the common order.
        const rep = reps.get(entry.of);
        if (rep) reps.set(entry.of, amended(rep, [entry]));
        else waiting.set(entry.of, [...(waiting.get(entry.of) ?? []), entry]);
        break;
      }
      case 'move':
        stands = entry.to;
        probe = entry.because === 'probe' ? [] : null;
        break;
      case 'sign':
        signs.set(entry.id, { id: entry.id, at: entry.at, sign: entry.sign, over: null });
        break;
      case 'sign-over': {
        const sign = signs.get(entry.of);
        if (sign) signs.set(entry.of, { ...sign, over: entry.why });
        break;
      }
      case 'note':
        notes.set(entry.id, { id: entry.id, at: entry.at, text: entry.text });
        break;
      case 'restate': {
        const [note, sign] = [notes.get(entry.of), signs.get(entry.of)];
        if (note && entry.text !== undefined) notes.set(note.id, { ...note, text: entry.text });
        if (sign && entry.sign !== undefined) signs.set(sign.id, { ...sign, sign: entry.sign });
        break;
      }
      case 'off':
        off = !entry.back;
        break;
      case 'rest':
        rested = true;
        break;
      case 'clock':
        rested ||= entry.what === 'rest';
        break;
      case 'laid':
        laid.push(entry.thing ?? '');
        break;
      case 'washed':
        order.push({ kind: 'washed', id: entry.id, article: '' });
        break;
      case 'out-of-use':
      case 'touched':
        order.push({ kind: entry.kind, id: entry.id, article: entry.article });
        break;
      case 'undo':
      case 'override':
      case 'easy':
      case 'unlogged':
      case 'time-out':
      case 'answer':
      case 'stage':
        break;
    }
  }
  const list = [...reps.values()];
  const picked = list.filter((rep) => rep.judged.outcome !== 'miss' && !rep.judged.void).length;
  return {
    reps: list,
    stands,
    undoTarget: target,
    articles: order.flatMap((one) => articleEvent(one, reps)),
    lying: laid.length - picked,
    lyingThings: laid.slice(picked),
    signs: [...signs.values()],
    notes: [...notes.values()],
    probe: probe?.flatMap((id) => reps.get(id) ?? []) ?? null,
    off,
    undone,
  };
}

function articleEvent(
  { kind, id, article }: { readonly kind: string; readonly id: EntryId; readonly article: string },
  reps: ReadonlyMap<EntryId, StandingRep>,
): ArticleEvent[] {
  if (kind === 'washed') return [{ kind: 'washed' }];
  if (kind === 'out-of-use') return [{ kind: 'out-of-use', article }];
  if (kind === 'touched') return [{ kind: 'touched', article }];
  const rep = reps.get(id);
  const run = rep?.seen.run;
  return rep && run?.kind === 'articles' ? [{ ...run, kind: 'run', aided: rep.judged.aids.length > 0 }] : [];
}

const standing = (
  { id, at, timed, purpose, asked, seen, judged, paid, from }: RepEntry,
  rested: boolean,
): StandingRep => ({
  id,
  at,
  timed,
  purpose,
  asked,
  seen,
  judged,
  paid,
  from,
  corrected: false,
  rested,
});

const amended = (rep: StandingRep, amendments: readonly Amendment[]): StandingRep =>
  amendments.reduce(saidAgain, rep);

/** The rep with what is said otherwise laid over it, key by key. */
function saidAgain(rep: StandingRep, { purpose, asked, seen, judged, paid }: Amendment): StandingRep {
  const calm = { ...rep.seen.calm, ...seen?.calm };
  return {
    ...rep,
    purpose: purpose ?? rep.purpose,
    asked: { ...rep.asked, ...asked, chips: { ...rep.asked.chips, ...asked?.chips } },
    seen: {
      ...rep.seen,
      ...seen,
      measured: { ...rep.seen.measured, ...seen?.measured },
      ...(Object.keys(calm).length > 0 ? { calm } : {}),
    },
    judged: { ...rep.judged, ...judged },
    paid: { ...rep.paid, ...paid },
    corrected: rep.corrected || judged !== undefined,
  };
}
