import { valibotResolver } from '@hookform/resolvers/valibot';
import { useForm } from 'react-hook-form';
import type { Rule } from '@/core/coaching';
import { Button, TextField } from '@/ui';
import { RULE_FIELDS, readRule, ruleFields, ruleTexts } from './rule-texts';
import { tell } from './words';

export function RuleFields({ rule, onTake }: { readonly rule: Rule; readonly onTake: (rule: Rule) => void }) {
  const { register, handleSubmit, formState } = useForm<Record<string, string>>({
    resolver: valibotResolver(ruleFields(rule.kind)),
    defaultValues: ruleTexts(rule),
  });
  if (RULE_FIELDS[rule.kind].length === 0) return null;
  const take = handleSubmit((texts) => {
    const read = readRule(rule.kind, texts);
    if (read.ok) onTake(read.value);
  });
  return (
    <form className="mt-3 grid gap-3 sm:grid-cols-2" noValidate onSubmit={take}>
      {RULE_FIELDS[rule.kind].map(({ key, label }) => (
        <TextField
          key={key}
          label={label}
          inputMode="decimal"
          {...register(key)}
          problem={formState.errors[key]?.message}
        />
      ))}
      <p className="sm:col-span-2">
        <Button type="submit" look="ink">
          {tell('rule-fields.take-these-numbers')}
        </Button>
      </p>
    </form>
  );
}
