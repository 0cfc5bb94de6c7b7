import type { Advice } from '@/core/coaching';
import { say } from '@/core/shared';
import { tell } from './words';

const OPENING: Advice = {
  kind: 'hold',
  reason: say('advice-lines.set-up-stamp-the-cue-if-a-hand-is'),
};

/**
 * The lines by where they come from. Of a rule's own "stay" nothing is said where something graver is:
 * an end, a stop or a sign that stands.
 */
export function adviceLines(advice: readonly Advice[]): {
  readonly signs: readonly Advice[];
  readonly main: Advice | null;
  readonly end: Advice | null;
  readonly rest: Advice | null;
} {
  const signs = advice.filter((one) => one.sign !== undefined);
  const others = advice.filter((one) => one.sign === undefined);
  const rest = others.find((one) => one.kind === 'rest') ?? null;
  const end = others.find((one) => one.kind === 'end') ?? null;
  const main = others.find((one) => one !== rest && one !== end) ?? null;
  const said = signs.length > 0 || end !== null;
  return { signs, main: main ?? (said ? null : OPENING), end, rest };
}

/** What each kind of advice begins with. */
export const ADVICE_NAMES: Readonly<Record<Advice['kind'], string>> = {
  hold: tell('advice-line.stay-here'),
  advance: tell('advice-line.advance'),
  'drop-back': tell('advice-line.drop-back'),
  rest: tell('advice-line.rest'),
  done: tell('advice-line.done'),
  probe: tell('advice-line.silent-test'),
  help: tell('advice-line.help'),
  filler: tell('advice-line.something-easy'),
  end: tell('advice-line.end-here'),
  stop: tell('advice-line.stop-now'),
  ask: tell('advice-line.why'),
  pay: tell('advice-line.pay-or-not'),
};
