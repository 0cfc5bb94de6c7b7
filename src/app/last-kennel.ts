import type { KennelName } from '@/data/read';

const KEY = 'regulon-kennel';

/** The kennel that was open last on this device: an address without one leads back to it. */
export function lastKennel(): KennelName {
  return localStorage.getItem(KEY) === 'sample' ? 'sample' : 'own';
}

export function rememberKennel(name: KennelName): void {
  // A pupil's is looked into; the person's own is what one comes back to.
  if (name !== 'own' && name !== 'sample') return;
  localStorage.setItem(KEY, name);
}
