import { valibotResolver } from '@hookform/resolvers/valibot';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { AXIS_KINDS, type Axis } from '@/core/breakdown';
import { type AxisKey, asId } from '@/core/shared';
import { Button, SelectField, TextField } from '@/ui';
import { wordsOf } from '@/words';
import { type AxisFields, axisFields, EMPTY, isList, readAxisFields } from './axis-form';
import { tell } from './words';

/** A further criterion: a measured one with its three values, or a list of a person's own. */
export function AddAxis({
  axes,
  onAdd,
}: {
  readonly axes: readonly Axis[];
  readonly onAdd: (axis: Axis) => void;
}) {
  const [open, setOpen] = useState(false);
  const { register, handleSubmit, watch, setValue, reset, formState } = useForm<AxisFields>({
    resolver: valibotResolver(axisFields),
    defaultValues: EMPTY,
  });
  const kind = watch('kind');
  const field = (key: keyof AxisFields, label: string, hint?: string) => (
    <TextField label={label} hint={hint} {...register(key)} problem={formState.errors[key]?.message} />
  );
  const add = handleSubmit((fields) => {
    const read = readAxisFields(asId<AxisKey>(freeKey(fields.kind, axes)), fields);
    if (!read.ok) return;
    setOpen(false);
    reset(EMPTY);
    onAdd(read.value);
  });
  if (!open)
    return (
      <p>
        <Button onClick={() => setOpen(true)}>{tell('add-axis.add-a-criterion')}</Button>
      </p>
    );
  return (
    <fieldset className="border-2 border-rule p-3">
      <legend className="px-1 font-semibold">{tell('add-axis.a-further-criterion')}</legend>
      <div className="grid gap-3 sm:grid-cols-[14rem_1fr_1fr_1fr] sm:items-start">
        <SelectField
          label={tell('add-axis.kind')}
          value={kind}
          options={[
            ...AXIS_KINDS.map((one) => ({ value: one.id as string, words: wordsOf(one.title) })),
            { value: 'list', words: tell('add-axis.a-list-of-steps') },
            { value: 'help', words: tell('add-axis.help-that-fades') },
            { value: 'pay', words: tell('add-axis.pay-that-thins-out') },
          ]}
          onChange={(chosen) => setValue('kind', chosen)}
        />
        {field(
          'title',
          tell('add-axis.name'),
          isList(kind) ? undefined : tell('add-axis.its-own-name-if-left-empty'),
        )}
        {isList(kind) ? (
          <div className="sm:col-span-2">
            {field(
              'list',
              tell('add-axis.steps-easiest-first'),
              tell('add-axis.for-example-whole-hand-half-a-look'),
            )}
          </div>
        ) : (
          <>
            {field('start', tell('add-axis.start'))}
            {field('demand', tell('add-axis.demand'))}
            <div className="sm:col-start-2">{field('step', tell('add-axis.step'))}</div>
          </>
        )}
      </div>
      <p className="mt-3 flex gap-3">
        <Button look="ink" onClick={() => void add()}>
          {tell('add-axis.add-it')}
        </Button>
        <Button look="quiet" onClick={() => setOpen(false)}>
          {tell('add-axis.leave-it')}
        </Button>
      </p>
    </fieldset>
  );
}

function freeKey(kind: string, axes: readonly Axis[]): string {
  const taken = new Set<string>(axes.map((axis) => axis.key));
  for (let n = 1; ; n++) {
    const key = n === 1 ? kind : `${kind}-${n}`;
    if (!taken.has(key)) return key;
  }
}
