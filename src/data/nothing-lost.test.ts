import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { assessElement, type Interval, weighBout } from '@/core/evidence';
import type { EvidenceRep } from '@/core/log';
import { assessClass, FULL_SIZE } from '@/core/readiness';
import { type Day, must } from '@/core/shared';
import { finish } from '@/core/shared/steps';
import { readKennelFile } from './files';
import { openKennel } from './kennel';
import { repsStored } from './kennel.test-helper';
import {
  classEvidence,
  elementQuestions,
  evidenceByElement,
  type KeptEvidence,
  keptOfDog,
  listDogs,
  trialsOf,
  workOf,
} from './read';
import { standsAt } from './read/evidence';
import { replaceTables } from './write';

/**
 * The sample kennel and its figures as data version 3 had them, to the last digit. The file of
 * figures was written by the program of that time and is never edited.
 */
type Figures = {
  readonly today: Day;
  readonly forecasts: Readonly<Record<string, unknown>>;
  readonly elements: Readonly<
    Record<
      string,
      { readonly rung: number; readonly here: unknown; readonly estimate: unknown; readonly grounds: unknown }
    >
  >;
  readonly standing: readonly (readonly unknown[])[];
};
const figures = JSON.parse(readFileSync('src/data/fixtures/sample-figures.json', 'utf8')) as Figures;
const saved = readFileSync('src/data/fixtures/sample-v3.json', 'utf8');

async function kennelOfThen() {
  const kennel = must(await openKennel('own', () => 0, 'nothing-lost'));
  must(await replaceTables(kennel, must(readKennelFile(saved)).tables));
  return kennel;
}

/** A rep as the file of figures lists it; what was not said stands there as null or is left out. */
const listed = (element: string, rep: EvidenceRep): unknown[] => [
  element,
  rep.id,
  rep.bout,
  rep.day,
  rep.at,
  rep.away,
  rep.outcome,
  rep.faults.length === 0
    ? null
    : rep.faults.map(({ key, step }) => (step === null ? key : `${key}:${step}`)).join(),
  rep.cause,
  rep.aided,
  rep.purpose,
  rep.isVoid,
  rep.latency,
  rep.timing,
  rep.cues ? rep.cues.needed + rep.cues.slip : null,
  rep.held ?? null,
  rep.crooked ?? null,
  rep.measured ?? null,
  rep.pay ?? null,
  rep.landed ?? null,
  rep.did ?? null,
  rep.criteria,
];

/** Six figures: a sum in another order lets the climb to a peak stop a little elsewhere. */
const figuresOf = (value: unknown): unknown =>
  JSON.parse(
    JSON.stringify(value, (_, one: unknown) =>
      typeof one === 'number' && !Number.isInteger(one) ? Number(one.toPrecision(6)) : one,
    ),
  );

/**
 * The reps of each bout weighed as version 3 weighed them: with help nothing counted, while today an
 * aided miss is a miss. All else is the same.
 */
function asOfThen(kept: readonly KeptEvidence[], reps: readonly EvidenceRep[]): KeptEvidence[] {
  return kept.map((bout) => {
    const mine = reps.filter((rep) => rep.bout === bout.id);
    return {
      ...bout,
      ...weighBout(
        { id: bout.id, day: bout.day },
        mine.map((rep) => (rep.aided ? { ...rep, isVoid: true } : rep)),
      ),
    };
  });
}

describe('nothing is lost from version 3', () => {
  it('every standing rep, what every element’s chance rests on, and what forecasts rest on', async () => {
    const kennel = await kennelOfThen();
    const standing: unknown[][] = [];
    for (const dog of await listDogs(kennel)) {
      const [work, reps] = [await workOf(kennel, dog.id), await repsStored(kennel, dog.id)];
      const kept = asOfThen(await keptOfDog(kennel, dog.id), [...reps.values()].flat());
      const evidence = evidenceByElement(kept, work.elements);
      for (const [element, list] of reps) standing.push(...list.map((rep) => listed(element, rep)));
      const stands = new Map();
      for (const { id } of work.elements) {
        const at = await standsAt(kennel, id);
        if (at) stands.set(id, at);
      }
      for (const question of elementQuestions(work, evidence, stands)) {
        const was = figures.elements[question.id];
        // The model has grown since: what it rests on has not.
        const { id, grounds } = must(assessElement(question, figures.today));
        expect({ id, grounds }).toEqual({ id: question.id, grounds: was?.grounds });
        expect(question.here).toEqual(was?.here);
      }
      for (const trial of await trialsOf(kennel, dog.id)) {
        const input = must(classEvidence(trial, work, evidence, figures.today));
        const { forecast, grounds } = must(
          finish(assessClass(input, trial.assumptions, trial.seed, FULL_SIZE)),
        );
        const was = figures.forecasts[trial.id] as { grounds: unknown; pass: Interval };
        expect(figuresOf(grounds)).toEqual(figuresOf(was.grounds));
        // A forecast draws more today than it did then: every fault and every cue. It rests on the same
        // reps, and is another answer, not another dog.
        expect(Math.abs(forecast.pass.mid - was.pass.mid)).toBeLessThan(0.05);
        expect(forecast.pass.mid).toBeGreaterThan(was.pass.low);
        expect(forecast.pass.mid).toBeLessThan(was.pass.high);
      }
    }
    const byRep = (list: readonly (readonly unknown[])[]) =>
      new Map(list.map((rep) => [`${rep[0]} ${rep[1]}`, JSON.stringify(rep)]));
    expect(standing).toHaveLength(figures.standing.length);
    expect(byRep(standing)).toEqual(byRep(figures.standing));
  }, 120_000);
});
