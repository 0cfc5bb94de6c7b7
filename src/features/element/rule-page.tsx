import { useState } from 'react';
import { FIRST_RULES, RULE_WORDS, type Rule, type RuleKind, USUAL_RULES } from '@/core/coaching';
import { Button, SelectField, Sheet } from '@/ui';
import { wordsOf } from '@/words';
import { type Opened, useOpened } from './element-room';
import { FeelSheet } from './feel-sheet';
import { JudgedBy } from './judged-by';
import { OperatingCurve } from './operating-curve';
import { PaceFields } from './pace-fields';
import { PolicyComparison } from './policy-comparison';
import { RuleFields } from './rule-fields';
import { useElementChange } from './use-element-change';
import { tell } from './words';

/** By which rule this dog goes up and back at this element. */
export function RulePage() {
  const opened = useOpened();
  return <Page key={opened.element.id} {...opened} />;
}

function Page(opened: Opened) {
  const { element, state } = opened;
  const change = useElementChange(element);
  const { rule, pace } = element.policy;
  const [more, setMore] = useState(!FIRST_RULES.includes(rule.kind));
  const choose = (kind: RuleKind): void =>
    change({ policy: { rule: USUAL_RULES[kind], pace } }, `${RULE_WORDS[kind].title}.`);
  const take = (next: Rule): void => change({ policy: { rule: next, pace } }, tell('rule-page.rule-changed'));
  const rest = (Object.keys(RULE_WORDS) as RuleKind[]).filter((kind) => !FIRST_RULES.includes(kind));
  return (
    <div className="grid items-start gap-6 lg:grid-cols-2">
      <div className="grid gap-6">
        <Sheet title={tell('rule-page.goes-up-and-back-by')}>
          <fieldset className="grid gap-2">
            <legend className="sr-only">{tell('rule-page.rule')}</legend>
            {FIRST_RULES.map((kind) => (
              <RuleOption key={kind} kind={kind} chosen={rule.kind} onChoose={choose} />
            ))}
            {more ? (
              rest.map((kind) => <RuleOption key={kind} kind={kind} chosen={rule.kind} onChoose={choose} />)
            ) : (
              <p>
                <Button onClick={() => setMore(true)}>{tell('rule-page.more-rules')}</Button>
              </p>
            )}
          </fieldset>
        </Sheet>
        {rule.kind === 'feel' ? (
          <FeelSheet element={element} state={state} />
        ) : (
          <OperatingCurve rule={rule} />
        )}
      </div>
      <div className="grid gap-6">
        <Sheet title={wordsOf(RULE_WORDS[rule.kind].title)}>
          <p className="leading-snug">
            <span className="font-semibold">{tell('rule-page.gains')} </span>
            {wordsOf(RULE_WORDS[rule.kind].gains)}
          </p>
          <p className="mt-1 leading-snug">
            <span className="font-semibold">{tell('rule-page.risks')} </span>
            {wordsOf(RULE_WORDS[rule.kind].risks)}
          </p>
          <RuleFields
            key={JSON.stringify(rule)}
            rule={rule}
            onTake={(next) =>
              take(
                next.kind === 'cue-transfer' && rule.kind === 'cue-transfer'
                  ? { ...next, failed: rule.failed }
                  : next,
              )
            }
          />
          {rule.kind === 'cue-transfer' && (
            <SelectField
              label={tell('rule-page.after-a-silent-test-that-failed')}
              className="mt-3"
              value={rule.failed}
              options={[
                { value: 'first', words: tell('rule-page.back-to-the-first-stage') },
                { value: 'one-back', words: tell('rule-page.back-one-stage') },
                { value: 'again', words: tell('rule-page.the-silent-test-again') },
              ]}
              onChange={(failed) => take({ ...rule, failed })}
            />
          )}
        </Sheet>
        <JudgedBy element={element} work={state.work} />
        <Sheet title={tell('rule-page.sets-and-sessions')}>
          <PaceFields
            pace={pace}
            onTake={(next) => change({ policy: { rule, pace: next } }, tell('rule-page.pace-changed'))}
          />
        </Sheet>
      </div>
      <div className="lg:col-span-2">
        <PolicyComparison {...opened} />
      </div>
    </div>
  );
}

function RuleOption({
  kind,
  chosen,
  onChoose,
}: {
  readonly kind: RuleKind;
  readonly chosen: RuleKind;
  readonly onChoose: (kind: RuleKind) => void;
}) {
  return (
    <label className="flex cursor-pointer items-start gap-3 border-2 border-rule px-3 py-2 has-checked:border-ink has-checked:bg-paper">
      <input
        type="radio"
        name="rule"
        className="mt-1.5 size-4 accent-(--ink)"
        checked={kind === chosen}
        onChange={() => onChoose(kind)}
      />
      <span>
        <span className="block text-lg font-semibold leading-snug">{wordsOf(RULE_WORDS[kind].title)}</span>
        <span className="block leading-snug text-ink-soft">{wordsOf(RULE_WORDS[kind].does)}</span>
      </span>
    </label>
  );
}
