import { type Axis, parseValue, sizesFit, writeValue } from '@/core/breakdown';
import { useKit } from '@/data/live';
import { Button } from '@/ui';
import { numberCustom, sizesText, wordsOf } from '@/words';
import { AxisInput } from './axis-input';
import { CommitField } from './commit-field';
import { ListSteps } from './list-steps';
import { tell } from './words';

type Props = {
  readonly axis: Axis;
  readonly others: readonly Axis[];
  readonly onChange: (axis: Axis) => void;
  readonly onRemove: (() => void) | null;
};

/** What else can be said of a criterion: its limits, the sizes that are owned, what eases with it. */
export function AxisMore({ axis, others, onChange, onRemove }: Props) {
  return (
    <details className="text-base">
      <summary
        className="min-h-11 cursor-pointer py-2.5 underline decoration-rule underline-offset-4"
        aria-label={tell('axis-editor.more-about', { title: axis.title })}
      >
        {tell('axis-editor.more')}
      </summary>
      <div className="grid gap-4 border-l-[6px] border-rule bg-paper p-3 sm:grid-cols-3">
        <AxisInput
          axis={axis}
          field="limit"
          label={tell('axis-editor.largest-step-allowed')}
          onChange={onChange}
        />
        <MarginInput axis={axis} onChange={onChange} />
        <SafetyInput axis={axis} onChange={onChange} />
        <AxisInput
          axis={axis}
          field="floor"
          label={tell('axis-editor.never-eased-below')}
          onChange={onChange}
        />
        {COMES_IN_SIZES.has(axis.quantity) && <Sizes axis={axis} onChange={onChange} />}
        {axis.levels !== null && <ListSteps axis={axis} onChange={onChange} />}
        {others.length > 0 && <Eases axis={axis} others={others} onChange={onChange} />}
        {onRemove && (
          <p className="sm:col-span-3">
            <Button onClick={onRemove}>{tell('axis-editor.take-this-criterion-out')}</Button>
          </p>
        )}
      </div>
    </details>
  );
}

type PartProps = Pick<Props, 'axis' | 'onChange'>;

/** What is owned in certain sizes: tubs, hurdles, tops. */
const COMES_IN_SIZES: ReadonlySet<Axis['quantity']> = new Set(['volume', 'height', 'area', 'mass', 'offset']);

/** The sizes that are owned are the steps; those on the kit list are taken over with one press. */
function Sizes({ axis, onChange }: PartProps) {
  const kit = useKit() ?? [];
  const mine = JSON.stringify(axis.sizes ?? []);
  const listed = kit.filter(
    (thing) =>
      thing.quantity !== null &&
      thing.sizes.length > 0 &&
      sizesFit(thing.quantity, axis.quantity) &&
      JSON.stringify(thing.sizes) !== mine,
  );
  return (
    <div className="grid gap-2 sm:col-span-2">
      <AxisInput
        axis={axis}
        field="sizes"
        label={tell('axis-editor.sizes-you-own')}
        hint={tell('axis-editor.they-are-the-steps-then', { quantity: axis.quantity })}
        onChange={onChange}
      />
      {listed.map((thing) => (
        <p key={thing.id}>
          <Button onClick={() => onChange({ ...axis, unit: thing.unit, sizes: [...thing.sizes] })}>
            {tell('axis-editor.as-on-your-kit-list', {
              title: thing.title,
              sizes: thing.quantity ? sizesText(thing.quantity, thing.unit, thing.sizes) : '',
            })}
          </Button>
        </p>
      ))}
    </div>
  );
}

function Eases({ axis, others, onChange }: PartProps & Pick<Props, 'others'>) {
  const eased = (key: Axis['key']): boolean => axis.eases.includes(key);
  const turned = (key: Axis['key']): Axis['eases'] =>
    eased(key) ? axis.eases.filter((one) => one !== key) : [...axis.eases, key];
  return (
    <fieldset className="sm:col-span-3">
      <legend className="text-sm font-semibold">
        {tell('axis-editor.eases-when-this-one-is-raised-at')}
      </legend>
      {others.map((other) => (
        <label key={other.key} className="mr-5 inline-flex min-h-11 items-center gap-2">
          <input
            type="checkbox"
            className="size-5 accent-(--ink)"
            checked={eased(other.key)}
            disabled={!eased(other.key) && axis.eases.length >= 2}
            onChange={() => onChange({ ...axis, eases: turned(other.key) })}
          />
          {other.title}
        </label>
      ))}
    </fieldset>
  );
}

function MarginInput({ axis, onChange }: PartProps) {
  return (
    <CommitField
      label={tell('axis-editor.proof-beyond-the-demand')}
      kept={`${Math.round(axis.margin * 100)} %`}
      onCommit={(text) => {
        const percent = Number(text.replace('%', '').replace(',', '.').trim());
        if (!(percent >= 0 && percent <= 200) || text.trim() === '')
          return tell('axis-editor.a-share-of-the-demand-from-0-to');
        onChange({ ...axis, margin: percent / 100 });
        return null;
      }}
    />
  );
}

/** "40 cm, our vet": a value and who says it, or nothing. */
function SafetyInput({ axis, onChange }: PartProps) {
  const kept = axis.safety ? `${wordsOf(writeValue(axis, axis.safety.value))}, ${axis.safety.source}` : '';
  return (
    <CommitField
      label={tell('axis-editor.limit-for-this-dog-and-who-says-so')}
      kept={kept}
      onCommit={(text) => {
        if (text.trim() === '') onChange({ ...axis, safety: null });
        else {
          const comma = text.indexOf(',', text.search(/\d,\d/) >= 0 ? text.search(/\d,\d/) + 2 : 0);
          const source = comma < 0 ? '' : text.slice(comma + 1).trim();
          if (source === '') return tell('axis-editor.write-the-value-a-comma-and-who');
          const value = parseValue(axis, text.slice(0, comma).replace(/\u00a0/g, ' '), numberCustom());
          if (!value.ok) return wordsOf(value.message);
          onChange({ ...axis, safety: { value: value.value, source } });
        }
        return null;
      }}
    />
  );
}
