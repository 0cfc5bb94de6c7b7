import { type GroundId, type PersonId, type Result, type SetOutId, say } from '@/core/shared';
import { type Kennel, newId } from '@/data/kennel';
import type { Ground, New, Person, SetOut } from '@/data/records';
import { same } from '@/data/records/same';
import { refuse, transact, type Undo, type Write } from './transact';

export type SetOutSaid = New<Omit<SetOut, 'id' | 'putAway'>>;

/** A new set-out. */
export function addSetOut(kennel: Kennel, said: SetOutSaid): Promise<Result<Undo<SetOut>>> {
  return transact(kennel, ['setOuts'], (write) =>
    write.put('setOuts', { ...said, id: newId<SetOutId>(), putAway: false }),
  );
}

/**
 * Changes a set-out by a function of what is stored. One that dogs have worked on keeps its drawing: where
 * anything lies elsewhere, the change becomes a set-out of its own, which is given back, and the one that was
 * used is put away. So what fell where on a ground stays true. Fails with `gone`.
 */
export function changeSetOut(
  kennel: Kennel,
  id: SetOutId,
  change: (stored: SetOut) => Partial<SetOutSaid>,
): Promise<Result<Undo<SetOut>>> {
  return transact(kennel, ['setOuts', 'bouts'], async (write) => {
    const stored = await storedSetOut(write, id);
    const next = { ...stored, ...change(stored) };
    const redrawn = !same([stored.things, stored.ground], [next.things, next.ground]);
    if (!redrawn || !(await isUsed(write, id))) return write.put('setOuts', next);
    await write.put('setOuts', { ...stored, putAway: true });
    return write.put('setOuts', { ...next, id: newId<SetOutId>(), putAway: false });
  });
}

const isUsed = async (write: Write, id: SetOutId): Promise<boolean> =>
  (await write.boutsBy('setOut', id)).length > 0;

const storedSetOut = async (write: Write, id: SetOutId): Promise<SetOut> =>
  (await write.get('setOuts', id)) ?? refuse('gone', id, say('data.set-outs.this-set-out-is-gone'));

/** Puts a set-out away, or brings it back. */
export function putSetOutAway(kennel: Kennel, id: SetOutId, putAway: boolean): Promise<Result<Undo<SetOut>>> {
  return transact(kennel, ['setOuts'], async (write) =>
    write.put('setOuts', { ...(await storedSetOut(write, id)), putAway }),
  );
}

/** A ground of one's own, drawn or only named. */
export function addGround(
  kennel: Kennel,
  said: Pick<Ground, 'name' | 'plan'>,
): Promise<Result<Undo<Ground>>> {
  return transact(kennel, ['grounds'], (write) =>
    write.put('grounds', {
      ...said,
      id: newId<GroundId>(),
      usualFor: [],
      surface: '',
      hazards: [],
      putAway: false,
    }),
  );
}

/** Changes a ground by a function of what is stored. Fails with `gone`. */
export function changeGround(
  kennel: Kennel,
  id: GroundId,
  change: (stored: Ground) => Partial<Pick<Ground, 'name' | 'plan' | 'surface' | 'putAway'>>,
): Promise<Result<Undo<Ground>>> {
  return transact(kennel, ['grounds'], async (write) => {
    const stored = await write.get('grounds', id);
    if (!stored) return refuse('gone', id, say('data.set-outs.this-ground-is-gone'));
    return write.put('grounds', { ...stored, ...change(stored) });
  });
}

/** How long somebody's pace is, by name: who is not known yet is written down as one who handles. */
export function sayPace(kennel: Kennel, name: string, pace: number): Promise<Result<Undo<Person>>> {
  return transact(kennel, ['people'], async (write) => {
    const called = name.trim();
    const known = (await write.all('people')).find((one) => one.name.toLowerCase() === called.toLowerCase());
    return write.put('people', {
      id: known?.id ?? newId<PersonId>(),
      name: known?.name ?? called,
      roles: known?.roles ?? ['handler'],
      putAway: known?.putAway ?? false,
      pace,
    });
  });
}
