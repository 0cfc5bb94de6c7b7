import * as v from 'valibot';
import { type Rule, type RuleKind, ruleSchema } from '@/core/coaching';
import { fail, ok, type Result, saidBySchema, say } from '@/core/shared';
import { tell } from './words';

type Field = { readonly key: string; readonly label: string; readonly percent?: boolean };

/** The numbers of each rule as a person reads them. */
export const RULE_FIELDS: Readonly<Record<RuleKind, readonly Field[]>> = {
  run: [
    { key: 'advanceAfter', label: tell('rule-texts.clean-in-a-row-to-go-up') },
    { key: 'dropAfter', label: tell('rule-texts.misses-in-a-row-to-go-back') },
  ],
  'single-presentation': [
    { key: 'advanceAfter', label: tell('rule-texts.clean-in-a-row-to-go-up') },
    { key: 'dropAfter', label: tell('rule-texts.misses-in-a-row-to-go-back') },
    { key: 'breath', label: tell('rule-texts.seconds-between-presentations') },
  ],
  stretch: [
    { key: 'cut', label: tell('rule-texts.left-of-the-distance-after-too-far'), percent: true },
    { key: 'perSession', label: tell('rule-texts.longer-at-most-times-a-session') },
  ],
  block: [
    { key: 'size', label: tell('rule-texts.reps-in-a-block') },
    { key: 'pass', label: tell('rule-texts.clean-to-go-up') },
    { key: 'fail', label: tell('rule-texts.clean-at-or-under-which-it-goes') },
  ],
  sequential: [
    { key: 'p0', label: tell('rule-texts.not-good-enough-clean'), percent: true },
    { key: 'p1', label: tell('rule-texts.good-enough-clean'), percent: true },
    { key: 'alpha', label: tell('rule-texts.risk-to-go-up-wrongly'), percent: true },
    { key: 'beta', label: tell('rule-texts.risk-to-go-back-wrongly'), percent: true },
  ],
  feel: [],
  'cue-transfer': [
    { key: 'gap', label: tell('rule-texts.seconds-from-new-cue-to-old-prompt') },
    { key: 'wait', label: tell('rule-texts.seconds-of-silence-in-a-silent') },
    { key: 'before', label: tell('rule-texts.prompted-answers-before-the-next') },
  ],
  scenario: [{ key: 'advanceAfter', label: tell('rule-texts.clean-scenarios-in-a-row-to-go-up') }],
  strength: [
    { key: 'minDays', label: tell('rule-texts.days-at-least-for-the-whole') },
    { key: 'restDays', label: tell('rule-texts.rest-days-between-its-days') },
    { key: 'repsPerDay', label: tell('rule-texts.reps-a-day-at-most') },
    { key: 'cleanToAdvance', label: tell('rule-texts.clean-of-them-to-go-up') },
  ],
  distribution: [
    { key: 'window', label: tell('rule-texts.last-responses-looked-at') },
    { key: 'paidShare', label: tell('rule-texts.share-to-pay'), percent: true },
  ],
};

/** Reads the fields of a rule. Fails with the words of what does not fit. */
export function readRule(kind: RuleKind, texts: Readonly<Record<string, string>>): Result<Rule> {
  const values: Record<string, unknown> = { kind };
  for (const { key, label, percent } of RULE_FIELDS[kind]) {
    const text = (texts[key] ?? '').replace(',', '.').replace('%', '').trim();
    const number = Number(text);
    if (text === '' || Number.isNaN(number))
      return fail('number', key, say('rule-texts.write-a-number', { label }));
    values[key] = percent ? number / 100 : number;
  }
  const parsed = v.safeParse(ruleSchema, values);
  if (parsed.success) return ok(parsed.output);
  const [first] = parsed.issues;
  const field = RULE_FIELDS[kind].find((one) => one.key === v.getDotPath(first));
  return fail(
    'rule',
    v.getDotPath(first) ?? '',
    field
      ? say('rule-texts.does-not-fit', { label: field.label, problem: saidBySchema(first) })
      : say('rule-texts.the-rule-does-not-fit', { problem: saidBySchema(first) }),
  );
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
      addIssue({ message: tell('rule-texts.nothing-is-changed', { message: read.message }), path: [path] });
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
