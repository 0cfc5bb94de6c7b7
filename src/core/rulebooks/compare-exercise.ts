import { type ExerciseKey, type Sentence, say } from '@/core/shared';
import { added, at, type Change, changed, NOWHERE, removed, same, type Where } from './changes';
import { describeCost } from './families/cost';
import { cellTotal, type PreparedExercise, pointsOf } from './families/family';
import type { Fault } from './families/fault-schema';
import type { RuleBook, RuleExercise, RulePart } from './schema';
import type { Side } from './sides';
import { faultRulesInWords } from './structure-words';

export function compareExercise(before: RuleExercise, after: RuleExercise, old: Side, now: Side): Change[] {
  const [scoredBefore, scoredAfter] = [scoredOf(old, before.id), scoredOf(now, after.id)];
  const maxima = [
    pointsOf(old.rules, cellTotal(scoredBefore)),
    pointsOf(now.rules, cellTotal(scoredAfter)),
  ] as const;
  const name = after.title;
  return [
    ...(before.title === after.title
      ? []
      : [
          changed(
            'text',
            at(after.id),
            say('rulebooks.compare.is-now-called', { title: before.title, title2: after.title }),
          ),
        ]),
    ...(before.text === after.text
      ? []
      : [
          changed(
            'text',
            at(after.id),
            say('rulebooks.compare.description', { name, text: before.text, text2: after.text }),
          ),
        ]),
    ...(maxima[0] === maxima[1]
      ? []
      : [
          changed(
            'exercise',
            at(after.id),
            say('rulebooks.compare.maximum', { name, maxima: maxima[0], maxima2: maxima[1] }),
          ),
        ]),
    ...after.parts.flatMap((part) => {
      const known = before.parts.find((one) => one.id === part.id);
      return known
        ? comparePart(after, known, part)
        : [added('part', at(after.id, part.id), say('rulebooks.compare.part', { name, title: part.title }))];
    }),
    ...before.parts
      .filter((one) => !after.parts.some((part) => part.id === one.id))
      .map((one) =>
        removed('part', at(after.id, one.id), say('rulebooks.compare.part', { name, title: one.title })),
      ),
    ...comparePartOrder(before, after),
    ...compareFaults(after, scoredBefore, scoredAfter, old, now),
  ];
}

/** Parts that both have, where they come in another order. */
function comparePartOrder(before: RuleExercise, after: RuleExercise): Change[] {
  const shared = (of: RuleExercise, other: RuleExercise): string =>
    of.parts
      .filter((one) => other.parts.some((part) => part.id === one.id))
      .map((one) => one.id)
      .join();
  return shared(before, after) === shared(after, before)
    ? []
    : [
        changed(
          'part',
          at(after.id),
          say('rulebooks.compare.order-of-parts', {
            title: after.title,
            parts: { list: after.parts.map((part) => part.title), between: ', ' },
          }),
        ),
      ];
}

function comparePart(exercise: RuleExercise, before: RulePart, after: RulePart): Change[] {
  const where = at(exercise.id, after.id);
  const name = `${exercise.title}, ${after.title.toLowerCase()}`;
  return [
    ...(before.title === after.title
      ? []
      : [changed('text', where, say('rulebooks.compare.was-called', { name, title: before.title }))]),
    ...after.demands.flatMap((demand) => {
      const known = before.demands.find((one) => one.axis === demand.axis);
      const [was, is] = [
        known ? `${known.value} ${known.unit}`.trim() : null,
        `${demand.value} ${demand.unit}`.trim(),
      ];
      const title = demand.title.toLowerCase();
      if (was === null)
        return [added('demand', where, say('rulebooks.compare.demand', { name, title, value: is }))];
      return was === is && known?.harder === demand.harder
        ? []
        : [changed('demand', where, say('rulebooks.compare.demand-changed', { name, title, was, is }))];
    }),
    ...before.demands
      .filter((one) => !after.demands.some((demand) => demand.axis === one.axis))
      .map((one) =>
        removed(
          'demand',
          where,
          say('rulebooks.compare.demand-gone', { name, title: one.title.toLowerCase() }),
        ),
      ),
  ];
}

function compareFaults(
  exercise: RuleExercise,
  before: PreparedExercise,
  after: PreparedExercise,
  old: Side,
  now: Side,
): Change[] {
  const costs = (fault: Fault, { rules, book }: Side): Sentence => {
    const more = faultRulesInWords(book, fault);
    return say('rulebooks.compare.costs', {
      cost: describeCost(fault.cost, rules.word),
      stops: Boolean(fault.stops),
      more: more.length === 0 ? null : say('rulebooks.compare.more', { list: { list: more, between: ', ' } }),
    });
  };
  const where = (fault: Fault): Where => at(exercise.id, fault.part);
  const of = (fault: Fault) => ({ exercise: exercise.title, fault: fault.title });
  return [
    ...after.faults.flatMap(({ fault }) => {
      const known = before.faults.find((one) => one.fault.id === fault.id)?.fault;
      if (!known)
        return [
          added(
            'fault',
            where(fault),
            say('rulebooks.compare.fault', { ...of(fault), cost: costs(fault, now) }),
          ),
        ];
      const [was, is] = [costs(known, old), costs(fault, now)];
      return [
        ...(same(was, is)
          ? []
          : [
              changed(
                'fault',
                where(fault),
                say('rulebooks.compare.fault-changed', { ...of(fault), was, is }),
              ),
            ]),
        ...(known.title === fault.title
          ? []
          : [
              changed(
                'text',
                where(fault),
                say('rulebooks.compare.is-now', {
                  title: exercise.title,
                  title2: known.title,
                  title3: fault.title,
                }),
              ),
            ]),
        ...(known.part === fault.part
          ? []
          : [changed('fault', where(fault), say('rulebooks.compare.belongs-to-another-part', of(fault)))]),
      ];
    }),
    ...before.faults
      .filter(({ fault }) => !after.faults.some((one) => one.fault.id === fault.id))
      .map(({ fault }) =>
        removed(
          'fault',
          where(fault),
          say('rulebooks.compare.fault', { ...of(fault), cost: costs(fault, old) }),
        ),
      ),
  ];
}

export function compareOrder(before: RuleBook, after: RuleBook): Change[] {
  const shared = (book: RuleBook, other: RuleBook): string =>
    book.exercises
      .filter((one) => other.exercises.some((exercise) => exercise.id === one.id))
      .map((one) => one.id)
      .join();
  return shared(before, after) === shared(after, before)
    ? []
    : [
        changed(
          'exercise',
          NOWHERE,
          say('rulebooks.compare.running-order', {
            exercises: { list: after.exercises.map((exercise) => exercise.title), between: ', ' },
          }),
        ),
      ];
}

const scoredOf = (side: Side, id: ExerciseKey): PreparedExercise =>
  side.rules.exercises.find((one) => one.exercise === id) ?? { exercise: id, cells: [], faults: [] };
