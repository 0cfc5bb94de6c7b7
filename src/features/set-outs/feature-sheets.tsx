import { useState } from 'react';
import {
  cautionOf,
  FEATURE_KINDS,
  type Feature,
  type FeatureKind,
  featureName,
  type GroundPlan,
  type Lengths,
} from '@/core/breakdown';
import { ok } from '@/core/shared';
import { Button, SelectField, Sheet } from '@/ui';
import { wordsOf } from '@/words';
import { lengthRead, writtenLength } from './reads';
import { lengthOrBelow } from './thing-sheet';
import { TypedField } from './typed-field';
import { tell } from './words';

type ListProps = {
  readonly plan: GroundPlan;
  readonly chosen: string | null;
  readonly onChoose: (key: string) => void;
  readonly onAdd: (kind: FeatureKind) => void;
};

/** What is drawn on a ground, and one thing more of it. */
export function FeaturesSheet({ plan, chosen, onChoose, onAdd }: ListProps) {
  const [kind, setKind] = useState<FeatureKind>('hedge');
  return (
    <Sheet title={tell('feature.on-it')}>
      {plan.features.length === 0 && <p className="leading-snug">{tell('feature.nothing')}</p>}
      <ul className="divide-y divide-hair">
        {plan.features.map((one) => (
          <li key={one.key}>
            <button
              type="button"
              aria-pressed={chosen === one.key}
              className="min-h-11 w-full text-left aria-pressed:font-bold"
              onClick={() => onChoose(one.key)}
            >
              {wordsOf(featureName(one))}
            </button>
          </li>
        ))}
      </ul>
      <div className="mt-3 flex items-end gap-2">
        <SelectField
          className="flex-1"
          label={tell('feature.one-more')}
          value={kind}
          options={FEATURE_KINDS.map((value) => ({
            value,
            words: wordsOf(featureName({ kind: value, title: '' })),
          }))}
          onChange={setKind}
        />
        <Button look="ink" onClick={() => onAdd(kind)}>
          {tell('feature.draw-it')}
        </Button>
      </div>
    </Sheet>
  );
}

type Props = {
  readonly feature: Feature;
  readonly lengths: Lengths;
  readonly onChange: (next: Partial<Feature>) => void;
  readonly onRemove: () => void;
};

/** One of them: its name, its width, its corners from the lower left edge. */
export function FeatureSheet({ feature, lengths, onChange, onRemove }: Props) {
  const caution = cautionOf(feature.kind);
  const put = (i: number, at: Partial<Feature['points'][number]>): void =>
    onChange({ points: feature.points.map((one, n) => (n === i ? { ...one, ...at } : one)) });
  const last = feature.points.at(-1) ?? { x: 0, y: 0 };
  return (
    <Sheet title={wordsOf(featureName(feature))}>
      {caution && <p className="mb-2 leading-snug font-semibold">{wordsOf(caution)}</p>}
      <div className="grid grid-cols-2 gap-3">
        <TypedField
          label={tell('feature.name')}
          written={feature.title}
          read={(text) => ok(text.trim().slice(0, 60))}
          onTake={(title) => onChange({ title })}
        />
        {feature.closed ? (
          <span />
        ) : (
          <TypedField
            label={tell('thing.wide')}
            written={writtenLength(lengths, feature.wide)}
            read={lengthRead(lengths, 0.05)}
            onTake={(wide) => onChange({ wide })}
          />
        )}
        {feature.points.map(({ x, y }, i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: a corner is known by its place
          <div key={i} className="col-span-2 grid grid-cols-2 gap-3">
            <TypedField
              label={tell('feature.corner-x', { n: i + 1 })}
              written={writtenLength(lengths, x)}
              read={lengthOrBelow(lengths)}
              onTake={(to) => put(i, { x: to })}
            />
            <TypedField
              label={tell('feature.corner-y', { n: i + 1 })}
              written={writtenLength(lengths, y)}
              read={lengthOrBelow(lengths)}
              onTake={(to) => put(i, { y: to })}
            />
          </div>
        ))}
      </div>
      <p className="mt-3 flex flex-wrap gap-2">
        <Button onClick={() => onChange({ points: [...feature.points, { x: last.x + 5, y: last.y + 5 }] })}>
          {tell('feature.a-corner-more')}
        </Button>
        {feature.points.length >= 3 && (
          <Button aria-pressed={feature.closed} onClick={() => onChange({ closed: !feature.closed })}>
            {tell('feature.closed')}
          </Button>
        )}
        <Button onClick={onRemove}>{tell('feature.take-off')}</Button>
      </p>
    </Sheet>
  );
}

const OUTLINES: ReadonlySet<FeatureKind> = new Set([
  'trees',
  'cover',
  'building',
  'ice',
  'guns',
  'water',
  'livestock',
] as const);
const WIDTHS: Readonly<Partial<Record<FeatureKind, number>>> = {
  hedge: 2,
  road: 5,
  path: 1.5,
  railway: 4,
  gate: 1,
};

/** Something drawn about the middle of a ground: an outline, or a line across. */
export function newFeature(kind: FeatureKind, { wide, deep, features }: GroundPlan): Feature {
  const closed = OUTLINES.has(kind);
  const [x, y] = [wide / 2, deep / 2];
  const side = Math.min(wide, deep) / 8;
  let n = 1;
  while (features.some((one) => one.key === `${kind}-${n}`)) n++;
  return {
    key: `${kind}-${n}`,
    kind,
    title: '',
    closed,
    wide: WIDTHS[kind] ?? 0.5,
    points: closed
      ? [
          { x: x - side, y: y - side },
          { x: x + side, y: y - side },
          { x: x + side, y: y + side },
          { x: x - side, y: y + side },
        ]
      : [
          { x: 0, y },
          { x: wide, y },
        ],
  };
}
