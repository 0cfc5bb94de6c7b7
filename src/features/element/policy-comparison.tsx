import { useMemo, useState } from 'react';
import { type Policy, RULE_WORDS, type RuleKind, USUAL_RULES } from '@/core/coaching';
import {
  isComparable,
  type PolicyOutcome,
  type PolicyQuestion,
  type Spread,
  USUAL_SCHEDULE,
  USUAL_TEMPERAMENT,
} from '@/core/learner';
import { seedFromText } from '@/core/shared';
import { useKennel } from '@/data/live';
import { repsOn } from '@/data/read';
import { Button, Notice, newestOf, Sheet, useLatest } from '@/ui';
import { wordsOf, writeDigits } from '@/words';
import { ask } from '@/workers/client';
import type { Opened } from './element-room';
import { tell } from './words';

const RUNS = 200;

/**
 * Each rule on many simulated dogs like this one. The assumptions decide much of it, so they stand
 * beside it and no winner is named.
 */
export function PolicyComparison({ element, state }: Opened) {
  const { today } = useKennel();
  const [asked, setAsked] = useState<PolicyQuestion | null>(null);
  const job = useMemo(
    () =>
      asked
        ? (signal: AbortSignal, onProgress: (share: number) => void) =>
            ask(
              { kind: 'compare-policies', question: asked },
              { signal, onSaid: (said) => typeof said === 'number' && onProgress(said) },
            )
        : null,
    [asked],
  );
  const latest = useLatest(job);
  const found = newestOf(latest);
  const policies = rivals(element.policy);
  const compare = (): void =>
    setAsked({
      evidence: { id: element.id, axes: element.axes, bouts: state.evidence.get(element.id) ?? [] },
      plan: element,
      policies,
      temperament: USUAL_TEMPERAMENT,
      schedule: USUAL_SCHEDULE,
      today,
      runs: RUNS,
      seed: seedFromText(element.id),
    });
  return (
    <Sheet
      title={tell('policy-comparison.rules-compared-on-dogs-like-this')}
      aside={tell('policy-comparison.simulated-dogs-for-each-rule', { RUNS })}
    >
      <p className="mb-3 max-w-4xl leading-snug">
        {tell('policy-comparison.from-the-start-of-this-ladder-to', {
          repsOn: repsOn(state.evidence, element.id),
        })}
      </p>
      {latest.state === 'failed' && <Notice tone="alert">{wordsOf(latest.failure.message)}</Notice>}
      {latest.state === 'working' ? (
        <p className="flex flex-wrap items-center gap-4" role="status">
          {tell('policy-comparison.climbing', { round: Math.round(latest.share * 100) })}
          <Button onClick={() => setAsked(null)}>{tell('policy-comparison.stop')}</Button>
        </p>
      ) : (
        <Button look="ink" onClick={compare}>
          {tell('policy-comparison.compare-again', { found: Boolean(found) })}
        </Button>
      )}
      {found && latest.state === 'ready' && <Outcomes found={found} own={element.policy.rule.kind} />}
    </Sheet>
  );
}

/** The element's own rule first, then the usual ones that a clean rate can decide. */
function rivals(own: Policy): Policy[] {
  const kinds: readonly RuleKind[] = ['run', 'block', 'sequential', 'stretch'];
  const mine = isComparable(own.rule.kind) ? [own] : [];
  return [
    ...mine,
    ...kinds
      .filter((kind) => kind !== own.rule.kind)
      .map((kind) => ({ rule: USUAL_RULES[kind], pace: own.pace })),
  ];
}

const MEASURES = [
  { key: 'sessions', title: tell('policy-comparison.sessions-to-the-end'), digits: 0, percent: false },
  { key: 'reps', title: tell('policy-comparison.reps'), digits: 0, percent: false },
  { key: 'misses', title: tell('policy-comparison.misses-met'), digits: 0, percent: false },
  { key: 'sure', title: tell('policy-comparison.truly-clean-at-the-demand-then'), digits: 0, percent: true },
] as const;

function Outcomes({ found, own }: { readonly found: readonly PolicyOutcome[]; readonly own: RuleKind }) {
  return (
    <>
      <div className="mt-5 grid gap-x-8 gap-y-6 md:grid-cols-2">
        {MEASURES.map((measure) => (
          <Measure key={measure.key} measure={measure} found={found} own={own} />
        ))}
      </div>
      <p className="mt-4 leading-snug">
        {tell('policy-comparison.within-sessions-the-others-are-not', {
          found: found
            .map((one) =>
              tell('policy-comparison.arrived', {
                title: RULE_WORDS[one.kind].title,
                round: Math.round(one.arrived * 100),
              }),
            )
            .join('; '),
          mostSessions: USUAL_SCHEDULE.mostSessions,
        })}
      </p>
      <Assumed />
    </>
  );
}

type MeasureProps = {
  readonly measure: (typeof MEASURES)[number];
  readonly found: readonly PolicyOutcome[];
  readonly own: RuleKind;
};

/**
 * One measure for all rules on one scale: the bar spans the middle 80 dogs of 100, the tick is the
 * middle one.
 */
function Measure({ measure, found, own }: MeasureProps) {
  const scale = measure.percent ? 1 : Math.max(1, ...found.map((one) => one[measure.key]?.high ?? 0));
  const write = (value: number): string =>
    measure.percent ? `${Math.round(value * 100)} %` : writeDigits(value, measure.digits);
  return (
    <section>
      <h3 className="mb-1 font-semibold">{measure.title}</h3>
      <ul className="grid gap-2">
        {found.map((one) => (
          <li key={one.kind} className="grid grid-cols-[9.5rem_1fr] items-center gap-3">
            <span className="text-sm leading-tight">
              {wordsOf(RULE_WORDS[one.kind].title)}
              {one.kind === own && (
                <span className="block text-ink-soft">{tell('policy-comparison.your-rule')}</span>
              )}
            </span>
            <SpreadBar spread={one[measure.key]} scale={scale} write={write} />
          </li>
        ))}
      </ul>
    </section>
  );
}

function SpreadBar({
  spread,
  scale,
  write,
}: {
  readonly spread: Spread | null;
  readonly scale: number;
  readonly write: (value: number) => string;
}) {
  if (!spread) return <span className="text-sm text-ink-soft">{tell('policy-comparison.none-arrived')}</span>;
  const at = (value: number): string => `${(value / scale) * 100}%`;
  return (
    <div>
      <div aria-hidden="true" className="relative h-4 border-b border-rule">
        <div
          className="hatch absolute top-0.5 h-3 border-x-2 border-ink"
          style={{
            left: at(spread.low),
            width: `${Math.max(0.5, ((spread.high - spread.low) / scale) * 100)}%`,
          }}
        />
        <div className="absolute top-0 h-4 w-1 -translate-x-1/2 bg-ink" style={{ left: at(spread.mid) }} />
      </div>
      <p className="text-sm leading-tight">
        <span className="font-semibold">{write(spread.mid)}</span>{' '}
        <span className="text-ink-soft">
          {tell('policy-comparison.to', { write: write(spread.low), write2: write(spread.high) })}
        </span>
      </p>
    </div>
  );
}

function Assumed() {
  const { daySd, learning, forgetting, fatigue, dismay } = USUAL_TEMPERAMENT;
  return (
    <p className="mt-3 max-w-4xl border-l-[6px] border-rule bg-paper px-3 py-2 text-sm leading-snug">
      {tell('policy-comparison.the-bars-span-8-dogs-in-10-the', {
        repsPerSession: USUAL_SCHEDULE.repsPerSession,
        everyDays: USUAL_SCHEDULE.everyDays,
        learning,
        forgetting,
        daySd,
        fatigue,
        dismay,
      })}
    </p>
  );
}
