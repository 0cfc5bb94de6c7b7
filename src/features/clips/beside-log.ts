import type { StandingRep } from '@/core/log';
import { type Aligned, alignClip, type Go, joinGoes, stampsOfGoes, stampsOfRep } from '@/core/review';
import type { ClipMarkId, EntryId } from '@/core/shared';
import { tell } from './words';

export type Laid = {
  readonly aligned: Aligned;
  readonly joins: readonly { readonly cue: ClipMarkId; readonly rep: EntryId | null }[];
};

/** A clip laid beside a log by their stamps, and which rep each go is; null where too little meets. */
export function layBeside(goes: readonly Go[], reps: readonly StandingRep[]): Laid | null {
  const aligned = alignClip(stampsOfGoes(goes), reps.flatMap(stampsOfRep));
  if (!aligned) return null;
  // Where two places fit as well, a guess would correct the wrong reps.
  const ids = aligned.unsure ? goes.map(({ rep }) => rep) : joinGoes(goes, reps, aligned.offset);
  return { aligned, joins: goes.map(({ cue }, i) => ({ cue: cue.id, rep: ids[i] ?? null })) };
}

/**
 * One go joined by hand. Where the clip lies nowhere yet it is laid by that rep, by its cue where that was stamped, and
 * the other goes follow.
 */
export function layByHand(
  goes: readonly Go[],
  reps: readonly StandingRep[],
  offset: number | null,
  place: number,
  rep: StandingRep | null,
): { readonly offset: number | null; readonly joins: Laid['joins'] } {
  const go = goes[place];
  if (!go) return { offset, joins: [] };
  const one = { cue: go.cue.id, rep: rep?.id ?? null };
  const stamps = rep ? stampsOfRep(rep) : [];
  const cue = stamps.find(({ kind }) => kind === 'cue');
  const logged = stamps.find(({ kind }) => kind === 'logged');
  const laid = cue ? cue.at - go.cue.at : logged && logged.at - endOf(go);
  if (offset !== null || laid === undefined) return { offset, joins: [one] };
  const said = goes.map((other, i) => (i === place ? { ...other, rep: one.rep } : other));
  const ids = joinGoes(said, reps, laid);
  return { offset: laid * 1000, joins: goes.map(({ cue: { id } }, i) => ({ cue: id, rep: ids[i] ?? null })) };
}

/** The last thing of a go that somebody would log after, seconds of the clip. */
export const endOf = ({ at, cue }: Go): number => at.marker ?? at.response ?? cue.at;

export const alignedInWords = ({ matched, of, by, unsure }: Aligned): string =>
  tell('log.aligned', { matched, of, by, unsure });
