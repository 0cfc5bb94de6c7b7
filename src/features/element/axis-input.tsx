import type { Axis } from '@/core/breakdown';
import { SelectField } from '@/ui';
import { wordsOf } from '@/words';
import { CommitField } from './commit-field';
import { type AxisField, fieldText, withField } from './ladder-edit';

type Props = {
  readonly axis: Axis;
  readonly field: AxisField;
  readonly label: string;
  readonly hint?: string;
  readonly onChange: (axis: Axis) => void;
};

/** One value of a criterion: typed, or chosen among the steps of its list. */
export function AxisInput({ axis, field, label, hint, onChange }: Props) {
  if (axis.levels !== null && (field === 'start' || field === 'demand'))
    return (
      <SelectField
        label={`${label}, ${axis.title}`}
        shown={label}
        value={String(axis[field])}
        options={axis.levels.map((level) => ({ value: String(level.id), words: level.name }))}
        onChange={(id) => onChange({ ...axis, [field]: Number(id) })}
      />
    );
  return (
    <CommitField
      label={label}
      ariaLabel={`${label}, ${axis.title}`}
      hint={hint}
      kept={fieldText(axis, field)}
      onCommit={(text) => {
        const changed = withField(axis, field, text);
        if (changed.ok) onChange(changed.value);
        return changed.ok ? null : wordsOf(changed.message);
      }}
    />
  );
}
