import { useState } from 'react';
import type { Rule } from '@/core/coaching';
import { Button, Notice, TextField } from '@/ui';
import { RULE_FIELDS, readRule, ruleTexts } from './rule-texts';

export function RuleFields({ rule, onTake }: { readonly rule: Rule; readonly onTake: (rule: Rule) => void }) {
  const [texts, setTexts] = useState(() => ruleTexts(rule));
  const [problem, setProblem] = useState<string>();
  if (RULE_FIELDS[rule.kind].length === 0) return null;
  const take = (): void => {
    const read = readRule(rule.kind, texts);
    setProblem(read.ok ? undefined : read.message);
    if (read.ok) onTake(read.value);
  };
  return (
    <form
      className="mt-3 grid gap-3 sm:grid-cols-2"
      onSubmit={(event) => {
        event.preventDefault();
        take();
      }}
    >
      {RULE_FIELDS[rule.kind].map(({ key, label }) => (
        <TextField
          key={key}
          label={label}
          inputMode="decimal"
          value={texts[key] ?? ''}
          onChange={(event) => setTexts({ ...texts, [key]: event.target.value })}
        />
      ))}
      {problem && (
        <div className="sm:col-span-2">
          <Notice tone="alert" role="alert">
            {problem} Nothing is changed.
          </Notice>
        </div>
      )}
      <p className="sm:col-span-2">
        <Button type="submit" look="ink">
          Take these numbers
        </Button>
      </p>
    </form>
  );
}
