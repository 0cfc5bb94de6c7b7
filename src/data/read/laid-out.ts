import {
  buildLadder,
  type Check,
  type Criteria,
  checkSetOut,
  criteriaOf,
  type DrawnStep,
  dogOf,
  drawnStep,
  type GroundPlan,
  isRefusedSetOut,
  type Lengths,
  type OldFall,
  type Picture,
  pictureOf,
  standHere,
  type Thing,
  USUAL_SPREAD,
} from '@/core/breakdown';
import type { Wind } from '@/core/geometry';
import type { Day, Sentence, SetOutId } from '@/core/shared';
import type { Kennel } from '@/data/kennel';
import type { ElementRecord, Ground, SetOut } from '@/data/records';
import { standsAt } from './evidence';
import { groundOf, oldFallsOn, setOutOf } from './set-outs';
import { lineSpread, runsOfDog } from './tracks';

/** A set-out with the ground under it, what fell there lately, and whom it is laid for. */
export type LaidOut = {
  readonly setOut: SetOut;
  readonly ground: Ground | null;
  readonly element: ElementRecord | null;
  /** What it asks of the dog besides what is drawn. */
  readonly asks: Criteria;
  /** Where the dog stands on that element; its first step where nothing was logged. */
  readonly stands: Criteria;
  readonly oldFalls: readonly OldFall[];
  /** How far beside its line its dog runs, degrees, by so many measured runs; null under five. */
  readonly measured: { readonly line: number; readonly runs: number } | null;
};

/**
 * A set-out for the element that it was drawn for, or for another dog's of the same work and what that asks. Null
 * where there is no such set-out.
 */
export async function laidOut(
  kennel: Kennel,
  id: SetOutId | null,
  today: Day,
  of: { readonly element: ElementRecord; readonly criteria: Criteria } | null = null,
): Promise<LaidOut | null> {
  const setOut = await setOutOf(kennel, id);
  if (!setOut) return null;
  const ground = await groundOf(kennel, setOut.ground);
  const element = of
    ? of.element
    : setOut.asks
      ? ((await kennel.database.of('elements').get(setOut.asks.element)) ?? null)
      : null;
  const stands = element
    ? ((await standsAt(kennel, element.id)) ?? buildLadder(element).rungs[0]?.criteria)
    : {};
  const oldFalls = ground ? await oldFallsOn(kennel, ground.id, today, setOut.id) : [];
  const asks = of?.criteria ?? setOut.asks?.criteria ?? {};
  const runs = element ? await runsOfDog(kennel, element.dogId) : [];
  const line = lineSpread(runs);
  const measured = line === null ? null : { line, runs: runs.length };
  return { setOut, ground, element, asks, stands: stands ?? {}, oldFalls, measured };
}

/** All that a page concludes from a set-out, with things where a hand holds them just now. */
export type LaidOutView = {
  readonly things: readonly Thing[];
  readonly plan: GroundPlan | null;
  readonly north: number;
  readonly wind: Wind | null;
  readonly step: DrawnStep | null;
  readonly checks: readonly Check[];
  readonly refused: boolean;
  readonly picture: Picture;
  /** Where to stand with the dog, by what is there to be seen. */
  readonly stand: Sentence | null;
};

export function laidOutView(
  { setOut, ground, element, asks: asked, stands, oldFalls, measured }: LaidOut,
  lengths: Lengths,
  {
    things = setOut.things,
    whole = false,
  }: { readonly things?: readonly Thing[]; readonly whole?: boolean } = {},
): LaidOutView {
  const plan = ground?.plan ?? null;
  const north = plan?.north ?? setOut.north;
  const wind = setOut.wind ?? plan?.wind ?? null;
  const ladder = element ? buildLadder(element) : null;
  const asks = setOut.asks ? criteriaOf(things, setOut.asks.reads, asked) : null;
  // What somebody said of a dog stands before what was measured, and that before what is stated.
  const spread = setOut.spread ?? (measured ? { ...USUAL_SPREAD, line: measured.line } : null);
  const runs = setOut.spread === null && measured ? measured.runs : null;
  const checks = checkSetOut({
    things,
    plan,
    wind,
    oldFalls,
    spread,
    runs,
    lengths,
    step: ladder && asks ? { ladder, stands, asks } : null,
  });
  const dog = dogOf(things);
  return {
    things,
    plan,
    north,
    wind,
    step: ladder && asks ? drawnStep(ladder, asks, stands) : null,
    checks,
    refused: isRefusedSetOut(checks),
    picture: pictureOf({
      things,
      plan,
      north,
      wind,
      oldFalls,
      spread: spread ?? USUAL_SPREAD,
      lengths,
      whole,
    }),
    stand: dog ? standHere(dog, plan, north, lengths) : null,
  };
}

/** The unit in which the step of a set-out is written: that of its first length; null where it has none. */
export function unitOfSetOut({ setOut, element }: Pick<LaidOut, 'setOut' | 'element'>): string | null {
  const read = element?.axes.find(
    (axis) => setOut.asks?.reads[axis.key] !== undefined && axis.quantity === 'distance',
  );
  return read?.unit ?? null;
}
