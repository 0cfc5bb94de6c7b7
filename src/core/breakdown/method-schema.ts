import * as v from 'valibot';
import { schemaSays } from '@/core/shared';
import { AXIS_QUANTITIES } from './axis';
import { SCHOOL_KEYS } from './schools';
import { watchedFaultSchema } from './watched-fault';
import { WORK_TAGS } from './work-tags';

const text = v.pipe(v.string(), v.trim(), v.minLength(1));
const key = v.pipe(
  v.string(),
  v.regex(/^[a-z0-9-]+$/, schemaSays('breakdown.method-schema.a-short-word-in-small-letters')),
);

/**
 * An axis as a method's file says it: values as a person writes them ("5 m", "25 %"), left out
 * where the person is asked.
 */
const methodAxisSchema = v.strictObject({
  key,
  title: text,
  quantity: v.picklist(AXIS_QUANTITIES),
  unit: v.string(),
  harder: v.optional(v.picklist(['more', 'less', 'both']), 'more'),
  role: v.optional(v.picklist(['criterion', 'help', 'pay']), 'criterion'),
  levels: v.optional(v.array(v.strictObject({ name: text, anchor: v.string() }))),
  start: v.optional(text),
  demand: v.optional(text),
  step: v.optional(text),
  zeroScale: v.optional(text),
  /** What it is never eased below. */
  floor: v.optional(text),
  margin: v.optional(v.pipe(v.number(), v.minValue(0), v.maxValue(2)), 0.2),
  eases: v.optional(v.pipe(v.array(key), v.maxLength(2)), []),
  measured: v.exactOptional(v.boolean()),
  /** What the person is asked where a value is left out. */
  askStart: v.optional(text),
  askDemand: v.optional(text),
});

/** What many pieces build on, whichever method it was learned by. */
const SKILLS = ['sit', 'down', 'stay', 'recall', 'hold', 'target', 'release', 'platform'] as const;
export type Skill = (typeof SKILLS)[number];

const conditionsSchema = v.optional(
  v.array(
    v.strictObject({
      title: text,
      options: v.pipe(v.array(text), v.minLength(2)),
      /** The next one is proposed, never the same twice running: spots that are searched. */
      drawn: v.exactOptional(v.boolean()),
      /** Seen in the rep, not set up before it: the last paw in. */
      seen: v.exactOptional(v.boolean()),
    }),
  ),
  [],
);

const methodElementSchema = v.strictObject({
  key,
  title: text,
  teaches: text,
  /** What has to stand first, and how far up its ladder: 1 is the demand. */
  needs: v.optional(
    v.array(v.strictObject({ element: key, share: v.pipe(v.number(), v.minValue(0), v.maxValue(1)) })),
    [],
  ),
  axes: v.pipe(v.array(methodAxisSchema), v.minLength(1)),
  faults: v.optional(v.array(watchedFaultSchema), []),
  noted: v.optional(v.array(v.string()), []),
  /** Legs of continuous work, which is one element with a clock. */
  legs: v.optional(v.array(text)),
  /** The kind of policy that fits, with the usual values of that kind unless given. */
  policy: v.optional(v.looseObject({ kind: v.string() })),
  work: v.optional(v.array(v.picklist(WORK_TAGS)), []),
  /** The skill that this element is, for others that build on it. */
  skill: v.exactOptional(v.picklist(SKILLS)),
  /** One of several ways to the same: a person takes one of them, or all. */
  route: v.exactOptional(key),
  /** Chips of this element besides those of the whole method. */
  conditions: conditionsSchema,
  kit: v.optional(v.array(text), []),
});

/** A method's file (src/core/breakdown/methods). */
export const methodSchema = v.strictObject({
  id: key,
  title: text,
  /** Other words under which someone may look for it. */
  also: v.array(text),
  teaches: text,
  advice: v.pipe(v.array(text), v.minLength(1)),
  trouble: v.pipe(v.array(v.strictObject({ seen: text, remedy: text })), v.minLength(1)),
  elements: v.pipe(v.array(methodElementSchema), v.minLength(1)),
  conditions: conditionsSchema,
  /** What has to be there before, from elsewhere: a skill, how far it must stand, and for which elements. */
  before: v.optional(
    v.array(
      v.strictObject({
        skill: v.picklist(SKILLS),
        share: v.pipe(v.number(), v.minValue(0), v.maxValue(1)),
        for: v.array(key),
      }),
    ),
    [],
  ),
  kit: v.array(text),
  schools: v.array(v.picklist(SCHOOL_KEYS)),
});
export type MethodFile = v.InferOutput<typeof methodSchema>;
