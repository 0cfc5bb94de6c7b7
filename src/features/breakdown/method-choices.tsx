import { type Method, SCHOOLS, type Setting } from '@/core/breakdown';
import type { ElementRecord } from '@/data/read';
import { SelectField, Sheet } from '@/ui';
import { wordsOf } from '@/words';
import type { BeforeDraft } from './befores';
import { type Sides, takesHold } from './sides';
import { tell } from './words';

type Props = {
  readonly method: Method;
  readonly befores: readonly BeforeDraft[];
  readonly elements: readonly ElementRecord[];
  readonly sides: Sides;
  readonly onBefores: (befores: readonly BeforeDraft[]) => void;
  readonly onSides: (sides: Sides) => void;
};

/** What a method builds on, and what the person settles where schools differ. */
export function MethodChoices(props: Props) {
  return (
    <div className="grid gap-5 lg:grid-cols-2 lg:items-start">
      {props.befores.length > 0 && <Befores {...props} />}
      {props.method.schools.length > 0 && <Schools {...props} />}
    </div>
  );
}

function Befores({ befores, elements, onBefores }: Props) {
  return (
    <Sheet title={tell('method-choices.what-it-builds-on')}>
      <div className="grid gap-3">
        {befores.map((before) => (
          <SelectField
            key={before.id}
            label={before.element.title}
            value={before.by as string}
            options={[
              { value: 'along', words: tell('method-choices.comes-along-as-a-new-element') },
              ...elements.map((one) => ({
                value: one.id as string,
                words: tell('method-choices.the-dog-has-it', { title: one.title }),
              })),
              { value: 'none', words: tell('method-choices.left-out-nothing-waits-for-it') },
            ]}
            onChange={(by) =>
              onBefores(
                befores.map((one) => (one.id === before.id ? { ...one, by: by as BeforeDraft['by'] } : one)),
              )
            }
          />
        ))}
      </div>
    </Sheet>
  );
}

function Schools({ method, sides, onSides }: Props) {
  return (
    <Sheet title={tell('method-choices.where-schools-differ')}>
      <div className="grid gap-3">
        {method.schools.map((key) => {
          const school = SCHOOLS[key];
          const chosen = school.sides[sides[key] ?? -1];
          const sets = (chosen?.sets ?? []).filter((setting) => takesHold(method, setting));
          return (
            <div key={key}>
              <SelectField
                label={wordsOf(school.question)}
                value={String(sides[key] ?? '')}
                options={[
                  { value: '', words: tell('method-choices.as-the-method-has-it') },
                  ...school.sides.map((side, i) => ({ value: String(i), words: wordsOf(side.title) })),
                ]}
                onChange={(value) => {
                  const { [key]: _was, ...others } = sides;
                  onSides(value === '' ? others : { ...others, [key]: Number(value) });
                }}
              />
              {chosen && (
                <p className="mt-1 text-sm leading-snug">
                  {wordsOf(chosen.gains)}{' '}
                  <span className="text-ink-soft">{tell('method-page.but', { risks: chosen.risks })}</span>{' '}
                  {sets.length === 0
                    ? tell('method-choices.yours-to-do-nothing-is-set')
                    : sets.map(wordsOfSetting).join(' ')}
                </p>
              )}
            </div>
          );
        })}
      </div>
    </Sheet>
  );
}

/** What a side writes, in words. */
function wordsOfSetting(setting: Setting): string {
  switch (setting.kind) {
    case 'ratchet':
      return tell('method-choices.sets-ratchet', { to: setting.to });
    case 'cues':
      return tell('method-choices.sets-cues', { to: setting.to });
    case 'counted-at-once':
      return tell('method-choices.sets-counted');
    case 'noted-till-the-demand':
      return tell('method-choices.sets-noted');
    case 'no-fault':
      return tell('method-choices.sets-no-fault');
    case 'rule':
      return tell('method-choices.sets-rule', { to: setting.to });
    case 'pay-thins-out':
      return tell('method-choices.sets-pay');
    case 'route':
      return tell('method-choices.sets-route');
  }
}
