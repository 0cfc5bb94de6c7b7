import { describe, expect, it } from 'vitest';
import { plainRep } from '@/core/log';
import type { Day, DogId, ElementId } from '@/core/shared';
import { must } from '@/core/shared';
import type { Kennel } from '@/data/kennel';
import { emptyKennel } from '@/data/kennel.test-helper';
import { changeDog, record, replaceTables, startBout } from '@/data/write';
import { makeSampleKennel } from '@/demo/sample-kennel';
import { TODAY } from '@/demo/sample-state.test-helper';
import { classDogs, classTiles } from './class-lesson';

const tilesOf = async (
  kennel: Kennel,
  dogs: readonly DogId[],
  chosen: Readonly<Partial<Record<DogId, ElementId>>>,
  today: Day,
) => classTiles(kennel, await classDogs(kennel, dogs, today), chosen, today);

const sample = makeSampleKennel(TODAY, 2);

describe('the tiles of a class', () => {
  it('show each dog at what it did last, count today’s goes, and see misses in a row', async () => {
    const kennel = await emptyKennel(Date.parse(`${TODAY}T12:00:00Z`));
    must(await replaceTables(kennel, sample));
    const ids = sample.dogs.map(({ id }) => id);
    const tiles = await tilesOf(kennel, ids, {}, TODAY);
    expect(tiles.map(({ dog, goes, rests }) => [dog.name, goes, rests])).toEqual([
      ['Quill', 0, false],
      ['Juniper', 0, false],
      ['Otto', 0, false],
    ]);
    const [quill] = tiles;
    if (!quill?.element) throw new Error('Quill has work');
    const other = quill.elements[2];
    if (!other) throw new Error('Quill has more work');
    const bout = must(await startBout(kennel, other, { day: TODAY, away: false, start: quill.asked })).made;
    for (const outcome of ['clean', 'miss', 'miss'] as const)
      must(await record(kennel, bout, { kind: 'rep', ...plainRep(bout.start, { outcome }) }));
    const [now] = await tilesOf(kennel, ids, {}, TODAY);
    expect([now?.element?.id, now?.goes, now?.clean, now?.missed]).toEqual([other.id, 3, 1, 2]);
    const [said] = await tilesOf(kennel, ids, { [quill.dog.id]: quill.element.id }, TODAY);
    expect([said?.element?.id, said?.goes, said?.bout]).toEqual([quill.element.id, 0, null]);
  });

  it('rest a dog that is off work, or shows pain whatever it did', async () => {
    const kennel = await emptyKennel(Date.parse(`${TODAY}T12:00:00Z`));
    must(await replaceTables(kennel, sample));
    const [quill, juniper] = sample.dogs.map(({ id }) => id);
    if (!quill || !juniper) throw new Error('the sample has dogs');
    must(await changeDog(kennel, juniper, { offWork: { since: TODAY, until: null, why: 'lame', vet: '' } }));
    const [tile] = await tilesOf(kennel, [quill], {}, TODAY);
    const other = tile?.elements[3];
    if (!other) throw new Error('Quill has more work');
    const bout = must(await startBout(kennel, other, { day: TODAY, away: false, start: {} })).made;
    must(await record(kennel, bout, { kind: 'sign', sign: 'limping' }));
    const tiles = await tilesOf(
      kennel,
      [quill, juniper],
      { [quill]: tile?.elements[0]?.id ?? other.id },
      TODAY,
    );
    expect(tiles.map(({ dog, rests }) => [dog.name, rests])).toEqual([
      ['Quill', true],
      ['Juniper', true],
    ]);
  });
});
