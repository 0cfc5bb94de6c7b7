import * as v from 'valibot';
import { fail, ok, say, schemaSays } from '@/core/shared';
import { checkFaults, repeated } from './checks';
import { type Family, failing } from './family';
import { checklistCost, exerciseKey, faultEntries, text } from './fault-schema';
import { oneCell, prepareFault } from './prepare-faults';

const count = v.pipe(v.number(), v.integer(), v.minValue(0), v.maxValue(99));
const atLeastOne = v.pipe(v.number(), v.integer(), v.minValue(1), v.maxValue(99));

export const checklistSchema = v.strictObject({
  family: v.literal('checklist'),
  groups: v.pipe(
    v.array(v.strictObject({ id: text, title: text })),
    v.minLength(1, schemaSays('rulebooks.checklist.needs-at-least-one-group')),
  ),
  exercises: v.array(
    v.strictObject({
      exercise: exerciseKey,
      group: text,
      /** Tries that the item allows, and extra cues in them. */
      attempts: atLeastOne,
      extraCues: count,
      faults: v.array(v.strictObject({ ...faultEntries, cost: checklistCost })),
    }),
  ),
  /** From the lowest level up; passing is reaching the lowest. */
  levels: v.pipe(
    v.array(
      v.strictObject({
        title: text,
        needs: v.pipe(v.array(v.strictObject({ group: text, atLeast: atLeastOne })), v.minLength(1)),
      }),
    ),
    v.minLength(1, schemaSays('rulebooks.checklist.needs-at-least-one-level')),
  ),
});
export type Checklist = v.InferOutput<typeof checklistSchema>;

const sizeOf = (rules: Checklist, group: string): number =>
  rules.exercises.filter((item) => item.group === group).length;

/**
 * Checklist: an item is done or not; failed tries and extra cues are free up to what the item
 * allows, and the next one loses it. A level asks a number of items from each group. Example: 2
 * attempts allowed, one failed → done; two failed → not.
 */
export const checklist: Family<Checklist> = {
  id: 'checklist',
  title: say('rulebooks.checklist.checklist'),
  word: () => 'item',
  full: () => 1,
  cannot: ['phases', 'atLeast', 'across', 'cap', 'warnings', 'nth'],
  check: (rules, outline) => {
    const known = rules.groups.map((group) => group.id);
    const unknown = (id: string, path: string) =>
      known.includes(id)
        ? []
        : [
            fail(
              'unknown-group',
              path,
              say('rulebooks.checklist.there-is-no-group-these-are', {
                id,
                known: { list: known, between: ', ' },
              }),
            ),
          ];
    return [
      ...checkFaults(rules.exercises, outline, { smallest: 1, maximum: () => 1 }),
      ...repeated(known).map((id) =>
        fail('duplicate', 'groups', say('rulebooks.checklist.two-groups-are-called-rename-one', { id })),
      ),
      ...rules.exercises.flatMap((item, i) => unknown(item.group, `exercises[${i}].group`)),
      ...rules.levels.flatMap((level, l) =>
        level.needs.flatMap((need, n) => {
          const path = `levels[${l}].needs[${n}]`;
          const size = sizeOf(rules, need.group);
          const short = known.includes(need.group) && need.atLeast > size;
          return [
            ...unknown(need.group, `${path}.group`),
            ...(short
              ? [
                  fail(
                    'impossible-pass',
                    `${path}.atLeast`,
                    say('rulebooks.checklist.items-are-asked-and-has', {
                      atLeast: need.atLeast,
                      group: need.group,
                      size,
                    }),
                  ),
                ]
              : []),
          ];
        }),
      ),
    ];
  },
  prepare: (rules) => {
    const places = new Map(
      rules.groups.map((group) => [
        group.id,
        rules.exercises.flatMap((item, e) => (item.group === group.id ? [e] : [])),
      ]),
    );
    const done = (kept: ArrayLike<number>, group: string): number =>
      (places.get(group) ?? []).reduce((items, e) => items + (kept[e] as number), 0);
    const lowest = rules.levels[0]?.needs ?? [];
    const title = (id: string): string => rules.groups.find((group) => group.id === id)?.title ?? id;
    return {
      pointsPerUnit: 1,
      line: null,
      exercises: rules.exercises.map((item) => ({
        exercise: item.exercise,
        cells: oneCell(1),
        faults: item.faults.map((fault) => {
          if (fault.cost.kind === 'attempt')
            return prepareFault(fault, { unit: 1, slot: 'attempt', free: item.attempts - 1 });
          if (fault.cost.kind === 'cue')
            return prepareFault(fault, { unit: 1, slot: 'cue', free: item.extraCues });
          return prepareFault(fault, { unit: 1 });
        }),
      })),
      conditions: [
        { code: 'ended', exercise: null, message: say('rulebooks.checklist.the-test-is-ended') },
        ...lowest.map((need) => ({
          code: 'group',
          exercise: null,
          message: say('rulebooks.checklist.fewer-than-items-of', {
            atLeast: need.atLeast,
            title: title(need.group).toLowerCase(),
          }),
        })),
      ],
      judge: (kept, ended) =>
        failing([ended, ...lowest.map((need) => done(kept, need.group) < need.atLeast)]),
      award: (kept, passed) =>
        passed
          ? (rules.levels.findLast((level) =>
              level.needs.every((need) => done(kept, need.group) >= need.atLeast),
            )?.title ?? null)
          : null,
      // One number: 1 where the item was done, else 0.
      given: (_, [done, ...more]) =>
        more.length === 0 && (done === 0 || done === 1)
          ? ok([done])
          : fail('given', '', say('rulebooks.checklist.done-or-not')),
    };
  },
  passing: (rules) =>
    (rules.levels[0]?.needs ?? []).map((need) => {
      const size = sizeOf(rules, need.group);
      const title = rules.groups.find((group) => group.id === need.group)?.title.toLowerCase() ?? need.group;
      return need.atLeast === size
        ? say('rulebooks.checklist.all-items-of', { size, title })
        : say('rulebooks.checklist.of-items-of', { atLeast: need.atLeast, size, title });
    }),
  awards: (rules) =>
    rules.levels.map((level) => ({
      title: level.title,
      asks: say('rulebooks.checklist.asks', {
        asks: {
          list: level.needs.map((need) =>
            say('rulebooks.checklist.of', { atLeast: need.atLeast, group: need.group }),
          ),
          between: ', ',
        },
      }),
    })),
  say: (_, count) => say('rulebooks.cost.points', { count, word: 'item' }),
};
