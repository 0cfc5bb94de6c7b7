/**
 * The step that a ladder aims at where a practice names none: a third more of a length or time, one
 * more of a list or count. It is this program's own convention, shown as such and editable; heights
 * and angles have none, and are asked.
 */
export const GENERAL_STEP = { ratio: 0.35, whole: 1 } as const;
/**
 * The most that a step set by hand may be, as a multiple of the ladder's own step: more than that is said.
 * This program's own figure, editable on every axis.
 */
export const LIMIT_FACTOR = 1.7;
