import * as v from 'valibot';
import { say } from '@/core/shared';
import { type Happening, hold, type PolicyStep, type Standing } from './events';
import { few, NO_ROWS, type Rows } from './runs';

/**
 * *Scenario*: a fault stops the run; it is named, fixed by an easier repeat, ended well, and the
 * run goes on.
 */
export const scenarioRule = v.strictObject({ kind: v.literal('scenario'), advanceAfter: few });
export type ScenarioRule = v.InferOutput<typeof scenarioRule>;
export type ScenarioState = { readonly fixingFor: number | null; readonly rows: Rows };

/** The state before the first run: nothing is being fixed, no row. */
export const startScenario = (): ScenarioState => ({ fixingFor: null, rows: NO_ROWS });

/**
 * One event of a scenario: a fault on rung 3 → drop back to rung 2 with rung 3 kept as the one to
 * return to; clean there → go on; `advanceAfter` clean in a row → advance.
 */
export function stepScenario(
  rule: ScenarioRule,
  state: ScenarioState,
  event: Happening,
  at: Standing,
): PolicyStep<ScenarioState> {
  if (event.kind === 'moved') {
    const arrived = state.fixingFor !== null && event.rung >= state.fixingFor;
    const now = arrived || state.fixingFor === null ? startScenario() : state;
    return {
      state: now,
      advice: [
        hold(
          now.fixingFor === null
            ? say('coaching.scenario.run-it-as-it-is-meant')
            : say('coaching.scenario.the-easier-repeat-help-it-to'),
        ),
      ],
    };
  }
  if (event.kind !== 'rep' || !event.counts)
    return { state, advice: [hold(say('coaching.scenario.run-it-as-it-is-meant'))] };
  if (event.outcome === 'clean') return afterClean(rule, state, at);
  const fixing = { ...state, fixingFor: state.fixingFor ?? at.rung, rows: NO_ROWS };
  if (at.rung === 0)
    return {
      state: fixing,
      advice: [
        {
          kind: 'help',
          reason: say('coaching.scenario.stop-and-name-it-this-is-the'),
        },
      ],
    };
  return {
    state: fixing,
    advice: [
      {
        kind: 'drop-back',
        to: at.rung - 1,
        reason: say('coaching.scenario.stop-and-name-it-repeat-it-easier'),
      },
    ],
  };
}

function afterClean(rule: ScenarioRule, state: ScenarioState, at: Standing): PolicyStep<ScenarioState> {
  if (state.fixingFor !== null && at.rung < state.fixingFor)
    return {
      state,
      advice: [
        {
          kind: 'advance',
          to: state.fixingFor,
          reason: say('coaching.scenario.fixed-go-on-where-the-run-stopped'),
        },
      ],
    };
  const rows = { ...state.rows, clean: state.rows.clean + 1 };
  const now = { fixingFor: null, rows };
  const grounds = say('coaching.scenario.clean-in-a-row-your-rule-is', {
    clean: rows.clean,
    advanceAfter: rule.advanceAfter,
  });
  if (rows.clean < rule.advanceAfter) return { state: now, advice: [hold(grounds)] };
  if (at.rung >= at.top)
    return {
      state: now,
      advice: [
        { kind: 'done', reason: say('coaching.scenario.this-is-the-whole-scenario-change', { grounds }) },
      ],
    };
  return { state: now, advice: [{ kind: 'advance', to: at.rung + 1, reason: grounds }] };
}
