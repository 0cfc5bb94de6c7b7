import * as v from 'valibot';
import {
  AXIS_KINDS,
  type Axis,
  axisFrom,
  axisScale,
  inUnit,
  type Method,
  type MethodAxis,
  type MethodElement,
  methodsIn,
  parseValue,
  unitOf,
} from '@/core/breakdown';
import { type AxisKey, asId, type Result } from '@/core/shared';
import { elementFromMethod, PLAIN_ELEMENT } from '@/data/read';
import type { FirstElement } from '@/data/write';
import { numberCustom, reading, regionNow, wordsOf } from '@/words';
import { tell } from './words';

/** The methods in this person's words. */
const METHODS_HERE = methodsIn(regionNow());

/** The first piece of a method: at most one of its criteria asks for numbers, which is two answers. */
export type FirstChoice = {
  readonly id: string;
  readonly method: Method;
  readonly element: MethodElement;
  /** The criterion of which something is asked, with its place; null where the method says it all. */
  readonly asks: { readonly axis: MethodAxis; readonly at: number } | null;
};

export const FIRST_CHOICES: readonly FirstChoice[] = METHODS_HERE.flatMap((method): FirstChoice[] => {
  const [element] = method.elements;
  if (!element) return [];
  const at = element.axes.findIndex((axis) => axis.start === null || axis.demand === null);
  const axis = element.axes[at];
  return [{ id: method.id, method, element, asks: axis ? { axis, at } : null }];
});

/** What most people begin with stands open; the others are in the list. */
export const USUAL_FIRST = ['positions-at-a-distance', 'memory-retrieve', 'formal-hold'] as const;

/** Ways to begin that are no method. */
const OTHER_WAYS = ['own', 'book', 'name'] as const;
export type Way = (typeof OTHER_WAYS)[number];

/** Criteria that somebody can begin an own element with: one number now, one wanted. */
export const OWN_KINDS = AXIS_KINDS.map((kind) => ({
  id: kind.id as string,
  title: wordsOf(kind.title),
  axis: kind.make(asId<AxisKey>(kind.id), wordsOf(kind.title)),
})).filter(({ axis }) => axis.axis.levels === null && axis.step !== null);

/** The fields of the start, as typed. */
export const firstElementFields = v.pipe(
  v.object({
    name: v.pipe(
      v.string(),
      v.trim(),
      v.minLength(1, tell('first-element.write-the-dogs-name')),
      v.maxLength(60, tell('first-element.a-shorter-name-please-at-most-60')),
    ),
    what: v.pipe(
      v.string(),
      v.check(
        (what) => OTHER_WAYS.some((way) => way === what) || choiceById(what) !== undefined,
        tell('first-element.choose-what-you-want-to-teach'),
      ),
    ),
    title: v.string(),
    kind: v.string(),
    start: v.string(),
    goal: v.string(),
  }),
  v.rawCheck(({ dataset, addIssue }) => {
    if (!dataset.typed) return;
    const { value } = dataset;
    const at = (key: 'title' | 'start' | 'goal', message: string): void =>
      addIssue({
        message,
        path: [{ type: 'object', origin: 'value', input: value, key, value: value[key] }],
      });
    if (value.what === 'own' && value.title.trim() === '')
      at('title', tell('first-element.say-what-you-want-to-teach'));
    const axis = askedAxis(value);
    if (!axis) return;
    const read = answersTo(axis, value);
    for (const key of ['start', 'goal'] as const) {
      const answer = read[key];
      if (!answer.ok) at(key, wordsOf(answer.message));
    }
    if (!read.start.ok || !read.goal.ok) return;
    const scale = climbable(axis, read.start.value, read.goal.value);
    if (!scale.ok) at(asksOf(axis).goal ? 'goal' : 'start', wordsOf(scale.message));
  }),
);
export type FirstElementFields = v.InferOutput<typeof firstElementFields>;

export const choiceById = (id: string): FirstChoice | undefined => FIRST_CHOICES.find((one) => one.id === id);
const kindById = (id: string) => OWN_KINDS.find((one) => one.id === id) ?? OWN_KINDS[0];

/** The criterion whose values are asked; null where nothing is. */
export function askedAxis({ what, kind }: Pick<FirstElementFields, 'what' | 'kind'>): MethodAxis | null {
  if (what === 'own') return kindById(kind)?.axis ?? null;
  return choiceById(what)?.asks?.axis ?? null;
}

/** Which of the two a person is asked: what a method says it says. */
export const asksOf = (axis: MethodAxis): { readonly start: boolean; readonly goal: boolean } => ({
  start: axis.start === null,
  goal: axis.demand === null,
});

type Answers = { readonly start: Result<number | null>; readonly goal: Result<number | null> };

/** The criterion in the unit in which its two answers are typed: 10 yd stays 10 yd. */
const inTyped = (axis: MethodAxis, { start, goal }: Pick<FirstElementFields, 'start' | 'goal'>): MethodAxis =>
  inUnit(axis, unitOf({ spec: axis, start, demand: goal, step: '' }, reading()));

function answersTo(axis: MethodAxis, fields: Pick<FirstElementFields, 'start' | 'goal'>): Answers {
  const asks = asksOf(axis);
  const typed = inTyped(axis, fields).axis;
  const plain = typed.harder === 'both' ? { ...typed, harder: 'more' as const } : typed;
  const none = { ok: true, value: null } as const;
  return {
    start: asks.start ? parseValue(plain, fields.start, numberCustom()) : none,
    goal: asks.goal ? parseValue(plain, fields.goal, numberCustom()) : none,
  };
}

function climbable(axis: MethodAxis, start: number | null, demand: number | null): Result<unknown> {
  const whole = axisFrom(axis, { start, demand, step: null });
  return whole.ok ? axisScale(whole.value) : whole;
}

const NO_ANSWER = { start: null, demand: null, step: null };

/** Checked fields → what the kennel stores. Null where no element is begun with, or nothing was checked. */
export function toFirstElement(fields: FirstElementFields): FirstElement | null {
  const asked = askedAxis(fields);
  const read = asked && answersTo(asked, fields);
  if (read && (!read.start.ok || !read.goal.ok)) return null;
  const answer = read ? { start: readOf(read.start), demand: readOf(read.goal), step: null } : NO_ANSWER;
  if (fields.what === 'own') {
    const axis = asked && axisFrom(inTyped(asked, fields), answer);
    if (!axis?.ok) return null;
    const work: readonly 'jump'[] = axis.value.quantity === 'height' ? ['jump'] : [];
    return {
      element: (id, dogId) => ({
        ...PLAIN_ELEMENT,
        id,
        dogId,
        title: fields.title.trim(),
        axes: [axis.value],
        work: [...work],
      }),
    };
  }
  const choice = choiceById(fields.what);
  if (!choice) return null;
  const axes: Axis[] = [];
  for (const [i, spec] of choice.element.axes.entries()) {
    const asks = i === choice.asks?.at;
    const axis = axisFrom(asks ? inTyped(spec, fields) : spec, asks ? answer : NO_ANSWER);
    if (!axis.ok) return null;
    axes.push(axis.value);
  }
  return { element: (id, dogId) => elementFromMethod(id, dogId, choice.method, choice.element, axes) };
}

const readOf = (read: Result<number | null>): number | null => (read.ok ? read.value : null);
