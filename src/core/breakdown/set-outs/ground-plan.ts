import * as v from 'valibot';
import { coveredBy, type Polygon } from '@/core/geometry';
import { type Sentence, say } from '@/core/shared';
import { windSchema } from './things';

/** What is drawn of a ground. Hazards are told apart by what they do to a line over them. */
export const FEATURE_KINDS = [
  'hedge',
  'wall',
  'fence',
  'trees',
  'cover',
  'path',
  'ditch',
  'building',
  'gate',
  'road',
  'railway',
  'ice',
  'drop',
  'guns',
  'water',
  'livestock',
  'wire',
] as const;
export type FeatureKind = (typeof FEATURE_KINDS)[number];

/** No line goes over these, whatever anybody says; the others are told with what to look at first. */
const REFUSED: ReadonlySet<FeatureKind> = new Set(['road', 'railway', 'ice', 'drop', 'guns'] as const);
const CARE: ReadonlySet<FeatureKind> = new Set(['water', 'livestock', 'wire'] as const);
/** A dog does not see through these. */
const HIDES: ReadonlySet<FeatureKind> = new Set(['hedge', 'wall', 'trees', 'cover', 'building'] as const);
/** Something to walk or run along. */
const ALONG: ReadonlySet<FeatureKind> = new Set(['hedge', 'wall', 'fence', 'path', 'ditch', 'wire'] as const);

const metres = v.pipe(v.number(), v.finite(), v.minValue(-20_000), v.maxValue(20_000));
const side = v.pipe(v.number(), v.finite(), v.minValue(5), v.maxValue(20_000));

const featureSchema = v.strictObject({
  key: v.pipe(v.string(), v.minLength(1)),
  kind: v.picklist(FEATURE_KINDS),
  title: v.pipe(v.string(), v.maxLength(60)),
  /** An outline; else a line, so many metres wide. */
  closed: v.boolean(),
  wide: v.pipe(v.number(), v.finite(), v.gtValue(0), v.maxValue(1000)),
  points: v.pipe(v.array(v.strictObject({ x: metres, y: metres })), v.minLength(1)),
});
export type Feature = v.InferOutput<typeof featureSchema>;

/**
 * A ground to scale: its corner at the lower left is (0, 0). `north` is the turn of north clockwise from "up";
 * `anchor` where on the earth the corner lies, null where nobody said.
 */
export const groundPlanSchema = v.strictObject({
  wide: side,
  deep: side,
  north: v.pipe(v.number(), v.finite(), v.minValue(0), v.maxValue(360)),
  wind: v.nullable(windSchema),
  anchor: v.nullable(
    v.strictObject({
      lat: v.pipe(v.number(), v.finite(), v.minValue(-85), v.maxValue(85)),
      lon: v.pipe(v.number(), v.finite(), v.minValue(-180), v.maxValue(180)),
    }),
  ),
  features: v.array(featureSchema),
});
export type GroundPlan = v.InferOutput<typeof groundPlanSchema>;

export const isRefused = ({ kind }: Feature): boolean => REFUSED.has(kind);
export const isHazard = ({ kind }: Feature): boolean => REFUSED.has(kind) || CARE.has(kind);
export const hides = ({ kind }: Feature): boolean => HIDES.has(kind);
export const runsAlong = ({ kind, closed }: Feature): boolean => ALONG.has(kind) && !closed;
export const areaOf = (feature: Feature): Polygon[] => coveredBy(feature);

export const featureName = ({ kind, title }: Pick<Feature, 'kind' | 'title'>): Sentence =>
  title === '' ? say('set-outs.feature', { kind }) : say('shared.name', { name: title });

/** What to look at first where a hazard lies on the ground: general cautions, calm and short. */
export const cautionOf = (kind: FeatureKind): Sentence | null =>
  REFUSED.has(kind) || CARE.has(kind) ? say('set-outs.caution', { kind }) : null;

export const GROUND_TEMPLATES = ['open', 'hedge', 'road', 'pond', 'lawn'] as const;
export type GroundTemplate = (typeof GROUND_TEMPLATES)[number];
export const groundTemplateName = (template: GroundTemplate): Sentence =>
  say('set-outs.ground-template', { template });

/**
 * A plan to begin with, of this size in metres: open; with a hedge up its left side; with a road across its far
 * end as well; with a pond in it; a lawn fenced all round. What is on it is moved and named by hand.
 */
export function groundFrom(template: GroundTemplate, wide: number, deep: number): GroundPlan {
  const line = (key: string, kind: FeatureKind, across: number, points: Feature['points']): Feature => ({
    key,
    kind,
    title: '',
    closed: false,
    wide: across,
    points,
  });
  const hedge = line('hedge-1', 'hedge', 2, [
    { x: wide * 0.08, y: 0 },
    { x: wide * 0.08, y: deep },
  ]);
  const road = line('road-1', 'road', 5, [
    { x: 0, y: deep - 4 },
    { x: wide, y: deep - 4 },
  ]);
  const pond: Feature = {
    ...line('water-1', 'water', 1, []),
    closed: true,
    points: [
      { x: wide * 0.62, y: deep * 0.5 },
      { x: wide * 0.8, y: deep * 0.54 },
      { x: wide * 0.84, y: deep * 0.68 },
      { x: wide * 0.7, y: deep * 0.74 },
      { x: wide * 0.6, y: deep * 0.64 },
    ],
  };
  const fence = line('fence-1', 'fence', 0.5, [
    { x: 0, y: 0 },
    { x: 0, y: deep },
    { x: wide, y: deep },
    { x: wide, y: 0 },
    { x: 0, y: 0 },
  ]);
  const features = { open: [], hedge: [hedge], road: [hedge, road], pond: [hedge, pond], lawn: [fence] };
  return { wide, deep, north: 0, wind: null, anchor: null, features: features[template] };
}
