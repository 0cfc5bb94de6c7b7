import * as v from 'valibot';
import type { PolicyStep } from './events';

/**
 * *By feel*: no advice. What the person does is logged, and can be compared with the rules later.
 */
export const feelRule = v.strictObject({ kind: v.literal('feel') });
export type FeelRule = v.InferOutput<typeof feelRule>;

/** One event by feel: no advice, whatever happens. */
export const stepFeel = (_: FeelRule, state: null): PolicyStep<null> => ({ state, advice: [] });
