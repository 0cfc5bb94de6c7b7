import * as v from 'valibot';
import {
  type AxisKey,
  asId,
  asLevel,
  fail,
  inRegion,
  ok,
  type Region,
  type Result,
  type Sentence,
  saidBySchema,
  say,
} from '@/core/shared';
import { type Axis, isRatioAxis } from './axis';
import { parseValue } from './axis-values';
import { type MethodFile, methodSchema, type Skill } from './method-schema';
import type { SchoolKey } from './schools';
import { readStep, type Step } from './step-text';
import { GENERAL_STEP } from './usual-step';
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
 * Reads a method's file. Fails with `shape`, or with the axis's own code, and says where.
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

export function told<T>(value: T, region: Region, key = ''): T {
  if (NOT_READ.has(key)) return value;
  if (typeof value === 'string') return inRegion(value, region) as T;
  if (Array.isArray(value)) return value.map((one) => told(one, region)) as T;
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(Object.entries(value).map(([name, one]) => [name, told(one, region, name)])) as T;
}
