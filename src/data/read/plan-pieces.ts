import { buildLadder, isBodyWork, type Node, placeOn, standingOn, type WorkTag } from '@/core/breakdown';
import { LOADS, type Load, loadsAhead, loadsDone, loadsOfWork, type PlanPiece } from '@/core/planning';
import { addDays, type Day, type ElementId } from '@/core/shared';
import { quantile } from '@/core/statistics';
import type { Breakdown, ElementRecord, OtherWork } from '@/data/records';
import type { KeptEvidence } from '@/data/records/kept-evidence';
import { NO_LOADS } from './other-work';
import { wholeId } from './whole';

/** Until the log tells: minutes and goes of a bout. Said where it is used. */
const UNKNOWN_BOUT = { minutes: 8, goes: 10 } as const;
/** A whole run, where none was logged. */
const UNKNOWN_RUN = { minutes: 5 } as const;

/** So many days back a piece counts as worked. */
const LOOKS_BACK = 28;

const LIVELY: readonly WorkTag[] = ['tug', 'run', 'jump', 'catch', 'pull', 'water', 'birds'];

/** An element as it can be planned. `needs` are those that are not met; none where it is worked all the same. */
export function elementPiece(
  element: ElementRecord,
  bouts: readonly KeptEvidence[],
  stands: KeptEvidence['stands'] | null,
  other: readonly OtherWork[],
  nodes: readonly Node[],
  open: boolean,
  today: Day,
  helped = false,
): PlanPiece {
  const ladder = buildLadder(element);
  const { rule, pace } = element.policy;
  const worked = bouts.filter((one) => one.reps > 0);
  const last = worked.slice(-RECENT);
  const goes = middle(last.map((one) => one.reps)) ?? UNKNOWN_BOUT.goes;
  const own = rule.kind === 'strength' ? rule.repsPerDay : pace.sessionCap;
  const started = worked[0]?.day ?? today;
  return {
    id: element.id,
    dog: element.dogId,
    rungs: ladder.rungs.map(({ criteria }) => ({ criteria, perGo: loadsAhead(element, criteria) })),
    stands: standingOn(ladder, stands).place.rung,
    neverLower: pace.ratchet === 'keep',
    minutes: Math.max(
      1,
      Math.round(middle(last.flatMap((one) => one.minutes ?? [])) ?? UNKNOWN_BOUT.minutes),
    ),
    goes: Math.max(1, Math.round(own === null ? goes : Math.min(goes, own))),
    setSize: pace.setSize,
    guessed: last.every((one) => one.minutes === null),
    bodily: isBodyWork(element.work) || loadsOfWork(element).length > 0,
    lively: element.work.some((tag) => LIVELY.includes(tag)),
    needsHelper: helped,
    restDays: rule.kind === 'strength' ? rule.restDays : 0,
    notBefore: rule.kind === 'strength' ? addDays(started, rule.minDays) : null,
    needs: open
      ? []
      : element.needs.flatMap((need) => {
          const node = nodes.find((one) => one.id === need.element);
          const at = node && placeOn(buildLadder(node), need.at).rung;
          return at === undefined ? [] : [{ piece: need.element, rung: at }];
        }),
    links: [],
    worked: daysOf(worked, other, element.id, today),
  };
}

/** Bouts of late by which a usual one is told. */
const RECENT = 8;
const middle = (values: readonly number[]): number | null =>
  values.length === 0 ? null : quantile(values, 0.5);

/** Days of the last four weeks on which it was worked, in the log or outside. */
function daysOf(
  bouts: readonly KeptEvidence[],
  other: readonly OtherWork[],
  id: ElementId,
  today: Day,
): Day[] {
  const used = other.filter((one) => one.elements.includes(id)).map((one) => one.day);
  const from = addDays(today, -LOOKS_BACK);
  return [...new Set([...bouts.map((one) => one.day), ...used])]
    .filter((day) => day >= from && day <= today)
    .sort();
}

/** An exercise that is run whole, of pieces that are all there; null where one is missing. */
export function wholePiece(
  breakdown: Breakdown,
  pieces: readonly PlanPiece[],
  runs: readonly KeptEvidence[],
  today: Day,
): PlanPiece | null {
  const links = breakdown.links.map((link) => link.element);
  const own = links.flatMap((id) => pieces.filter((one) => one.id === id));
  if (links.length < 2 || own.length < links.length) return null;
  const perGo = { ...NO_LOADS } as Record<Load, number>;
  for (const piece of own) for (const load of LOADS) perGo[load] += piece.rungs.at(-1)?.perGo[load] ?? 0;
  return {
    id: wholeId(breakdown.id),
    dog: breakdown.dogId,
    rungs: [{ criteria: {}, perGo }],
    stands: 0,
    neverLower: true,
    minutes: Math.max(1, Math.round(middle(runs.flatMap((one) => one.minutes ?? [])) ?? UNKNOWN_RUN.minutes)),
    goes: 1,
    setSize: 1,
    guessed: runs.every((one) => one.minutes === null),
    bodily: own.some((one) => one.bodily),
    lively: true,
    needsHelper: false,
    restDays: Math.max(...own.map((one) => one.restDays)),
    notBefore:
      own
        .flatMap((one) => one.notBefore ?? [])
        .sort()
        .at(-1) ?? null,
    needs: [],
    links,
    worked: daysOf(runs, [], wholeId(breakdown.id), today),
  };
}

/** What each day of a dog came to in loads, in the log and outside; days without work are not there. */
export function loadsByDay(
  kept: readonly KeptEvidence[],
  other: readonly OtherWork[],
  elements: readonly ElementRecord[],
): Map<Day, Record<Load, number>> {
  const byId = new Map(elements.map((one) => [one.id, one]));
  const found = new Map<Day, Record<Load, number>>();
  const at = (day: Day): Record<Load, number> => {
    const known = found.get(day) ?? { ...NO_LOADS };
    found.set(day, known);
    return known;
  };
  for (const bout of kept) {
    if (bout.reps === 0) continue;
    const sum = at(bout.day);
    const element = bout.element && byId.get(bout.element);
    if (!element) continue;
    const done = loadsDone(element, bout.effort);
    for (const load of LOADS) sum[load] += done[load];
  }
  for (const one of other) {
    const sum = at(one.day);
    for (const load of LOADS) sum[load] += one.loads[load] ?? 0;
  }
  return found;
}

/** The most of each load in any seven days. */
export function heaviestWeek(byDay: ReadonlyMap<Day, Readonly<Record<Load, number>>>): Record<Load, number> {
  const most = { ...NO_LOADS } as Record<Load, number>;
  for (const day of byDay.keys()) {
    const sum = { ...NO_LOADS } as Record<Load, number>;
    for (let i = 0; i < 7; i++) {
      const loads = byDay.get(addDays(day, -i));
      if (loads) for (const load of LOADS) sum[load] += loads[load];
    }
    for (const load of LOADS) most[load] = Math.max(most[load], sum[load]);
  }
  return most;
}
