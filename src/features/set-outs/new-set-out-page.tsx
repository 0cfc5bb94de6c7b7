import { useLiveQuery } from 'dexie-react-hooks';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { useNavigate, useSearchParams } from 'react-router';
import {
  type Asked,
  buildLadder,
  describeRung,
  drawnAs,
  drawRung,
  isAngle,
  middleOf,
  NEEDS,
  placeOn,
  type Reading,
  readingInWords,
  TEMPLATES,
  type Template,
  type Thing,
  templateName,
} from '@/core/breakdown';
import type { Result } from '@/core/shared';
import { useKennelWithDog } from '@/data/live';
import {
  activeElements,
  type ElementRecord,
  type Ground,
  listGrounds,
  reachAxis,
  standsAt,
  workOf,
} from '@/data/read';
import { addSetOut } from '@/data/write';
import { Button, PageHead, SelectField, Sheet, TextField } from '@/ui';
import { wordsOf } from '@/words';
import { UnitField } from './pace-sheet';
import { degreesRead, lengthRead, numberRead } from './reads';
import { useLengths } from './use-laid-out';
import { tell } from './words';

/** A set-out from a step of the ladder, or from a template for itself. */
export function NewSetOutPage() {
  const { kennel, dog } = useKennelWithDog();
  const [search] = useSearchParams();
  const wanted = search.get('element');
  const found = useLiveQuery(async () => {
    const elements = activeElements(await workOf(kennel, dog.id));
    const stands = await Promise.all(elements.map(({ id }) => standsAt(kennel, id)));
    return {
      elements: elements.map((element, i) => ({ element, stands: stands[i] ?? null })),
      grounds: await listGrounds(kennel),
    };
  }, [kennel, dog.id]);
  if (!found) return <p className="text-lg">{tell('room.opening')}</p>;
  return (
    <>
      <PageHead title={tell('new.title')}>{tell('new.what')}</PageHead>
      <NewSetOut key={dog.id} {...found} wanted={wanted} at={search.get('step')} far={search.get('far')} />
    </>
  );
}

type Props = {
  readonly elements: readonly {
    readonly element: ElementRecord;
    readonly stands: Record<string, number> | null;
  }[];
  readonly grounds: readonly Ground[];
  readonly wanted: string | null;
  /** The step, from 1; null for where the dog stands. */
  readonly at: string | null;
  /** Metres of a scene that is set up again: its step is the last that is no further. */
  readonly far: string | null;
};

function NewSetOut({ elements, grounds, wanted, at, far }: Props) {
  const { kennel, dog, done } = useKennelWithDog();
  const navigate = useNavigate();
  const [elementId, setElement] = useState(
    elements.some(({ element }) => element.id === wanted) ? (wanted as string) : '',
  );
  const chosen = elements.find(({ element }) => element.id === elementId) ?? null;
  const ladder = chosen ? buildLadder(chosen.element) : null;
  const usual = chosen ? drawnAs(chosen.element) : null;
  const [template, setTemplate] = useState<Template | null>(null);
  const [groundId, setGround] = useState(grounds[0]?.id ?? '');
  const reach = chosen && far !== null ? reachAxis(chosen.element) : null;
  const asFar = reach
    ? (ladder?.rungs.findLastIndex((one) => (one.criteria[reach.key] ?? reach.start) <= Number(far) + 1e-6) ??
      -1)
    : -1;
  const standing = chosen?.stands && ladder ? placeOn(ladder, chosen.stands).rung : 0;
  const [step, setStep] = useState<number | null>(at === null ? null : Number(at) - 1);
  const rung =
    ladder?.rungs[Math.min(ladder.rungs.length - 1, Math.max(0, step ?? (asFar >= 0 ? asFar : standing)))] ??
    null;
  const drawn = template ?? usual?.template ?? 'line';
  const reads = usual?.reads ?? {};
  const { lengths } = useLengths(unitOfElement(chosen?.element ?? null, reads));
  const given = new Set(Object.values(reads));
  const asks = NEEDS[drawn].filter((one) => !given.has(one));
  const { register, handleSubmit, setError, formState } = useForm<Record<string, string>>({
    defaultValues: { title: '' },
  });
  const { errors } = formState;
  const draw = handleSubmit(async (said) => {
    const more: Partial<Record<Reading, number>> = {};
    for (const one of asks) {
      const value = readOf(one, lengths)(said[one] ?? '');
      if (!value.ok) return setError(one, { message: wordsOf(value.message) }, { shouldFocus: true });
      more[one] = value.value;
    }
    const laid = drawRung(drawn, reads, rung?.criteria ?? {}, more as Asked);
    if (!laid.ok) return setError(laid.path, { message: wordsOf(laid.message) }, { shouldFocus: true });
    const ground = grounds.find((one) => one.id === groundId) ?? null;
    const title = said.title?.trim() || capital(wordsOf(templateName(drawn)));
    const made = await done(
      tell('new.drawn', { title }),
      addSetOut(kennel, {
        title,
        ground: ground?.id ?? null,
        asks:
          chosen && rung
            ? { element: chosen.element.id, criteria: rung.criteria, reads: { ...reads } }
            : null,
        north: 0,
        wind: null,
        things: onGround(laid.value, ground),
        spread: null,
      }),
    );
    if (made.ok) await navigate(`/${kennel.name}/set-outs/${made.value.made.id}`, { replace: true });
  });
  return (
    <Sheet className="max-w-3xl">
      <form className="grid gap-4 sm:grid-cols-2" noValidate onSubmit={draw}>
        <SelectField
          label={tell('new.for-what', { name: dog.name })}
          value={elementId}
          options={[
            { value: '', words: tell('new.for-nothing') },
            ...elements.map(({ element }) => ({ value: element.id as string, words: element.title })),
          ]}
          onChange={(value) => {
            setElement(value);
            setTemplate(null);
            setStep(null);
          }}
        />
        {ladder && (
          <SelectField
            label={tell('new.which-step')}
            value={String(step ?? (asFar >= 0 ? asFar : standing))}
            options={ladder.rungs.map((_, i) => ({
              value: String(i),
              words:
                i === standing
                  ? tell('new.stands-here', { step: describeRung(ladder, i) })
                  : tell('new.step', { step: describeRung(ladder, i) }),
            }))}
            onChange={(value) => setStep(Number(value))}
          />
        )}
        <SelectField
          label={tell('new.laid-as')}
          value={drawn}
          options={TEMPLATES.map((value) => ({ value, words: wordsOf(templateName(value)) }))}
          onChange={setTemplate}
        />
        <SelectField
          label={tell('new.on-ground')}
          value={groundId as string}
          options={[
            { value: '', words: tell('new.no-ground') },
            ...grounds.map((one) => ({ value: one.id as string, words: one.name })),
          ]}
          onChange={(value) => setGround(value as Ground['id'])}
        />
        {asks.map((one) => (
          <TextField
            key={one}
            label={capital(wordsOf(readingInWords(one)))}
            hint={hintOf(one, lengths.unit)}
            {...register(one)}
            problem={errors[one]?.message}
          />
        ))}
        <TextField
          label={tell('new.name')}
          hint={tell('new.name-hint', { template: templateName(drawn) })}
          maxLength={80}
          {...register('title')}
          problem={errors.title?.message}
        />
        <UnitField />
        <Button
          type="submit"
          look="signal"
          size="big"
          data-main
          className="max-md:sticky max-md:bottom-[4.25rem] max-md:z-10 sm:col-span-2 md:justify-self-start"
        >
          {tell('new.draw')}
        </Button>
      </form>
    </Sheet>
  );
}

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

const unitOfElement = (
  element: ElementRecord | null,
  reads: Readonly<Record<string, Reading>>,
): string | null =>
  element?.axes.find((axis) => reads[axis.key] !== undefined && axis.quantity === 'distance')?.unit ?? null;

function readOf(
  reading: Reading,
  lengths: Parameters<typeof lengthRead>[0],
): (text: string) => Result<number> {
  if (reading === 'count') return numberRead(1, 30);
  if (isAngle(reading)) return degreesRead(reading === 'cast' ? -180 : 1, 180);
  return lengthRead(lengths, 0.01);
}

function hintOf(reading: Reading, unit: string): string {
  if (reading === 'count') return tell('new.hint-count');
  if (reading === 'cast') return tell('new.hint-cast');
  if (reading === 'angle') return tell('new.hint-angle');
  return tell('new.hint-length', { unit });
}

/** Laid about the middle of the ground, the dog a sixth of its depth from the lower edge. */
function onGround(things: readonly Thing[], ground: Ground | null): Thing[] {
  const plan = ground?.plan;
  if (!plan) return [...things];
  const middle = middleOf(things);
  const low = Math.min(...things.map(({ y }) => y));
  const [x, y] = [plan.wide / 2 - middle.x, plan.deep / 6 - low];
  return things.map((one) => ({ ...one, x: one.x + x, y: one.y + y }));
}
