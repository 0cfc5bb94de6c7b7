import fc from 'fast-check';
import { beforeEach, describe, expect, it } from 'vitest';
import { compareBooks, type Rules } from '@/core/rulebooks';
import { sampleState } from '@/demo/sample-state.test-helper';
import { stakeLines } from '../class-view';
import {
  addDemand,
  addExercise,
  addFault,
  addPart,
  blankDraft,
  COST_STARTS,
  checkDraft,
  copyDraft,
  costKinds,
  type Draft,
  listAt,
  moveExercise,
  put,
  remove,
  removeExercise,
  textAt,
  typed,
} from './draft';
import { useEditor } from './editor-store';

const FAMILIES: readonly Rules['family'][] = [
  'points-off',
  'weighted-marks',
  'abilities',
  'retrieves',
  'checklist',
  'time-and-faults',
  'measured',
];
const ids = (draft: Draft, path: string[]): string[] =>
  listAt(draft, path).map((one) => textAt(one, [path[0] === 'rules' ? 'exercise' : 'id']));

describe.each(FAMILIES)('a draft of %s', (family) => {
  it('is sound from nothing, with a second exercise and with a fault of each kind', () => {
    const grown = costKinds(family).reduce(
      (draft, kind, i) => {
        const added = addFault(draft, 1, `Fault ${kind}`);
        const path = ['rules', 'exercises', 1, 'faults', i + 1, 'cost'];
        const priced = put(added, path, COST_STARTS[kind] ?? null);
        return priced;
      },
      addExercise(blankDraft(family)),
    );
    expect(checkDraft(blankDraft(family)).problems).toEqual([]);
    expect(checkDraft(grown).problems).toEqual([]);
    expect(checkDraft(grown).worked).toMatch(
      /^A run with one small fault in each exercise scores .* (and passes|and does not pass: .*)\.$/,
    );
  });

  it('says at once when a part has no fault for being missed', () => {
    const draft = addPart(blankDraft(family), 0, 'Second part');
    expect(checkDraft(draft).problems.map((problem) => problem.code)).toEqual(['no-miss']);
  });
});

describe('editing', () => {
  it('a copy differs from its original in nothing but id and edition', () => {
    for (const { book } of sampleState().work.ruleBooks) {
      const copied = checkDraft(copyDraft(book)).book;
      expect(copied && compareBooks(book, copied)).toEqual([]);
      expect(copied?.id).toBe(`${book.id}-copy`);
    }
  });

  it('moves an exercise in both lists, and back again to the same draft', () => {
    const draft = addExercise(addExercise(addExercise(blankDraft('points-off'))));
    fc.assert(
      fc.property(fc.nat({ max: 3 }), fc.nat({ max: 3 }), (from, to) => {
        const moved = moveExercise(draft, from, to);
        expect(ids(moved, ['exercises'])).toEqual(ids(moved, ['rules', 'exercises']));
        expect(checkDraft(moved).problems).toEqual([]);
        expect(moveExercise(moved, to, from)).toEqual(draft);
      }),
    );
    expect(ids(removeExercise(draft, 1), ['exercises'])).toEqual(['exercise', 'exercise-3', 'exercise-4']);
  });

  it('keeps what is typed, right or wrong, and says what is wrong with it', () => {
    expect([typed('2,5'), typed('7'), typed('many'), typed('')]).toEqual([2.5, 7, 'many', '']);
    const wrong = put(blankDraft('points-off'), ['rules', 'exercises', 0, 'maximum'], typed('many'));
    expect(textAt(wrong, ['rules', 'exercises', 0, 'maximum'])).toBe('many');
    expect(checkDraft(wrong).problems.map((problem) => problem.path)).toEqual(['rules.exercises[0].maximum']);
  });

  it('never gives two things one id', () => {
    const draft = ['Late', 'late', 'Läte', '!!!', '???'].reduce(
      (now, title) => addFault(now, 0, title),
      blankDraft('points-off'),
    );
    const faults = listAt(draft, ['rules', 'exercises', 0, 'faults']).map((fault) => textAt(fault, ['id']));
    expect(new Set(faults).size).toBe(6);
    expect(checkDraft(draft).problems).toEqual([]);
  });
});

describe('hidden ids', () => {
  const partIds = (draft: Draft): string[] =>
    listAt(draft, ['exercises']).flatMap((exercise) =>
      listAt(exercise, ['parts']).map((part) => textAt(part, ['id'])),
    );

  it('are another for the first part of each exercise, so that unrelated work shares no stakes', () => {
    const draft = addExercise(addExercise(blankDraft('points-off')));
    expect(new Set(partIds(draft)).size).toBe(3);
    const { book } = checkDraft(draft);
    // All three are called alike until somebody names them, and are three all the same.
    expect(book && stakeLines(book).map((line) => line.words)).toEqual([
      '40 points',
      '40 points',
      '40 points',
    ]);
  });

  it('are one for the same work in two exercises, by its name', () => {
    const draft = addPart(addPart(addExercise(blankDraft('points-off')), 0, 'Give'), 1, 'give');
    expect(partIds(draft).filter((id) => id === 'give')).toHaveLength(2);
    const twice = addPart(draft, 1, 'Give');
    expect(partIds(twice).filter((id) => id === 'give')).toHaveLength(2);
  });

  it('of demands never clash, also when one between was taken out', () => {
    const path = ['exercises', 0, 'parts', 0, 'demands'];
    const demand = { title: 'Distance', quantity: 'distance', harder: 'more', value: 5, unit: 'm' };
    const add = (draft: Draft): Draft => addDemand(draft, path, demand);
    const draft = add(remove(add(add(blankDraft('points-off'))), path, 0));
    expect(listAt(draft, path).map((one) => textAt(one, ['axis']))).toEqual(['distance-2', 'distance']);
    expect(checkDraft(draft).problems).toEqual([]);
  });
});

describe('the draft in hand', () => {
  const kept = new Map<string, string>();
  beforeEach(() => {
    kept.clear();
    globalThis.localStorage = {
      getItem: (key: string) => kept.get(key) ?? null,
      setItem: (key: string, text: string) => kept.set(key, text),
      removeItem: (key: string) => kept.delete(key),
    } as unknown as Storage;
    useEditor.setState({ kennel: null, draft: null, past: [] });
  });

  it('goes back step by step, survives a reload, and is gone when put away', () => {
    useEditor.getState().open('own');
    useEditor.getState().start(blankDraft('retrieves'));
    useEditor.getState().change((draft) => put(draft, ['title'], 'One'));
    useEditor.getState().change((draft) => put(draft, ['title'], 'Two'));
    useEditor.getState().undo();
    expect(textAt(useEditor.getState().draft ?? {}, ['title'])).toBe('One');
    useEditor.setState({ kennel: null, draft: null, past: [] });
    useEditor.getState().open('own');
    expect(textAt(useEditor.getState().draft ?? {}, ['title'])).toBe('One');
    useEditor.getState().close();
    expect([kept.size, useEditor.getState().draft]).toEqual([0, null]);
  });

  it('takes no harm from a kept draft that is none', () => {
    kept.set('regulon-draft-own', '{"half');
    useEditor.getState().open('own');
    expect(useEditor.getState().draft).toBeNull();
  });
});
