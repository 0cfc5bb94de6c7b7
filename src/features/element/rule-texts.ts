import * as v from 'valibot';
import { type Rule, type RuleKind, ruleSchema } from '@/core/coaching';
import { fail, ok, type Result } from '@/core/shared';

type Field = { readonly key: string; readonly label: string; readonly percent?: boolean };

/** The numbers of each rule as a person reads them. */
export const RULE_FIELDS: Readonly<Record<RuleKind, readonly Field[]>> = {
  run: [
    { key: 'advanceAfter', label: 'Clean in a row to go up' },
    { key: 'dropAfter', label: 'Misses in a row to go back' },
  ],
  'single-presentation': [
    { key: 'advanceAfter', label: 'Clean in a row to go up' },
    { key: 'dropAfter', label: 'Misses in a row to go back' },
    { key: 'breath', label: 'Seconds between presentations' },
  ],
  stretch: [
    { key: 'cut', label: 'Left of the distance after “too far” (%)', percent: true },
    { key: 'perSession', label: 'Longer at most, times a session' },
  ],
  block: [
    { key: 'size', label: 'Reps in a block' },
    { key: 'pass', label: 'Clean to go up' },
    { key: 'fail', label: 'Clean at or under which it goes back' },
  ],
  sequential: [
    { key: 'p0', label: 'Not good enough (% clean)', percent: true },
    { key: 'p1', label: 'Good enough (% clean)', percent: true },
    { key: 'alpha', label: 'Risk to go up wrongly (%)', percent: true },
    { key: 'beta', label: 'Risk to go back wrongly (%)', percent: true },
  ],
  feel: [],
  'cue-transfer': [
    { key: 'gap', label: 'Seconds from new cue to old prompt' },
    { key: 'wait', label: 'Seconds of silence in a silent test' },
    { key: 'before', label: 'Prompted answers before the next stage' },
  ],
  scenario: [{ key: 'advanceAfter', label: 'Clean scenarios in a row to go up' }],
  strength: [
    { key: 'minDays', label: 'Days at least for the whole exercise' },
    { key: 'restDays', label: 'Rest days between its days' },
    { key: 'repsPerDay', label: 'Reps a day at most' },
    { key: 'cleanToAdvance', label: 'Clean of them to go up' },
  ],
  distribution: [
    { key: 'window', label: 'Last responses looked at' },
    { key: 'paidShare', label: 'Share to pay (%)', percent: true },
  ],
};

/** Reads the fields of a rule. Fails with the words of what does not fit. */
export function readRule(kind: RuleKind, texts: Readonly<Record<string, string>>): Result<Rule> {
  const values: Record<string, unknown> = { kind };
  for (const { key, label, percent } of RULE_FIELDS[kind]) {
    const text = (texts[key] ?? '').replace(',', '.').replace('%', '').trim();
    const number = Number(text);
    if (text === '' || Number.isNaN(number)) return fail('number', key, `${label}: write a number.`);
    values[key] = percent ? number / 100 : number;
  }
  const parsed = v.safeParse(ruleSchema, values);
  if (parsed.success) return ok(parsed.output);
  const [first] = parsed.issues;
  const field = RULE_FIELDS[kind].find((one) => one.key === v.getDotPath(first));
  return fail('rule', v.getDotPath(first) ?? '', `${field ? `${field.label}: ` : ''}${first.message}.`);
}

/** The fields of a rule for a form: what does not fit is said beside its field. */
export const ruleFields = (kind: RuleKind) =>
  v.pipe(
    v.record(v.string(), v.string()),
    v.rawCheck(({ dataset, addIssue }) => {
      if (!dataset.typed) return;
      const read = readRule(kind, dataset.value);
      if (read.ok) return;
      const key = RULE_FIELDS[kind].some((one) => one.key === read.path)
        ? read.path
        : (RULE_FIELDS[kind][0]?.key ?? '');
      const input = dataset.value;
      const path = { type: 'object', origin: 'value', input, key, value: input[key] } as const;
      addIssue({ message: `${read.message} Nothing is changed.`, path: [path] });
    }),
  );

export function ruleTexts(rule: Rule): Record<string, string> {
  const values = rule as Readonly<Record<string, unknown>>;
  return Object.fromEntries(
    RULE_FIELDS[rule.kind].map(({ key, percent }) => [
      key,
      String(percent ? Number((Number(values[key]) * 100).toPrecision(4)) : values[key]),
    ]),
  );
}
