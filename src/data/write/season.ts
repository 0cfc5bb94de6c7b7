import { type Day, type DogId, type OutingId, type Result, type SeasonEventId, say } from '@/core/shared';
import { type Kennel, newId } from '@/data/kennel';
import { type New, type Outing, PLAIN_SEASON, type Season, type SeasonEvent } from '@/data/records';
import { refuse, transact, type Undo, type Write } from './transact';

export type EventSaid = Omit<New<SeasonEvent>, 'id' | 'outingId' | 'dogId' | 'order'>;

const TABLES = ['outings', 'events'] as const;

/** The live day of this date, whoever runs in it; begun where there is none yet. */
async function liveDay(write: Write, day: Day, dog: DogId, at: number): Promise<Outing> {
  const known = (await write.outingsOn(day)).find((one) => one.kind === 'hunt');
  if (known?.dogs.includes(dog)) return known;
  const outing: New<Outing> = known ?? {
    id: newId<OutingId>(),
    kind: 'hunt',
    day,
    startedAt: at,
    // It has no clock: what was tapped says when.
    endedAt: at,
    ground: null,
    weather: null,
    helpers: '',
    dogs: [],
    meeting: null,
    note: '',
  };
  return write.put('outings', { ...outing, dogs: [...outing.dogs, dog] });
}

/**
 * One event of a live day, at its end so far; the day begins with its first. `noon` is the time that stands for a
 * day that was typed in later.
 */
export function addEvent(
  kennel: Kennel,
  dog: DogId,
  day: Day,
  said: EventSaid,
  noon: number,
): Promise<Result<Undo<SeasonEvent>>> {
  return transact(kennel, TABLES, async (write) => {
    const outing = await liveDay(write, day, dog, said.at ?? noon);
    const last = (await write.all('events'))
      .filter((one) => one.outingId === outing.id && one.dogId === dog)
      .reduce((most, one) => Math.max(most, one.order), 0);
    return write.put('events', {
      ...said,
      id: newId<SeasonEventId>(),
      outingId: outing.id,
      dogId: dog,
      order: last + 1,
    });
  });
}

/** Says an event otherwise. Fails with `gone`. */
export function changeEvent(
  kennel: Kennel,
  id: SeasonEventId,
  change: Partial<EventSaid>,
): Promise<Result<Undo<SeasonEvent>>> {
  return transact(kennel, ['events'], async (write) => {
    const stored = await write.get('events', id);
    if (!stored) return refuse('gone', id, say('data.season.this-event-is-gone'));
    return write.put('events', { ...stored, ...change });
  });
}

export function removeEvent(kennel: Kennel, id: SeasonEventId): Promise<Result<Undo>> {
  return transact(kennel, ['events'], (write) => write.remove('events', id));
}

/** Who came along, on which ground, what was to be said of a live day. Fails with `gone`. */
export function changeLiveDay(
  kennel: Kennel,
  id: OutingId,
  change: Partial<Pick<Outing, 'helpers' | 'ground' | 'note' | 'weather'>>,
): Promise<Result<Undo<Outing>>> {
  return transact(kennel, ['outings'], async (write) => {
    const stored = await write.get('outings', id);
    if (!stored) return refuse('gone', id, say('data.season.this-event-is-gone'));
    return write.put('outings', { ...stored, ...change });
  });
}

/** What somebody means to keep to with a dog on live days. */
export function saySeason(
  kennel: Kennel,
  dog: DogId,
  change: Partial<Omit<New<Season>, 'id'>>,
): Promise<Result<Undo<Season>>> {
  return transact(kennel, ['seasons'], async (write) => {
    const stored = await write.get('seasons', dog);
    return write.put('seasons', { ...PLAIN_SEASON, ...stored, ...change, id: dog });
  });
}
