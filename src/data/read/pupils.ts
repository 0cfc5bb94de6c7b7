import type { ExchangeId } from '@/core/shared';
import type { Packet } from '@/data/files/kennel-file';
import type { Kennel } from '@/data/kennel';
import type { Comment } from '@/data/records';

/** Whose kennel this is, where a coach opened a packet: the last one, and when it was made. */
export type Pupil = Packet & { readonly at: number; readonly exchange: ExchangeId };

/** Null in a kennel that is the person's own. */
export async function pupilOf({ database }: Pick<Kennel, 'database'>): Promise<Pupil | null> {
  return ((await database.meta.get('pupil'))?.value as Pupil | undefined) ?? null;
}

/** All comments, the newest first. */
export async function listComments({ database }: Kennel): Promise<readonly Comment[]> {
  return (await database.of('comments').toArray()).sort((a, b) => b.at - a.at);
}
