import { asId, type EntryId, type OutingId, type Result, say } from '@/core/shared';
import type { Kennel } from '@/data/kennel';
import { standsAt } from '@/data/read/evidence';
import { boutOfRun } from '@/data/read/run-bouts';
import {
  boutsOfRun,
  changesOf,
  type LessonSaid,
  type RunChange,
  type RunRep,
  runTeaching,
} from '@/data/read/run-teaching';
import { startToday } from '@/data/read/start';
import type { Run } from '@/data/records';
import { refuse, transact, type Undo, type When, type Write } from './transact';

/** What confirming a run did to the log. */
export type Confirmed = { readonly written: number; readonly amended: number; readonly takenBack: number };

/**
 * Writes what a run says of each judged part into the log, as rehearsal reps of its elements: once for each
 * go, whatever number of times it is confirmed. Where the sheet or the facts have changed since, the rep is
 * amended; where a go is not judged any more, it is taken back. An element stays where it stands. Fails with
 * `gone` where the run is not there and with `open` where its sheets teach nothing.
 */
export async function confirmRun(
  kennel: Kennel,
  run: Pick<Run, 'id'>,
  said: LessonSaid,
  noonOf: (day: Run['day']) => number,
): Promise<Result<Undo<Confirmed>>> {
  return transact(
    kennel,
    [
      'runs',
      'marks',
      'ruleBooks',
      'runLessons',
      'outings',
      'bouts',
      'entries',
      'breakdowns',
      'elements',
      'dogs',
    ],
    async (write) => {
      const stored =
        (await write.get('runs', run.id)) ??
        refuse('gone', run.id, say('data.runs.this-run-is-not-there-any-more'));
      const book = (await write.get('ruleBooks', stored.book))?.book;
      const marks = await write.marksOf(stored.id);
      const teaching = book ? await runTeaching(kennel, stored, marks, book, said) : null;
      if (!teaching || stored.dogId === null)
        return refuse('open', run.id, say('data.teach-run.close-the-sheet-first'));
      const when = timesOf(marks, stored, noonOf);
      await write.put(
        'runLessons',
        { ...said, id: stored.id, dogId: stored.dogId },
        { from: 'run', at: when(0).at },
      );
      for (const bout of await boutsOfRun(kennel, stored.id, stored.dogId))
        if (bout.away !== said.away) await write.put('bouts', { ...bout, away: said.away });
      const changes = changesOf(teaching);
      for (const [i, change] of changes.entries())
        await carryOut(write, kennel, stored, said, change, when(i));
      const count = (kind: RunChange['kind']): number => changes.filter((one) => one.kind === kind).length;
      return { written: count('new'), amended: count('other'), takenBack: count('gone') };
    },
  );
}

/**
 * When the goes were: one after another from the first mark of the sheet on, where it was written on the
 * day of the run; else from noon, which only keeps their order.
 */
function timesOf(
  marks: readonly { readonly at: number }[],
  run: Run,
  noonOf: (day: Run['day']) => number,
): (i: number) => When {
  const noon = noonOf(run.day);
  const first = Math.min(...marks.map((mark) => mark.at));
  const onTheDay = Math.abs(first - noon) < HALF_A_DAY;
  return (i) => ({ at: (onTheDay ? first : noon) + i, timed: false });
}
const HALF_A_DAY = 12 * 3600 * 1000;

async function carryOut(
  write: Write,
  kennel: Kennel,
  run: Run,
  said: LessonSaid,
  change: RunChange,
  when: When,
): Promise<void> {
  if (change.kind === 'gone') {
    await write.append(change.was.bout, { kind: 'undo', of: change.was.rep.id }, when);
    return;
  }
  const { rep } = change;
  if (change.kind === 'other') {
    const { asked, seen, judged, paid } = rep.said;
    const { rep: was, bout } = change.was;
    await write.append(
      bout,
      {
        kind: 'amend',
        of: was.id,
        asked: { criteria: asked.criteria, chips: { ...was.asked.chips, ...asked.chips } },
        seen: { cues: seen.cues ?? { needed: 0, slip: 0 } },
        judged: { outcome: judged.outcome, faults: judged.faults, cause: judged.cause },
        paid: { ...was.paid, ...paid },
      },
      when,
    );
    return;
  }
  const bout = await boutFor(write, kennel, run, said, rep, when.at);
  const id = asId<EntryId>([bout.id, rep.from.exercise, rep.from.part, rep.from.time].join('/'));
  // One that was taken back keeps its id: what comes again is another entry.
  const known = (await write.log(bout.id)).some((entry) => entry.id === id);
  await write.append(bout, { kind: 'rep', ...rep.said }, known ? when : { ...when, id });
}

/** The bout of an element in a run: a bout of its own, which leaves the dog where it stands. */
async function boutFor(
  write: Write,
  kennel: Kennel,
  run: Run,
  said: LessonSaid,
  { element }: RunRep,
  at: number,
) {
  const id = boutOfRun(run.id, element.id);
  const known = await write.get('bouts', id);
  if (known) return known;
  const outing = asId<OutingId>(`run-${run.id}`);
  const there = await write.get('outings', outing);
  if (!there)
    await write.put(
      'outings',
      {
        id: outing,
        kind: run.kind === 'trial' ? 'trial' : 'mock',
        day: run.day,
        startedAt: at,
        endedAt: at,
        ground: null,
        weather: null,
        helpers: '',
        dogs: [element.dogId],
        meeting: run.meeting,
        note: '',
      },
      { from: 'run', at },
    );
  const stands = await standsAt(kennel, element.id);
  return write.put(
    'bouts',
    {
      id,
      outingId: outing,
      dogId: element.dogId,
      on: { kind: 'element', element: element.id },
      startedAt: at,
      endedAt: at,
      start: stands ?? startToday(element, null, true),
      away: said.away,
      conditions: {},
      handler: null,
      runsFixed: null,
      setOut: null,
      slot: null,
      debrief: null,
    },
    { from: 'run', at },
  );
}
