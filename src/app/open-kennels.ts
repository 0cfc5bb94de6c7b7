import { create } from 'zustand';
import type { Result } from '@/core/shared';
import { openKennel } from '@/data/kennel';
import type { Kennel, KennelName } from '@/data/read';
import { ensureSample, renewSample, type Undo } from '@/data/write';
import { now, todayOf } from './clock';

/** The sample's seed: one that shows honest trouble and an open question at the trial. */
const SAMPLE_SEED = 2;

/**
 * Why this tab has let go of the storage: another one took it to a newer version, or it was deleted from under it
 * (site data cleared, another program).
 */
export const useShut = create<{ readonly shut: 'newer' | 'gone' | null }>(() => ({ shut: null }));

const opened = new Map<KennelName, Promise<Result<Kennel>>>();

/**
 * Opens a kennel once; the sample is filled before anyone sees it. A failed opening is tried again
 * next time.
 */
export function kennelNamed(name: KennelName): Promise<Result<Kennel>> {
  const known = opened.get(name);
  if (known) return known;
  const opening = open(name);
  opened.set(name, opening);
  void opening.then((result) => {
    if (!result.ok) opened.delete(name);
  });
  return opening;
}

async function open(name: KennelName): Promise<Result<Kennel>> {
  const kennel = await openKennel(name, now);
  if (kennel.ok) {
    const { database } = kennel.value;
    database.on('versionchange', ({ newVersion }) => {
      // Writing on would put rows of this version into a database of the next.
      database.close();
      useShut.setState({ shut: newVersion === null ? 'gone' : 'newer' });
      return false;
    });
    // Only where the browser closes it by itself: what is kept was cleared.
    database.on('close', () => useShut.setState({ shut: 'gone' }));
  }
  if (!kennel.ok || name !== 'sample') return kennel;
  const { makeSampleKennel } = await import('@/demo/sample-kennel');
  const today = todayOf(now());
  const filled = await ensureSample(kennel.value, today, () => makeSampleKennel(today, SAMPLE_SEED));
  return filled.ok ? kennel : filled;
}

/** The sample as it was made, dated from today; what somebody practised in it is gone. */
export async function renewedSample(kennel: Kennel): Promise<Result<Undo>> {
  const { makeSampleKennel } = await import('@/demo/sample-kennel');
  const today = todayOf(now());
  return renewSample(kennel, today, makeSampleKennel(today, SAMPLE_SEED));
}
