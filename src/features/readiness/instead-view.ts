import { tell } from './words';

type Lower = {
  readonly lower: string;
  readonly dog: string;
  /** The chance of passing it on the day of the trial; null while there is none. */
  readonly share: { readonly at: number; readonly words: string } | null;
  readonly goFrom: number;
  /** Why there is none: the class is not broken down, too little is logged, or it is being worked out. */
  readonly why: 'apart' | 'thin' | 'working';
};

/** What can be entered instead, and whether one would go for it. */
export function insteadWords({ lower, dog, share, goFrom, why }: Lower): string {
  if (share) return tell('instead.chance', { lower, share: share.words, goes: share.at >= goFrom });
  if (why === 'apart') return tell('instead.not-broken-down', { lower, dog });
  return why === 'thin' ? tell('instead.thin', { lower }) : tell('instead.working', { lower });
}
