import { useState } from 'react';
import { type Axis, LADDER_RULES, type LadderRule } from '@/core/breakdown';
import { rodsOf } from '@/core/evidence';
import { type AxisKey, asId } from '@/core/shared';
import { type ElementRecord, namedFaults } from '@/data/read';
import { Button, CautionNote, SelectField, Sheet } from '@/ui';
import { wordsOf } from '@/words';
import { AddAxis } from './add-axis';
import { AxisEditor } from './axis-editor';
import { type Opened, useOpened } from './element-room';
import { LadderChecks } from './ladder-checks';
import { laidOver, readCell, withCell } from './ladder-edit';
import { Skipped, ToTheTop, Waiting } from './ladder-lines';
import { RungTable } from './rung-table';
import { Staircase } from './staircase';
import { StartFinder } from './start-finder';
import { useCautions } from './use-cautions';
import { useElementChange } from './use-element-change';
import { tell } from './words';

/**
 * One element's ladder: its criteria, the rule that lays the rungs, its checks in words, and every
 * rung.
 */
export function LadderPage() {
  return <Page {...useOpened()} />;
}

function Page({ element, state, ladder, place, stands, found }: Opened) {
  const change = useElementChange(element);
  const cautions = useCautions(element, state);
  const [finding, setFinding] = useState<AxisKey | null>(null);
  const bouts = state.evidence.get(element.id) ?? [];
  const rods = rodsOf(element, stands, found);
  const rebuild = (axes: ElementRecord['axes'], words = tell('ladder-page.ladder-built-anew')): void => {
    change({ axes }, `${words}.`);
  };
  const changeAxis = (before: Axis, next: Axis): void =>
    change(
      ({ axes }) => ({
        axes: axes.map((one) => (one.key === before.key ? laidOver(one, before, next) : one)),
      }),
      `${tell('ladder-page.ladder-built-anew')}.`,
    );
  const setCell = (key: AxisKey, index: number, text: string): string | null => {
    const axis = element.axes.find((one) => one.key === key);
    if (!axis) return null;
    if (element.ladderRule === 'by-hand') return setHandCell(element, change, axis, index, text);
    const edited = ladder.rungs[index];
    if (!edited) return null;
    const edits = withCell(element, axis, edited, text);
    if (edits.ok)
      change(
        { edits: edits.value },
        text.trim() === ''
          ? tell('ladder-page.back-to-the-planned-value')
          : tell('ladder-page.rung-set-by-hand', { index: index + 1 }),
      );
    return edits.ok ? null : wordsOf(edits.message);
  };
  const searched = element.axes.find((axis) => axis.key === finding);
  return (
    <div className="grid grid-cols-1 gap-6">
      <Sheet title={tell('ladder-page.criteria')} aside={tell('ladder-page.what-makes-it-harder')}>
        <div className="grid grid-cols-1 gap-6">
          {element.axes.map((axis) => (
            <AxisEditor
              key={axis.key}
              axis={axis}
              others={element.axes.filter((one) => one.key !== axis.key)}
              rod={rods.find((rod) => rod.axis === axis.key) ?? null}
              onChange={(next) => changeAxis(axis, next)}
              onRemove={
                element.axes.length > 1
                  ? () =>
                      rebuild(
                        element.axes.filter((one) => one.key !== axis.key),
                        tell('ladder-page.taken-out', { title: axis.title }),
                      )
                  : null
              }
              onFind={axis.levels === null ? () => setFinding(axis.key) : null}
            />
          ))}
          <AddAxis
            axes={element.axes}
            onAdd={(axis) =>
              rebuild([...element.axes, axis], tell('ladder-page.added', { title: axis.title }))
            }
          />
        </div>
      </Sheet>
      <LadderChecks
        element={element}
        onPlan={(rung, axis) =>
          change({ byHand: planned(element, rung, axis) }, tell('ladder-page.noted-as-planned'))
        }
      />
      <Sheet
        title={tell('ladder-page.rungs')}
        aside={
          <RuleChoice
            element={element}
            onChoose={(rule) => change(withRule(element, rule, ladder.rungs), RULE_TOASTS[rule])}
          />
        }
      >
        <Staircase ladder={ladder} place={place} bouts={bouts} />
        <p className="mb-4 mt-2 text-sm text-ink-soft">
          {tell('ladder-page.the-taller-the-harder-solid-raised')}
        </p>
        <ToTheTop element={element} steps={ladder.rungs.length} from={place.rung} />
        <RungTable
          element={element}
          ladder={ladder}
          place={place}
          bouts={bouts}
          faults={namedFaults(element, state.work)}
          onCell={setCell}
          onSkip={
            element.ladderRule === 'by-hand'
              ? null
              : (rung) =>
                  change(
                    ({ skips }) => ({ skips: [...skips, rung.planned] }),
                    tell('ladder-page.this-step-is-skipped'),
                  )
          }
        />
        <Skipped
          element={element}
          onBack={(skips) => change({ skips }, tell('ladder-page.the-step-is-back'))}
        />
        <Waiting
          element={element}
          onClear={(edits) => change({ edits }, tell('ladder-page.the-waiting-value-is-gone'))}
        />
        {element.ladderRule === 'by-hand' && (
          <p className="mt-3 flex gap-3">
            <Button
              onClick={() =>
                change(
                  {
                    byHand: [
                      ...element.byHand,
                      {
                        criteria: {
                          ...(element.byHand.at(-1)?.criteria ??
                            ladder.rungs[0]?.criteria ??
                            startOf(element)),
                        },
                        eases: [],
                      },
                    ],
                  },
                  tell('ladder-page.rung-added'),
                )
              }
            >
              {tell('ladder-page.add-a-rung')}
            </Button>
            {element.byHand.length > 1 && (
              <Button
                look="quiet"
                onClick={() =>
                  change({ byHand: element.byHand.slice(0, -1) }, tell('ladder-page.last-rung-taken-out'))
                }
              >
                {tell('ladder-page.take-the-last-one-out')}
              </Button>
            )}
          </p>
        )}
      </Sheet>
      <Sheet
        title={tell('ladder-page.be-careful')}
        aside={tell('ladder-page.general-cautions-your-vet-local')}
      >
        <div className="grid gap-2">
          {cautions.map((caution) => (
            <CautionNote key={caution.id} caution={caution} />
          ))}
        </div>
      </Sheet>
      {searched && (
        <StartFinder
          axis={searched}
          onClose={() => setFinding(null)}
          onFound={(start) =>
            rebuild(
              element.axes.map((one) => (one.key === searched.key ? { ...one, start } : one)),
              tell('ladder-page.start-set'),
            )
          }
        />
      )}
    </div>
  );
}

const startOf = (element: ElementRecord) =>
  Object.fromEntries(element.axes.map((axis) => [axis.key, axis.start]));

function setHandCell(
  element: ElementRecord,
  change: ReturnType<typeof useElementChange>,
  axis: ElementRecord['axes'][number],
  index: number,
  text: string,
): string | null {
  const value = readCell(axis, text);
  if (!value.ok) return wordsOf(value.message);
  const byHand = element.byHand.map((rung, i) =>
    i === index ? { ...rung, criteria: { ...rung.criteria, [axis.key]: value.value } } : rung,
  );
  change({ byHand }, tell('ladder-page.rung-set-by-hand', { index: index + 1 }));
  return null;
}

function planned(element: ElementRecord, rung: number, axis: AxisKey): ElementRecord['byHand'] {
  return element.byHand.map((one, i) => (i === rung ? { ...one, eases: [...one.eases, axis] } : one));
}

/** By hand begins with the rungs that stood there, so that nothing has to be typed twice. */
function withRule(
  element: ElementRecord,
  rule: LadderRule,
  rungs: Opened['ladder']['rungs'],
): Partial<ElementRecord> {
  if (rule !== 'by-hand' || element.byHand.length > 0) return { ladderRule: rule };
  return {
    ladderRule: rule,
    byHand: rungs.map((rung) => ({
      criteria: { ...rung.criteria },
      eases: rung.eases.map((key) => asId<AxisKey>(key)),
    })),
  };
}

const RULE_TITLES: Readonly<Record<LadderRule, string>> = {
  'one-axis': tell('ladder-page.one-criterion-at-a-time'),
  'round-robin': tell('ladder-page.the-criteria-in-turn'),
  'by-hand': tell('ladder-page.by-hand'),
};
const RULE_TOASTS: Readonly<Record<LadderRule, string>> = {
  'one-axis': tell('ladder-page.one-criterion-at-a-time-2'),
  'round-robin': tell('ladder-page.the-criteria-take-a-step-in-turn'),
  'by-hand': tell('ladder-page.the-rungs-are-yours-to-set'),
};

function RuleChoice({
  element,
  onChoose,
}: {
  readonly element: ElementRecord;
  readonly onChoose: (rule: LadderRule) => void;
}) {
  return (
    <SelectField
      label={tell('ladder-page.how-the-rungs-are-laid')}
      shown={tell('ladder-page.laid')}
      beside
      look="min-h-9 bg-paper px-1 text-base text-ink"
      value={element.ladderRule}
      options={LADDER_RULES.map((rule) => ({ value: rule, words: RULE_TITLES[rule] }))}
      onChange={onChoose}
    />
  );
}
