import * as v from 'valibot';
import { fail, must, ok, type Region, type Result, saidBySchema, say, USUAL_REGION } from '@/core/shared';
import { type Axis, axisSchema } from './axis';
import { type Method, type MethodAxis, readMethod, told } from './method-file';
import type { Skill } from './method-schema';
import { BASICS_FILE, METHOD_FILES } from './methods/index';
import { sameWords } from './synonyms';
import { LIMIT_FACTOR } from './usual-step';

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
