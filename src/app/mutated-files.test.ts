import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { expect, it } from 'vitest';
import { finish } from '@/core/shared/steps';
import { readKennelFile } from '@/data/files';
import { elementQuestions, prerequisiteGraph } from '@/data/read';
import { stateOf, TODAY } from '@/demo/sample-state.test-helper';
import { exerciseViews, ownElements } from '@/features/breakdown/breakdown-view';
import { suggestedSessions, unweighed } from '@/features/today/suggestions';
import { wordsOf } from '@/words';
import { answer } from '@/workers/answer';
import type { Weighed } from '@/workers/client';

/** 10,000 by hand: `MUTATIONS=10000 npx vitest run mutated-files`. */
const RUNS = Number(process.env.MUTATIONS ?? 1500);

type Loose = Record<string, unknown>;
const saved = [3, 4].map(
  (version) => JSON.parse(readFileSync(`src/data/fixtures/kennel-v${version}.json`, 'utf8')) as Loose,
);

/** Every place of a file: what holds it, and its key. */
function placesIn(value: unknown): [Loose, string][] {
  if (typeof value !== 'object' || value === null) return [];
  const holder = value as Loose;
  return Object.keys(holder).flatMap((key) => [[holder, key] as [Loose, string], ...placesIn(holder[key])]);
}

/** Words of a schema, of a language, or of nobody: none of them is for a person. */
const FORBIDDEN =
  /Invalid|Expected|received|undefined|\[object|NaN|strict_object|picklist|min_value|max_value|TypeError|is not iterable|Cannot read/;

const strange = fc.constantFrom<unknown>(
  null,
  -1,
  0,
  1e308,
  2 ** 53 + 2,
  '',
  '   ',
  'x',
  'Infinity',
  '__proto__',
  'x'.repeat(5000),
  [],
  {},
  [[[[]]]],
  true,
  '2026-02-30',
  '99 °C',
);

it('a mutated file is refused with a place and plain words, or every page can draw what it holds', () => {
  let accepted = 0;
  fc.assert(
    fc.property(fc.nat(), fc.nat(), strange, strange, fc.constantFrom(...saved), (a, b, one, two, old) => {
      const file = structuredClone(old);
      for (const [pick, value] of [
        [a, one],
        [b, two],
      ] as const) {
        const places = placesIn(file);
        const [holder, key] = places[pick % places.length] ?? [file, 'version'];
        if (pick % 7 === 0) delete holder[key];
        else holder[key] = value;
        if (pick % 2 === 0) break;
      }
      const read = readKennelFile(JSON.stringify(file));
      if (!read.ok) {
        expect(wordsOf(read.message)).not.toMatch(FORBIDDEN);
        expect(wordsOf(read.message).length).toBeLessThan(1200);
        if (!['json', 'foreign'].includes(read.code)) expect(read.path).not.toBe('');
        return;
      }
      accepted += 1;
      for (const dog of read.value.tables.dogs) {
        const state = stateOf(read.value.tables, dog.id);
        const questions = elementQuestions(state.work, state.evidence, state.stands);
        const found = finish(answer({ kind: 'assess-elements', questions, today: TODAY }));
        if (!found.ok) throw new Error(found.message.say);
        const weighed = found.value as readonly Weighed[];
        exerciseViews(state, weighed);
        ownElements(state, weighed);
        prerequisiteGraph(state);
        suggestedSessions(dog, state, weighed, TODAY);
        for (const { why } of unweighed(state, weighed)) expect(why).not.toMatch(FORBIDDEN);
      }
    }),
    { numRuns: RUNS },
  );
  expect(accepted).toBeGreaterThan(RUNS / 50);
});
