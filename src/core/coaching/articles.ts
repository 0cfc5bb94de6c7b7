import { fail, mixSeed, ok, type Random, type Result, say, seeded } from '@/core/shared';
import { type Laid, type LayoutShape, type Spot, spotsOf } from './article-layout';
import { articlePlaces, gellermann, shuffled } from './sequences';

/**
 * What a touch has made of an article. A dog that mouthed a wrong one has marked it; the handler's
 * own is the one to find; one out of use is never laid again.
 */
export type ArticleState = 'clean' | 'handler' | 'mouthed' | 'aided' | 'out-of-use';

/**
 * One run as it was logged: articles by place, where the right one lay, what was touched
 * first and picked (places, null: none).
 */
export type ArticleRun = {
  readonly laid: readonly string[];
  readonly target: number;
  readonly firstTouch: number | null;
  readonly pick: number | null;
  /**
   * Food or another help was on the right one: it smells of more than the hand until it is washed.
   */
  readonly aided: boolean;
};
export type ArticleEvent =
  | ({ readonly kind: 'run' } & ArticleRun)
  | { readonly kind: 'washed' }
  | { readonly kind: 'out-of-use'; readonly article: string }
  /** The dog touched it outside a run. */
  | { readonly kind: 'touched'; readonly article: string };

/** What a person's articles are called: their own numbers or names, else 1, 2, 3 … */
export const articleNames = ({
  count,
  names,
}: {
  readonly count: number;
  readonly names: readonly string[];
}): string[] => Array.from({ length: count }, (_, i) => names[i] ?? String(i + 1));

/**
 * The state of every article after what has happened: each touch changes one, washing makes all clean
 * but those out of use. Where the person says so, one that was helped with may be laid again as the
 * handler's own.
 */
export function articleStates(
  names: readonly string[],
  events: readonly ArticleEvent[],
  aidedAgain = false,
): ReadonlyMap<string, ArticleState> {
  const clean = (): [string, ArticleState][] => names.map((name) => [name, 'clean']);
  let states = new Map<string, ArticleState>(clean());
  for (const event of events) {
    if (event.kind === 'washed') {
      states = new Map(
        clean().map(([number, state]) => [
          number,
          states.get(number) === 'out-of-use' ? 'out-of-use' : state,
        ]),
      );
      continue;
    }
    if (event.kind === 'out-of-use') {
      states.set(event.article, 'out-of-use');
      continue;
    }
    if (event.kind === 'touched') {
      mark(states, event.article, 'mouthed');
      continue;
    }
    const target = event.laid[event.target];
    for (const place of [event.firstTouch, event.pick]) {
      const touched = place === null ? undefined : event.laid[place];
      if (touched !== undefined && touched !== target) mark(states, touched, 'mouthed');
    }
    if (target !== undefined) mark(states, target, event.aided && !aidedAgain ? 'aided' : 'handler');
  }
  return states;
}

function mark(states: Map<string, ArticleState>, article: string, state: ArticleState): void {
  if (states.get(article) !== 'out-of-use') states.set(article, state);
}

/**
 * What to lay: articles by place, the right one's place, and whether you have to scent it
 * first.
 */
export type Layout = { readonly laid: readonly string[]; readonly target: number; readonly scentIt: boolean };

/**
 * The next run among `choices` articles: the right one lies where the Latin square of the session
 * has it (`run` counts from 0), the decoys are clean ones in mixed order, and a mouthed, aided or
 * withdrawn one is never laid. One with your scent is used again before another is spent. Fails
 * with `wash` where too few are clean, with `too-few` where washing would not help, and with `choices`
 * below 1. Same random numbers, same layout.
 * @internal
 */
export function layOut(
  states: ReadonlyMap<string, ArticleState>,
  choices: number,
  run: number,
  random: Random,
): Result<Layout> {
  if (!Number.isInteger(choices) || choices < 1)
    return fail('choices', '', say('coaching.articles.a-run-needs-one-article-at-least'));
  const of = (state: ArticleState): string[] =>
    [...states].filter(([, one]) => one === state).map(([number]) => number);
  const places = choices === 1 ? [0] : articlePlaces(choices, run + 1, random);
  const target = places[choices === 1 ? 0 : run] as number;
  const [own] = of('handler');
  const clean = shuffled(of('clean'), random);
  const right = own ?? clean.pop();
  const decoys = clean.slice(0, choices - 1);
  const inUse = [...states.values()].filter((state) => state !== 'out-of-use').length;
  if (inUse < choices)
    return fail(
      'too-few',
      '',
      say('coaching.articles.this-step-asks-more-than-there-are', { choices, inUse }),
    );
  if (right === undefined || decoys.length < choices - 1)
    return fail(
      'wash',
      '',
      say('coaching.articles.only-articles-are-clean-wash-them', { ofCount: of('clean').length }),
    );
  const laid = [...decoys.slice(0, target), right, ...decoys.slice(target)];
  return ok({ laid, target, scentIt: own === undefined });
}

/**
 * A run ready to be laid: the layout, where each lies, whether the dog watches, and the place of a
 * decoy that lies nearer (null: none).
 */
export type NextRun = Layout & {
  readonly spots: readonly Spot[];
  readonly seen: boolean;
  readonly nearer: number | null;
};
export type ArticlePlan = {
  readonly choices: number;
  readonly shape: LayoutShape;
  readonly laid: Laid;
  readonly nearer: boolean;
};

/**
 * Run `run` (from 0) of a session with this seed. Seen or hidden in turns, and the nearer decoy in
 * half of the runs, go by Gellermann's orders, ten runs at a time; which decoy it is is drawn.
 * Fails as `layOut` does. Same seed, same run.
 */
export function nextRun(
  states: ReadonlyMap<string, ArticleState>,
  plan: ArticlePlan,
  run: number,
  seed: number,
): Result<NextRun> {
  const layout = layOut(states, plan.choices, run, seeded(mixSeed(seed, plan.choices)));
  if (!layout.ok) return layout;
  const { laid, target } = layout.value;
  const turn = (which: number): boolean =>
    gellermann(seeded(mixSeed(seed, which, Math.floor(run / 10))))[run % 10] === 1;
  const decoys = [...laid.keys()].filter((place) => place !== target);
  const random = seeded(mixSeed(seed, DRAWS.spots, run));
  const nearer =
    plan.nearer && decoys.length > 0 && turn(DRAWS.nearer)
      ? (decoys[random.integer(decoys.length)] as number)
      : null;
  const seen = plan.laid === 'seen' || (plan.laid === 'turns' && turn(DRAWS.seen));
  return ok({ ...layout.value, spots: spotsOf(plan.shape, laid.length, nearer, random), seen, nearer });
}

/** Each use of chance has its own slot, so that one setting does not shift the others. */
const DRAWS = { nearer: 101, seen: 102, spots: 103 } as const;
