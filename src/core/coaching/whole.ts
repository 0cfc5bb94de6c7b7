import { say } from '@/core/shared';
import { type Advice, hold } from './events';

/**
 * Most whole runs of an exercise in one outing before the pad says that it is enough. Range 1 to 5; this
 * program's own figure, and said so: trades agree that the joined exercise teaches the dog to anticipate,
 * and on no number.
 */
const WHOLE_RUNS = 2;

/**
 * A whole run as far as advice goes: the link at which it broke, from 0, or null where it came to the end;
 * and whether that was clean and without help.
 */
export type WholeRun = { readonly brokeAt: number | null; readonly clean: boolean };

/**
 * What to do after the whole runs of an outing, in their order. No run: how to run it. The last one broke
 * at a link that had broken before: that piece alone. It broke for the first time there: from that link, or
 * alone. It came to the end, but not clean or not unhelped: that proves no link. As many runs as `WHOLE_RUNS`, whatever came of them: enough of the whole, since each teaches what
 * comes next. Two runs, both broken at link 1 → help with that link, and an end.
 */
export function wholeAdvice(runs: readonly WholeRun[], links: readonly string[]): readonly Advice[] {
  const last = runs.at(-1);
  if (!last) return [hold(say('coaching.whole.run-it-as-it-is-judged'))];
  const { brokeAt, clean } = last;
  const times = brokeAt === null ? 0 : runs.filter((run) => run.brokeAt === brokeAt).length;
  const at = {
    place: (brokeAt ?? 0) + 1,
    links: links.length,
    title: links[brokeAt ?? 0] ?? '',
  };
  const enough = runs.length >= WHOLE_RUNS;
  const main: Advice | null =
    brokeAt === null
      ? cameToTheEnd(clean, enough)
      : times > 1
        ? { kind: 'help', reason: say('coaching.whole.it-broke-again', { ...at, times }) }
        : hold(say('coaching.whole.it-broke-at', at));
  const end: Advice | null = enough
    ? {
        kind: 'end',
        reason: say('coaching.whole.enough', { runs: runs.length, most: WHOLE_RUNS }),
      }
    : null;
  return [main, end].filter((one) => one !== null);
}

function cameToTheEnd(clean: boolean, enough: boolean): Advice | null {
  if (!clean) return hold(say('coaching.whole.it-came-to-the-end'));
  return enough ? null : hold(say('coaching.whole.it-held-from-end-to-end'));
}
