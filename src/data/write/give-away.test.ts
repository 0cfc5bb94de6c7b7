import { describe, expect, it } from 'vitest';
import { asId, type Day, type DogId, type ElementId, must, type SignalId } from '@/core/shared';
import { readKennelFile } from '@/data/files';
import { writeKennelFile } from '@/data/files/files.test-helper';
import { CHANGED, DOG, exportTables, kennelWithDog, testElement } from '@/data/kennel.test-helper';
import {
  allTrialsOf,
  cuesOf,
  dogsPutAway,
  listDogs,
  listSignals,
  putAwayOf,
  trialsOf,
  workOf,
  workToShare,
} from '@/data/read';
import { type ElementRecord, type New, UNKNOWN_DOG } from '@/data/records';
import { makeSampleKennel } from '@/demo/sample-kennel';
import {
  addDog,
  addTrial,
  changeDog,
  changeTrial,
  copyExercises,
  makeExercise,
  makeExercises,
  orderDogs,
  putElementAway,
  putExerciseAway,
  putRuleBook,
  putRuleBookAway,
  putSignal,
  removeSignal,
  renameRuleBook,
  type SignalSaid,
  startBout,
  takeBack,
  withdrawTrial,
} from '.';

const OTHER = asId<DogId>('other');

async function begin() {
  const kennel = await kennelWithDog();
  await kennel.database
    .of('dogs')
    .add({ ...UNKNOWN_DOG, id: OTHER, name: 'Abel', order: 1, changed: CHANGED });
  const [out, back] = [
    testElement('out'),
    testElement('back', {
      needs: [{ element: asId<ElementId>('out'), at: {} }],
      wait: asId<ElementId>('out'),
    }),
  ];
  const made = must(
    await makeExercise(kennel, {
      dogId: DOG,
      source: { title: 'Send', goal: 'for the autumn' },
      links: [out, back].map((one) => ({ part: null, element: one })),
    }),
  ).made;
  const sound = async () =>
    expect(readKennelFile(writeKennelFile(await exportTables(kennel), 'x'))).toMatchObject({ ok: true });
  return { kennel, made, sound };
}

describe('a whole exercise for another dog', () => {
  it('has its links, an element of its own for each, and what they wait for among themselves', async () => {
    const { kennel, made, sound } = await begin();
    const given = must(await copyExercises(kennel, [made.id], OTHER));
    const work = await workOf(kennel, OTHER);
    expect(work.breakdowns.map((one) => [one.own?.title, one.links.length])).toEqual([['Send', 2]]);
    expect(work.elements.map((one) => one.title).sort()).toEqual(['back', 'out']);
    const [out, back] = ['out', 'back'].map((title) => work.elements.find((one) => one.title === title));
    expect(back).toMatchObject({ needs: [{ element: out?.id }], wait: out?.id, dogId: OTHER });
    await sound();
    must(await takeBack(kennel, given));
    expect((await workOf(kennel, OTHER)).elements).toEqual([]);
  });

  it('is offered by its name where another dog begins, and not to the dog that has it', async () => {
    const { kennel } = await begin();
    const offered = async (except: DogId | null) =>
      (await workToShare(kennel, except)).map(({ kind, title, dog }) => [kind, title, dog.id as string]);
    expect(await offered(null)).toEqual([['exercise', 'Send', DOG]]);
    expect(await offered(DOG)).toEqual([]);
  });

  it('takes an element that it has for one of the same name, and gives the same exercise once', async () => {
    const { kennel, made } = await begin();
    await kennel.database
      .of('elements')
      .add({ ...testElement('mine'), title: 'Out', dogId: OTHER, changed: CHANGED });
    expect(must(await copyExercises(kennel, [made.id, made.id], OTHER)).made).toHaveLength(1);
    const { elements, breakdowns } = await workOf(kennel, OTHER);
    expect(elements.map((one) => one.title).sort()).toEqual(['Out', 'back']);
    expect(breakdowns[0]?.links[0]?.element).toBe('mine');
    expect(must(await copyExercises(kennel, [made.id], OTHER)).made).toEqual([]);
    expect(await copyExercises(kennel, [asId('ghost')], OTHER)).toMatchObject({ ok: false, code: 'gone' });
  });

  it('a class is broken down in one go, all of it or nothing', async () => {
    const { kennel, sound } = await begin();
    const shared = testElement('shared');
    const plan = (title: string, link: New<ElementRecord> | ElementId) => ({
      dogId: DOG,
      source: { title, goal: '' },
      links: [{ part: null, element: link }],
    });
    must(await makeExercises(kennel, [plan('A', shared), plan('B', shared.id)]));
    const { breakdowns } = await workOf(kennel, DOG);
    expect(breakdowns.map((one) => one.own?.title).sort()).toEqual(['A', 'B', 'Send']);
    const bad = [plan('C', testElement('c')), { ...plan('D', shared.id), links: [] }];
    expect(await makeExercises(kennel, bad)).toMatchObject({ ok: false, code: 'empty' });
    expect((await workOf(kennel, DOG)).breakdowns).toHaveLength(3);
    await sound();
  });
});

describe('what was made is put away and brought back', () => {
  it('an element: not while a bout of it is open', async () => {
    const { kennel } = await begin();
    const [one] = (await workOf(kennel, DOG)).elements;
    if (!one) throw new Error('an element');
    must(await startBout(kennel, one, { day: '1970-01-01' as Day, away: false, start: {} }));
    expect(await putElementAway(kennel, one.id, true)).toMatchObject({ ok: false, code: 'running' });
    const [, other] = (await workOf(kennel, DOG)).elements;
    if (!other) throw new Error('another');
    must(await putElementAway(kennel, other.id, true));
    expect((await putAwayOf(kennel, DOG)).elements.map((each) => each.id)).toEqual([other.id]);
    must(await putElementAway(kennel, other.id, false));
    expect((await putAwayOf(kennel, DOG)).elements).toEqual([]);
    expect(await putElementAway(kennel, asId('ghost'), true)).toMatchObject({ ok: false, code: 'gone' });
  });

  it('an exercise of a rule book that was broken down again meanwhile does not come back twice', async () => {
    const { kennel } = await begin();
    const [book] = makeSampleKennel('2026-06-01' as Day, 1).ruleBooks;
    const [exercise] = book?.book.exercises ?? [];
    if (!book || !exercise) throw new Error('a rule book');
    must(await putRuleBook(kennel, book.book, 1));
    const source = { ruleBookId: book.id, exercise: exercise.id };
    const make = (id: string) =>
      makeExercise(kennel, { dogId: DOG, source, links: [{ part: null, element: testElement(id) }] });
    const first = must(await make('x')).made;
    must(await putExerciseAway(kennel, first.id, true));
    must(await make('y'));
    expect(await putExerciseAway(kennel, first.id, false)).toMatchObject({ ok: false, code: 'exists' });
    expect(await putExerciseAway(kennel, asId('ghost'), true)).toMatchObject({ ok: false, code: 'gone' });
  });

  it('a dog: it leaves the lists, and its place is kept', async () => {
    const { kennel } = await begin();
    must(await addDog(kennel, ' Fern '));
    const names = async () => (await listDogs(kennel)).map((one) => one.name);
    expect(await names()).toEqual(['Wren', 'Abel', 'Fern']);
    must(await changeDog(kennel, OTHER, { putAway: true }));
    expect([await names(), (await dogsPutAway(kennel)).map((one) => one.name)]).toEqual([
      ['Wren', 'Fern'],
      ['Abel'],
    ]);
    must(await changeDog(kennel, OTHER, { putAway: false }));
    const [wren, abel, fern] = (await listDogs(kennel)).map((one) => one.id);
    const turned = must(
      await orderDogs(
        kennel,
        [fern, wren, abel].flatMap((one) => one ?? []),
      ),
    );
    expect(await names()).toEqual(['Fern', 'Wren', 'Abel']);
    must(await takeBack(kennel, turned));
    expect(await names()).toEqual(['Wren', 'Abel', 'Fern']);
    expect(await addDog(kennel, '  ')).toMatchObject({ ok: false });
  });

  it('a rule book: it can be called otherwise too', async () => {
    const { kennel } = await begin();
    const [book] = makeSampleKennel('2026-06-01' as Day, 1).ruleBooks;
    if (!book) throw new Error('a rule book');
    must(await putRuleBook(kennel, book.book, 1));
    must(await putRuleBookAway(kennel, book.id, true));
    must(await renameRuleBook(kennel, book.id, ' The club’s '));
    const stored = await kennel.database.of('ruleBooks').get(book.id);
    expect([stored?.putAway, stored?.book.title]).toEqual([true, 'The club’s']);
    expect(await renameRuleBook(kennel, book.id, ' ')).toMatchObject({ ok: false, code: 'empty' });
    expect(await putRuleBookAway(kennel, asId('ghost'), true)).toMatchObject({ ok: false, code: 'gone' });
  });

  it('a trial: withdrawn, entered again, its day put right', async () => {
    const { kennel } = await begin();
    const [sample] = makeSampleKennel('2026-06-01' as Day, 1).trials;
    if (!sample) throw new Error('a trial');
    const { made } = must(await addTrial(kennel, { ...sample, dogId: DOG, day: '3026-06-15' as Day }));
    must(await changeTrial(kennel, made.id, { day: '2026-06-15' as Day }));
    const gone = must(await withdrawTrial(kennel, made.id, true));
    expect([await trialsOf(kennel, DOG), (await allTrialsOf(kennel, DOG)).length]).toEqual([[], 1]);
    must(await takeBack(kennel, gone));
    expect((await trialsOf(kennel, DOG)).map((one) => one.day)).toEqual(['2026-06-15']);
    must(await withdrawTrial(kennel, made.id, true));
    must(await withdrawTrial(kennel, made.id, false));
    expect((await trialsOf(kennel, DOG)).map((one) => one.status)).toEqual(['thinking']);
  });
});

describe('words and signals', () => {
  const said = (word: string, change: Partial<SignalSaid> = {}): SignalSaid => ({
    id: null,
    dogId: null,
    kind: 'cue',
    word,
    means: '',
    stays: null,
    elements: [],
    ...change,
  });

  it('are kept, changed and taken off, in the order of what they are for', async () => {
    const { kennel, sound } = await begin();
    must(await putSignal(kennel, said('Free', { kind: 'release' })));
    const sit = must(await putSignal(kennel, said(' Sit ', { stays: true }))).made;
    expect((await listSignals(kennel)).map((one) => one.word)).toEqual(['Sit', 'Free']);
    must(await putSignal(kennel, { ...sit, word: 'Sitz' }));
    expect((await listSignals(kennel)).map((one) => one.word)).toEqual(['Sitz', 'Free']);
    expect(await putSignal(kennel, said('  '))).toMatchObject({ ok: false, code: 'empty' });
    await sound();
    const off = must(await removeSignal(kennel, sit.id));
    expect(await listSignals(kennel)).toHaveLength(1);
    must(await takeBack(kennel, off));
    expect(await listSignals(kennel)).toHaveLength(2);
  });

  it('a dog hears its own cues and those for all; those of an element come in their place there', () => {
    const out = asId<ElementId>('out');
    const signals = [
      said('Sit'),
      said('Back', { dogId: DOG }),
      said('Away', { dogId: OTHER }),
      said('Out', { dogId: DOG, elements: [out] }),
      said('Yes', { kind: 'marker' }),
    ].map((one, i) => ({ ...one, id: asId<SignalId>(`s${i}`), changed: CHANGED }));
    expect(cuesOf(signals, DOG, asId('other'))).toEqual(['Sit', 'Back']);
    expect(cuesOf(signals, DOG, out)).toEqual(['Out']);
    expect(cuesOf(signals, OTHER, out)).toEqual(['Sit', 'Away']);
  });
});
