import { asId, type DeviceId, fail, type Id, type Name, ok, type Result, say } from '@/core/shared';
import { type KennelDatabase, openDatabase } from './database';
import { renewEvidence } from './write/keep-evidence';

/** A person's own kennel, the sample, and what pupils sent live in databases of their own and never mix. */
export type KennelName = 'own' | 'sample' | `pupil-${string}`;
export const isPupil = (name: string): name is `pupil-${string}` => /^pupil-[\w-]{4,40}$/.test(name);
export type Kennel = {
  readonly name: KennelName;
  readonly database: KennelDatabase;
  /** This browser: who changed what is kept by device, since clocks differ. Never exported as the kennel's own. */
  readonly device: DeviceId;
  readonly now: () => number;
};

/**
 * Opens a kennel. Fails as `openDatabase` does. `databaseName` is the kennel's own unless a test says
 * otherwise; `onRenewal` is told the share done where an update of the program reads the log anew.
 */
export async function openKennel(
  name: KennelName,
  now: () => number,
  databaseName: string = `regulon-${name}`,
  onRenewal?: (share: number) => void,
): Promise<Result<Kennel>> {
  const opened = await openDatabase(databaseName);
  if (!opened.ok) return opened;
  const database = opened.value;
  try {
    const device = await deviceOf(database);
    await renewEvidence(database, onRenewal);
    return ok({ name, database, device, now });
  } catch (error) {
    return fail(
      'database',
      name,
      say('data.kennel.the-browser-could-not-write-to-its', { reasonOf: reasonOf(error) }),
    );
  }
}

/** The id of this browser, made at the first opening. */
async function deviceOf(database: KennelDatabase): Promise<DeviceId> {
  return database.transaction('rw', database.meta, async () => {
    const known = (await database.meta.get('device'))?.value;
    if (typeof known === 'string') return asId<DeviceId>(known);
    const made = newId<DeviceId>();
    await database.meta.put({ key: 'device', value: made });
    return made;
  });
}

/** A new id of any kind, from the browser's own generator. */
export function newId<T extends Id<string>>(): T {
  return crypto.randomUUID() as unknown as T;
}

/** Why the browser's storage failed, in words where a person can do something about it. */
export function reasonOf(error: unknown): Name {
  if (!(error instanceof Error || error instanceof DOMException)) return String(error);
  const inner = 'inner' in error && error.inner instanceof Error ? error.inner : error;
  return [error.name, inner.name].includes('QuotaExceededError')
    ? say('data.kennel.there-is-no-room-left-on-this')
    : inner.message;
}
