import { type Charge, countOf } from './charges';
import { NOTHING_CHARGED, type PartPlace, type TaughtPart } from './part-taught';

export type How = {
  readonly times: number;
  readonly failed: boolean;
  /** It is all that the exercise asks. */
  readonly one: boolean;
  /** Of its points, by a plain number that a judge gave. */
  readonly lost: 'all' | 'some' | 'none';
};

/** One go, with a miss before it for each time that it was refused and tried again. */
export function triesOf(place: PartPlace, charges: readonly Charge[], how: How): TaughtPart[] {
  const again = charges.filter(({ step }) => step.again !== null && step.by === 'dog');
  const refused = again.flatMap(({ mark, step }) => Array.from({ length: countOf(mark, step) }, () => step));
  const misses = refused.map(
    (step, k): TaughtPart => ({
      ...place,
      ...NOTHING_CHARGED,
      time: how.times + place.time * MOST_TRIES + k,
      outcome: 'miss',
      faults: [step.ref],
    }),
  );
  const others = charges.filter((one) => !again.includes(one));
  // The last try of an item that was never done is among those that failed.
  if (how.failed && others.length === 0 && refused.some((step) => step.again === 'item')) return misses;
  return [...misses, lastTry(place, others, misses.length > 0, how)];
}

function lastTry(
  place: PartPlace,
  charges: readonly Charge[],
  tried: boolean,
  { times, failed, one, lost }: How,
): TaughtPart {
  const dog = charges.filter(({ step }) => step.by === 'dog');
  const handler = charges.filter(({ step }) => step.by === 'handler');
  // A plain number below the full one, of an exercise with one part: not clean, and nobody named why.
  const unnamed = one && !tried && charges.length === 0 && lost !== 'none';
  const missed =
    dog.some(({ step }) => step.miss) || (one && failed && dog.length === 0) || (unnamed && lost === 'all');
  return {
    ...place,
    outcome: missed ? 'miss' : dog.length > 0 || unnamed ? 'flawed' : 'clean',
    faults: dog.flatMap(({ mark, step }) =>
      Array.from({ length: step.cues || times > 1 ? 1 : countOf(mark, step) }, () => step.ref),
    ),
    handler: handler.flatMap(({ step }) => (step.cues ? [] : [step.ref])),
    cues: { needed: cuesOf(dog), slip: cuesOf(handler) },
  };
}

/** More tries than any book gives: further tries of one go and of the next never meet. */
const MOST_TRIES = 64;

const cuesOf = (charges: readonly Charge[]): number =>
  charges.reduce((sum, { mark, step }) => sum + (step.cues ? countOf(mark, step) : 0), 0);
