import * as v from 'valibot';
import { describe, expect, it } from 'vitest';
import { buildLadder } from '@/core/breakdown';
import { asId, type DogId, type ElementId } from '@/core/shared';
import {
  askedAxis,
  asksOf,
  FIRST_CHOICES,
  firstElementFields,
  OWN_KINDS,
  toFirstElement,
} from './first-element';

const fields = { name: ' Wren ', what: 'memory-retrieve', title: '', kind: '', start: '5 yd', goal: '60 m' };
const [ID, DOG] = [asId<ElementId>('e'), asId<DogId>('d')];
const made = (change: Partial<typeof fields>) =>
  toFirstElement(v.parse(firstElementFields, { ...fields, ...change }))?.element(ID, DOG);
const issues = (change: Partial<typeof fields>): (string | undefined)[] => {
  const read = v.safeParse(firstElementFields, { ...fields, ...change });
  return read.success ? [] : read.issues.map((issue) => String(issue.path?.at(-1)?.key));
};

describe('the fields of the start', () => {
  it('become an element in base units', () => {
    expect(made({})).toMatchObject({
      title: 'Memory retrieve',
      axes: [{ start: 4.572, demand: 60, unit: 'm', step: 5, equal: true }, { role: 'help' }],
      method: { id: 'memory-retrieve', element: 'memory' },
    });
  });

  it.each([
    [{ name: '  ' }, ['name']],
    [{ what: 'juggling' }, ['what']],
    [{ start: '' }, ['start']],
    [{ start: 'near', goal: 'far' }, ['start', 'goal']],
    [{ goal: '3 m' }, ['goal']],
    [{ start: '0 m' }, ['goal']],
    [{ what: 'own' }, ['title']],
    [{ what: 'own', title: 'Sits in the boat', start: '', goal: '' }, ['start', 'goal']],
    [{ what: 'name', start: '', goal: '' }, []],
    [{ what: 'book', start: 'what was typed before', goal: '' }, []],
    [{}, []],
  ])('%j → problems at %j', (change, where) => expect(issues(change)).toEqual(where));

  it('begins with nothing where only the name is said, or a rule book comes next', () => {
    expect(toFirstElement(v.parse(firstElementFields, { ...fields, what: 'name' }))).toBeNull();
    expect(toFirstElement(v.parse(firstElementFields, { ...fields, what: 'book' }))).toBeNull();
  });

  it('takes something of one’s own by each kind of criterion', () => {
    const said = { what: 'own', title: ' Sits in the boat ' };
    expect(made({ ...said, kind: 'distance', start: '1 m', goal: '9 m' })).toMatchObject({
      title: 'Sits in the boat',
      method: null,
      axes: [{ quantity: 'distance', start: 1, demand: 9 }],
    });
    for (const kind of OWN_KINDS)
      expect([kind.id, asksOf(kind.axis)]).toEqual([kind.id, { start: true, goal: true }]);
  });
});

describe('any method', () => {
  /** Values that climb, in the axis’s own unit, whichever of the two is asked. */
  const answers = (what: string): { start: string; goal: string } => {
    const axis = askedAxis({ what, kind: '' });
    if (!axis) return { start: '', goal: '' };
    const { unit, harder } = axis.axis;
    const [easy, hard] = harder === 'less' ? ['60', '2'] : ['2', '60'];
    return { start: `${easy} ${unit}`, goal: `${hard} ${unit}` };
  };

  it.each(FIRST_CHOICES.map((one) => one.id))('%s begins with at most two answers', (what) => {
    const element = made({ what, ...answers(what) });
    expect(element?.method?.id).toBe(what);
    expect(buildLadder(element ?? { axes: [] }).rungs.length).toBeGreaterThan(1);
  });

  it('is there for each practice', () => expect(FIRST_CHOICES).toHaveLength(22));
});
