import * as v from 'valibot';
import { type Abilities, abilities, abilitiesSchema } from './abilities';
import { type Checklist, checklist, checklistSchema } from './checklist';
import type { Family, Outline, PreparedRules } from './family';
import { type PointsOff, pointsOff, pointsOffSchema } from './points-off';
import { type Retrieves, retrieves, retrievesSchema } from './retrieves';
import { type TimeAndFaults, timeAndFaults, timeAndFaultsSchema } from './time-and-faults';
import { type WeightedMarks, weightedMarks, weightedMarksSchema } from './weighted-marks';

/** A seventh family adds its schema and itself here, and nothing else changes. */
export const rulesSchema = v.variant('family', [
  pointsOffSchema,
  weightedMarksSchema,
  abilitiesSchema,
  retrievesSchema,
  checklistSchema,
  timeAndFaultsSchema,
]);
export type Rules = PointsOff | WeightedMarks | Abilities | Retrieves | Checklist | TimeAndFaults;

const FAMILIES: { readonly [F in Rules['family']]: Family<Extract<Rules, { family: F }>> } = {
  'points-off': pointsOff,
  'weighted-marks': weightedMarks,
  abilities,
  retrieves,
  checklist,
  'time-and-faults': timeAndFaults,
};

/**
 * The family of these rules. Its functions take exactly such rules, which the record above
 * guarantees and TypeScript cannot follow.
 */
export function familyOf(rules: Rules): Family<Rules> {
  return FAMILIES[rules.family] as unknown as Family<Rules>;
}

/**
 * Rules made ready to score many sheets: costs in whole units, faults by place. `rules` must have
 * passed `readRuleBook`; 20 points in steps of half a point → a maximum of 40 units.
 */
export function prepareRules(rules: Rules, outline: Outline): PreparedRules {
  return familyOf(rules).prepare(rules, outline);
}
