import type { StandingRep } from '@/core/log';
import type { EntryId } from '@/core/shared';
import type { Go } from './marks';

/** A moment that both a clip and a log can have; `logged` is the tap with which a rep was entered. */
export type StampKind = 'cue' | 'response' | 'marker' | 'logged';
/** Seconds: from the beginning of the clip, or of any clock that the log goes by. */
export type Stamp = { readonly kind: StampKind; readonly at: number };

/**
 * How the clip lies in the log: its beginning on the log's clock, seconds; how many of the goes that could match
 * do; and whether another place matches as many.
 */
export type Aligned = {
  readonly offset: number;
  readonly matched: number;
  readonly of: number;
  readonly unsure: boolean;
  /** By stamps of the rep itself, or only by the taps that entered it, which come when somebody has a hand free. */
  readonly by: 'stamps' | 'taps';
};

/** Seconds within which two stamps are the same; a tap that enters a rep comes as it comes. */
const SAME: Readonly<Record<Aligned['by'], number>> = { stamps: 0.3, taps: 1.2 };
/** Fewer than this say nothing. */
const LEAST = 3;

/**
 * The offset at which most stamps of a clip meet stamps of the log, each one once and in its order, and only of
 * their own kind; among as many, the one at which they lie closest. Missing and additional ones on either side
 * cost nothing. Stamps of the rep itself are tried before the taps. Null where fewer than three meet.
 */
export function alignClip(clip: readonly Stamp[], log: readonly Stamp[]): Aligned | null {
  const sharp = (list: readonly Stamp[]): Stamp[] => list.filter(({ kind }) => kind !== 'logged');
  return (
    aligned(sharp(clip), sharp(log), 'stamps') ??
    aligned(
      clip.filter(({ kind }) => kind === 'logged'),
      log.filter(({ kind }) => kind === 'logged'),
      'taps',
    )
  );
}

function aligned(clip: readonly Stamp[], log: readonly Stamp[], by: Aligned['by']): Aligned | null {
  const same = SAME[by];
  const tried = clip.flatMap((one) =>
    log.filter(({ kind }) => kind === one.kind).map((other) => other.at - one.at),
  );
  const sorted = { clip: inOrder(clip), log: inOrder(log) };
  const found = tried.map((offset) => ({ offset, ...matches(sorted, offset, same) }));
  const better = (a: Tried, b: Tried): number => b.count - a.count || a.spread - b.spread;
  const best = found.sort(better)[0];
  if (!best || best.count < LEAST) return null;
  const other = found.find(({ offset }) => Math.abs(offset - best.offset) > 2 * same);
  const middle = median(best.differences);
  return {
    offset: middle,
    matched: best.count,
    of: Math.min(clip.length, log.length),
    unsure: other !== undefined && other.count >= best.count,
    by,
  };
}

type Tried = {
  readonly offset: number;
  readonly count: number;
  readonly spread: number;
  readonly differences: readonly number[];
};
const inOrder = (list: readonly Stamp[]): Stamp[] => [...list].sort((a, b) => a.at - b.at);

/** Both in order, walked once: the earlier one that finds no partner is left behind. */
function matches(
  { clip, log }: { readonly clip: readonly Stamp[]; readonly log: readonly Stamp[] },
  offset: number,
  same: number,
): Omit<Tried, 'offset'> {
  const differences: number[] = [];
  const taken = new Set<number>();
  let from = 0;
  for (const one of clip) {
    const at = one.at + offset;
    while (from < log.length && (log[from] as Stamp).at < at - same) from++;
    let best = -1;
    for (let i = from; i < log.length && (log[i] as Stamp).at <= at + same; i++) {
      const other = log[i] as Stamp;
      if (other.kind !== one.kind || taken.has(i)) continue;
      if (best < 0 || Math.abs(other.at - at) < Math.abs((log[best] as Stamp).at - at)) best = i;
    }
    if (best < 0) continue;
    taken.add(best);
    differences.push((log[best] as Stamp).at - one.at);
  }
  const middle = median(differences);
  const spread = differences.reduce((sum, one) => sum + Math.abs(one - middle), 0);
  return { count: differences.length, spread, differences };
}

function median(list: readonly number[]): number {
  const sorted = [...list].sort((a, b) => a - b);
  return sorted[Math.floor(sorted.length / 2)] ?? 0;
}

/** The stamps of the goes of a clip; `logged` stands for the last thing of a go that somebody would tap after. */
export function stampsOfGoes(goes: readonly Go[]): Stamp[] {
  return goes.flatMap(({ at }) => {
    const end = at.marker ?? at.response ?? at.movement ?? at.cue;
    return [
      ...(['cue', 'response', 'marker'] as const).flatMap((kind) => {
        const time = at[kind];
        return time === undefined ? [] : [{ kind, at: time }];
      }),
      ...(end === undefined ? [] : [{ kind: 'logged' as const, at: end }]),
    ];
  });
}

/** The stamps of a rep on the clock of the log, seconds since 1970; none where its time only keeps an order. */
export function stampsOfRep({ at: instant, timed, seen }: StandingRep): Stamp[] {
  if (!timed) return [];
  const at = instant / 1000;
  const cue = seen.sinceCue === undefined ? null : at - seen.sinceCue;
  const { latency, marker } = seen.measured;
  return [
    ...(cue === null ? [] : [{ kind: 'cue' as const, at: cue }]),
    ...(cue === null || latency?.how !== 'tap'
      ? []
      : [{ kind: 'response' as const, at: cue + latency.value }]),
    ...(cue === null || marker?.how !== 'tap' ? [] : [{ kind: 'marker' as const, at: cue + marker.value }]),
    { kind: 'logged', at },
  ];
}

/** Seconds that a tap may come before the cue it belongs to, and after the next one. */
const SLACK = 0.6;

/**
 * Which rep each go is, by where the clip lies: the rep whose own cue is the go's (within a second), else the one
 * that was entered between its cue and the next. No rep twice; what somebody joined by hand stays.
 */
export function joinGoes(
  goes: readonly Go[],
  reps: readonly StandingRep[],
  offset: number,
): (EntryId | null)[] {
  const taken = new Set(goes.flatMap(({ rep }) => (rep === null ? [] : [rep])));
  return goes.map((go) => {
    if (go.rep !== null) return go.rep;
    const from = go.cue.at + offset;
    const until = go.until === null ? Number.POSITIVE_INFINITY : go.until + offset;
    const fits = (rep: StandingRep): boolean => {
      const stamps = stampsOfRep(rep);
      const cue = stamps.find(({ kind }) => kind === 'cue');
      if (cue) return Math.abs(cue.at - from) < 1;
      const logged = stamps.at(-1)?.at;
      return logged !== undefined && logged >= from - SLACK && logged < until + SLACK;
    };
    const found = reps.find((rep) => !taken.has(rep.id) && fits(rep));
    if (found) taken.add(found.id);
    return found?.id ?? null;
  });
}
