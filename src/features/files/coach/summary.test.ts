import { describe, expect, it } from 'vitest';
import { must } from '@/core/shared';
import { emptyKennel } from '@/data/kennel.test-helper';
import { pictureFacts } from '@/data/read';
import { replaceTables } from '@/data/write';
import { makeSampleKennel } from '@/demo/sample-kennel';
import { TODAY } from '@/demo/sample-state.test-helper';
import { wrapped } from './paint-summary';
import { summaryOf } from './picture-sheet';

const sample = makeSampleKennel(TODAY, 2);

describe('the picture for somebody without the program', () => {
  it('says where the dog stands, three things, and when to stop with what the vet said', async () => {
    const kennel = await emptyKennel();
    must(await replaceTables(kennel, sample));
    const dog = sample.dogs[0];
    if (!dog) throw new Error('the sample has dogs');
    const { title, parts } = summaryOf(dog.name, await pictureFacts(kennel, dog.id, TODAY), '30 Jun 2026');
    expect(title).toBe('Quill, 30 Jun 2026');
    expect(parts.map(({ head }) => head)).toEqual([
      'Where it stands',
      'Three things for this week: they have waited longest',
      'When to stop',
    ]);
    expect(parts[0]?.lines).toHaveLength(6);
    expect(parts[1]?.lines).toHaveLength(3);
    expect(parts[2]?.lines.join(' ')).toContain('The vet said: up to 40 cm, at most ten a day');
  });

  it('of a dog with nothing logged says so and claims nothing', async () => {
    const kennel = await emptyKennel();
    must(await replaceTables(kennel, { ...sample, outings: [], bouts: [], entries: [], slots: [] }));
    const dog = sample.dogs[0];
    if (!dog) throw new Error('the sample has dogs');
    const { parts } = summaryOf(dog.name, await pictureFacts(kennel, dog.id, TODAY), 'x');
    expect([parts[0]?.lines, parts[1]?.lines]).toEqual([
      ['Nothing is logged yet.'],
      ['Nothing is planned or trained yet.'],
    ]);
  });

  it('breaks lines where they are full, and never in a word', () => {
    const context = { measureText: (text: string) => ({ width: text.length }) };
    expect(wrapped(context, 'one two three', 8)).toEqual(['one two', 'three']);
    expect(wrapped(context, 'incomprehensible it is', 8)).toEqual(['incomprehensible', 'it is']);
    expect(wrapped(context, '', 8)).toEqual(['']);
  });
});
