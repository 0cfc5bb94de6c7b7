import * as v from 'valibot';
import {
  type AxisKey,
  asId,
  asLevel,
  fail,
  inRegion,
  must,
  ok,
  type Region,
  type Result,
  type Sentence,
  saidBySchema,
  say,
  USUAL_REGION,
} from '@/core/shared';
import { type Axis, axisSchema, isRatioAxis } from './axis';
import { parseValue } from './axis-values';
import { type MethodFile, methodSchema, type Skill } from './method-schema';
import { BASICS_FILE, METHOD_FILES } from './methods/index';
import type { SchoolKey } from './schools';
import { readStep, type Step } from './step-text';
import { sameWords } from './synonyms';
import type { WorkTag } from './work-tags';

/** A fault to watch for, in a person's own element, where no rule book prices it. */
export type WatchedFault = {
  readonly key: string;
  readonly label: string;
  readonly by: 'dog' | 'handler';
  readonly miss: boolean;
};

/** An axis of a method: everything but what the person is asked. Values in base units. */
export type MethodAxis = {
  readonly axis: Omit<Axis, 'start' | 'demand' | 'step' | 'limit'>;
  readonly start: number | null;
  readonly demand: number | null;
  /** Null where neither the practice nor the quantity has a usual one. */
  readonly step: number | null;
  /** Whether the practice names the step, or this program's general one stands in. */
  readonly stepFrom: 'practice' | 'program';
  readonly askStart: string | Sentence;
  readonly askDemand: string | Sentence;
};

export type MethodElement = {
  readonly key: string;
  readonly title: string;
  readonly teaches: string;
  readonly needs: readonly { readonly element: string; readonly share: number }[];
  readonly axes: readonly MethodAxis[];
  readonly faults: readonly WatchedFault[];
  /** Keys of faults that are only noted till the demand: on the way this piece is about something else. */
  readonly noted: readonly string[];
  readonly legs: readonly string[];
  /** Checked against the policies by whoever knows them; this module does not. */
  readonly policy: { readonly kind: string } | null;
  readonly work: readonly WorkTag[];
  readonly kit: readonly string[];
  readonly skill?: Skill;
  readonly route?: string;
  readonly conditions: MethodFile['conditions'];
};

/**
 * A ready way to teach a practice, in elements that build on one another. Everything in it is a
 * suggestion and editable.
 */
export type Method = Omit<MethodFile, 'elements' | 'schools'> & {
  readonly elements: readonly MethodElement[];
  readonly schools: readonly SchoolKey[];
};

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

/**
 * Reads a method's file. Fails with `shape`, or with the axis's own code, and says where.
 * @internal
 */
export function readMethod(file: unknown): Result<Method> {
  const parsed = v.safeParse(methodSchema, file);
  if (!parsed.success) {
    const [first] = parsed.issues;
    return fail(
      'shape',
      v.getDotPath(first) ?? '',
      say('breakdown.methods.shape', { problem: saidBySchema(first) }),
    );
  }
  const elements: MethodElement[] = [];
  for (const [e, element] of parsed.output.elements.entries()) {
    const axes: MethodAxis[] = [];
    for (const [a, axis] of element.axes.entries()) {
      const read = readAxis(axis);
      if (!read.ok) return fail(read.code, `elements.${e}.axes.${a}.${read.path}`, read.message);
      axes.push(read.value);
    }
    const lost = element.needs.find(
      (need) => !parsed.output.elements.slice(0, e).some((other) => other.key === need.element),
    );
    if (lost)
      return fail(
        'needs',
        `elements.${e}.needs`,
        say('breakdown.methods.needs-which-does-not-come-before', {
          title: element.title,
          element: lost.element,
        }),
      );
    const stray = element.noted.find((key) => !element.faults.some((fault) => fault.key === key));
    if (stray !== undefined)
      return fail(
        'noted',
        `elements.${e}.noted`,
        say('breakdown.methods.notes-what-is-none-of-its-faults', { title: element.title, stray }),
      );
    elements.push({ ...element, axes, legs: element.legs ?? [], policy: element.policy ?? null });
  }
  return ok({ ...parsed.output, elements });
}

const VALUES = ['start', 'demand', 'zeroScale', 'floor'] as const;
type FileAxis = MethodFile['elements'][number]['axes'][number];

function readAxis(file: FileAxis): Result<MethodAxis> {
  const { key, title, quantity, unit, harder, role, margin } = file;
  const levels = file.levels?.map((level, place) => ({ id: asLevel(place), ...level })) ?? null;
  const shape = {
    key: asId<AxisKey>(key),
    title,
    quantity,
    unit,
    harder,
    role,
    levels,
    margin,
    eases: file.eases.map((one) => asId<AxisKey>(one)),
    safety: null,
    ...(file.measured === undefined ? {} : { measured: file.measured }),
  };
  const values: Record<(typeof VALUES)[number], number | null> = {
    start: null,
    demand: null,
    zeroScale: null,
    floor: null,
  };
  for (const field of VALUES) {
    const written = file[field];
    if (written === undefined) continue;
    const value = parseValue(shape, written);
    if (!value.ok) return fail(value.code, field, value.message);
    values[field] = value.value;
  }
  const step = stepIn(shape, file.step);
  if (!step.ok) return fail(step.code, 'step', step.message);
  return ok({
    axis: {
      ...shape,
      zeroScale: values.zeroScale,
      ...(values.floor === null ? {} : { floor: values.floor }),
      ...(step.value?.equal ? { equal: true } : {}),
    },
    start: values.start,
    demand: values.demand,
    step: step.value?.step ?? null,
    stepFrom: file.step === undefined ? 'program' : 'practice',
    askStart: file.askStart ?? say('breakdown.methods.what-works-now'),
    askDemand: file.askDemand ?? say('breakdown.methods.what-you-want-in-the-end'),
  });
}

/** The step that a method's file names; a general one where there is one. */
function stepIn(
  axis: Pick<Axis, 'quantity' | 'unit' | 'levels'>,
  written: string | undefined,
): Result<Step | null> {
  if (written !== undefined) return readStep(axis, written);
  if (isRatioAxis(axis)) return ok({ step: GENERAL_STEP.ratio, equal: false });
  const whole = axis.quantity === 'level' || axis.quantity === 'count';
  return ok(whole ? { step: GENERAL_STEP.whole, equal: false } : null);
}

/** What a person answered for an axis, in base units; null takes the method's own value. */
export type AxisAnswer = {
  readonly start: number | null;
  readonly demand: number | null;
  readonly step: number | null;
};

/**
 * A whole axis from a method's and a person's answers. Fails with `start`, `demand` or `step` where
 * neither says it, and as the schema of axes does.
 */
export function axisFrom({ axis, start, demand, step }: MethodAxis, answer: AxisAnswer): Result<Axis> {
  const given = { start: answer.start ?? start, demand: answer.demand ?? demand, step: answer.step ?? step };
  for (const [field, words] of [
    ['start', say('breakdown.methods.what-works-now')],
    ['demand', say('breakdown.methods.what-is-wanted')],
    ['step', say('breakdown.methods.how-big-a-step-is')],
  ] as const)
    if (given[field] === null)
      return fail(field, axis.key, say('breakdown.methods.say', { title: axis.title, words }));
  const whole = {
    ...axis,
    start: given.start,
    demand: given.demand,
    step: given.step,
    limit: (given.step ?? 0) * LIMIT_FACTOR,
  };
  const parsed = v.safeParse(axisSchema, whole);
  return parsed.success
    ? ok(parsed.output)
    : fail(
        'axis',
        axis.key,
        say('breakdown.methods.axis-problem', {
          title: axis.title,
          problem: saidBySchema(parsed.issues[0]),
        }),
      );
}

/**
 * The ready methods, in the order of the trade's year: what a young dog begins with comes first.
 */
export const METHODS: readonly Method[] = /* @__PURE__ */ METHOD_FILES.map((file) => must(readMethod(file)));

/** What other pieces build on, each as a short element of its own; no method that somebody looks for. */
export const BASICS: Method = /* @__PURE__ */ must(readMethod(BASICS_FILE));

/** The skill that an element made from this method is; null for most. `skillOf({ id: 'stays', element: 'actions' })` → 'stay'. */
export function skillOf(from: { readonly id: string; readonly element: string } | null): Skill | null {
  const method = [BASICS, ...METHODS].find((one) => one.id === from?.id);
  return method?.elements.find((one) => one.key === from?.element)?.skill ?? null;
}

/**
 * Methods whose words hold every word of the question, or another word for it, those first that hold the
 * words themselves; all of them for an empty one. "bumper" finds what is said of dummies.
 */
export function searchMethods(question: string, methods: readonly Method[] = METHODS): Method[] {
  const words = question.toLowerCase().split(/\s+/).filter(Boolean);
  const texts = methods.map((method) => ({ method, text: methodText(method).toLowerCase() }));
  const found = texts.filter(({ text }) =>
    words.every((word) => sameWords(word).some((other) => text.includes(other))),
  );
  const asked = found.filter(({ text }) => words.every((word) => text.includes(word)));
  return [...new Set([...asked, ...found])].map(({ method }) => method);
}

/** All that a method says, for searching. */
export const methodText = (method: Method): string =>
  [
    method.title,
    ...method.also,
    method.teaches,
    ...method.elements.flatMap((element) => [element.title, ...element.faults.map((fault) => fault.label)]),
  ].join(' ');

/** The ready methods in the words of a region; keys, and other words to look for them by, stay. */
export const methodsIn = (region: Region): readonly Method[] =>
  region.fetched === USUAL_REGION.fetched && region.lying === USUAL_REGION.lying
    ? METHODS
    : METHODS.map((method) => told(method, region));

const NOT_READ: ReadonlySet<string> = new Set([
  'skill',
  'route',
  'for',
  'id',
  'key',
  'kind',
  'also',
  'element',
  'say',
  'work',
  'schools',
  'eases',
]);

function told<T>(value: T, region: Region, key = ''): T {
  if (NOT_READ.has(key)) return value;
  if (typeof value === 'string') return inRegion(value, region) as T;
  if (Array.isArray(value)) return value.map((one) => told(one, region)) as T;
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(Object.entries(value).map(([name, one]) => [name, told(one, region, name)])) as T;
}
