import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { distance, turned } from '@/core/geometry';
import { type AxisKey, asId, must } from '@/core/shared';
import { wordsOf } from '@/words';
import type { Axis } from '../axis';
import { buildLadder } from '../ladder';
import { METHODS } from '../methods';
import {
  type Check,
  type CheckedSetOut,
  carried,
  checkSetOut,
  criteriaOf,
  DRAWN_METHODS,
  drawnAs,
  drawnStep,
  drawRung,
  type GroundPlan,
  groundFrom,
  isRefusedSetOut,
  type Lengths,
  layingList,
  layOut,
  lengthOf,
  lengthsBy,
  listThings,
  measure,
  NEEDS,
  nameOf,
  pathsOf,
  pictureOf,
  READINGS,
  readingsFor,
  readLength,
  redrawn,
  snapped,
  standHere,
  TEMPLATES,
  type Thing,
} from '.';

const YARD = 0.9144;
const METRES: Lengths = { unit: 'm', pace: 0.75 };
const key = (text: string): AxisKey => asId<AxisKey>(text);
const axis = (more: Partial<Axis> & Pick<Axis, 'key' | 'title'>): Axis => ({
  quantity: 'distance',
  unit: 'm',
  harder: 'more',
  role: 'criterion',
  levels: null,
  start: 10,
  demand: 60,
  step: 0.25,
  limit: 0.375,
  zeroScale: null,
  margin: 0.2,
  eases: [],
  safety: null,
  ...more,
});
const DISTANCE = axis({ key: key('distance'), title: 'Distance' });
const ladder = buildLadder({ axes: [DISTANCE] });
const READS = { [key('distance')]: 'to-object' } as const;
const line = (metres: number): Thing[] => must(layOut('line', { 'to-object': metres }));
const checked = (things: readonly Thing[], more: Partial<CheckedSetOut> = {}): Check[] =>
  checkSetOut({
    things,
    plan: null,
    wind: null,
    oldFalls: [],
    spread: null,
    lengths: METRES,
    step: null,
    ...more,
  });
/** As it is read, with plain spaces. */
const plain = (said: Parameters<typeof wordsOf>[0]): string => wordsOf(said).replaceAll('\u00a0', ' ');
/** What is said, but that no ground is drawn: most drawings here stand on none. */
const codes = (checks: readonly Check[]): string[] =>
  checks.map(({ code }) => code).filter((code) => code !== 'no-ground');
const thing = (kind: Thing['kind'], x: number, y: number, more: Partial<Thing> = {}): Thing => ({
  key: `${kind}-${x}-${y}`,
  kind,
  x,
  y,
  turn: 0,
  order: null,
  label: '',
  wide: null,
  long: null,
  ...more,
});

describe('templates', () => {
  const asked = {
    'to-object': 20,
    'to-second': 30,
    'to-memory': 15,
    'to-blind': 40,
    'to-handler': 12,
    'to-toy': 3,
    gap: 1.5,
    count: 7,
    cast: -60,
    angle: 35,
    width: 2,
    side: 6,
  } as const;

  it.each(TEMPLATES)('%s measures what it was asked for', (template) => {
    const things = must(layOut(template, asked));
    for (const reading of NEEDS[template]) expect(measure(things, reading)).toBeCloseTo(asked[reading], 4);
  });

  it.each(TEMPLATES)('%s says what is missing, and refuses what cannot be laid', (template) => {
    expect(layOut(template, {})).toMatchObject({ ok: false, code: 'missing', path: NEEDS[template][0] });
    for (const reading of NEEDS[template])
      expect(layOut(template, { ...asked, [reading]: Number.NaN })).toMatchObject({
        code: 'value',
        path: reading,
      });
    const [first] = NEEDS[template];
    if (first === 'to-object' || first === 'to-handler')
      expect(layOut(template, { ...asked, [first]: 0 })).toMatchObject({ code: 'value', path: first });
  });

  it('lays any count and gap so that no two lie nearer and the nearest lies as far as asked', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('article-line', 'article-circle', 'article-scatter', 'boxes', 'hides' as const),
        fc.integer({ min: 1, max: 30 }),
        fc.double({ min: 0.2, max: 5, noNaN: true }),
        fc.double({ min: 1, max: 60, noNaN: true }),
        (template, count, gap, far) => {
          const things = must(
            layOut(template as (typeof TEMPLATES)[number], { count, gap, 'to-object': far }),
          );
          expect(measure(things, 'count')).toBe(count);
          if (count > 1) expect(measure(things, 'gap')).toBeCloseTo(gap, 6);
          const lot = things.filter(({ kind }) => ['article', 'box', 'hide'].includes(kind));
          const nearest = Math.min(...lot.map((one) => distance(one, things[0] as Thing)));
          // In a row of an even count the middle of the row is what lies as far as asked.
          if (template !== 'article-line' && template !== 'boxes') expect(nearest).toBeCloseTo(far, 3);
        },
      ),
    );
  });

  it('a count that is not whole, or over thirty, is not laid', () => {
    for (const count of [0, 2.5, 31])
      expect(layOut('article-line', { 'to-object': 5, gap: 1, count })).toMatchObject({
        code: 'value',
        path: 'count',
      });
  });

  it('memory and blind lie on one line; casts are told by the dog’s own right', () => {
    const both = must(layOut('memory-and-blind', { 'to-memory': 20, 'to-blind': 60 }));
    expect(measure(both, 'to-memory')).toBe(20);
    expect(measure(both, 'to-blind')).toBe(60);
    expect(measure(both, 'angle')).toBeCloseTo(0, 9);
    const casts = must(layOut('casts', { 'to-object': 15, 'to-handler': 5, cast: 90 }));
    // The handler stands below and looks up: the right hand of a dog that faces him is his left.
    const right = casts.find(({ order }) => order === 1) as Thing;
    expect([right.x, right.y].map(Math.round)).toEqual([-15, 0]);
  });
});

describe('which axis is what', () => {
  it('is said for elements of methods, by keys and axes that are there', () => {
    for (const [id, { reads }] of Object.entries(DRAWN_METHODS)) {
      const [method = '', element = ''] = id.split('/');
      const found = METHODS.find((one) => one.id === method)?.elements.find((one) => one.key === element);
      expect(found, id).toBeDefined();
      for (const [axisKey, reading] of Object.entries(reads)) {
        const spec = found?.axes.find((one) => one.axis.key === axisKey);
        expect(spec, `${id} ${axisKey}`).toBeDefined();
        if (spec) expect(readingsFor(spec.axis)).toContain(reading);
      }
    }
  });

  it('is taken from what is measured elsewhere, and what a rep measures is never drawn', () => {
    const gap = axis({
      key: key('gap'),
      title: 'Gap',
      quantity: 'offset',
      unit: 'cm',
      harder: 'less',
      start: 1,
      demand: 0.2,
    });
    const beside = axis({ ...gap, key: key('beside'), title: 'Beside', measured: true });
    const count = axis({
      key: key('n'),
      title: 'Articles',
      quantity: 'count',
      unit: '',
      start: 2,
      demand: 6,
      step: 1,
      limit: 2,
    });
    const drawn = drawnAs({ axes: [count, gap, beside], method: null });
    expect(drawn).toEqual({ template: 'article-line', reads: { n: 'count', gap: 'gap' } });
    expect(readingsFor(beside)).toEqual([]);
    expect(drawnAs({ axes: [DISTANCE], method: null }).template).toBe('line');
    expect(drawnAs({ axes: [DISTANCE], method: { id: 'around', element: 'spin' } }).reads).toEqual({});
  });
});

describe('a rung as a drawing, a drawing as a rung', () => {
  it('comes back from its drawing, for every rung', () => {
    for (const [i, rung] of ladder.rungs.entries()) {
      const things = must(drawRung('line', READS, rung.criteria));
      const step = drawnStep(
        ladder,
        criteriaOf(things, READS, rung.criteria),
        ladder.rungs[0]?.criteria ?? {},
      );
      expect(step.place).toEqual({ kind: 'on', rung: i });
      expect(step.up).toHaveLength(i === 0 ? 0 : 1);
    }
  });

  it('dragged further it says between which steps it is, and what went up against where the dog stands', () => {
    const [first, second] = ladder.rungs;
    const metres = ((first?.criteria[key('distance')] ?? 0) + (second?.criteria[key('distance')] ?? 0)) / 2;
    const step = drawnStep(
      ladder,
      criteriaOf(line(metres), READS, first?.criteria ?? {}),
      first?.criteria ?? {},
    );
    expect(step.place.kind).toBe('between');
    expect(step.up.map(plain)).toEqual([expect.stringMatching(/distance 10 → 1\d(\.\d+)? m/)]);
    const easier = drawnStep(ladder, criteriaOf(line(10), READS, {}), ladder.rungs.at(-1)?.criteria ?? {});
    expect(easier.down).toHaveLength(1);
  });

  it('redrawn for another step keeps the direction, wherever it was laid and turned', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -300, max: 300, noNaN: true }),
        fc.double({ min: 0, max: 360, noNaN: true }),
        fc.double({ min: 3, max: 90, noNaN: true }),
        (shift, turn, metres) => {
          const laid = line(20).map((one) => ({ ...one, ...turned({ x: one.x + shift, y: one.y }, turn) }));
          const again = redrawn(laid, READS, { [key('distance')]: metres });
          expect(measure(again, 'to-object')).toBeCloseTo(metres, 6);
          expect(again[0]).toEqual(laid[0]);
        },
      ),
    );
  });

  it('redraws what lies together: more of it, further apart, all of it further away', () => {
    const laid = must(layOut('boxes', { 'to-object': 8, count: 4, gap: 1 }));
    const reads = { [key('n')]: 'count', [key('g')]: 'gap', [key('d')]: 'to-object' } as const;
    const again = redrawn(laid, reads, { [key('n')]: 6, [key('g')]: 2, [key('d')]: 12 });
    expect(measure(again, 'count')).toBe(6);
    expect(measure(again, 'gap')).toBeCloseTo(2, 6);
    expect(measure(again, 'to-object')).toBeCloseTo(12, 6);
    expect(measure(redrawn(again, reads, { [key('n')]: 2 }), 'count')).toBe(2);
    expect(new Set(again.map((one) => one.key)).size).toBe(again.length);
  });

  it('redraws angles, widths and lanes', () => {
    const marks = must(layOut('marks', { 'to-object': 40, 'to-second': 50, angle: 30 }));
    const wider = redrawn(marks, { [key('a')]: 'angle' }, { [key('a')]: 75 });
    expect(measure(wider, 'angle')).toBeCloseTo(75, 6);
    expect(measure(wider, 'to-second')).toBeCloseTo(50, 6);
    const casts = must(layOut('casts', { 'to-object': 15, 'to-handler': 5, cast: 45 }));
    expect(measure(redrawn(casts, { [key('a')]: 'cast' }, { [key('a')]: -90 }), 'cast')).toBeCloseTo(-90, 6);
    const lane = must(layOut('lane', { 'to-handler': 10, width: 2 }));
    const narrow = redrawn(
      lane,
      { [key('w')]: 'width', [key('d')]: 'to-handler' },
      { [key('w')]: 1, [key('d')]: 20 },
    );
    expect([measure(narrow, 'width'), measure(narrow, 'to-handler')]).toEqual([1, 20]);
    expect(narrow.find(({ kind }) => kind === 'lane')?.long).toBeCloseTo(16, 9);
  });

  it('snaps to what the rung asks when let go near it, and nowhere else', () => {
    const things = line(20);
    const at = (x: number, y: number) => snapped(things, 'mark-1', { x, y }, { 'to-object': 20 });
    expect(
      measure(
        things.map((one) => (one.key === 'mark-1' ? { ...one, ...at(3, 20.4) } : one)),
        'to-object',
      ),
    ).toBeCloseTo(20, 9);
    expect(at(0, 23)).toEqual({ x: 0, y: 23 });
    const marks = must(layOut('marks', { 'to-object': 40, 'to-second': 40, angle: 30 }));
    const second = marks.find((one) => one.key === 'mark-2') as Thing;
    const near = turned(second, 2);
    const put = snapped(marks, 'mark-2', near, { angle: 30 });
    expect(distance(put, second)).toBeLessThan(1e-6);
    // Moving the dog keeps what is asked too.
    const dog = snapped(things, 'dog-1', { x: 0, y: 0.3 }, { 'to-object': 20 });
    expect(dog.y).toBeCloseTo(0, 9);
  });

  it('the dog takes whoever stands at its side along, and nobody further off', () => {
    const heel = carried(line(20), 'dog-1', { x: 3, y: -2 });
    expect(heel.find(({ kind }) => kind === 'handler')).toMatchObject({ x: 3.6, y: -2 });
    expect(heel.find(({ kind }) => kind === 'mark')).toMatchObject({ x: 0, y: 20 });
    const stay = carried(must(layOut('stay', { 'to-handler': 15 })), 'dog-1', { x: 3, y: 0 });
    expect(stay.find(({ kind }) => kind === 'handler')).toMatchObject({ x: 0, y: 15 });
  });

  it('every reading of nothing is null, never a number that is none', () => {
    for (const reading of READINGS) expect(measure([], reading)).toBeNull();
    expect(measure(line(20), 'to-blind')).toBeNull();
    expect(measure(line(20), 'angle')).toBeNull();
  });
});

describe('what is said against it', () => {
  const field: GroundPlan = groundFrom('road', 100, 80);
  const onField = (things: readonly Thing[], y: number): Thing[] =>
    things.map((one) => ({ ...one, x: one.x + 50, y: one.y + y }));

  it('a line over the road is refused until it is moved', () => {
    const over = checked(onField(line(75), 10), { plan: field });
    expect(codes(over)[0]).toBe('over-road');
    expect(isRefusedSetOut(over)).toBe(true);
    expect(wordsOf(over[0]?.say)).toBe(
      'The line to the mark goes over the road. It is not sent so: move the mark, or where the dog starts.',
    );
    const moved = checked(onField(line(30), 10), { plan: field });
    expect(isRefusedSetOut(moved)).toBe(false);
  });

  it('says how likely the dog runs on to it, from what, and nothing where it is far', () => {
    const near = checked(onField(line(55), 10), { plan: field });
    // The road begins at 73.5 m, 63.5 m from the dog; straight on alone that is 1 − Φ(ln(63.5/55)/.25) = .28.
    const said = near.find(({ code }) => code === 'near-road');
    expect(wordsOf(said?.say)).toMatch(
      /about 2[5-8] times in 100 \(line 6° to either side, 25 % too far in one run of six: stated by the program/,
    );
    const own = checked(onField(line(55), 10), { plan: field, spread: { line: 2, reach: 0.05 } });
    expect(wordsOf(own.find(({ code }) => code === 'near-road')?.say)).toContain('as you said of this dog');
    expect(codes(checked(onField(line(15), 5), { plan: field }))).not.toContain('near-road');
  });

  it('water is for care, ice is refused, and nobody stands on a road', () => {
    const pond = groundFrom('pond', 100, 80);
    const across = [thing('dog', 60, 45), thing('blind', 95, 45, { order: 1 })];
    expect(codes(checked(across, { plan: pond }))).toContain('over-water');
    expect(isRefusedSetOut(checked(across, { plan: pond }))).toBe(false);
    const frozen = {
      ...pond,
      features: pond.features.map((one) => ({
        ...one,
        kind: one.kind === 'water' ? ('ice' as const) : one.kind,
      })),
    };
    expect(isRefusedSetOut(checked(across, { plan: frozen }))).toBe(true);
    const stands = checked([...onField(line(20), 10), thing('helper', 50, 76)], { plan: field });
    expect(codes(stands)).toContain('in-road');
  });

  it('past a gun, or across where it shoots, is refused; its own fall is not', () => {
    const gun = (x: number, y: number, turn: number): Thing => thing('gun', x, y, { turn });
    const own = [...line(40), gun(15, 30, -56)];
    expect(codes(checked(own))).not.toContain('past-gun');
    expect(codes(checked([...line(40), gun(2, 20, 90)]))).toContain('past-gun');
    expect(codes(checked([...line(40), gun(15, 10, -90)]))).toContain('past-gun');
    expect(codes(checked([...line(40), gun(15, 10, 90)]))).not.toContain('past-gun');
    expect(codes(checked([...line(40), gun(15, 0, -90)]))).toContain('before-gun');
  });

  it('past an old fall of the last three days only', () => {
    const name = nameOf(thing('mark', 0, 0), []);
    const at = { x: 2, y: 25 };
    const fall = (days: number) => checked(line(40), { oldFalls: [{ at, days, name }] });
    expect(wordsOf(fall(1).find(({ code }) => code === 'old-fall')?.say)).toMatch(
      /where the mark lay yesterday/,
    );
    expect(codes(fall(4))).not.toContain('old-fall');
    expect(codes(checked(line(40), { oldFalls: [{ at: { x: 9, y: 25 }, days: 1, name }] }))).not.toContain(
      'old-fall',
    );
  });

  it('into the wind, with it, and across', () => {
    const wind = (from: number) => codes(checked(line(40), { wind: { from, speed: 3 } }));
    expect(wind(10)).toEqual(['upwind']);
    expect(wind(180)).toEqual(['downwind']);
    expect(wind(270)).toEqual(['crosswind']);
    expect(codes(checked(line(40), { wind: { from: 10, speed: 0.2 } }))).toEqual([]);
    const across = checked(line(40), { wind: { from: 270, speed: 3 } }).find(
      ({ code }) => code === 'crosswind',
    );
    expect(wordsOf(across?.say)).toBe(
      'Wind from the left on the way to the mark: dogs drift to the right, and wind it from there.',
    );
  });

  it('a step larger than the ladder’s, with what would be the most', () => {
    const step = { ladder, stands: { [key('distance')]: 10 }, asks: { [key('distance')]: 20 } };
    const found = checked(line(20), { step });
    expect(codes(found)).toEqual(['large-step']);
    expect(plain(found[0]?.say)).toBe(
      'Larger than a step of its ladder: distance from 10 m to 20 m. At most 13.7 m today.',
    );
    // What is said to be the most is not too much itself.
    for (const metres of [12, 13.7])
      expect(
        codes(checked(line(metres), { step: { ...step, asks: { [key('distance')]: metres } } })),
      ).toEqual([]);
  });

  it('two axes up at once is noted', () => {
    const wait = axis({
      key: key('wait'),
      title: 'Wait',
      quantity: 'duration',
      unit: 's',
      start: 1,
      demand: 20,
    });
    const two = buildLadder({ axes: [DISTANCE, wait] });
    const asks = { [key('distance')]: 12, [key('wait')]: 1.2 };
    const stands = { [key('distance')]: 10, [key('wait')]: 1 };
    const found = checked(line(12), { step: { ladder: two, stands, asks } });
    expect(wordsOf(found.find(({ code }) => code === 'several-up')?.say)).toContain('distance and wait');
  });

  it('a blind in the open is in sight, behind cover it is not', () => {
    const blind = [thing('dog', 0, 0), thing('blind', 0, 40, { order: 1 })];
    expect(codes(checked(blind))).toEqual(['in-sight']);
    expect(codes(checked([...blind, thing('cover', 0, 30, { wide: 2, long: 12, turn: 90 })]))).toEqual([]);
  });

  it('another goal beside the line, and whether it is picked up by then', () => {
    const both = must(layOut('memory-and-blind', { 'to-memory': 20, 'to-blind': 60 }));
    const found = checked(both).find(({ code }) => code === 'past-other');
    expect(plain(found?.say)).toMatch(
      /passes the memory, 0 m beside its line\. That one is picked up by then/,
    );
  });

  it('without a ground nobody has looked for roads, and that is said of what is sent out; on one it is not', () => {
    const said = (things: readonly Thing[], plan: GroundPlan | null) =>
      checked(things, { plan }).some(({ code }) => code === 'no-ground');
    expect(said(line(20), null)).toBe(true);
    expect(said(onField(line(20), 10), field)).toBe(false);
    expect(said(must(layOut('stay', { 'to-handler': 15 })), null)).toBe(false);
    expect(said(must(layOut('pole', { 'to-object': 5 })), null)).toBe(false);
  });

  it('without a dog, without anything to run to, off the plan', () => {
    expect(codes(checked([thing('mark', 0, 20)]))).toEqual(['no-dog']);
    expect(codes(checked([thing('dog', 0, 0), thing('handler', 0.6, 0)]))).toEqual(['nothing-to-run-to']);
    expect(codes(checked(line(20), { plan: groundFrom('open', 10, 10) }))).toContain('off-plan');
    expect(codes(checked(must(layOut('stay', { 'to-handler': 15 }))))).toEqual([]);
  });

  it('turning and shifting all of it, ground and wind too, changes nothing that is said', () => {
    const things = [...onField(line(55), 10), thing('gun', 70, 40, { turn: 90 })];
    const before = checked(things, { plan: field, wind: { from: 200, speed: 3 } });
    const about = { x: 50, y: 40 };
    const turn = 37;
    const rotated = {
      ...field,
      features: field.features.map((one) => ({
        ...one,
        points: one.points.map((each) => turned(each, turn, about)),
      })),
      wide: 5000,
      deep: 5000,
    };
    const shift = 300;
    const moved = (one: { x: number; y: number }) => ({ x: one.x + shift, y: one.y + shift });
    const after = checked(
      things.map((one) => ({ ...one, ...moved(turned(one, turn, about)), turn: one.turn + turn })),
      {
        plan: {
          ...rotated,
          features: rotated.features.map((one) => ({ ...one, points: one.points.map(moved) })),
        },
        wind: { from: 237, speed: 3 },
      },
    );
    expect(after.map((one) => wordsOf(one.say))).toEqual(before.map((one) => wordsOf(one.say)));
  });
});

describe('words for whoever stands and lays', () => {
  const plan = groundFrom('hedge', 100, 80);

  it('reads a drawing as a list: the dog, what is sent for in its order, the rest', () => {
    const things = must(layOut('marks', { 'to-object': 40, 'to-second': 50, angle: 40 }));
    const list = listThings(things, 0, METRES);
    expect(
      list.map((one) => `${wordsOf(one.name)}: ${wordsOf(one.where)}`.replaceAll('\u00a0', ' ')),
    ).toEqual([
      'dog: starts here',
      'mark 1: 40 m from the dog, bearing 340°',
      'mark 2: 50 m from the dog, bearing 20°, 40° right of the one before',
      'you: 0.6 m from the dog, bearing 90°',
    ]);
  });

  it('says by the compass where north is turned', () => {
    expect(wordsOf(listThings(line(20), 30, METRES)[1]?.where)).toContain('bearing 330°');
  });

  it('says where to stand along the hedge, in one’s own paces', () => {
    const said = standHere({ x: 12, y: 24 }, plan, 0, { unit: 'paces', pace: 0.8 });
    expect(wordsOf(said).replaceAll('\u00a0', ' ')).toBe(
      '30 paces along the hedge from its south end, 5 paces out from it.',
    );
    expect(standHere({ x: 12, y: 24 }, null, 0, METRES)).toBeNull();
    expect(standHere({ x: 12, y: 24 }, groundFrom('open', 100, 80), 0, METRES)).toBeNull();
    expect(wordsOf(standHere({ x: 8, y: 70 }, plan, 180, METRES))).toContain('south end');
  });

  it('lists what to lay in order: what stands there, blinds, then what the dog watches; falls are thrown', () => {
    const things = [
      thing('dog', 10, 0),
      thing('memory', 10, 20, { order: 1 }),
      thing('blind', 10, 60, { order: 2 }),
      thing('platform', 30, 0),
      thing('mark', 50, 30, { order: 3 }),
    ];
    const list = layingList(things, plan, 0, METRES).map((one) => wordsOf(one).replaceAll('\u00a0', ' '));
    expect(list).toEqual([
      'platform: 20 m from the dog, bearing 90°.',
      'blind: 60 m from the dog along the hedge, bearing 0°.',
      'memory: the dog watches it laid, 20 m from the dog along the hedge, bearing 0°.',
      'mark: falls 50 m from the dog, bearing 53°. Thrown when the dog looks.',
    ]);
    expect(pathsOf(things).dog).toBeCloseTo(2 * (20 + 60 + 20 + 50), 9);
    expect(layingList([], plan, 0, METRES)).toEqual([]);
  });

  it('reads and writes metres, yards and paces of one’s own', () => {
    const paces: Lengths = { unit: 'paces', pace: 0.8 };
    expect(must(readLength('30 paces', METRES, { decimal: '.', group: null }))).toBeCloseTo(22.5, 9);
    expect(must(readLength('30', paces, { decimal: '.', group: null }))).toBeCloseTo(24, 9);
    expect(must(readLength('30 yd', paces, { decimal: '.', group: null }))).toBeCloseTo(30 * YARD, 9);
    expect(wordsOf(lengthOf(paces, 30))).toBe('38\u00a0paces');
    expect(wordsOf(lengthOf({ unit: 'yd', pace: 1 }, 45 * YARD))).toBe('45\u00a0yd');
    expect(wordsOf(lengthOf(METRES, 0.216))).toBe('0.22\u00a0m');
    const people = [
      { name: 'Ada', pace: 0.9 },
      { name: 'Bo', pace: null },
    ];
    expect(lengthsBy({ unit: 'paces', whose: 'Ada' }, people, 'yd')).toEqual({ unit: 'paces', pace: 0.9 });
    expect(lengthsBy({ unit: null, whose: 'Bo' }, people, 'yd')).toEqual({ unit: 'yd', pace: 0.75 });
    expect(lengthsBy({ unit: null, whose: null }, people, 'ft').unit).toBe('m');
  });
});

describe('the picture', () => {
  it('writes the angle between neighbours all round, and none that is wider than is read from an arc', () => {
    const arcs = (things: readonly Thing[]) =>
      pictureOf({
        things,
        plan: null,
        north: 0,
        wind: null,
        oldFalls: [],
        spread: null,
        lengths: METRES,
      }).arcs.map(({ degrees }) => degrees);
    expect(arcs(must(layOut('casts', { 'to-object': 20, 'to-handler': 3, cast: 0 })))).toEqual([90, 90]);
    expect(arcs(must(layOut('marks', { 'to-object': 40, 'to-second': 50, angle: 40 })))).toEqual([40]);
    expect(arcs(line(20))).toEqual([]);
  });

  it('of the whole ground holds what lies off it too, so that it can be taken back', () => {
    const plan = groundFrom('open', 40, 30);
    const { box } = pictureOf({
      things: line(60),
      plan,
      north: 0,
      wind: null,
      oldFalls: [],
      spread: null,
      lengths: METRES,
      whole: true,
    });
    expect(box.y + box.high).toBeGreaterThan(60);
    expect(box.x + box.wide).toBeGreaterThan(40);
  });

  it('holds all things in its box, with a bar of a round length', () => {
    const things = must(layOut('marks', { 'to-object': 40, 'to-second': 50, angle: 40 }));
    const given = {
      things,
      plan: null,
      north: 0,
      wind: { from: 0, speed: 3 },
      oldFalls: [],
      spread: null,
    } as const;
    const { box, scale, lines, arcs, scent } = pictureOf({ ...given, lengths: METRES });
    for (const one of things) {
      expect(one.x).toBeGreaterThan(box.x);
      expect(one.y).toBeGreaterThan(box.y);
      expect(one.x).toBeLessThan(box.x + box.wide);
      expect(one.y).toBeLessThan(box.y + box.high);
    }
    expect(scale.metres).toBe(10);
    expect(lines.filter(({ run }) => run)).toHaveLength(2);
    expect(arcs[0]?.degrees).toBe(40);
    expect(scent).toHaveLength(2);
    const yards = pictureOf({ ...given, lengths: { unit: 'yd', pace: 1 } });
    expect(wordsOf(yards.scale.words)).toBe('10\u00a0yd');
    expect(yards.scale.metres).toBeCloseTo(10 * YARD, 9);
  });
});
