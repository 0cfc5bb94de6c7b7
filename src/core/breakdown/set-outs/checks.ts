import {
  bearing,
  besideLine,
  chanceOfMeeting,
  coveredBy,
  distance,
  lateralError,
  type Point,
  type Polygon,
  pointAt,
  type Spread,
  scentWedge,
  touches,
  turnBetween,
  type Wind,
} from '@/core/geometry';
import { type Sentence, say } from '@/core/shared';
import { type Check, care, note, refused } from './check';
import { type AskedStep, checkStep } from './check-step';
import {
  areaOf,
  cautionOf,
  type Feature,
  featureName,
  type GroundPlan,
  hides,
  isHazard,
  isRefused,
} from './ground-plan';
import { type Lengths, lengthOf } from './lengths';
import { AT_HEEL, dogOf, nameOf, ofKind, sentFor, type Thing } from './things';

/** Where something fell or lay on this ground before, and how many days ago. */
export type OldFall = { readonly at: Point; readonly days: number; readonly name: Sentence };

export type CheckedSetOut = {
  readonly things: readonly Thing[];
  readonly plan: GroundPlan | null;
  readonly wind: Wind | null;
  readonly oldFalls: readonly OldFall[];
  /** How this dog's runs scatter, where somebody said so; else it is stated. */
  readonly spread: Spread | null;
  /** The line of the spread was measured of this dog, in so many runs; null where somebody said it, or nobody. */
  readonly runs: number | null;
  readonly lengths: Lengths;
  /** What it is laid for; null where it is drawn for itself. */
  readonly step: AskedStep | null;
};

/** What is stated where nobody has measured this dog: the program's own, to be changed on the page. */
export const USUAL_SPREAD: Spread = { line: 6, reach: 0.25 };
/** A fall is smelled and remembered for about so long; stated, not known. */
export const OLD_DAYS = 3;
/** Metres within which a line runs past an old fall or a gun. */
const NEAR = 5;
/** Degrees within which a fall is that of the gun that faces it. */
const OWN_FALL = 15;
/** Degrees off that the trade reckons with. */
const OFF = 5;
/** A chance below this is not worth a line. */
const LEAST_CHANCE = 0.001;

type Line = { readonly from: Point; readonly to: Thing; readonly name: Sentence };

/** The lines that the dog runs: to each thing it is sent for, or to its handler where that is all. */
export function linesOf(things: readonly Thing[]): Line[] {
  const dog = dogOf(things);
  if (!dog) return [];
  const sent = sentFor(things);
  const called = ofKind(things, 'handler').filter((one) => distance(dog, one) > AT_HEEL);
  return (sent.length > 0 ? sent : called).map((to) => ({ from: dog, to, name: nameOf(to, things) }));
}

/** All that is to be said of a set-out, what stops it first. Each ends in what to do. */
export function checkSetOut(given: CheckedSetOut): Check[] {
  const { things } = given;
  if (!dogOf(things)) return [care('no-dog', say('set-outs.no-dog'))];
  const lines = linesOf(things);
  const found = [
    ...overHazards(given, lines),
    ...inHazards(given),
    ...pastGuns(given, lines),
    ...(lines.length === 0 ? [care('nothing-to-run-to', say('set-outs.nothing-to-run-to'))] : []),
    ...unseen(given, lines),
    ...offPlan(given),
    ...dangers(given, lines),
    ...checkStep(given.step),
    ...pastOldFalls(given, lines),
    ...pastOthers(given, lines),
    ...inSight(given, lines),
    ...byWind(given, lines),
  ];
  const order = { refused: 0, care: 1, note: 2 };
  return found.sort((a, b) => order[a.level] - order[b.level]);
}

/** Whether a set-out may be taken to the field as it is. */
export const isRefusedSetOut = (checks: readonly Check[]): boolean =>
  checks.some(({ level }) => level === 'refused');

const hazardsOf = ({ plan }: CheckedSetOut): Feature[] => plan?.features.filter(isHazard) ?? [];

function overHazards(given: CheckedSetOut, lines: readonly Line[]): Check[] {
  return hazardsOf(given).flatMap((hazard) => {
    const over = lines.filter(({ from, to }) => touches(from, to, areaOf(hazard)));
    return over.map(({ name }) => {
      const where = { name, hazard: featureName(hazard) };
      return isRefused(hazard)
        ? refused(`over-${hazard.kind}`, say('set-outs.over-hazard', where))
        : care(
            `over-${hazard.kind}`,
            say('set-outs.over-care', { ...where, caution: cautionOf(hazard.kind) ?? '' }),
          );
    });
  });
}

/** Nobody and nothing stands on a road; what lies by it the line has said already. */
function inHazards(given: CheckedSetOut): Check[] {
  const lines = new Set(linesOf(given.things).map(({ to }) => to.key));
  return hazardsOf(given)
    .filter(isRefused)
    .flatMap((hazard) =>
      given.things
        .filter((one) => one.kind !== 'cover' && !lines.has(one.key) && touches(one, one, areaOf(hazard)))
        .map((one) =>
          refused(
            `in-${hazard.kind}`,
            say('set-outs.in-hazard', { name: nameOf(one, given.things), hazard: featureName(hazard) }),
          ),
        ),
    );
}

/** In front of a gun: a strip of a metre from where it stands, on the bearing that it faces. */
const inFront = (gun: Thing): Polygon[] =>
  coveredBy({ points: [gun, pointAt(gun, gun.turn, 1_000)], closed: false, wide: 1 });

const PEOPLE: ReadonlySet<Thing['kind']> = new Set(['dog', 'handler', 'helper', 'steward', 'judge'] as const);

function pastGuns({ things }: CheckedSetOut, lines: readonly Line[]): Check[] {
  return ofKind(things, 'gun').flatMap((gun) => {
    const name = nameOf(gun, things);
    const people = things
      .filter((one) => PEOPLE.has(one.kind) && touches(one, one, inFront(gun)))
      .map((one) =>
        refused('before-gun', say('set-outs.before-gun', { who: nameOf(one, things), gun: name })),
      );
    const crossed = lines
      .filter(({ from, to }) => crossesGun(gun, from, to))
      .map((line) => refused('past-gun', say('set-outs.past-gun', { name: line.name, gun: name })));
    return [...people, ...crossed];
  });
}

/** Over where the gun stands, or across where it shoots; its own fall lies in front of it and is no crossing. */
function crossesGun(gun: Thing, from: Point, to: Thing): boolean {
  const beside = distance(from, gun) <= NEAR;
  if (!beside && besideLine(from, to, gun).away < NEAR && distance(gun, to) > NEAR) return true;
  const aims = bearing(gun, to);
  const own = aims !== null && Math.abs(turnBetween(gun.turn, aims)) <= OWN_FALL;
  return !own && touches(from, to, inFront(gun));
}

/** Without a ground nobody has looked for roads: silence would be taken for a yes. */
function unseen({ plan }: CheckedSetOut, lines: readonly Line[]): Check[] {
  const sent = lines.some(({ to }) => SENT_AFIELD.has(to.kind));
  return plan === null && sent ? [note('no-ground', say('set-outs.no-ground'))] : [];
}
const SENT_AFIELD: ReadonlySet<Thing['kind']> = new Set(['mark', 'memory', 'blind'] as const);

function offPlan({ plan, things }: CheckedSetOut): Check[] {
  if (!plan) return [];
  const off = things.filter(({ x, y }) => x < 0 || y < 0 || x > plan.wide || y > plan.deep);
  if (off.length === 0) return [];
  const names = { list: off.map((one) => nameOf(one, things)), between: ', ' } as const;
  return [care('off-plan', say('set-outs.off-plan', { names, n: off.length }))];
}

/** How likely the dog gets onto a hazard that its line does not cross. */
function dangers(given: CheckedSetOut, lines: readonly Line[]): Check[] {
  const spread = given.spread ?? USUAL_SPREAD;
  return hazardsOf(given).flatMap((hazard) =>
    lines.flatMap(({ from, to, name }) => {
      if (touches(from, to, areaOf(hazard))) return [];
      const chance = chanceOfMeeting(from, to, spread, areaOf(hazard)) ?? 0;
      if (chance < LEAST_CHANCE) return [];
      const said = say('set-outs.chance', {
        name,
        hazard: featureName(hazard),
        ...inHundred(chance),
        line: Math.round(spread.line * 10) / 10,
        reach: Math.round(spread.reach * 100),
        known: given.runs !== null ? 'measured' : given.spread !== null ? 'said' : 'usual',
        runs: given.runs ?? 0,
      });
      return [care(`near-${hazard.kind}`, said)];
    }),
  );
}

/** "3 in 100", "4 in 1,000". */
const inHundred = (chance: number): { readonly n: number; readonly of: number } =>
  chance >= 0.01 ? { n: Math.round(chance * 100), of: 100 } : { n: Math.round(chance * 1000), of: 1000 };

function pastOldFalls({ oldFalls }: CheckedSetOut, lines: readonly Line[]): Check[] {
  return lines.flatMap(({ from, to, name }) => {
    const near = oldFalls.filter(
      ({ at, days }) => days <= OLD_DAYS && besideLine(from, to, at).away < NEAR && distance(at, to) > 0.5,
    );
    const [first] = [...near].sort((a, b) => a.days - b.days);
    return first
      ? [care('old-fall', say('set-outs.past-old-fall', { name, fall: first.name, days: first.days }))]
      : [];
  });
}

/** Other goals that lie nearer to the line than the dog is likely to be off. */
function pastOthers({ lengths }: CheckedSetOut, lines: readonly Line[]): Check[] {
  return lines.flatMap(({ from, to, name }) =>
    lines.flatMap(({ to: other, name: otherName }) => {
      if (other.key === to.key) return [];
      const { along, away } = besideLine(from, to, other);
      if (along <= 0 || along >= distance(from, to) - 0.5 || away >= lateralError(along, OFF)) return [];
      const taken = (other.order ?? 100) < (to.order ?? 100);
      const said = { name, other: otherName, away: lengthOf(lengths, away), taken };
      return [note('past-other', say('set-outs.past-other', said))];
    }),
  );
}

function inSight({ things, plan }: CheckedSetOut, lines: readonly Line[]): Check[] {
  const covers = [
    ...ofKind(things, 'cover').flatMap(coverArea),
    ...(plan?.features.filter(hides).flatMap(areaOf) ?? []),
  ];
  return lines
    .filter(({ from, to }) => to.kind === 'blind' && !touches(from, to, covers))
    .map(({ name }) => note('in-sight', say('set-outs.in-sight', { name })));
}

/** The ground that a piece of cover takes up. */
function coverArea({ x, y, turn, wide, long }: Thing): Polygon[] {
  const half = (long ?? wide ?? 0) / 2;
  return coveredBy({
    points: [pointAt({ x, y }, turn, -half), pointAt({ x, y }, turn, half)],
    closed: false,
    wide: wide ?? 0,
  });
}

function byWind({ wind, lengths }: CheckedSetOut, lines: readonly Line[]): Check[] {
  const wedge = wind && scentWedge(wind);
  if (!wind || !wedge) return [];
  return lines.flatMap(({ from, to, name }) => {
    const on = bearing(from, to);
    if (on === null || to.kind === 'handler' || to.kind === 'square' || to.kind === 'platform') return [];
    const against = turnBetween(on, wind.from);
    const into = Math.abs(against);
    if (into <= 45)
      return [note('upwind', say('set-outs.upwind', { name, reach: lengthOf(lengths, wedge.length) }))];
    if (into >= 135) return [note('downwind', say('set-outs.downwind', { name }))];
    return [note('crosswind', say('set-outs.crosswind', { name, right: against < 0 }))];
  });
}
