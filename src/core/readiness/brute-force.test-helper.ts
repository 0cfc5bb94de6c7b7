import { type Random, seeded } from '@/core/shared';

/**
 * Trials played out one by one, as a bystander would tell it: no tables, no slots, no averaging, and a
 * scorer that is handed in. It imports nothing of what it checks.
 */
export type BruteMark = { readonly fault: string; readonly amount: number };
export type BruteElement = {
  readonly id: string;
  readonly part: string;
  readonly times: number;
  /** Logit of a clean go on an average day at the trial, and the swing from day to day. */
  readonly eta: number;
  readonly tau: number;
  /** What a go that is not clean has; `miss`: nothing else with it, `again`: the part or the item once more. */
  readonly faults: readonly {
    readonly key: string;
    readonly amount: number;
    readonly share: number;
    readonly miss?: boolean;
    readonly again?: 'part' | 'item';
    readonly stops?: boolean;
    readonly elsewhere?: boolean;
  }[];
  /** The chance of a second fault, a third … */
  readonly further: readonly number[];
  /** Faults of clean goes, each by itself. */
  readonly noted: readonly { readonly key: string; readonly rate: number }[];
  /** Chances of one extra cue, two … and what they are charged by. */
  readonly cues: { readonly key: string; readonly chances: readonly number[] } | null;
  readonly slips: { readonly key: string; readonly rate: number } | null;
  /** A fault that is measured: what is measured, and from where it is charged. */
  readonly measured: {
    readonly key: string;
    readonly over: number;
    readonly draw: (random: Random) => number;
  } | null;
};
export type BruteExercise = {
  readonly key: string;
  readonly day: number;
  readonly tries: { readonly whole: number; readonly part: number };
  readonly elements: readonly BruteElement[];
};
export type BruteClass = {
  readonly exercises: readonly BruteExercise[];
  readonly drawsOrder: boolean;
  readonly runs: number;
};
export type BruteSheet = readonly { readonly exercise: string; readonly marks: readonly BruteMark[] }[];
export type BruteScore = { readonly units: number; readonly passed: boolean };

/** What the scorer is asked: a sheet’s score, whether an exercise of it is at an end, the score of runs. */
export type BruteScorer = {
  readonly ofRuns: (sheets: readonly BruteSheet[]) => BruteScore;
  readonly isOver: (
    sheet: BruteSheet,
    exercise: string,
  ) => { readonly exercise: boolean; readonly run: boolean };
};

/** Passes and mean units of so many trials, with the standard errors of both. */
export function bruteForce(
  input: BruteClass,
  scorer: BruteScorer,
  { sharedDay, nervesSd }: { readonly sharedDay: number; readonly nervesSd: number },
  seed: number,
  trials: number,
): {
  readonly pass: number;
  readonly passError: number;
  readonly units: number;
  readonly unitsError: number;
} {
  const random = seeded(seed);
  let [passes, sum, squares] = [0, 0, 0];
  for (let trial = 0; trial < trials; trial++) {
    const days = new Map<number, { dog: number; nerves: number }>();
    const own = new Map<string, number>();
    const dayOf = (day: number) => {
      const known = days.get(day) ?? { dog: random.normal(), nerves: nervesSd * random.normal() };
      days.set(day, known);
      return known;
    };
    const chance = (element: BruteElement, day: number): number => {
      const { dog, nerves } = dayOf(day);
      const key = `${day} ${element.id}`;
      const mine = own.get(key) ?? random.normal();
      own.set(key, mine);
      const logit =
        element.eta + element.tau * (Math.sqrt(sharedDay) * dog + Math.sqrt(1 - sharedDay) * mine) + nerves;
      return 1 / (1 + Math.exp(-logit));
    };
    const sheets = Array.from({ length: input.runs }, () => playRun(input, scorer, chance, random));
    const { units, passed } = scorer.ofRuns(sheets);
    passes += passed ? 1 : 0;
    sum += units;
    squares += units * units;
  }
  const [pass, units] = [passes / trials, sum / trials];
  return {
    pass,
    passError: Math.sqrt(Math.max(pass * (1 - pass), 1 / trials) / trials),
    units,
    unitsError: Math.sqrt(Math.max(squares / trials - units * units, 0) / trials),
  };
}

type Chance = (element: BruteElement, day: number) => number;

function playRun(input: BruteClass, scorer: BruteScorer, chance: Chance, random: Random): BruteSheet {
  const order = input.drawsOrder ? shuffled(input.exercises, random) : input.exercises;
  const marks = new Map<string, BruteMark[]>();
  const sheet = (): BruteSheet =>
    order.flatMap(({ key }) => {
      const found = marks.get(key);
      return found ? [{ exercise: key, marks: found }] : [];
    });
  for (const exercise of order) {
    const here: BruteMark[] = [];
    marks.set(exercise.key, here);
    const put = (fault: string, amount: number): 'on' | 'stop' => {
      here.push({ fault, amount });
      const over = scorer.isOver(sheet(), exercise.key);
      return over.exercise || over.run ? 'stop' : 'on';
    };
    for (let attempt = 0; attempt < exercise.tries.whole; attempt++)
      if (playAttempt(exercise, put, chance, random) !== 'item') break;
    if (scorer.isOver(sheet(), exercise.key).run) break;
  }
  return sheet();
}

type Put = (fault: string, amount: number) => 'on' | 'stop';
type Became = 'on' | 'stop' | 'part' | 'item' | 'undone';

function playAttempt(exercise: BruteExercise, put: Put, chance: Chance, random: Random): Became {
  for (const element of exercise.elements) {
    for (let time = 0; time < element.times; time++) {
      let became: Became = 'part';
      for (let again = 0; again < exercise.tries.part && became === 'part'; again++)
        became = playGo(element, chance(element, exercise.day), put, random);
      if (became === 'item' || became === 'stop') return became;
    }
  }
  return 'on';
}

function playGo(element: BruteElement, clean: number, put: Put, random: Random): Became {
  const { slips, cues, measured } = element;
  if (slips && random.uniform() < slips.rate && put(slips.key, 1) === 'stop') return 'stop';
  if (cues) {
    let left = random.uniform();
    for (const [i, one] of cues.chances.entries()) {
      if (left < one) {
        if (put(cues.key, i + 1) === 'stop') return 'stop';
        break;
      }
      left -= one;
    }
  }
  if (random.uniform() < clean) {
    for (const { key, rate } of element.noted)
      if (random.uniform() < rate && put(key, 1) === 'stop') return 'stop';
  } else {
    const became = playFaults(element, put, random);
    if (became !== 'on') return became === 'undone' ? 'on' : became;
  }
  if (measured) {
    const value = measured.draw(random);
    if (Math.abs(value) > measured.over && put(measured.key, value) === 'stop') return 'stop';
  }
  return 'on';
}

function playFaults(element: BruteElement, put: Put, random: Random): Became {
  let open = [...element.faults];
  let became: Became = 'on';
  for (let count = 0; open.length > 0; count++) {
    if (count > 0 && random.uniform() >= (element.further[count - 1] ?? 0)) break;
    if (count > 0) open = open.filter((one) => !one.miss);
    const fault = pick(open, random);
    if (!fault) break;
    open = open.filter((one) => one !== fault);
    const then = fault.elsewhere ? 'on' : put(fault.key, fault.amount);
    const after: Became = then === 'stop' || fault.stops ? 'stop' : (fault.again ?? 'on');
    if (after === 'stop' || after === 'item') return after;
    if (fault.miss) return after === 'on' ? 'undone' : after;
    if (after !== 'on') became = after;
  }
  return became;
}

function pick<T extends { readonly share: number }>(list: readonly T[], random: Random): T | undefined {
  let left = random.uniform() * list.reduce((sum, one) => sum + one.share, 0);
  for (const one of list) {
    if (left < one.share) return one;
    left -= one.share;
  }
  return list.at(-1);
}

function shuffled<T>(list: readonly T[], random: Random): T[] {
  const left = [...list];
  return list.map(() => left.splice(random.integer(left.length), 1)[0] as T);
}
