import fc from 'fast-check';
import { beforeEach, describe, expect, it } from 'vitest';
import { bookNamed } from '@/core/rulebooks/sample-books.test-helper';
import { checkDraft } from './check';
import { COST_STARTS, costOptions } from './cost-specs';
import { at, type Draft, type Json, listAt, type Path, put, textAt, typed } from './draft';
import { useEditor } from './editor-store';
import { keptStorage } from './kept-storage.test-helper';
import { made } from './made';
import { placeInWords } from './place-words';
import { MAIN_NUMBER } from './row-specs';
import {
  addExercise,
  addFault,
  addPart,
  blankDraft,
  correctDraft,
  draftFrom,
  FAMILIES,
  moveExercise,
  removeExercise,
  removePart,
} from './starts';
import { shownCost } from './typed-values';
import { draft, faultsOf, leaves, small, type, typeCost, typeNumber, typeText } from './typing.test-helper';

const kept = keptStorage();

beforeEach(() => {
  useEditor.setState({ kennel: null, draft: null, origin: null, past: [], step: null });
});

describe('key by key', () => {
  it.each(
    FAMILIES,
  )('a book of %s is sound as soon as its cells are filled, and says what a usual run scores', (family) => {
    useEditor.getState().start(blankDraft(family));
    expect(checkDraft(draft()).problems.map((one) => one.words)).toContain('Not filled in yet.');
    small(family);
    const { problems, book, worked } = checkDraft(draft());
    expect(problems).toEqual([]);
    expect(book?.id).toBe(`a-${family}-class`);
    expect(worked).toMatch(
      /^A run with one small fault in each exercise scores .* (and passes|and does not pass: .*)\.$/,
    );
  });

  it.each([
    '2.5',
    '1.05',
    '2,5',
    '0.5',
    '.5',
    '10',
    '100.25',
  ])('the number %s stays as it is typed', (text) => {
    small('points-off');
    const path = ['rules', 'exercises', 0, 'maximum'];
    for (let i = 1; i <= text.length; i++) {
      typeNumber(path, text.slice(0, i));
      expect(textAt(draft(), path)).toBe(text.slice(0, i));
    }
    const file = made(draft(), []).file;
    expect(at(file, path)).toBe(Number(text.replace(',', '.')));
  });

  it('what is no number is kept as it was typed, and said at its cell', () => {
    small('points-off');
    typeNumber(['rules', 'exercises', 0, 'maximum'], 'many');
    const [problem] = checkDraft(draft()).problems;
    expect(problem).toMatchObject({
      at: ['rules', 'exercises', 0, 'maximum'],
      where: 'Recall: Points',
      words: '“many” is not a number. Write digits, with a point or a comma before a fraction.',
    });
  });

  it('a price that is not understood is said at its cell, and what is typed stays', () => {
    small('points-off');
    typeCost([...faultsOf(0), 1], '2 pears');
    const [problem] = checkDraft(draft()).problems;
    expect([problem?.at, problem?.where]).toEqual([
      [...faultsOf(0), 1, 'cost'],
      'Recall, Slow: what it costs',
    ]);
    expect(shownCost(at(draft(), [...faultsOf(0), 1]) ?? null)).toBe('2 pears');
  });

  it('a price that the way of scoring does not have, a share that is no whole number and a limit are said in words', () => {
    small('points-off');
    typeCost([...faultsOf(0), 1], 'major fault');
    expect(checkDraft(draft()).problems.map((one) => [one.where, one.words])).toEqual([
      [
        'Recall, Slow: what it costs',
        'This way of scoring has no such price. It has: each time, per extra cue, per second, per metre, by steps of a measure, left to the judge, zeroes the exercise, ends the run, gives points on top.',
      ],
    ]);
    typeCost([...faultsOf(0), 1], '1');
    useEditor
      .getState()
      .change((now) => put(now, ['rules', 'pass', 0], { kind: 'share-of-each', percent: typed('70.5') }));
    expect(checkDraft(draft()).problems.map((one) => one.words)).toEqual([
      'A whole number is wanted; here stands 70.5.',
    ]);
    typeNumber(['rules', 'pass', 0, 'percent'], '700');
    expect(checkDraft(draft()).problems.map((one) => one.words)).toEqual(['At most 100; here stands 700.']);
  });

  it('no sentence of the check has an id, a key or a word of a file', () => {
    small('points-off');
    const { change } = useEditor.getState();
    change((now) => addPart(addExercise(now, 1), 0, 1));
    typeText(['exercises', 1, 'title'], 'Recall');
    typeNumber(['rules', 'pass', 0, 'atLeast'], '999');
    const words = checkDraft(draft()).problems.map((one) => `${one.where} ${one.words}`);
    expect(words.length).toBeGreaterThan(1);
    for (const one of words)
      expect(one).not.toMatch(/~\d|"|\bmiss\b|\bid\b|undefined|null|atLeast|exercises\[/);
  });

  it('what is typed in one field is one step to undo; another field is another', () => {
    small('points-off');
    const before = draft();
    typeText(['title'], 'Barn class');
    typeText(['edition'], 'Spring');
    useEditor.getState().undo();
    expect([textAt(draft(), ['title']), textAt(draft(), ['edition'])]).toEqual([
      'Barn class',
      'First edition',
    ]);
    useEditor.getState().undo();
    expect(draft()).toEqual(before);
  });

  it('an empty row is no fault and no exercise; the rows that are wrong are still pointed to', () => {
    small('points-off');
    const { change } = useEditor.getState();
    const part = textAt(draft(), ['exercises', 0, 'parts', 0, 'id']);
    change((now) => addExercise(addFault(now, 0, part, 1), 0));
    expect(checkDraft(draft()).problems).toEqual([]);
    expect(checkDraft(draft()).book?.exercises).toHaveLength(1);
    const slow = [...faultsOf(1), 2];
    typeCost(slow, '999.999');
    expect(checkDraft(draft()).problems.map((one) => one.at)).toEqual([[...slow, 'cost']]);
  });

  it.each(
    FAMILIES,
  )('a row of %s with nothing but its number is no empty one: it is asked for its name', (family) => {
    small(family);
    const main = MAIN_NUMBER[family];
    if (!main || family === 'checklist') return;
    useEditor.getState().change((now) => addExercise(now, 1));
    typeNumber(['rules', 'exercises', 1, ...main.path], '7');
    expect(checkDraft(draft()).problems.map((one) => one.where)).toContain('Exercise 2: name');
  });

  it('demands are read as they are said, and a part without one is fine', () => {
    small('points-off');
    const path = ['exercises', 0, 'parts', 0, 'demands'];
    expect(checkDraft(draft()).book?.exercises[0]?.parts[0]?.demands).toEqual([]);
    type(path, '20 m; answers within 1.5 s', (now, text) => put(now, path, typed(text, [])));
    expect(checkDraft(draft()).book?.exercises[0]?.parts[0]?.demands).toEqual([
      { axis: 'distance', title: 'Distance', quantity: 'distance', harder: 'more', value: 20, unit: 'm' },
      { axis: 'latency', title: 'answers', quantity: 'latency', harder: 'less', value: 1.5, unit: 's' },
    ]);
    type(path, 'far away', (now, text) => put(now, path, typed(text, [])));
    expect(checkDraft(draft()).problems.map((one) => one.where)).toEqual(['Recall: Asked']);
  });
});

describe('rows', () => {
  it('move in both lists, and back again to the same draft', () => {
    const four = addExercise(addExercise(addExercise(blankDraft('points-off'), 1), 2), 3);
    const ids = (now: Draft, path: Path, key: string) => listAt(now, path).map((one) => textAt(one, [key]));
    fc.assert(
      fc.property(fc.nat({ max: 3 }), fc.nat({ max: 3 }), (from, to) => {
        const moved = moveExercise(four, from, to);
        expect(ids(moved, ['exercises'], 'id')).toEqual(ids(moved, ['rules', 'exercises'], 'exercise'));
        expect(moveExercise(moved, to, from)).toEqual(four);
      }),
    );
    expect(listAt(removeExercise(four, 1), ['exercises'])).toHaveLength(3);
  });

  it('a part comes with what is charged when it is not done, and goes with its faults', () => {
    const two = addPart(blankDraft('points-off'), 0, 1);
    expect(listAt(two, faultsOf(0)).map((fault) => at(fault, ['miss']))).toEqual([true, true]);
    const id = textAt(two, ['exercises', 0, 'parts', 1, 'id']);
    const gone = removePart(addFault(two, 0, id), 0, 1);
    expect(listAt(gone, faultsOf(0))).toHaveLength(1);
  });

  it('one piece of work in two exercises has one id by its name; unlike work has not', () => {
    small('points-off');
    const { change } = useEditor.getState();
    change((now) => addExercise(now, 1));
    typeText(['exercises', 1, 'title'], 'Retrieve');
    typeNumber(['rules', 'exercises', 1, 'maximum'], '20');
    for (const e of [0, 1]) {
      change((now) => addPart(now, e, 1));
      typeText(['exercises', e, 'parts', 0, 'title'], e === 0 ? 'Comes' : 'Fetches');
      typeText(['exercises', e, 'parts', 1, 'title'], 'Finish at heel');
    }
    const parts = checkDraft(draft()).book?.exercises.map((one) =>
      one.parts.map((part) => part.id as string),
    );
    expect(parts).toEqual([
      ['comes', 'finish-at-heel'],
      ['fetches', 'finish-at-heel'],
    ]);
  });

  it('a new price of each kind is sound in its family', () => {
    for (const family of FAMILIES)
      for (const [kind] of costOptions(family)) {
        small(family);
        const path = [...faultsOf(0), 1, 'cost'];
        const priced = put(
          put(draft(), path, COST_STARTS[kind] ?? null),
          ['rules', 'smallest'],
          at(draft(), ['rules', 'smallest']) ?? null,
        );
        const clean = family === 'measured' ? priced : put(draft(), path, COST_STARTS[kind] ?? null);
        expect([family, kind, checkDraft(clean).problems]).toEqual([family, kind, []]);
      }
  });

  it('every place of a book can be said in words', () => {
    const now = correctDraft(bookNamed('vellmoor-obedience-two'));
    for (const path of leaves(now, [])) expect(placeInWords(now, path)).not.toMatch(/undefined|\[object/);
  });
});

describe('a file', () => {
  it('that is unsound is opened with its problems; one that is none is refused', () => {
    const text = JSON.stringify(bookNamed('vellmoor-obedience-two')).replace('"atLeast":60', '"atLeast":600');
    const read = draftFrom(text);
    expect(read && checkDraft(read).problems.map((one) => one.where)).toEqual(['To pass 1: at least']);
    expect(['{"rows": 1}', 'not a file', '[]', 'null', '""', '{"rules":null}'].map(draftFrom)).toEqual(
      Array(6).fill(null),
    );
  });

  it('never breaks the table, whatever is taken out of it', () => {
    const whole = correctDraft(bookNamed('vellmoor-obedience-two'));
    fc.assert(
      fc.property(
        fc.constantFrom(...leaves(whole, [])),
        fc.constantFrom<Json>(null, '', 'x', 3, [], {}),
        (path, value) => {
          for (let depth = 1; depth <= path.length; depth++) {
            if (path[depth - 1] === 'family' || (depth === 1 && path[0] === 'rules')) continue;
            const read = draftFrom(JSON.stringify(put(whole, path.slice(0, depth), value)));
            if (read) expect(checkDraft(read).problems.every((one) => one.words !== '')).toBe(true);
          }
        },
      ),
      { numRuns: 300 },
    );
  });
});

describe('the draft in hand', () => {
  it('survives a reload with what it corrects, and is gone when put away', () => {
    useEditor.getState().open('own');
    useEditor.getState().start(correctDraft(bookNamed('vellmoor-obedience-two')), 'vellmoor-obedience-two');
    typeText(['title'], 'Other');
    useEditor.setState({ kennel: null, draft: null, origin: null, past: [] });
    useEditor.getState().open('own');
    expect([textAt(draft(), ['title']), useEditor.getState().origin]).toEqual([
      'Other',
      'vellmoor-obedience-two',
    ]);
    useEditor.getState().close();
    expect([kept.size, useEditor.getState().draft]).toEqual([0, null]);
  });

  it('takes over a draft that was kept before books could be corrected', () => {
    kept.set('regulon-draft-own', JSON.stringify(correctDraft(bookNamed('vellmoor-obedience-two'))));
    useEditor.setState({ kennel: null });
    useEditor.getState().open('own');
    expect([textAt(draft(), ['title']), useEditor.getState().origin]).toEqual([
      'Vellmoor Obedience, Class Two',
      null,
    ]);
  });

  it('loses no letter where the storage is full, and says so', () => {
    small('points-off');
    useEditor.setState({ kennel: 'own' });
    globalThis.localStorage.setItem = () => {
      throw new Error('full');
    };
    typeText(['title'], 'Barn class');
    expect([textAt(draft(), ['title']), useEditor.getState().kept]).toEqual(['Barn class', false]);
  });

  it('takes no harm from a kept draft that is none', () => {
    for (const text of ['{"half', '3', '{"draft":4}', '{"rules":{}}']) {
      kept.set('regulon-draft-own', text);
      useEditor.setState({ kennel: null });
      useEditor.getState().open('own');
      expect(useEditor.getState().draft).toBeNull();
    }
  });
});
