import type { RuleBook } from '@/core/rulebooks';
import {
  addDays,
  asId,
  type Day,
  type DogId,
  type ExerciseKey,
  type FaultKey,
  type MarkId,
  type MeetingId,
  type RunId,
  type StarterId,
} from '@/core/shared';
import type { MarkSaid } from '@/core/trials';
import type { Changed, Tables } from '@/data/records';

type Said = readonly [said: MarkSaid, of?: number];

/** A club evening to come, and a mock trial that was judged a week ago, its sheet closed. */
export function sampleTrials(
  today: Day,
  dogId: DogId,
  name: string,
  book: RuleBook,
  changed: Changed,
): Pick<Tables, 'meetings' | 'runs' | 'marks'> {
  const run = asId<RunId>('sample-mock');
  const day = addDays(today, -8);
  const at = Date.parse(`${day}T17:30:00`);
  const starter = (n: number, dog: string, handler: string, more = {}) => ({
    id: asId<StarterId>(`sample-starter-${n}`),
    book: book.id,
    dogId: null,
    name: dog,
    handler,
    number: n,
    size: null,
    inSeason: false,
    withdrawn: false,
    ...more,
  });
  const starters = [
    starter(1, name, 'you', { dogId }),
    starter(2, 'Tansy', 'a helper'),
    starter(3, 'Bracken', 'a helper'),
    starter(4, 'Moss', 'a friend', { inSeason: true }),
  ];
  const order = [1, 0, 2, 3].flatMap((i) => starters[i]?.id ?? []);
  return {
    meetings: [
      {
        id: asId<MeetingId>('sample-meeting'),
        title: 'Club evening',
        kind: 'mock',
        day: addDays(today, 3),
        closes: null,
        place: 'the lower field',
        starts: 18 * 60,
        minutesEach: 8,
        classes: [{ book: book.id, judges: [], order, seed: 11 }],
        starters,
        changed,
      },
    ],
    runs: [
      {
        id: run,
        meeting: null,
        starter: null,
        trial: null,
        dogId,
        name,
        number: null,
        book: book.id,
        kind: 'mock',
        turn: 0,
        size: null,
        day,
        judges: [],
        putAway: false,
        changed,
      },
    ],
    marks: marksOf(book).map(([said, of], seq) => ({
      ...said,
      id: asId<MarkId>(`sample-mark-${seq}`),
      runId: run,
      judge: null,
      seq,
      by: changed.by,
      at: at + seq * 20_000,
      of: of === undefined ? null : asId<MarkId>(`sample-mark-${of}`),
      reason: '',
      changed,
    })),
  };
}

/** What was written: faults of the first exercise (one struck again), a watch, and the second without any. */
function marksOf({ rules, exercises }: RuleBook): Said[] {
  const fault = (exercise: ExerciseKey, id: string): MarkSaid => ({
    kind: 'fault',
    exercise,
    part:
      rules.exercises.find((one) => one.exercise === exercise)?.faults.find((one) => one.id === id)?.part ??
      null,
    time: null,
    fault: asId<FaultKey>(id),
    amount: 1,
  });
  const [first, second] = exercises.map((one) => one.id);
  if (!first || !second) return [];
  return [
    [fault(first, 'slow-out')],
    [{ kind: 'moment', exercise: first }],
    [{ kind: 'state', exercise: first, is: 'done' }],
    [fault(first, 'no-position'), 1],
    [fault(second, 'mouths')],
    [{ kind: 'take-back' }, 4],
    [{ kind: 'state', exercise: second, is: 'done' }],
    [{ kind: 'close' }],
  ];
}
