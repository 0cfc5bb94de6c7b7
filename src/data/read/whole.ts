import { DEFAULT_PACE, USUAL_RULES } from '@/core/coaching';
import { asId, type BreakdownId, type DogId, type ElementId } from '@/core/shared';
import type { Kennel } from '@/data/kennel';
import { type Bout, type Breakdown, type ElementRecord, PLAIN_ELEMENT } from '@/data/records';
import type { DogWork } from './work';

/** What an exercise that is run whole is called where an element's id is wanted: in addresses and on the pad. */
const WHOLE = 'run-';
export const wholeId = (breakdown: BreakdownId): ElementId => asId<ElementId>(`${WHOLE}${breakdown}`);

/** An exercise that is run whole asks nothing of its own, and is called so. */
export const isWhole = ({ id, axes }: Pick<ElementRecord, 'id' | 'axes'>): boolean =>
  axes.length === 0 && breakdownIn(id) !== null;

/** What a bout of this is on. */
export const boutOn = ({ id, axes }: Pick<ElementRecord, 'id' | 'axes'>): Bout['on'] =>
  isWhole({ id, axes })
    ? { kind: 'exercise', breakdown: asId<BreakdownId>(id.slice(WHOLE.length)) }
    : { kind: 'element', element: id };

/** What an id is of: an exercise that is run whole, or an element. */
export const onOf = (id: ElementId): Bout['on'] => {
  const breakdown = breakdownIn(id);
  return breakdown ? { kind: 'exercise', breakdown } : { kind: 'element', element: id };
};

/** The id under which a bout is found again, whatever it is on. */
export const addressOf = ({ on }: Pick<Bout, 'on'>): ElementId =>
  on.kind === 'element' ? on.element : wholeId(on.breakdown);

/** The exercise that an id of this kind names; null for an element's. */
export const breakdownIn = (id: string): BreakdownId | null =>
  id.startsWith(WHOLE) ? asId<BreakdownId>(id.slice(WHOLE.length)) : null;

/** An exercise as its rule book or its owner calls it. */
export function exerciseTitle(breakdown: Breakdown, { ruleBooks }: Pick<DogWork, 'ruleBooks'>): string {
  const book = ruleBooks.find((record) => record.id === breakdown.ruleBookId)?.book;
  return (
    breakdown.own?.title ??
    book?.exercises.find((exercise) => exercise.id === breakdown.exercise)?.title ??
    breakdown.exercise
  );
}

/**
 * An exercise as a pad and a card want it: no criteria of its own, its links, and what they need together.
 * It is never stored.
 * @internal
 */
export function wholeOf(breakdown: Breakdown, work: DogWork): ElementRecord {
  const links = breakdown.links.map((link) => link.element);
  const pieces = work.elements.filter((one) => links.includes(one.id));
  const all = <T>(of: (piece: ElementRecord) => readonly T[]): T[] => [...new Set(pieces.flatMap(of))];
  const conditions = pieces.flatMap((piece) => piece.conditions);
  const [first] = pieces;
  return {
    ...PLAIN_ELEMENT,
    id: wholeId(breakdown.id),
    dogId: breakdown.dogId,
    title: exerciseTitle(breakdown, work),
    form: { kind: 'chain', links },
    axes: [],
    conditions: conditions.filter((one, i) => conditions.findIndex((it) => it.title === one.title) === i),
    kit: all((piece) => piece.kit),
    // What lies out is counted piece by piece; a whole run is sent once.
    work: all(workIn).filter((tag) => tag !== 'laid'),
    cues: first?.cues ?? PLAIN_ELEMENT.cues,
    policy: { rule: USUAL_RULES.feel, pace: { ...DEFAULT_PACE, setSize: 50 } },
    putAway: breakdown.putAway,
    changed: breakdown.changed,
  };
}

/** What a piece does to the body: where a height is asked, it is jumped. */
const workIn = ({ work, axes }: ElementRecord): ElementRecord['work'] =>
  axes.some((axis) => axis.quantity === 'height') ? [...work, 'jump'] : work;

/** Whose element or exercise an address names; null for nobody's. */
export async function dogOf({ database }: Kennel, id: string): Promise<DogId | null> {
  const exercise = breakdownIn(id);
  const found =
    (await database.of('elements').get(id)) ??
    (exercise ? await database.of('breakdowns').get(exercise) : undefined);
  return found?.dogId ?? null;
}

/** What an address names among the dog's work: an element, or an exercise to be run whole. */
export function trainableIn(work: DogWork, id: string | undefined): ElementRecord | null {
  const element = work.elements.find((one) => one.id === id);
  if (element) return element;
  const breakdown = id === undefined ? null : breakdownIn(id);
  const found = breakdown && work.breakdowns.find((one) => one.id === breakdown);
  return found ? wholeOf(found, work) : null;
}
