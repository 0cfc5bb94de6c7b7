import { type Amendment, type Judging, judgedAgain, type StandingRep } from '@/core/log';
import type { AxisKey } from '@/core/shared';
import type { ElementRecord, MeasuredTrackGo } from '@/data/read';

/** What a track has for a rep: its measures, and how far it was where that differs from what was asked. */
export type TrackCorrection = {
  readonly change: Amendment;
  /** Whether the rep has none of these measures yet, or others. */
  readonly isNew: boolean;
  /** What the rep asked, and how far it was by the track; null where they are the same within the error. */
  readonly distance: { readonly asked: number; readonly was: number } | null;
};

/** A receiver tells a distance within so many metres. */
const NEAR_ENOUGH = 2.5;

/**
 * The correction of a rep by its go: way, line, times and speed as measured, judged again by them; and where the
 * element goes by distance, the distance that it was. Null where nothing was measured or the rep has it all.
 */
export function trackCorrection(
  { measured, ran }: MeasuredTrackGo,
  rep: StandingRep,
  judging: Judging,
  axis: ElementRecord['axes'][number] | null,
): TrackCorrection | null {
  if (!measured) return null;
  const values = {
    path: measured.way,
    line: measured.line,
    out: measured.out,
    back: measured.home,
    speed: measured.speedOut,
  } as const;
  const round = (value: number): number => Math.round(value * 100) / 100;
  const news = Object.entries(values).flatMap(([key, value]) =>
    value === null ? [] : [[key, { value: round(value), how: 'track' as const }] as const],
  );
  const asked = axis ? (rep.asked.criteria[axis.key] ?? axis.start) : null;
  const was = ran === null ? null : Math.round(ran * 10) / 10;
  const differs = asked !== null && was !== null && Math.abs(was - asked) > NEAR_ENOUGH;
  const same = news.every(([key, { value }]) => {
    const known = rep.seen.measured[key as 'path'];
    return known?.how === 'track' && known.value === value;
  });
  if (news.length === 0 || (same && !differs)) return null;
  const change = judgedAgain(judging, rep, {
    measured: { ...rep.seen.measured, ...Object.fromEntries(news) },
  });
  return { change, isNew: !same, distance: differs ? { asked, was } : null };
}

/** The same with the distance that it was in place of what was asked. */
export const atItsDistance = (
  { change, distance }: TrackCorrection,
  rep: StandingRep,
  axis: { readonly key: AxisKey },
): Amendment =>
  distance ? { ...change, asked: { criteria: { ...rep.asked.criteria, [axis.key]: distance.was } } } : change;
