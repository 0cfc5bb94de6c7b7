import { describe, expect, it } from 'vitest';
import type { BodySign } from '@/core/coaching';
import type { ArticlesSeen } from '@/core/log';
import { gapOf, probeStart, standingSigns, startToday } from '@/data/read';
import { fromMethod, Play } from './play.test-helper';

const recall = () => fromMethod('wait-come-finish', 'come', { distance: ['5 m', '20 m'] });
const stays = () => fromMethod('stays', 'actions', { time: ['2 s', '10 s'] });
const send = () => fromMethod('memory-retrieve', 'memory', { distance: ['10 yd', '60 yd'] });
const beg = () => fromMethod('upright', 'hold', { time: ['1 s', '10 s'] });
const hoop = () => fromMethod('props', 'height', { height: ['10 cm', '40 cm'] });
const shaped = () => fromMethod('platform', 'approach');
const articles = (change = {}) => ({
  ...fromMethod('scent-discrimination', 'choose'),
  articles: { count: 6, shape: 'line', laid: 'hidden', nearer: false, names: [], aidedAgain: false } as never,
  ...change,
});
const play = (element = recall()) => new Play(element);
const signs = (one: Play, ...list: BodySign[]): Play => {
  for (const sign of list) one.tap({ tap: 'sign', sign });
  return one;
};
const never = { offWork: null };

describe('signs of the body', () => {
  it('panting, circling, then five clean: no advance, and still the end', () => {
    const one = signs(play(), 'panting', 'circling').clean(5);
    expect(one.says).toMatch(/^end: You saw circling, the second sign of tiredness/);
    expect(one.says).not.toContain('advance');
    expect(one.says).toContain('No step up while a sign of the body stands');
  });
  it('dismissed with a reason, the advance comes back; the log keeps sign and reason', () => {
    const one = signs(play(), 'panting', 'circling').clean(5);
    const [, circling] = one.view.signs;
    one.tap({ tap: 'sign-over', of: circling?.id as never, why: 'It turns like that before every send' });
    expect(one.says).toContain('advance: 5 clean in a row');
    expect(one.kept[0]?.signs.map(({ sign }) => sign)).toEqual(['panting']);
  });
  it('tremor: stop; one rep later it is still stop; the next day Today says it first', () => {
    const one = signs(play(beg()), 'tremor').clean();
    expect(one.says).toMatch(/^stop: You saw tremor/);
    one.after(1);
    expect(standingSigns(one.kept, one.today)[0]).toMatchObject({ kind: 'stop', sign: 'tremor' });
  });
  it('a yawn once is shown and latches nothing', () => {
    const one = signs(play(), 'yawning');
    expect(one.says).toContain('You saw yawning: stress');
    expect(one.clean(5).says).toContain('advance');
    expect([one.view.signs.length, standingSigns(one.kept, one.today)]).toEqual([1, []]);
  });
  it.each(['limping', 'yelp', 'stiffness', 'tremor'] as const)('%s stops at once', (sign) =>
    expect(signs(play(), sign).says).toMatch(/^stop: /));
  it('a struck hoop lowers, a second one ends', () => {
    const one = new Play(hoop(), { start: { height: 0.3 } as never });
    expect(signs(one, 'struck').says).toMatch(/^drop-back: .*Look it over.*A second time ends it/);
    one.take().clean();
    expect(signs(one, 'struck').says).toMatch(/^end: .*the second time today/);
  });
  it('a growl while the mouth is handled ends it, hands away', () =>
    expect(signs(play(fromMethod('formal-hold', 'object')), 'growled').clean().says).toMatch(
      /^end: It growled: hands away/,
    ));
  it('freezing is never calm', () => expect(signs(play(), 'froze').says).toContain('never calm'));
  it('sign, rule and rest are lines of their own: none hides another', () => {
    const one = play();
    for (let i = 0; i < 13; i++) one.tap({ tap: 'miss' });
    signs(one, 'yawning');
    expect(one.says).toMatch(/filler: .*\n(drop-back|hold): .*\nrest: 13 reps since the last rest/s);
  });
  it('a sign put right in the log counts as what it is now', () => {
    const one = signs(play(), 'tremor');
    one.undo();
    expect([one.says.includes('stop'), standingSigns(one.kept, one.today)]).toEqual([false, []]);
  });
});

describe('rules as they are played', () => {
  it('two yards longer on full drive only; went is not full drive', () => {
    const one = play(send()).tap({ tap: 'drive', drive: 'went' });
    expect(one.says).toContain('not on full drive');
    expect(one.tap({ tap: 'drive', drive: 'full' }).says).toContain('advance: Full drive');
    expect(one.studied.habits.drive).toEqual({ of: 2, count: 1 });
  });
  it('a refusal is asked once, and "too far" stays until it is taken; going back is not lengthening', () => {
    const one = new Play(send(), { start: { distance: 36.576 } as never }).tap({
      tap: 'drive',
      drive: 'refused',
    });
    expect(one.says).toMatch(/^ask: /);
    one.tap({ tap: 'answer', why: 'too-far' }).tap({ tap: 'drive', drive: 'full' });
    expect(one.says).toMatch(/^drop-back: Too far/);
    one.take();
    for (let i = 0; i < 2; i++) one.tap({ tap: 'drive', drive: 'full' }).tap({ tap: 'rested' }).take();
    expect(one.tap({ tap: 'drive', drive: 'full' }).says).toContain('Made longer 2 times today');
  });
  it('two refusals that nobody explains end it: mouth, feet, back', () => {
    const one = play(send());
    for (let i = 0; i < 2; i++)
      one.tap({ tap: 'drive', drive: 'refused' }).tap({ tap: 'answer', why: 'unknown' });
    expect(one.says).toMatch(/^end: .*mouth, feet and back/);
  });
  it('a beg over 30 days: the whole of it, with rest days, and not 168 days', () => {
    const one = play(beg());
    const top = one.view.ladder.rungs.length - 1;
    let days = 0;
    while (one.view.rung < top && days < 60) {
      for (let i = 0; i < 5; i++) one.holds(one.view.hold ?? 1).clean();
      if (one.says.includes('advance')) one.take();
      one.after(2);
      days += 2;
    }
    expect(days).toBeGreaterThanOrEqual(14);
    expect(days).toBeLessThanOrEqual(30);
  });
  it('longer by what was held: a wide step where each hold was wide', () => {
    const one = play(beg()).after(20);
    for (let i = 0; i < 5; i++) one.holds(4).clean();
    const before = one.view.rung;
    expect(one.says).toContain('held 4 s each time');
    expect(one.take().view.rung).toBeGreaterThan(before + 1);
  });
  it('the day after, a rest day is asked; a break lengthens nothing, a second one stops', () => {
    const one = play(beg()).holds(1).clean().after(1).holds(1).clean();
    expect(one.says).toMatch(/^end: It worked yesterday/);
    const other = play(beg()).fault('Came down early').clean(4);
    expect(other.says).not.toContain('advance');
    expect(play(beg()).fault('Came down early').fault('Bounced').says).toMatch(
      /^stop: .*It is muscle, not will/,
    );
  });
  it('a stay broken four times at the pocket and never else: that thing is named', () => {
    const one = play(stays());
    for (const did of ['one step', 'a jig', 'walk round it']) one.chip('action', did).clean(3);
    one.chip('action', 'hand in the pocket');
    for (let i = 0; i < 4; i++) one.fault('Broke');
    const { kinds, alike } = one.studied.habits.breaks;
    expect(alike).toBe(true);
    expect(kinds.find(({ did }) => did === 'hand in the pocket')?.rate).toEqual({ of: 4, count: 4 });
    expect(
      kinds.filter(({ did }) => did !== 'hand in the pocket').every(({ rate }) => rate.count === 0),
    ).toBe(true);
  });
  it('a school that never lowers a criterion: no rung eases, nothing goes back, only help', () => {
    const element = stays();
    const keep = {
      ...element,
      policy: {
        ...element.policy,
        pace: { ...element.policy.pace, ratchet: 'keep' as const, startBelow: 2 },
      },
    };
    const one = play(keep);
    expect(one.view.ladder.rungs.every((rung) => rung.eases.length === 0)).toBe(true);
    one.clean(5).take();
    for (let i = 0; i < 3; i++) one.fault('Broke');
    expect(one.says).toMatch(/^help: .*never lower what was met/);
    const { criteria } = one.view;
    expect(startToday(keep, criteria, false)).toEqual(criteria);
    const gap = gapOf(one.after(270).kept, never, one.today);
    expect([gap.long, probeStart(keep, criteria, gap)]).toEqual([true, null]);
  });
  it('what the handler did about it is told by the next rep, and advised nowhere', () => {
    const one = play(stays());
    for (let i = 0; i < 3; i++)
      one
        .fault('Broke')
        .tap({ tap: 'say', change: { seen: { handled: 'put-back' } } })
        .clean();
    // One kind alone is compared with nothing.
    expect(one.studied.habits.handled).toEqual({
      alike: false,
      kinds: [{ handled: 'put-back', next: { of: 3, count: 3 } }],
    });
  });
});

describe('graded responses', () => {
  const names = () => play(shaped()).grades.map((grade) => grade.name);
  it('38 of them, 34 at or above the asked one: clean, and the ladder goes up', () => {
    const one = play(shaped());
    const [first] = names();
    for (let i = 0; i < 38; i++) one.graded(i % 10 === 5 ? null : (first ?? null));
    expect(one.counts).toEqual({ counted: 38, clean: 34 });
    expect(one.says).toMatch(/advance: \d\d of the last 20 were as far as asked/);
  });
  it('more than was asked is clean, less is not, backing away is missed', () => {
    const list = names();
    const one = new Play(shaped(), { start: { response: 2 } as never });
    for (const name of [list[1], list[2], list[3], null]) one.graded(name ?? null);
    expect(one.view.reps.map((rep) => rep.judged.outcome)).toEqual(['flawed', 'clean', 'clean', 'miss']);
    expect(one.view.lastInWords).toBe('miss: Backs away');
  });
  it('the ladder goes on from the grade shown, not from the one asked', () => {
    const one = play(shaped());
    for (let i = 0; i < 20; i++) one.graded(names()[2] ?? null);
    expect(one.take().view.by).toMatchObject({ kind: 'graded', asked: 2 });
  });
});

describe('a fair trial as it is tapped', () => {
  const trial = (): ReturnType<typeof stays> => ({
    ...stays(),
    conditions: [{ title: 'Reward', options: ['ball', 'food'], tossed: true }],
  });
  const pairs = (one: Play): number =>
    one.kept
      .flatMap((bout) => bout.pairs)
      .reduce((sum, { first, second, alike }) => sum + first + second + alike, 0);
  it('follows the toss, in blocks of two, and a rep taken back is tossed alike again', () => {
    const one = play(trial()).clean(6);
    expect(pairs(one)).toBe(3);
    const before = one.view.chips.find((row) => row.key === 'Reward')?.toss;
    one.clean().undo();
    expect(one.view.chips.find((row) => row.key === 'Reward')?.toss).toBe(before);
    expect(pairs(one)).toBe(3);
  });
  it('the other option, tapped, is no toss, and neither is one that was said otherwise afterwards', () => {
    const one = play(trial());
    const toss = one.view.chips.find((row) => row.key === 'Reward')?.toss;
    one.chip('Reward', toss === 'ball' ? 'food' : 'ball').clean();
    expect(one.kept.flatMap((bout) => bout.pairs)).toEqual([]);
    const two = play(trial()).clean(2);
    const last = two.view.reps.at(-1)?.asked.chips.Reward;
    expect(pairs(two)).toBe(1);
    two.tap({
      tap: 'say',
      change: { asked: { chips: { Reward: last === 'ball' ? 'food' : 'ball' } } },
    });
    expect(pairs(two)).toBe(0);
  });
});

describe('what was shown, and what was unpaid or done by another, reach the chance', () => {
  it('a response past the asked one says more than one just as far', () => {
    const shown = (place: number): number => {
      const one = play(shaped());
      for (let i = 0; i < 20; i++) one.graded(one.grades[place]?.name ?? null);
      return one.studied.estimate.clean.mid;
    };
    const last = play(shaped()).grades.length - 1;
    expect(shown(2)).toBeGreaterThan(shown(0));
    expect(shown(last)).toBeGreaterThan(0.7);
    // Never more than the first response: what is asked in the end is far off.
    expect(shown(0)).toBeLessThan(0.1);
  });
  it('a kept bout tells who handled it, and whether it was paid', () => {
    const one = play(stays());
    one.chip('handler', 'another').clean(2);
    one.chip('worn', 'other').clean();
    const cells = one.kept.flatMap((bout) => bout.cells);
    expect(cells.reduce((sum, cell) => sum + (cell.conditions.handler === 'another' ? 1 : 0), 0)).toBe(2);
    expect(cells.some((cell) => cell.conditions.worn === 'other')).toBe(true);
  });
});

describe('articles', () => {
  const run = (change: Partial<ArticlesSeen> = {}): ArticlesSeen => ({
    kind: 'articles',
    laid: ['1', '2'],
    target: 0,
    firstTouch: 0,
    pick: 0,
    known: false,
    shape: 'line',
    seen: false,
    nearer: null,
    ...change,
  });
  it('seven picks put right after a wrong first touch: all wrong, and nothing proved', () => {
    const one = play(articles());
    for (let i = 0; i < 7; i++) one.tap({ tap: 'picked', run: run({ firstTouch: 1 }), helped: 'after' });
    expect(one.counts).toEqual({ counted: 7, clean: 0 });
    expect(one.view.lastInWords).toContain('miss: Picked another');
  });
  it('a lone handler’s five runs in sight climb the ladder and prove nothing; it is said on the rep', () => {
    const one = play(articles());
    for (let i = 0; i < 5; i++)
      one.tap({ tap: 'picked', run: run({ known: true, seen: true }), helped: 'no' });
    expect(one.says).toContain('advance: 5 clean in a row');
    expect([one.counts.counted, one.view.tally]).toEqual([
      0,
      '5 reps; none counts, since you knew the layout',
    ]);
    expect(one.view.lastInWords).toBe('clean, does not count: you knew the layout');
  });
  it('helped first is aided: it proves nothing, and a wrong one is wrong all the same', () => {
    const one = play(articles()).tap({ tap: 'picked', run: run(), helped: 'first' });
    expect(one.counts.counted).toBe(0);
    one.tap({ tap: 'picked', run: run({ pick: 1, firstTouch: 1 }), helped: 'first' });
    expect(one.counts).toEqual({ counted: 1, clean: 0 });
  });
  it('touched another first, then right without help, is flawed', () =>
    expect(
      play(articles()).tap({ tap: 'picked', run: run({ firstTouch: 1 }), helped: 'no' }).view.lastInWords,
    ).toBe('flawed: Mouthed another first'));
});

describe('a new cue', () => {
  const cue = () => fromMethod('cue-transfer', 'transfer');
  it('20 chances with 7 alone are said as 7 of 20, failed silent tests as not yet', () => {
    const one = play(cue());
    for (let i = 0; i < 7; i++) one.timed('unprompted');
    for (let i = 0; i < 10; i++) one.timed('prompted');
    for (let i = 0; i < 3; i++) one.timed('none');
    one.timed('before-word');
    expect(one.counts).toEqual({ counted: 20, clean: 7 });
    expect(one.studied.habits.timings).toMatchObject({
      unprompted: 7,
      prompted: 10,
      none: 3,
      'before-word': 1,
    });
    expect(one.view.tally).toBe('21 reps; 20 count, 7 clean');
  });
  it('half pay: what the coin tossed is in the log', () => {
    const one = play(cue()).tap({ tap: 'stage', stage: 'B' });
    for (let i = 0; i < 4; i++) {
      const tossed = one.view.by.kind === 'timed' && one.view.by.paid;
      one.timed('prompted');
      expect(one.view.last?.paid).toEqual({ size: tossed ? 'small' : 'none', by: 'coin' });
    }
  });
  it('a stage set by hand does not begin a row of answers alone anew: three offer to end', () => {
    const one = play(cue())
      .timed('in-gap')
      .timed('in-gap')
      .tap({ tap: 'stage', stage: 'probe' })
      .timed('unprompted');
    expect(one.says).toMatch(/end: .*3 unprompted in a row/);
  });
  it('a failed silent test leads where the person says', () => {
    const element = cue();
    const rule = { ...element.policy.rule, failed: 'again' } as never;
    const again = play({ ...element, policy: { ...element.policy, rule } }).tap({
      tap: 'stage',
      stage: 'probe',
    });
    expect(again.timed('none').stage).toBe('probe');
    expect(play(cue()).tap({ tap: 'stage', stage: 'probe' }).timed('none').stage).toBe('A');
  });
});

describe('said otherwise later', () => {
  it('when the answer came, how far it went, what it brought: judged again', () => {
    const timed = play(fromMethod('cue-transfer', 'transfer')).timed('prompted');
    expect(timed.counts).toEqual({ counted: 1, clean: 0 });
    expect(timed.tap({ tap: 'timing-again', timing: 'in-gap' }).counts).toEqual({ counted: 1, clean: 1 });
    const graded = new Play(shaped(), { start: { response: 2 } as never }).graded('looks');
    expect(graded.counts.clean).toBe(0);
    expect(graded.tap({ tap: 'grade-again', grade: graded.grades[3]?.id as never }).counts.clean).toBe(1);
    const run = {
      kind: 'articles',
      laid: ['7', '12'],
      target: 1,
      firstTouch: 0,
      pick: 0,
      known: false,
      shape: 'line',
      seen: false,
      nearer: null,
    } as const;
    const picked = play(articles()).tap({ tap: 'picked', run, helped: 'no' });
    expect(picked.counts).toEqual({ counted: 1, clean: 0 });
    picked.tap({ tap: 'run-again', run: { pick: 1, firstTouch: 1 } });
    expect([picked.counts, picked.view.last?.judged.faults]).toEqual([{ counted: 1, clean: 1 }, []]);
    expect(picked.tap({ tap: 'run-again', run: { known: true } }).counts.counted).toBe(0);
  });
});

describe('after a gap', () => {
  it('nine months without: five at most, easy first, and what is left is said', () => {
    const one = new Play(fromMethod('positions-at-a-distance', 'position', { distance: ['1 m', '20 m'] }), {
      start: { distance: 15 } as never,
    }).clean(5);
    one.after(270);
    const gap = gapOf(one.kept, never, one.today);
    const from = probeStart(one.element, one.view.criteria, gap);
    expect([gap.days, gap.long, from !== null]).toEqual([270, true, true]);
    one.tap({ tap: 'move', to: from ?? {}, because: 'probe' });
    const stood = one.view.ladder.rungs.length;
    expect(one.view.rung).toBeLessThan(stood / 2);
    expect(one.says).toContain('Rep 1 of at most 5');
    one.clean().clean().tap({ tap: 'miss' }).clean().tap({ tap: 'miss' });
    expect(one.says).toMatch(/3 of 5 clean after the gap: what is left reaches to step \d/);
    const { rung } = one.take().view;
    expect(rung).toBeGreaterThan(0);
    expect(one.kept.at(-1)).toMatchObject({ probes: { reps: 5, clean: 3 }, counted: 0 });
    expect(one.clean().counts.counted).toBe(6);
  });
  it('what was found and not taken gives way to the rule; a rep that was yours is asked again', () => {
    const element = fromMethod('positions-at-a-distance', 'position', { distance: ['1 m', '20 m'] });
    const one = new Play(element, { start: { distance: 15 } as never }).clean(5).after(270);
    const from = probeStart(element, one.view.criteria, gapOf(one.kept, never, one.today));
    one.tap({ tap: 'move', to: from ?? {}, because: 'probe' });
    one.clean().tap({ tap: 'cause', cause: 'handler' });
    expect(one.says).toContain('Rep 1 of at most 5');
    one.clean(5);
    expect(one.says).toContain('5 of 5 clean after the gap');
    expect(one.clean().says).not.toContain('after the gap');
    expect(one.kept.at(-1)).toMatchObject({ counted: 1 });
  });
  it('of a body no old height, hold or pull is asked: it begins at its first step', () => {
    for (const element of [hoop(), beg(), fromMethod('harness', 'word', { line: ['1 m', '10 m'] })]) {
      const one = new Play(element, { start: fromTop(element) }).clean(3).after(60);
      const gap = gapOf(one.kept, never, one.today);
      expect(startToday(element, one.view.criteria, false, gap)).toEqual(one.view.ladder.rungs[0]?.criteria);
      expect(probeStart(element, one.view.criteria, gap)).toBeNull();
    }
  });
  it('off work since it was last worked is a gap, however short', () => {
    const one = new Play(hoop(), { start: fromTop(hoop()) }).clean(3);
    const since = one.today;
    const gap = gapOf(one.after(5).kept, { offWork: { since, until: null, why: '', vet: '' } }, one.today);
    expect(gap).toMatchObject({ long: true, offWork: true });
  });
});

const fromTop = (element: ReturnType<typeof hoop>) =>
  new Play(element).view.ladder.rungs.at(-1)?.criteria ?? {};
