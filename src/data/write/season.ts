import { completed } from '@/core/breakdown';
import { foldLog, plainRep } from '@/core/log';
import { endWith } from '@/core/review';
import {
  type AxisKey,
  type BoutId,
  type Day,
  type DogId,
  type OutingId,
  type Result,
  type SeasonEventId,
  say,
} from '@/core/shared';
import { type Kennel, newId } from '@/data/kennel';
import {
  type ElementRecord,
  type New,
  type Outing,
  PLAIN_SEASON,
  type Season,
  type SeasonEvent,
} from '@/data/records';
import { refuse, transact, type Undo, type Write } from './transact';

export type EventSaid = Omit<New<SeasonEvent>, 'id' | 'outingId' | 'dogId' | 'order' | 'rep'>;

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
 * day that was typed in later. Without a day it is a scene from before this program, and belongs to none.
 */
export function addEvent(
  kennel: Kennel,
  dog: DogId,
  day: Day | null,
  said: EventSaid,
  noon: number,
): Promise<Result<Undo<SeasonEvent>>> {
  return transact(kennel, TABLES, async (write) => {
    const outing = day === null ? null : await liveDay(write, day, dog, said.at ?? noon);
    const outingId = outing?.id ?? null;
    const last = (await write.all('events'))
      .filter((one) => one.outingId === outingId && one.dogId === dog)
      .reduce((most, one) => Math.max(most, one.order), 0);
    return write.put('events', {
      ...said,
      id: newId<SeasonEventId>(),
      outingId,
      dogId: dog,
      order: last + 1,
      rep: null,
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

const OUTCOMES = { right: 'clean', fault: 'flawed', lost: 'miss' } as const;

/**
 * Counts an event as a rep, because somebody says so: away and unpaid as it was, at its own distance and
 * what the dog stands on else, in a bout of the live day. Fails with `gone`, with `day` where it is a scene of no
 * day, and with `counted` where it is one already.
 */
export function countAsRep(
  kennel: Kennel,
  id: SeasonEventId,
  element: Pick<ElementRecord, 'id' | 'axes'>,
  reach: AxisKey | null,
): Promise<Result<Undo<SeasonEvent>>> {
  return transact(kennel, ['events', 'bouts', 'entries', 'outings'], async (write) => {
    const event = await write.get('events', id);
    if (!event) return refuse('gone', id, say('data.season.this-event-is-gone'));
    const outing = event.outingId === null ? null : await write.get('outings', event.outingId);
    if (!outing) return refuse('day', id, say('data.season.it-has-no-day'));
    if (event.rep !== null) return refuse('counted', id, say('data.season.it-is-counted'));
    const mine = await write.boutsBy('on.element', element.id);
    const last = mine.sort((a, b) => b.startedAt - a.startedAt)[0];
    const stands = last ? foldLog(last.start, await write.log(last.id)).stands : {};
    const criteria = {
      ...completed(element.axes, stands),
      ...(reach !== null && event.distance !== null ? { [reach]: event.distance } : {}),
    };
    const at = event.at ?? outing.startedAt;
    const bout =
      mine.find((one) => one.outingId === outing.id) ??
      (await write.put('bouts', {
        id: newId<BoutId>(),
        outingId: outing.id,
        dogId: event.dogId,
        on: { kind: 'element', element: element.id },
        startedAt: at,
        endedAt: at,
        // A live day moves nobody up or down its ladder.
        start: completed(element.axes, stands),
        away: true,
        conditions: {},
        handler: null,
        runsFixed: null,
        setOut: null,
        slot: null,
        debrief: null,
      }));
    const rep = plainRep(criteria, {
      outcome: OUTCOMES[endWith(event.end, event.faults.length)],
      faults: event.faults,
    });
    const entry = await write.append(
      bout,
      { kind: 'rep', ...rep, purpose: 'rehearsal', paid: { size: 'none' } },
      { at, timed: false },
    );
    return write.put('events', { ...event, rep: entry.id });
  });
}
