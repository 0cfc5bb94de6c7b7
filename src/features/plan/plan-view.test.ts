import { beforeAll, describe, expect, it, vi } from 'vitest';
import { plainRep } from '@/core/log';
import { planWeeks, type WeeksPlan } from '@/core/planning';
import { addDays, must } from '@/core/shared';
import { finish } from '@/core/shared/steps';
import { type Kennel, openKennel } from '@/data/kennel';
import { asSaid, listUsuals, type Planning, planQuestion, type Usual } from '@/data/read';
import { matchPlan } from '@/data/read/plan-match';
import {
  addOtherWork,
  changeDog,
  changeTrial,
  endOuting,
  record as logRep,
  moveSlot,
  putUsual,
  replaceTables,
  startBout,
  takePlan,
} from '@/data/write';
import { makeSampleKennel } from '@/demo/sample-kennel';
import { TODAY } from '@/demo/sample-state.test-helper';
import { calendarEvents } from './calendar-view';
import { leftInWords } from './left-lines';
import { neverTrained } from './neglected';
import { blocksOf, pieceRows, titlesOf, weeksOf } from './plan-view';
import { brokenBy } from './use-move';
import { changeInWords, lateInWords, lateSummary, verdicts } from './verdict';

let count = 0;
/** The sample kennel as a person has it, and a plan that was taken for it. */
async function kennelOf(): Promise<Kennel> {
  const kennel = must(
    await openKennel('own', () => Date.parse(`${TODAY}T10:00:00Z`) + count, `plan-${count++}`),
  );
  must(await replaceTables(kennel, makeSampleKennel(TODAY, 2)));
  return kennel;
}
const look = async (kennel: Kennel, today = TODAY) => {
  const planning = await planQuestion(kennel, today);
  const usuals = await listUsuals(kennel);
  return { planning, usuals };
};
const take = (kennel: Kennel, planning: Planning, plan: WeeksPlan) =>
  takePlan(
    kennel,
    plan.bouts.filter((one) => !one.pinned).map((one) => asSaid(one, planning.question.frame.pieces)),
    planning.question.frame.today,
  );

/** The quick plan that the page shows first: the same steps by fewer draws. */
function coarse({ question }: Planning): WeeksPlan {
  for (const told of planWeeks(question, undefined, true)) if (typeof told !== 'number') return told.plan;
  throw new Error('a coarse plan comes first');
}

let kennel: Kennel;
let planning: Planning;
let usuals: readonly Usual[];
let plan: WeeksPlan;
beforeAll(async () => {
  kennel = await kennelOf();
  ({ planning, usuals } = await look(kennel));
  plan = must(finish(planWeeks(planning.question)));
}, 120_000);

describe('what the page says', () => {
  it('says what the plan comes to, with and without, in the words of the trial', () => {
    const [line] = verdicts(planning, plan);
    expect(line?.grounds).toMatch(
      /^\d+.% to \d+.% for what is not known of the dog; \d+.% without more training\.$/,
    );
    expect(line?.title).toMatch(
      /^Quill at Vellmoor club trial, .+: passes in about \d+.% of runs with this plan$/,
    );
    const [trial] = plan.trials;
    expect((trial?.planned.mid ?? 0) - (trial?.without.mid ?? 1)).toBeGreaterThan(0.02);
  });

  it('says what is not ready, from when it could be, and nothing of another trial while this one would be gone to', async () => {
    const lines = lateInWords(planning, plan);
    expect(lines).toHaveLength(plan.late.length);
    expect(lines.join(' ')).toMatch(/times in 10 with this plan/);
    expect(lateSummary(planning, plan)).toContain('not ready by then');
    const trial = planning.trials[0];
    if (!trial) throw new Error('the sample has a trial');
    const wary = { ...trial, assumptions: { ...trial.assumptions, goFrom: 0.95 } };
    const others = lateInWords({ ...planning, trials: [wary] }, plan);
    expect(others.length).toBe(lines.length + (plan.late.some((one) => one.ready) ? 1 : 0));
  });

  it('draws the weeks from this Monday on, each day with its minutes, its place and its flags', () => {
    const weeks = weeksOf(planning, usuals, blocksOf(planning, plan));
    const days = weeks.flatMap((week) => week.days);
    expect(days.flatMap((one) => one.flags)).toEqual(
      expect.arrayContaining([
        expect.stringContaining('Vellmoor club trial'),
        expect.stringContaining('Entries close'),
      ]),
    );
    for (const one of days) expect(one.used).toBeLessThanOrEqual(Math.max(one.minutes, 0));
    expect(days.some((one) => one.place.includes('strange place'))).toBe(true);
    expect(
      weeks.flatMap((week) => week.loads).every((load) => load.share === null || load.share <= 1 + 1e-9),
    ).toBe(true);
    expect(days.every((one) => one.day >= TODAY)).toBe(true);
  });

  it('says of each piece how often it comes, and puts what is neglected first', () => {
    const weeks = weeksOf(planning, usuals, blocksOf(planning, plan));
    const rows = pieceRows(planning, plan, weeks);
    const firstKept = rows.findIndex((one) => !one.neglected);
    expect(rows.slice(firstKept).every((one) => !one.neglected)).toBe(true);
    expect(rows.reduce((sum, one) => sum + one.counts.reduce((a, b) => a + b, 0), 0)).toBe(
      plan.bouts.filter((one) => one.purpose !== 'join').length,
    );
    for (const row of rows) expect(row.words).toMatch(/^(Last on|Never worked).*\.$/);
  });

  it('names what was never trained in a strange place, with the day for it', () => {
    const lines = neverTrained(planning, plan);
    for (const line of lines) expect(line).toMatch(/never/i);
    const nowhere = neverTrained(
      { ...planning, question: { ...planning.question, frame: { ...planning.question.frame, days: [] } } },
      plan,
    );
    expect(nowhere.filter((one) => one.includes('give a day')).length).toBe(
      lines.filter((one) => one.includes('So ')).length,
    );
  });

  it('asks no strange place for a class that is only told as an alternative', () => {
    const strange = (one: typeof planning) => neverTrained(one, plan).filter((line) => /strange/.test(line));
    const dogs = planning.question.dogs.map((dog) => ({
      ...dog,
      aims: dog.aims.map((aim) => (aim.kind === 'trial' ? { ...aim, weight: 0 } : aim)),
    }));
    expect(strange(planning).length).toBeGreaterThan(0);
    expect(strange({ ...planning, question: { ...planning.question, dogs } })).toEqual([]);
  });
});

describe('the person’s own sequence', () => {
  it('takes, plans anew from nothing new and changes nothing; a skipped day asks for a change and says which', async () => {
    const own = await kennelOf();
    const first = await look(own);
    const plan = coarse(first.planning);
    must(await take(own, first.planning, plan));
    const second = await look(own);
    expect(second.planning.question).toEqual(first.planning.question);
    expect(must(await take(own, second.planning, coarse(second.planning))).rows).toEqual([]);
    const blocks = blocksOf(second.planning, null);
    expect(blocks).toHaveLength(plan.bouts.length);
    // Two days later nothing was done.
    const later = await look(own, addDays(TODAY, 3));
    const skipped = blocksOf(later.planning, null).filter((one) => one.state === 'skipped');
    expect(skipped.length).toBeGreaterThan(0);
    const anew = coarse(later.planning);
    const open = later.planning.slots.filter((one) => one.state === 'ahead').map((one) => one.slot);
    const match = matchPlan(
      open,
      [],
      anew.bouts.map((one) => asSaid(one, later.planning.question.frame.pieces)),
    );
    const lines = changeInWords(match, titlesOf(later.planning));
    expect(lines.length).toBeGreaterThan(0);
    expect(lines.length).toBeLessThanOrEqual(6);
    expect(lines.join(' ')).toMatch(/becomes|new on|no more on|another step/);
  }, 120_000);

  it('pins what is moved: planning anew leaves it, and says which limit a move breaks', async () => {
    const own = await kennelOf();
    const { planning: before } = await look(own);
    must(await take(own, before, plan));
    const { planning: taken } = await look(own);
    const blocks = blocksOf(taken, null);
    const block = blocks.find((one) => one.bout.day > addDays(TODAY, 6));
    const full = blocks.find(
      (one) => one.bout.day !== block?.bout.day && one.bout.piece === block?.bout.piece,
    );
    if (!block?.slot || !full) throw new Error('the plan has bouts');
    expect(brokenBy(taken, blocks, block, full.bout.day)).toMatchObject({ refused: false });
    expect(brokenBy(taken, blocks, block, full.bout.day).lines.join(' ')).toContain('is planned on');
    const free = addDays(TODAY, 1);
    expect(brokenBy(taken, blocks, block, free).lines.join(' ')).toMatch(
      /has no time|longer than its minutes/,
    );
    must(await moveSlot(own, block.slot, free));
    const { planning: moved } = await look(own);
    expect(moved.question.pinned).toMatchObject([{ slot: block.slot, day: free, pinned: true }]);
    const anew = coarse(moved);
    expect(anew.bouts.find((one) => one.slot === block.slot)).toMatchObject({ day: free, pinned: true });
  }, 120_000);

  it('refuses a move that a body would pay for, in words with the number', async () => {
    const own = await kennelOf();
    const dog = planning.dogs.find((one) => one.name === 'Quill');
    if (!dog) throw new Error('the sample has Quill');
    must(
      await changeDog(own, dog.id, { limits: [{ of: 'jumps', per: 'week', most: 25, source: 'the vet' }] }),
    );
    const { planning: limited } = await look(own);
    const tight = coarse(limited);
    const blocks = blocksOf(limited, tight);
    const jumps = blocks.filter((one) => one.title.startsWith('Jump') && one.bout.dog === dog.id);
    const [first, second] = jumps;
    if (!first || !second) throw new Error('jumps are planned');
    const near = addDays(first.bout.day, 1);
    const moved = brokenBy(
      limited,
      [...blocks, { ...second, key: 'more', bout: { ...second.bout, day: near, goes: 20 } }],
      { ...second, key: 'another' },
      near,
    );
    expect(moved.refused).toBe(true);
    expect(moved.lines.join(' ')).toMatch(/Quill would come to \d+ jumps .* and 25 is the most/);
  }, 120_000);

  it('leaves out a dog off work and says until when; what it did at home counts as worked', async () => {
    const own = await kennelOf();
    const [quill, juniper] = planning.dogs;
    if (!quill || !juniper) throw new Error('the sample has dogs');
    must(await changeDog(own, quill.id, { offWork: { since: TODAY, until: null, why: 'lame', vet: '' } }));
    const [element] = planning.works.get(juniper.id)?.elements ?? [];
    if (!element) throw new Error('Juniper has elements');
    must(
      await addOtherWork(
        own,
        {
          dogId: juniper.id,
          day: TODAY,
          minutes: 20,
          elements: [element.id],
          loads: { 'run-metres': 300 },
          words: '',
        },
        TODAY,
      ),
    );
    const { planning: now } = await look(own);
    expect(leftInWords(now)).toEqual(['Quill is off work, nobody said until when: not planned.']);
    const found = coarse(now);
    expect(found.bouts.filter((one) => one.dog === quill.id)).toEqual([]);
    expect(now.question.frame.pieces.find((one) => one.id === element.id)?.worked.at(-1)).toBe(TODAY);
    expect(now.question.frame.dogs.find((one) => one.id === juniper.id)?.done).toContainEqual({
      day: TODAY,
      loads: expect.objectContaining({ 'run-metres': 300 }),
    });
  }, 120_000);

  it('does without a class that is not broken down, and says so; without a trial it plans for what is asked', async () => {
    const own = await kennelOf();
    const [trial] = planning.trials;
    if (!trial) throw new Error('the sample has a trial');
    must(await changeTrial(own, trial.id, { ruleBookId: 'nothing' as never }));
    const { planning: now } = await look(own);
    expect(leftInWords(now).join(' ')).toContain('Vellmoor club trial is not planned for');
    expect(now.question.dogs.every((one) => one.aims.every((aim) => aim.kind === 'demand'))).toBe(true);
  });

  it('knows the next trial that is further off than is planned, and only where none is nearer', async () => {
    const own = await kennelOf();
    expect((await look(own)).planning.later).toBeNull();
    const all = (await own.database.of('trials').toArray()).filter((one) => one.day > TODAY);
    for (const [i, trial] of all.entries())
      must(await changeTrial(own, trial.id, { day: addDays(TODAY, 100 + i), entryCloses: null }));
    const { planning: far } = await look(own);
    expect(far.trials).toEqual([]);
    expect(far.later?.day).toBe(addDays(TODAY, 100));
  });

  it('draws weeks from the day on which the person’s own begin; the days in them are the same', () => {
    const daysBy = (start: string | null): readonly [string[], string[]] => {
      const kept = new Map(start === null ? [] : [['regulon-week-start', start]]);
      vi.stubGlobal('localStorage', { getItem: (key: string) => kept.get(key) ?? null });
      const weeks = weeksOf(planning, usuals, blocksOf(planning, plan));
      vi.unstubAllGlobals();
      return [
        weeks.map((one) => one.from),
        weeks.flatMap((one) => one.days.map((each) => each.day)).filter((day) => day <= planning.until),
      ];
    };
    const [mondays, days] = daysBy(null);
    const [sundays, same] = daysBy('7');
    const weekday = (day: string | undefined): number => new Date(`${day}T12:00:00Z`).getUTCDay();
    expect([weekday(mondays[0]), weekday(sundays[0])]).toEqual([1, 0]);
    expect(same).toEqual(days);
  });

  it('keeps what was always done with a helper for days that have one', async () => {
    const own = await kennelOf();
    const element = planning.question.frame.pieces.find(
      (one) => one.worked.length > 3 && one.links.length === 0,
    );
    const record = [...planning.works.values()]
      .flatMap((work) => work.elements)
      .find((one) => one.id === element?.id);
    if (!record) throw new Error('something is worked');
    for (let i = 0; i < 3; i++) {
      const begun = must(
        await startBout(own, record, { day: TODAY, away: false, start: {} as never, helpers: 'a friend' }),
      );
      must(await logRep(own, begun.made, { kind: 'rep', ...plainRep({}, { outcome: 'clean' }) }));
      must(await endOuting(own, begun.made.outingId));
    }
    const { planning: now } = await look(own);
    expect(now.question.frame.pieces.find((one) => one.id === record.id)?.needsHelper).toBe(true);
    const alone = new Set(now.question.frame.days.filter((one) => !one.helper).map((one) => one.day));
    const mine = coarse(now).bouts.filter((one) => one.piece === record.id);
    expect(mine.some((one) => alone.has(one.day))).toBe(false);
  }, 120_000);

  it('gives a day that is otherwise its own minutes, and none to a rest day', async () => {
    const own = await kennelOf();
    const [first] = plan.bouts;
    if (!first) throw new Error('the plan has bouts');
    must(
      await putUsual(own, {
        on: { kind: 'day', day: first.day },
        minutes: 0,
        strange: false,
        where: 'travelling',
        helper: false,
        hot: false,
      }),
    );
    const { planning: now } = await look(own);
    const found = coarse(now);
    expect(found.bouts.some((one) => one.day === first.day)).toBe(false);
  }, 120_000);

  it('writes one lesson a day and dog into the calendar, and takes off a day that has none any more', async () => {
    const own = await kennelOf();
    const { planning: before } = await look(own);
    must(await take(own, before, plan));
    const { planning: taken, usuals: week } = await look(own);
    const events = calendarEvents(taken, weeksOf(taken, week, blocksOf(taken, null)));
    const lessons = events.filter((one) => one.uid.startsWith('lesson-') && !one.cancelled);
    expect(lessons).toHaveLength(new Set(plan.bouts.map((one) => `${one.dog} ${one.day}`)).size);
    expect(new Set(events.map((one) => one.uid)).size).toBe(events.length);
    expect(
      events.filter((one) => one.uid.startsWith('trial-') || one.uid.startsWith('closes-')),
    ).toHaveLength(2);
    expect(lessons[0]?.text).toMatch(/goes?, \d+ min/);
  });

  it('ticks off what was worked: the bout names its slot', async () => {
    const own = await kennelOf();
    const { planning: before } = await look(own);
    must(await take(own, before, plan));
    const { planning: taken } = await look(own);
    const today = blocksOf(taken, null).find((one) => one.bout.day === TODAY);
    const element = [...taken.works.values()]
      .flatMap((work) => work.elements)
      .find((one) => one.id === today?.bout.piece);
    if (!today || !element) throw new Error('something is planned today');
    must(await startBout(own, element, { day: TODAY, away: false, start: {} as never }));
    const { planning: now } = await look(own);
    expect(blocksOf(now, null).find((one) => one.key === today.key)?.state).toBe('running');
  });
});
