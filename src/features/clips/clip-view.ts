import { gradeAxis, metresOf } from '@/core/breakdown';
import { lineGround, type PictureGround, planeGround } from '@/core/geometry';
import {
  type Amendment,
  gradedOutcome,
  type Judging,
  judgedAgain,
  type Measured,
  type StandingRep,
} from '@/core/log';
import { AS_LOGGED, type ClipMeasure, type Go } from '@/core/review';
import { asLevel, type EntryId, fail, ok, type Result, say } from '@/core/shared';
import type { Clip, ElementRecord } from '@/data/read';
import { NO_BREAK, writeDigits } from '@/words';
import { tell } from './words';

export const YARD = metresOf({ unit: 'yd', pace: 1 });
/** In what lengths on the ground are said. */
export type LengthUnit = 'm' | 'yd';

/** The ground of a clip as something to measure by; null where it has none. Fails as the fits do. */
export function groundOf({
  ground,
  picture,
}: Pick<Clip, 'ground' | 'picture'>): Result<PictureGround | null> {
  switch (ground.kind) {
    case 'none':
      return ok(null);
    case 'points':
      return planeGround(
        ground.points.map(({ px, x, y }) => ({ px, place: { x, y } })),
        picture.width,
      );
    case 'line':
      return lineGround(ground.marks, picture.width);
  }
}

const SECONDS: ReadonlySet<string> = new Set(['movement', 'latency', 'marker', 'late', 'reward', 'held']);
const METRES: ReadonlySet<string> = new Set(['away', 'stopped', 'offset', 'crept', 'path']);

/** The unit of a measure, and how many digits it is worth. */
export function unitOf(
  { kind }: Pick<ClipMeasure, 'kind'>,
  unit: LengthUnit,
): { readonly unit: string; readonly per: number; readonly digits: number } {
  if (SECONDS.has(kind)) return { unit: 's', per: 1, digits: 2 };
  const per = unit === 'yd' ? YARD : 1;
  if (METRES.has(kind)) return { unit, per, digits: 2 };
  if (kind === 'speed' || kind === 'arrival') return { unit: `${unit}/s`, per, digits: 1 };
  return { unit: '°', per: 1, digits: 0 };
}

/** "1.24 s ± 0.04 s", as the person writes numbers. */
export function valueInWords(measure: ClipMeasure, unit: LengthUnit): string {
  const { unit: of, per, digits } = unitOf(measure, unit);
  const gap = of === '°' ? '' : NO_BREAK;
  const value = writeDigits(measure.value / per, digits);
  return `${value}${gap}${of} ±${NO_BREAK}${writeDigits(measure.error / per, digits)}`;
}

export const measureInWords = (measure: ClipMeasure, unit: LengthUnit): string =>
  tell('measure.line', {
    name: tell('measure.name', { kind: measure.kind }),
    value: valueInWords(measure, unit),
  });

/** A time of a clip: minutes and seconds to the hundredth. */
export function clockOf(at: number): string {
  const minutes = Math.floor(at / 60);
  const seconds = writeDigits(at - 60 * minutes, 2);
  return minutes === 0
    ? `${seconds}${NO_BREAK}s`
    : `${minutes}:${at - 60 * minutes < 10 ? '0' : ''}${seconds}`;
}

/** What a clip measured of a rep otherwise than the log has it. */
export type Correction = {
  readonly go: number;
  readonly rep: EntryId;
  readonly change: Amendment;
  /** What was in the log and what the clip says, by the log's own measures. */
  readonly measured: readonly { readonly measure: ClipMeasure; readonly was: Measured | null }[];
  /** Whether the judgement follows, and to what. */
  readonly becomes: StandingRep['judged']['outcome'] | null;
};

/**
 * The corrections that a clip has for the reps that its goes are: what was measured, and how the rep is judged by
 * it. A rep that has all of it already needs none.
 */
export function correctionsOf(
  goes: readonly { readonly go: Go; readonly measures: readonly ClipMeasure[] }[],
  reps: readonly StandingRep[],
  judging: Judging,
): Correction[] {
  const byId = new Map(reps.map((rep) => [rep.id, rep]));
  return goes.flatMap(({ go, measures }, i): Correction[] => {
    const rep = go.rep === null ? undefined : byId.get(go.rep);
    if (!rep) return [];
    const news = measures.flatMap((measure) => {
      const key = AS_LOGGED[measure.kind];
      const value = key && Math.round(measure.value * 1000) / 1000;
      if (!key || value === undefined) return [];
      const was = rep.seen.measured[key] ?? null;
      return was?.how === 'clip' && was.value === value ? [] : [{ key, value, measure, was }];
    });
    if (news.length === 0) return [];
    const measured = {
      ...rep.seen.measured,
      ...Object.fromEntries(news.map(({ key, value }) => [key, { value, how: 'clip' as const }])),
    };
    const change = judgedAgain(judging, rep, { measured });
    const outcome = change.judged?.outcome ?? rep.judged.outcome;
    return [
      {
        go: i,
        rep: rep.id,
        change,
        measured: news.map(({ measure, was }) => ({ measure, was })),
        becomes: outcome === rep.judged.outcome ? null : outcome,
      },
    ];
  });
}

/** How the same goes were judged live and from the clip. */
export type Twice = {
  readonly same: number;
  readonly of: number;
  readonly apart: readonly { readonly live: string; readonly late: string; readonly count: number }[];
};

export function judgedTwice(goes: readonly Go[], reps: readonly StandingRep[]): Twice {
  const byId = new Map(reps.map((rep) => [rep.id, rep.judged.outcome]));
  const pairs = goes.flatMap(({ rep, judged }) => {
    const live = rep === null ? undefined : byId.get(rep);
    return live && judged ? [{ live, late: judged }] : [];
  });
  const apart = new Map<string, { live: string; late: string; count: number }>();
  for (const { live, late } of pairs)
    if (live !== late) {
      const key = `${live} ${late}`;
      apart.set(key, { live, late, count: (apart.get(key)?.count ?? 0) + 1 });
    }
  return {
    same: pairs.filter(({ live, late }) => live === late).length,
    of: pairs.length,
    apart: [...apart.values()].sort((a, b) => b.count - a.count),
  };
}

/** The grades of an element that is judged by them, worst first; empty for any other. */
export const gradesOf = (element: ElementRecord | null) =>
  (element?.policy.rule.kind === 'distribution' && gradeAxis(element.axes)?.levels) || [];

/** The judgement that somebody made from the clip, as a correction of the rep: a grade decides by its place. */
export function lateCorrection(go: Go, rep: StandingRep, element: ElementRecord): Result<Amendment> {
  const grades = gradesOf(element);
  const axis = gradeAxis(element.axes);
  if (go.grade !== null && axis && grades.length > 0) {
    const grade = asLevel(Number(go.grade));
    const place = grades.findIndex(({ id }) => id === grade);
    if (place < 0) return fail('grade', go.grade, say('clips.log.no-such-grade'));
    const asked = grades.findIndex(({ id }) => id === (rep.asked.criteria[axis.key] ?? axis.start));
    return ok({ seen: { grade }, judged: { outcome: gradedOutcome(place, asked), faults: [] } });
  }
  if (go.judged === null) return fail('not-judged', '', say('clips.log.not-judged'));
  return ok({
    judged: { outcome: go.judged, faults: go.judged === rep.judged.outcome ? rep.judged.faults : [] },
  });
}

/** The rows of the table that is saved: a go each, every measure with its error, in SI units. */
export function tableOf(
  clip: Pick<Clip, 'name'>,
  goes: readonly { readonly go: Go; readonly measures: readonly ClipMeasure[] }[],
  kinds: readonly ClipMeasure['kind'][],
): Record<string, string | number>[] {
  return goes.map(({ go, measures }, i) => {
    const cell = (kind: ClipMeasure['kind']): Record<string, string | number> => {
      const found = measures.find((one) => one.kind === kind);
      const rounded = (value: number): number => Number(value.toFixed(4));
      const name = columnOf(kind);
      return { [name]: found ? rounded(found.value) : '', [`${name} ±`]: found ? rounded(found.error) : '' };
    };
    return {
      clip: clip.name,
      go: i + 1,
      'cue (s)': Number(go.cue.at.toFixed(4)),
      judged: go.judged ?? '',
      ...Object.assign({}, ...kinds.map(cell)),
    };
  });
}

const columnOf = (kind: ClipMeasure['kind']): string => `${kind} (${unitOf({ kind }, 'm').unit})`;
