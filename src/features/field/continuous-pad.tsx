import { useEffect, useState } from 'react';
import type { LegsSeen } from '@/core/log';
import { type FaultRef, faultText, sameFault } from '@/core/rulebooks';
import { Button } from '@/ui';
import { wordsOf } from '@/words';
import { tell } from './later-words';
import type { PadView } from './pad-view';
import type { PadActions } from './use-pad-actions';

type Stamp = LegsSeen['stamps'][number];
type Props = {
  readonly legs: readonly string[];
  readonly view: PadView;
  readonly actions: PadActions;
};
type Run = { readonly since: number; readonly leg: number; readonly stamps: readonly Stamp[] };

/**
 * Continuous work such as heeling: a clock that runs on, the leg it is on, and faults stamped as
 * they happen.
 */
export function ContinuousPad({ legs, view, actions }: Props) {
  const [run, setRun] = useState<Run | null>(null);
  const seconds = (since: number): number => Math.round((performance.now() - since) / 100) / 10;
  if (!run)
    return (
      <Button
        look="signal"
        size="huge"
        className="min-h-28 text-3xl"
        aria-disabled={actions.busy || undefined}
        onClick={() => setRun({ since: performance.now(), leg: 0, stamps: [] })}
      >
        {tell('continuous-pad.start-the-clock')}
      </Button>
    );
  const leg = legs[run.leg] ?? '';
  const stop = (endedBy: 'handler' | 'dog'): void => {
    const whole = { kind: 'legs', seconds: seconds(run.since), stamps: run.stamps } as const;
    actions.tap({ tap: 'ran', run: whole, endedBy });
    setRun(null);
  };
  const stamp = (fault: FaultRef): void =>
    setRun({ ...run, stamps: [...run.stamps, { leg, fault, at: seconds(run.since) }] });
  return (
    <section aria-label={tell('continuous-pad.running-work')} className="grid gap-2.5">
      <p className="flex items-baseline justify-between border-2 border-ink bg-ink px-4 py-2 text-paper">
        <span className="text-2xl font-bold">{leg}</span>
        <Clock since={run.since} />
      </p>
      <fieldset className="flex flex-wrap gap-1.5" aria-label={tell('continuous-pad.leg')}>
        {legs.map((name, i) => (
          <Button
            key={name}
            size="big"
            className="px-2"
            look={i === run.leg ? 'ink' : 'plain'}
            aria-pressed={i === run.leg}
            onClick={() => setRun({ ...run, leg: i })}
          >
            {name}
          </Button>
        ))}
      </fieldset>
      <fieldset className="grid grid-cols-2 gap-1.5" aria-label={tell('continuous-pad.fault')}>
        {view.flaws.map((fault) => {
          const times = run.stamps.filter((one) => sameFault(one.fault, fault.ref)).length;
          return (
            <Button
              key={faultText(fault.ref)}
              size="big"
              className="justify-between px-3 text-left"
              onClick={() => stamp(fault.ref)}
            >
              {wordsOf(fault.label)}
              {times > 0 && <span className="font-bold">{times}</span>}
            </Button>
          );
        })}
      </fieldset>
      <div className="grid grid-cols-2 gap-2">
        <Button
          size="big"
          disabled={run.stamps.length === 0}
          onClick={() => setRun({ ...run, stamps: run.stamps.slice(0, -1) })}
        >
          {tell('continuous-pad.last-stamp-back')}
        </Button>
        <Button
          size="big"
          look="signal"
          aria-disabled={actions.busy || undefined}
          onClick={() => stop('handler')}
        >
          {tell('continuous-pad.stop-and-log-it')}
        </Button>
        <Button
          size="big"
          className="col-span-2"
          aria-disabled={actions.busy || undefined}
          onClick={() => stop('dog')}
        >
          {tell('continuous-pad.the-dog-left-it')}
        </Button>
      </div>
    </section>
  );
}

function Clock({ since }: { readonly since: number }) {
  const [now, setNow] = useState(since);
  useEffect(() => {
    const timer = setInterval(() => setNow(performance.now()), 200);
    return () => clearInterval(timer);
  }, []);
  const whole = Math.max(0, Math.floor((now - since) / 1000));
  return (
    <span aria-hidden="true" className="text-3xl font-extrabold">
      {Math.floor(whole / 60)}:{String(whole % 60).padStart(2, '0')}
    </span>
  );
}
