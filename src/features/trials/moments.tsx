import { faultSteps, type PreparedRules } from '@/core/rulebooks';
import type { JudgeSheet } from '@/core/trials';
import { Button, SelectField } from '@/ui';
import { wordsOf } from '@/words';
import type { Pen } from './pen';
import type { SheetExercise } from './sheet-view';
import { tell } from './words';

type Props = {
  readonly sheet: JudgeSheet;
  readonly exercise: SheetExercise;
  readonly rules: PreparedRules;
  readonly pen: Pen;
};

/** What was stamped without looking: named now, in the order in which it happened, or taken off. */
export function Moments({ sheet, exercise, rules, pen }: Props) {
  const { moments } = exercise.written;
  const prepared = rules.exercises.find((one) => one.exercise === exercise.key);
  if (moments.length === 0 || !prepared) return null;
  const steps = faultSteps(prepared);
  const since = (at: number): number => (at - beganAt(sheet, exercise, at)) / 1000;
  return (
    <section aria-label={tell('moments.to-name')} className="border-2 border-ink bg-sheet p-3">
      <h3 className="font-bold">{tell('moments.what-was-it', { n: moments.length })}</h3>
      <ul className="mt-1 grid gap-2">
        {moments.map((moment, i) => (
          <li key={moment.id} className="flex flex-wrap items-end gap-2">
            <SelectField
              className="min-w-56 flex-1"
              label={tell('moments.moment', {
                n: i + 1,
                after: { number: since(moment.at), digits: 0 },
              })}
              value=""
              options={[
                { value: '', words: tell('moments.choose') },
                ...steps.map((step, s) => ({ value: String(s), words: wordsOf(step.label) })),
              ]}
              onChange={(value) => {
                const step = steps[Number(value)];
                if (!step || value === '') return;
                void pen.write(
                  {
                    kind: 'fault',
                    exercise: exercise.key,
                    part: step.part,
                    time: null,
                    fault: step.ref.key,
                    amount: step.amount,
                  },
                  { of: moment.id },
                );
              }}
            />
            <Button onClick={() => pen.write({ kind: 'take-back' }, { of: moment.id })}>
              {tell('moments.nothing')}
            </Button>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** When the exercise began, as far as the sheet knows: when the one before was over, else with the first mark. */
function beganAt({ trace }: JudgeSheet, { key }: SheetExercise, at: number): number {
  const before = trace.findLast(
    ({ mark }) => mark.kind === 'state' && mark.exercise !== key && mark.at <= at,
  );
  return (before ?? trace[0])?.mark.at ?? at;
}
