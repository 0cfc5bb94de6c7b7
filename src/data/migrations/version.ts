import { type Sentence, say } from '@/core/shared';
/** The version of the records that this program writes: one more than there are migrations. */
export const CURRENT_VERSION = 17;

export function newerMessage(version: number, newest = CURRENT_VERSION): Sentence {
  return say('data.migrations.newer', { version, newest });
}
