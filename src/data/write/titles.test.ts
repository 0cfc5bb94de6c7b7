import { beforeEach, describe, expect, it } from 'vitest';
import { DEFAULT_ASSUMPTIONS } from '@/core/readiness';
import type { RuleBook } from '@/core/rulebooks';
import { bookNamed } from '@/core/rulebooks/sample-books.test-helper';
import { addDays, asId, type Day, must, type RuleBookId } from '@/core/shared';
import { breakDown } from '@/data/broken-down.test-helper';
import type { Kennel } from '@/data/kennel';
import { DOG, kennelWithDog } from '@/data/kennel.test-helper';
import { judgesOf, listPeople, otherClasses, planQuestion, titlesOf, trialsUnsaid } from '@/data/read';
import {
  addResult,
  addTrial,
  enterTrials,
  putRuleBook,
  removeLeg,
  sayClassBefore,
  sayEarns,
  sayEntryJudges,
  sayHeld,
  sayLeg,
  sayTitleAim,
  startRun,
  withdrawTrial,
} from '.';

const book: RuleBook = bookNamed('brackwater-working-test');
const TODAY = '2026-06-01' as Day;

let kennel: Kennel;
beforeEach(async () => {
  kennel = await kennelWithDog();
  must(await putRuleBook(kennel, book, 0));
});
const title = async () => (await titlesOf(kennel, { id: DOG }, TODAY))[0];
const trial = async (name: string, days: number) =>
  must(
    await addTrial(kennel, {
      dogId: DOG,
      ruleBookId: book.id,
      title: name,
      day: addDays(TODAY, days),
      entryCloses: null,
      seed: 1,
      assumptions: DEFAULT_ASSUMPTIONS,
    }),
  ).made;
const result = async (
  of: Awaited<ReturnType<typeof trial>>,
  passed: boolean,
  kind: 'trial' | 'mock' = 'trial',
  run: never | null = null,
) =>
  must(
    await addResult(
      kennel,
      { dogId: DOG, trialId: of.id, kind, day: of.day, passed, points: 120, note: '' },
      TODAY,
      run,
    ),
  ).made;

describe('a title of a dog', () => {
  it('is none of a dog that has nothing to do with the class; then it asks what the book asks', async () => {
    expect(await title()).toBeUndefined();
    await trial('Spring', 20);
    expect(await title()).toMatchObject({
      title: 'Brackwater open dog',
      rule: { passes: 3, judges: 2, months: 36 },
      fromAge: 18,
      before: [{ what: 'passed the Brackwater novice test', held: null }],
      standing: { legs: 0, passesLeft: 3, judgesLeft: 2 },
    });
  });

  it('counts passes of real trials; under whom is said by name, once, and can be said otherwise', async () => {
    const won = await result(await trial('One', -200), true);
    await result(await trial('Two', -150), false);
    await result(await trial('Three', -100), true, 'mock');
    expect((await title())?.passes.map((one) => one.judges)).toEqual([[]]);
    const say = (judges: string[]) =>
      sayLeg(kennel, { dogId: DOG, book: book.id, result: won.id, day: won.day, judges }, TODAY);
    must(await say(['Ada Fenn']));
    must(await say(['ada fenn ', ' Bo Lark']));
    const found = await title();
    expect(found?.passes).toHaveLength(1);
    expect(found?.standing).toMatchObject({ legs: 1, judges: 2, passesLeft: 2, judgesLeft: 0 });
    expect((await listPeople(kennel)).map((one) => one.name).sort()).toEqual(['Ada Fenn', 'Bo Lark']);
  });

  it('takes the judges of a sheet without asking', async () => {
    const entered = await trial('One', -30);
    const run = must(
      await startRun(
        kennel,
        {
          meeting: null,
          starter: null,
          trial: entered.id,
          dogId: DOG,
          name: 'Wren',
          number: null,
          book: book.id,
          kind: 'trial',
          turn: 0,
          size: null,
          day: entered.day,
        },
        ['Ada Fenn'],
      ),
    ).made;
    must(
      await addResult(
        kennel,
        {
          dogId: DOG,
          trialId: entered.id,
          kind: 'trial',
          day: entered.day,
          passed: true,
          points: 1,
          note: '',
        },
        TODAY,
        run.id,
      ),
    );
    expect((await title())?.passes).toMatchObject([{ judged: true, judges: run.judges }]);
  });

  it('a pass from before the log counts, is taken out again, and cannot lie ahead', async () => {
    await trial('Spring', 20);
    const said = { dogId: DOG, book: book.id, result: null, judges: ['Ada Fenn'] };
    const leg = must(await sayLeg(kennel, { ...said, day: addDays(TODAY, -40) }, TODAY)).made;
    expect((await title())?.standing.legs).toBe(1);
    expect(await sayLeg(kennel, { ...said, day: addDays(TODAY, 1) }, TODAY)).toMatchObject({
      ok: false,
      code: 'ahead',
    });
    must(await removeLeg(kennel, leg.id));
    expect((await title())?.standing.legs).toBe(0);
  });

  it('what was held before is said and unsaid; said twice it stands once', async () => {
    await trial('Spring', 20);
    const what = 'passed the Brackwater novice test';
    must(await sayHeld(kennel, DOG, what, true));
    must(await sayHeld(kennel, DOG, what, true));
    expect(await kennel.database.of('held').count()).toBe(1);
    expect((await title())?.before[0]?.held?.what).toBe(what);
    must(await sayHeld(kennel, DOG, what, false));
    expect((await title())?.before[0]?.held).toBeNull();
  });

  it('entries: under whom, which are made; one that is withdrawn is none', async () => {
    const [near, far, off] = [await trial('Near', 20), await trial('Far', 60), await trial('Off', 30)];
    must(await withdrawTrial(kennel, off.id, true));
    must(await sayEntryJudges(kennel, DOG, book.id, near.id, ['Ada Fenn']));
    must(await sayTitleAim(kennel, DOG, book.id, { worth: 200, by: addDays(TODAY, 90) }));
    must(await enterTrials(kennel, [near.id, far.id, off.id], [far.id]));
    const found = await title();
    expect(found?.trials.map((one) => [one.trial.title, one.trial.status, one.judges.length])).toEqual([
      ['Near', 'thinking', 1],
      ['Far', 'entered', 0],
    ]);
    expect(found?.aim).toMatchObject({ worth: 200, plans: false, judges: [{ trial: near.id }] });
    // A judge of whom nobody has said anything is one of its own.
    expect(found?.trials.map((one) => judgesOf(one)[0])).toEqual([expect.anything(), `of ${far.id}`]);
    must(await sayEntryJudges(kennel, DOG, book.id, near.id, ['']));
    expect((await title())?.aim?.judges).toEqual([]);
    expect((await kennel.database.of('trials').get(off.id))?.status).toBe('withdrawn');
  });

  it('the weeks are planned for it only where somebody said so, with what each entry can add', async () => {
    await breakDown(kennel, book, DOG);
    const [near, far] = [await trial('Near', 20), await trial('Far', 40)];
    const later = await trial('Later', 90);
    must(
      await sayLeg(
        kennel,
        { dogId: DOG, book: book.id, result: null, day: addDays(TODAY, -40), judges: ['Ada Fenn'] },
        TODAY,
      ),
    );
    must(await sayEntryJudges(kennel, DOG, book.id, near.id, ['Ada Fenn']));
    const aims = async () =>
      (await planQuestion(kennel, TODAY)).question.dogs
        .flatMap((one) => one.aims)
        .filter((one) => one.kind === 'trial');
    expect((await aims()).map((one) => one.title)).toEqual([undefined, undefined]);
    must(await sayTitleAim(kennel, DOG, book.id, { plans: true, by: addDays(TODAY, 90) }));
    const [first, second] = (await aims()).map((one) => one.title);
    expect(first).toMatchObject({
      title: 'Brackwater open dog',
      rule: { passes: 3 },
      by: addDays(TODAY, 90),
    });
    expect(first?.legs.map((one) => one.judges)).toEqual([first?.judges]);
    expect(first?.later).toEqual([{ day: later.day, judges: [`of ${later.id}`] }]);
    expect([second?.key, second?.judges]).toEqual([first?.key, [`of ${far.id}`]]);
  });

  it('a trial that was run is no entry any more, also on its day', async () => {
    const today = await trial('Today', 0);
    expect((await title())?.trials).toHaveLength(1);
    await result(today, false);
    expect((await title())?.trials).toHaveLength(0);
  });

  it('classes beside: those that earn one and are nobody’s, and own ones of which no book says it', async () => {
    const other = bookNamed('ravenholt-course');
    must(await putRuleBook(kennel, other, 0));
    expect((await otherClasses(kennel, { id: DOG }, TODAY)).earning.map(({ id }) => id)).toEqual([book.id]);
    must(await sayTitleAim(kennel, DOG, book.id, {}));
    await breakDown(kennel, other, DOG);
    const beside = await otherClasses(kennel, { id: DOG }, TODAY);
    expect([beside.earning, beside.untitled.map(({ id }) => id)]).toEqual([[], [other.id]]);
    must(await sayEarns(kennel, other.id, { title: 'Ravenholt dog', passes: 2, judges: 1 }));
    expect((await titlesOf(kennel, { id: DOG }, TODAY)).map((one) => one.title)).toContain('Ravenholt dog');
    must(await sayEarns(kennel, other.id, null));
    expect((await titlesOf(kennel, { id: DOG }, TODAY)).map((one) => one.title)).not.toContain(
      'Ravenholt dog',
    );
  });

  it('which class comes before another is said once for both, and taken back', async () => {
    const [low, high] = [{ ...book, id: asId<RuleBookId>('low') }, bookNamed('ravenholt-course')];
    for (const one of [low, high]) must(await putRuleBook(kennel, one, 0));
    must(await sayClassBefore(kennel, high.id, low.id));
    const series = async (id: string) => (await kennel.database.of('ruleBooks').get(id))?.book.series;
    expect([await series(low.id), await series(high.id)]).toEqual([
      { of: low.title, place: 1 },
      { of: low.title, place: 2 },
    ]);
    must(await sayClassBefore(kennel, high.id, null));
    expect(await series(high.id)).toBeUndefined();
    expect(await sayClassBefore(kennel, asId('ghost'), low.id)).toMatchObject({ ok: false });
  });
});

describe('trials that have been', () => {
  const unsaid = async (today: Day = TODAY) =>
    (await trialsUnsaid(kennel, DOG, today)).map((one) => one.title);

  it('are asked for from the next day on, until somebody says how they went or takes them back', async () => {
    const spring = await trial('Spring', -8);
    const may = await trial('May', -1);
    await trial('Today', 0);
    await trial('Last year', -200);
    expect(await unsaid()).toEqual(['May', 'Spring']);
    expect(await unsaid(addDays(TODAY, 1))).toEqual(['Today', 'May', 'Spring']);
    // A mock run says nothing of the trial; its own result does, passed or not.
    await result(spring, true, 'mock');
    expect(await unsaid()).toEqual(['May', 'Spring']);
    await result(spring, false);
    expect(await unsaid()).toEqual(['May']);
    must(await withdrawTrial(kennel, may.id, true));
    expect(await unsaid()).toEqual([]);
  });
});
