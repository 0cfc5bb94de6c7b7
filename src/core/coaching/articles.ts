import { fail, ok, type Random, type Result } from '@/core/shared';
import { articlePlaces, shuffled } from './sequences';

/** What a touch has made of an article. A dog that mouthed a wrong one has marked it; the handler's own is the one to find. */
export type ArticleState = 'clean' | 'handler' | 'mouthed';

/** One run as it was logged: article numbers by place, where the right one lay, what was touched first and picked (places, null: none). */
export type ArticleRun = {
  readonly laid: readonly number[];
  readonly target: number;
  readonly firstTouch: number | null;
  readonly pick: number | null;
};
export type ArticleEvent = ({ readonly kind: 'run' } & ArticleRun) | { readonly kind: 'washed' };

/** The state of every numbered article (1 … count) after what has happened: each touch changes one, washing makes all clean. */
export function articleStates(count: number, events: readonly ArticleEvent[]): ReadonlyMap<number, ArticleState> {
  const clean = (): [number, ArticleState][] => Array.from({ length: count }, (_, i) => [i + 1, 'clean']);
  let states = new Map<number, ArticleState>(clean());
  for (const event of events) {
    if (event.kind === 'washed') {
      states = new Map(clean());
      continue;
    }
    const target = event.laid[event.target];
    for (const place of [event.firstTouch, event.pick]) {
      const touched = place === null ? undefined : event.laid[place];
      if (touched !== undefined && touched !== target) states.set(touched, 'mouthed');
    }
    if (target !== undefined) states.set(target, 'handler');
  }
  return states;
}

/** What to lay: article numbers by place, the right one's place, and whether you have to scent it first. */
export type Layout = { readonly laid: readonly number[]; readonly target: number; readonly scentIt: boolean };

/**
 * The next run among `choices` articles: the right one lies where the Latin square of the session has it (`run` counts from 0), the decoys are clean ones in mixed
 * order, and a mouthed one is never laid. One with your scent is used again before another is spent. Fails with `wash` where too few are clean,
 * and with `choices` below 1. Same random numbers, same layout.
 */
export function layOut(states: ReadonlyMap<number, ArticleState>, choices: number, run: number, random: Random): Result<Layout> {
  if (!Number.isInteger(choices) || choices < 1) return fail('choices', '', 'A run needs one article at least.');
  const of = (state: ArticleState): number[] => [...states].filter(([, one]) => one === state).map(([number]) => number);
  const places = choices === 1 ? [0] : articlePlaces(choices, run + 1, random);
  const target = places[choices === 1 ? 0 : run] as number;
  const [own] = of('handler');
  const clean = shuffled(of('clean'), random);
  const right = own ?? clean.pop();
  const decoys = clean.slice(0, choices - 1);
  if (right === undefined || decoys.length < choices - 1)
    return fail('wash', '', `Only ${of('clean').length} articles are clean: wash them and air them, or lay fewer.`);
  const laid = [...decoys.slice(0, target), right, ...decoys.slice(target)];
  return ok({ laid, target, scentIt: own === undefined });
}
