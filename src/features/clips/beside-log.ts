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

export const alignedInWords = ({ matched, of, by, unsure }: Aligned): string =>
  tell('log.aligned', { matched, of, by, unsure });
