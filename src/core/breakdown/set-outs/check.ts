import type { Sentence } from '@/core/shared';

/** `refused`: it is not laid or sent so. `care`: something to change or to look at. `note`: worth knowing. */
export type Check = {
  readonly level: 'refused' | 'care' | 'note';
  readonly code: string;
  readonly say: Sentence;
};

export const care = (code: string, said: Sentence): Check => ({ level: 'care', code, say: said });
export const note = (code: string, said: Sentence): Check => ({ level: 'note', code, say: said });
export const refused = (code: string, said: Sentence): Check => ({ level: 'refused', code, say: said });
