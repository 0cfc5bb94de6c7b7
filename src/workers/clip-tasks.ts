import type { Sound } from '@/core/review';

/** What the worker of clips can be asked. The file is read where it lies, piece by piece. */
export type ClipTask =
  | { readonly kind: 'open'; readonly file: File }
  | { readonly kind: 'listen'; readonly file: File };

/** A file as it is told again, and when each of its frames is shown. */
export type OpenedClip = {
  readonly print: { readonly size: number; readonly seconds: number; readonly ends: string };
  /** Seconds, rising; empty where the file does not say them. */
  readonly frames: Float64Array;
  readonly sound: boolean;
  /** How the picture is packed; null where nobody can tell. */
  readonly packed: string | null;
};

/** What was heard, by samples of this rate; `from` is where the sound begins, seconds of the clip. */
export type Heard = { readonly rate: number; readonly sounds: readonly Sound[] };

export type ClipAnswers = { open: OpenedClip; listen: Heard };
/** The share that is done. */
export type ClipSaid = { readonly share: number };
