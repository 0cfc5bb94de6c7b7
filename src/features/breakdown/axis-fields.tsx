import { X } from 'lucide-react';
import { AXIS_KINDS, inTypedUnit, READY_LISTS, sizesFit, unitOf } from '@/core/breakdown';
import { unitWritten } from '@/core/shared';
import { useKit } from '@/data/live';
import { Button, SelectField, TextField } from '@/ui';
import { reading, sizesText, withOwnPoint, wordsOf } from '@/words';
import { type AxisDraft, furtherAxis, ownList } from './axis-draft';
import type { Problems } from './exercise-draft';
import { tell } from './words';

type Props = {
  readonly axis: AxisDraft;
  /** What its problems are filed under. */
  readonly prefix: string;
  readonly problems: Problems;
  /** Its kind is the person's to choose. */
  readonly byHand: boolean;
  readonly others: readonly AxisDraft[];
  readonly onChange: (axis: AxisDraft) => void;
  readonly onRemove: (() => void) | null;
};

const HINTS = {
  start: (axis: AxisDraft) => axis.spec.askStart,
  demand: (axis: AxisDraft) => axis.spec.askDemand,
  step: () => tell('link-fields.how-big-a-step-is'),
} as const;

const FIELDS = [
  { field: 'start', label: tell('link-fields.start') },
  { field: 'step', label: tell('link-fields.step') },
  { field: 'demand', label: tell('link-fields.demand') },
] as const;

/** One criterion of a link in the making: a list with its first and last step, or three values. */
export function AxisFields({ axis, prefix, problems, byHand, others, onChange, onRemove }: Props) {
  const { title, levels } = axis.spec.axis;
  return (
    <div>
      <div className="flex flex-wrap items-center justify-between gap-2">
        {byHand ? (
          <Kind axis={axis} others={others} onChange={onChange} />
        ) : (
          <p className="font-semibold">{title}</p>
        )}
        {onRemove && (
          <Button
            look="quiet"
            className="!px-2.5"
            aria-label={tell('link-fields.take-out', { name: title })}
            onClick={onRemove}
          >
            <X aria-hidden="true" className="size-5" />
          </Button>
        )}
      </div>
      {axis.list && <OwnList axis={axis} problem={problems[`${prefix}.list`]} onChange={onChange} />}
      {levels !== null ? (
        <Ends axis={axis} onChange={onChange} />
      ) : (
        !axis.list && <Values axis={axis} prefix={prefix} problems={problems} onChange={onChange} />
      )}
    </div>
  );
}

/** Measured criteria, lists that come back in many practices, and lists of the person's own. */
const KINDS = [
  ...AXIS_KINDS.map((one) => ({ id: one.id as string, title: wordsOf(one.title) })),
  ...READY_LISTS.map((one) => ({ id: one.id as string, title: wordsOf(one.title) })),
  ...(['criterion', 'help', 'pay'] as const).map((role) => ({
    id: `own-${role}`,
    title: tell('exercise-draft.own-list', { role }),
  })),
];

function Kind({ axis, others, onChange }: Pick<Props, 'axis' | 'others' | 'onChange'>) {
  const { title } = axis.spec.axis;
  const chosen = axis.list ? `own-${axis.list.kind}` : KINDS.find((one) => one.title === title)?.id;
  return (
    <SelectField
      label={tell('link-fields.criterion')}
      beside
      className="justify-start text-sm font-semibold"
      value={chosen ?? 'distance'}
      options={KINDS.map((kind) => ({ value: kind.id, words: kind.title }))}
      onChange={(id) => {
        const next = furtherAxis(
          id,
          others.filter((one) => one !== axis),
        );
        onChange(axis.added ? next : { ...next, added: false });
      }}
    />
  );
}

type PartProps = Pick<Props, 'axis' | 'onChange'>;

function OwnList({ axis, problem, onChange }: PartProps & { readonly problem: string | undefined }) {
  const { list, spec } = axis;
  if (!list) return null;
  const { key, title } = spec.axis;
  return (
    <div className="grid gap-3 sm:grid-cols-2">
      <TextField
        label={tell('link-fields.name-of-the-list')}
        value={title}
        onChange={(event) => onChange(ownList(key, event.target.value, list.written, list.kind))}
      />
      <TextField
        label={tell('link-fields.steps-easiest-first')}
        value={list.written}
        problem={problem}
        onChange={(event) => onChange(ownList(key, title, event.target.value, list.kind))}
      />
    </div>
  );
}

/** From which step of the list to which. */
function Ends({ axis, onChange }: PartProps) {
  const { title, levels, role } = axis.spec.axis;
  const options = (levels ?? []).map((level) => ({ value: level.name, words: level.name }));
  return (
    <>
      <p className="text-sm leading-snug text-ink-soft">
        {(levels ?? []).map((level) => level.name).join(' → ')}
        {role === 'help' && ` ${tell('link-fields.help-that-is-taken-away')}`}
      </p>
      <div className="grid grid-cols-2 gap-3">
        {FIELDS.filter(({ field }) => field !== 'step').map(({ field, label }) => (
          <SelectField
            key={field}
            label={`${label}, ${title}`}
            shown={label}
            value={axis[field]}
            options={options}
            onChange={(name) => onChange({ ...axis, [field]: name })}
          />
        ))}
      </div>
    </>
  );
}

/** What comes in sizes that somebody owns. */
const COMES_IN_SIZES: ReadonlySet<string> = new Set(['volume', 'height', 'area', 'mass']);

function Values({ axis, prefix, problems, onChange }: Omit<Props, 'byHand' | 'others' | 'onRemove'>) {
  const { title, quantity } = axis.spec.axis;
  const kit = useKit() ?? [];
  const listed = kit.find(
    (thing) => thing.quantity !== null && thing.sizes.length > 0 && sizesFit(thing.quantity, quantity),
  );
  return (
    <>
      <div className="grid grid-cols-3 gap-3">
        {FIELDS.map(({ field, label }) => (
          <TextField
            key={field}
            label={label}
            aria-label={`${label}, ${title}`}
            value={axis[field]}
            hint={axis[field] === '' ? wordsOf(HINTS[field](axis)) : undefined}
            problem={problems[`${prefix}.${field}`]}
            onChange={(event) => onChange({ ...axis, [field]: event.target.value })}
            onBlur={() => field !== 'step' && onChange(settled(axis, field))}
          />
        ))}
      </div>
      {COMES_IN_SIZES.has(quantity) && (
        <div className="mt-2 flex flex-wrap items-end gap-3">
          <TextField
            className="flex-1"
            label={tell('link-fields.sizes-you-own')}
            aria-label={`${tell('link-fields.sizes-you-own')}, ${title}`}
            value={axis.sizes ?? ''}
            hint={tell('link-fields.they-are-the-steps-then', { quantity })}
            problem={problems[`${prefix}.sizes`]}
            onChange={(event) => onChange({ ...axis, sizes: event.target.value })}
          />
          {listed?.quantity && (
            <Button
              onClick={() =>
                onChange({
                  ...axis,
                  sizes: sizesText(listed.quantity ?? 'volume', listed.unit, listed.sizes, '; '),
                })
              }
            >
              {tell('link-fields.as-on-your-kit-list', { title: listed.title })}
            </Button>
          )}
        </div>
      )}
    </>
  );
}

/** What was typed as it is taken, with the method's own step beside it in the same unit. */
function settled(axis: AxisDraft, field: 'start' | 'demand'): AxisDraft {
  const typed = inTypedUnit(withUnit(axis, field), reading());
  return { ...typed, step: withOwnPoint(typed.step) };
}

/** A bare number with the unit in which it is taken, so that it is seen before it is used. */
function withUnit(axis: AxisDraft, field: 'start' | 'demand'): AxisDraft {
  const text = axis[field].trim();
  const { quantity } = axis.spec.axis;
  const unit = unitOf(axis, reading());
  if (!/\d$/.test(text) || unit === '' || unitWritten(text, quantity) !== null) return axis;
  return { ...axis, [field]: unit === '°' ? `${text}°` : `${text} ${unit}` };
}
