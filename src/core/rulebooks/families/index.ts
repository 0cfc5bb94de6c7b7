import * as v from 'valibot';
import { type Abilities, abilities, abilitiesSchema } from './abilities';
import { type Checklist, checklist, checklistSchema } from './checklist';
import type { Family } from './family';
import { type WeightedMarks, weightedMarksSchema } from './mark-panels';
import { type Measured, measured, measuredSchema } from './measured';
import { type PointsOff, pointsOff, pointsOffSchema } from './points-off';
import { type Retrieves, retrieves, retrievesSchema } from './retrieves';
import { type TimeAndFaults, timeAndFaults, timeAndFaultsSchema } from './time-and-faults';
import { weightedMarks } from './weighted-marks';

/** A further family adds its schema and itself here, and nothing else changes. */
export const rulesSchema = v.variant('family', [
  pointsOffSchema,
  weightedMarksSchema,
  abilitiesSchema,
  retrievesSchema,
  checklistSchema,
  timeAndFaultsSchema,
  measuredSchema,
]);
export type Rules = PointsOff | WeightedMarks | Abilities | Retrieves | Checklist | TimeAndFaults | Measured;

const FAMILIES: { readonly [F in Rules['family']]: Family<Extract<Rules, { family: F }>> } = {
  'points-off': pointsOff,
  'weighted-marks': weightedMarks,
  abilities,
  retrieves,
  checklist,
  'time-and-faults': timeAndFaults,
  measured,
};

/**
 * The family of these rules. Its functions take exactly such rules, which the record above
 * guarantees and TypeScript cannot follow.
 */
export function familyOf(rules: Rules): Family<Rules> {
  return FAMILIES[rules.family] as unknown as Family<Rules>;
}
