import type { Amendment, StandingRep } from '@/core/log';

/** One thing that can be said of a rep: what is said now, and the amendment that each tap makes. */
export type Row = {
  readonly title: string;
  readonly said: (rep: StandingRep) => unknown;
  /** Where several can be on at once; a tap on one that is on takes it away. */
  readonly isOn?: (rep: StandingRep, value: unknown) => boolean;
  readonly options: readonly {
    readonly value: unknown;
    readonly words: string;
    readonly amend: (rep: StandingRep) => Amendment;
  }[];
};

export function row<const T>(
  title: string,
  said: (rep: StandingRep) => T | undefined,
  amend: (value: T, rep: StandingRep) => Amendment,
  options: readonly (readonly [T, string])[],
): Row {
  return {
    title,
    said,
    options: options.map(([value, words]) => ({ value, words, amend: (rep) => amend(value, rep) })),
  };
}
