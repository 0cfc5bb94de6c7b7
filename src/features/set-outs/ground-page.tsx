import { useLiveQuery } from 'dexie-react-hooks';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { useNavigate, useParams } from 'react-router';
import {
  type Feature,
  type FeatureKind,
  GROUND_TEMPLATES,
  type GroundPlan,
  type GroundTemplate,
  groundFrom,
  groundTemplateName,
  type Lengths,
  metresOf,
  type OldFall,
  pictureOf,
  type Thing,
} from '@/core/breakdown';
import type { Point } from '@/core/geometry';
import { asId, type GroundId, say } from '@/core/shared';
import { useKennel } from '@/data/live';
import { type Ground, groundOf, oldFallsOn } from '@/data/read';
import { addGround, changeGround } from '@/data/write';
import { Button, PageHead, SelectField, SetOutDrawing, Sheet, TextField } from '@/ui';
import { wordsOf } from '@/words';
import { FeatureSheet, FeaturesSheet, newFeature } from './feature-sheets';
import { GroundSheet } from './ground-sheet';
import { UnitField } from './pace-sheet';
import { lengthRead, writtenLength } from './reads';
import { useLengths } from './use-laid-out';
import { tell } from './words';

/** A plan of a ground of one's own: new by its size and a template, or one that is there. */
export function GroundPage() {
  const { kennel, today } = useKennel();
  const { ground: id = 'new' } = useParams();
  const found = useLiveQuery(
    async () => ({
      ground: id === 'new' ? null : await groundOf(kennel, asId<GroundId>(id)),
      fell: await oldFallsOn(kennel, asId<GroundId>(id), today, null),
    }),
    [kennel, id, today],
  );
  const { lengths } = useLengths(null);
  if (!found) return <p className="text-lg">{tell('room.opening')}</p>;
  if (id === 'new') return <NewGround lengths={lengths} />;
  if (!found.ground) return <PageHead title={tell('ground.none')}>{tell('ground.none-why')}</PageHead>;
  return <Plan ground={found.ground} fell={found.fell} lengths={lengths} />;
}

function NewGround({ lengths }: { readonly lengths: Lengths }) {
  const { kennel, done } = useKennel();
  const navigate = useNavigate();
  const [template, setTemplate] = useState<GroundTemplate>('hedge');
  const { register, handleSubmit, setError, formState } = useForm({
    defaultValues: { name: '', wide: '', deep: '' },
  });
  const { errors } = formState;
  const draw = handleSubmit(async (said) => {
    if (said.name.trim() === '')
      return setError('name', { message: tell('ground.a-name') }, { shouldFocus: true });
    const size = lengthRead(lengths, 5);
    const [wide, deep] = [size(said.wide), size(said.deep)];
    if (!wide.ok) return setError('wide', { message: wordsOf(wide.message) }, { shouldFocus: true });
    if (!deep.ok) return setError('deep', { message: wordsOf(deep.message) }, { shouldFocus: true });
    const made = await done(
      tell('ground.drawn', { name: said.name.trim() }),
      addGround(kennel, { name: said.name.trim(), plan: groundFrom(template, wide.value, deep.value) }),
    );
    if (made.ok) await navigate(`/${kennel.name}/set-outs/grounds/${made.value.made.id}`, { replace: true });
  });
  return (
    <>
      <PageHead title={tell('ground.new')}>{tell('ground.new-how')}</PageHead>
      <Sheet className="max-w-3xl">
        <form className="grid gap-4 sm:grid-cols-2" noValidate onSubmit={draw}>
          <TextField
            label={tell('ground.name')}
            maxLength={60}
            {...register('name')}
            problem={errors.name?.message}
          />
          <SelectField
            label={tell('ground.begin-with')}
            value={template}
            options={GROUND_TEMPLATES.map((value) => ({ value, words: wordsOf(groundTemplateName(value)) }))}
            onChange={setTemplate}
          />
          <TextField
            label={tell('ground.wide')}
            hint={tell('ground.size-hint', { unit: lengths.unit })}
            {...register('wide')}
            problem={errors.wide?.message}
          />
          <TextField label={tell('ground.deep')} {...register('deep')} problem={errors.deep?.message} />
          <UnitField />
          <Button type="submit" look="signal" size="big" className="justify-self-start sm:col-span-2">
            {tell('ground.draw')}
          </Button>
        </form>
      </Sheet>
    </>
  );
}

type PlanProps = { readonly ground: Ground; readonly fell: readonly OldFall[]; readonly lengths: Lengths };

function Plan({ ground, fell, lengths }: PlanProps) {
  const { kennel, done } = useKennel();
  const [chosen, setChosen] = useState<string | null>(null);
  const [held, setHeld] = useState<{ readonly corner: string; readonly at: Point } | null>(null);
  const plan = ground.plan ?? groundFrom('open', 100, 100);
  const change = (words: string, by: (plan: GroundPlan) => GroundPlan): void =>
    void done(
      words,
      changeGround(kennel, ground.id, (stored) => ({ plan: by(stored.plan ?? plan) })),
    );
  const changeFeature = (words: string, key: string, by: (feature: Feature) => Feature | null): void =>
    change(words, (now) => ({
      ...now,
      features: now.features.flatMap((one) => (one.key === key ? (by(one) ?? []) : one)),
    }));
  const shown = held ? withCorner(plan, held.corner, held.at) : plan;
  const feature = shown.features.find((one) => one.key === chosen) ?? null;
  const corners = feature ? cornersOf(feature) : [];
  const picture = {
    ...pictureOf({
      things: [],
      plan: shown,
      north: plan.north,
      wind: plan.wind,
      oldFalls: fell,
      spread: null,
      lengths,
      whole: true,
    }),
    things: corners.map((one, i) => ({
      ...one,
      outline: [],
      name: say('shared.name', { name: String(i + 1) }),
    })),
  };
  return (
    <>
      <PageHead title={ground.name}>{tell('ground.what')}</PageHead>
      <div className="grid items-start gap-5 lg:grid-cols-[1fr_23rem]">
        <div className="grid min-w-0 gap-4">
          <SetOutDrawing
            picture={picture}
            title={tell('ground.drawing', { name: ground.name })}
            hold={{
              chosen: null,
              onChoose: () => undefined,
              nudge: metresOf(lengths),
              label: (key) => {
                const at = corners.find((one) => one.key === key);
                return tell('ground.corner-label', {
                  n: corners.findIndex((one) => one.key === key) + 1,
                  x: writtenLength(lengths, at?.x ?? 0),
                  y: writtenLength(lengths, at?.y ?? 0),
                });
              },
              onMove: (key, at, isDone) => {
                setHeld(isDone ? null : { corner: key, at });
                if (isDone) change(tell('ground.changed'), (now) => withCorner(now, key, at));
              },
              onRemove: (key) =>
                feature &&
                changeFeature(tell('ground.changed'), feature.key, (one) => withoutCorner(one, key)),
            }}
          />
          <UnitField beside />
          <p className="leading-snug text-ink-soft">{tell('ground.how')}</p>
          {fell.length > 0 && (
            <Sheet title={tell('ground.fell')}>
              <ul>
                {fell.map(({ at, days, name }) => (
                  <li key={`${at.x} ${at.y}`} className="py-1">
                    {tell('ground.fell-where', {
                      name,
                      days,
                      x: writtenLength(lengths, at.x),
                      y: writtenLength(lengths, at.y),
                    })}
                  </li>
                ))}
              </ul>
            </Sheet>
          )}
        </div>
        <div className="grid gap-4">
          <FeaturesSheet
            plan={plan}
            chosen={chosen}
            onChoose={setChosen}
            onAdd={(kind: FeatureKind) => {
              const added = newFeature(kind, plan);
              setChosen(added.key);
              change(tell('ground.added', { kind }), (now) => ({
                ...now,
                features: [...now.features, added],
              }));
            }}
          />
          {feature && (
            <FeatureSheet
              key={feature.key}
              feature={feature}
              lengths={lengths}
              onChange={(next) =>
                changeFeature(tell('ground.changed'), feature.key, (one) => ({ ...one, ...next }))
              }
              onRemove={() => {
                setChosen(null);
                changeFeature(tell('ground.taken-off'), feature.key, () => null);
              }}
            />
          )}
          <GroundSheet ground={ground} plan={plan} lengths={lengths} onChange={change} />
        </div>
      </div>
    </>
  );
}

/** The corners of a feature, to be taken hold of as things are. */
const cornersOf = ({ key, points }: Feature): Thing[] =>
  points.map(({ x, y }, i) => ({
    key: `${key}:${i}`,
    kind: 'square',
    x,
    y,
    turn: 0,
    order: null,
    label: '',
    wide: null,
    long: null,
  }));

const withCorner = (plan: GroundPlan, corner: string, at: Point): GroundPlan => {
  const [key = '', i = ''] = corner.split(':');
  return {
    ...plan,
    features: plan.features.map((one) =>
      one.key === key
        ? { ...one, points: one.points.map((each, n) => (n === Number(i) ? { x: at.x, y: at.y } : each)) }
        : one,
    ),
  };
};

/** A line keeps two corners, an outline three. */
const withoutCorner = (feature: Feature, corner: string): Feature => {
  const least = feature.closed ? 3 : 2;
  const at = Number(corner.split(':')[1]);
  return feature.points.length <= least
    ? feature
    : { ...feature, points: feature.points.filter((_, i) => i !== at) };
};
