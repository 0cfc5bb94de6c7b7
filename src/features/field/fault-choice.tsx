import { useEffect, useLayoutEffect, useRef, useState } from 'react';
import { type FaultRef, faultText, sameFault } from '@/core/rulebooks';
import type { NamedFault } from '@/data/read';
import { Button } from '@/ui';
import { wordsOf } from '@/words';
import { letGo } from './tap-button';
import type { PadActions } from './use-pad-actions';
import { tell } from './words';

type Props = {
  readonly faults: readonly NamedFault[];
  readonly noted: readonly FaultRef[];
  readonly actions: PadActions;
  readonly of: 'flawed' | 'miss';
  readonly onBack: () => void;
};

/** Milliseconds before the faults that opened under the thumb take a tap: the one that opened them may bounce. */
const ARMED = 300;

/**
 * The faults open where the judgement was, the most frequent nearest to the thumb: on a telephone at the
 * bottom, where the list grows upwards.
 */
export function FaultChoice({ faults, noted, actions, of, onBack }: Props) {
  const armed = useArmed();
  const first = useRef<HTMLButtonElement>(null);
  useLayoutEffect(() => {
    // The button that opened this is gone: whoever stood on it stands on the first fault.
    if (document.activeElement === document.body) first.current?.focus({ preventScroll: true });
  }, []);
  const name = (fault: NamedFault | null): void => {
    if (armed) actions.tap({ tap: 'fault', of, fault });
  };
  const waits = armed && !actions.busy ? undefined : true;
  return (
    <fieldset className="border-2 border-ink bg-sheet p-2">
      <legend className="float-left mb-2 text-xl font-bold">
        {tell('fault-choice.what-happened', { of: of === 'miss' })}
      </legend>
      <div className="clear-both flex flex-col-reverse gap-2 lg:flex-col">
        {faults.map((fault, i) => (
          <Button
            key={faultText(fault.ref)}
            ref={i === 0 ? first : undefined}
            size="big"
            className="!justify-start text-left"
            aria-disabled={waits}
            onClick={(event) => {
              letGo(event);
              name(fault);
            }}
          >
            <span className="min-w-6 text-ink-soft">{i + 1}</span>
            <span>
              {wordsOf(fault.label)}
              {fault.by === 'handler' && tell('fault-choice.handler')}
              {noted.some((one) => sameFault(one, fault.ref)) && tell('fault-choice.only-noted-here')}
            </span>
          </Button>
        ))}
      </div>
      <div className="mt-2 grid grid-cols-2 gap-2">
        <Button
          ref={faults.length === 0 ? first : undefined}
          size="big"
          aria-disabled={waits}
          onClick={(event) => {
            letGo(event);
            name(null);
          }}
        >
          {tell('fault-choice.not-named')}
        </Button>
        <Button
          size="big"
          look="quiet"
          onClick={(event) => {
            letGo(event);
            onBack();
          }}
        >
          {tell('fault-choice.back')}
        </Button>
      </div>
    </fieldset>
  );
}

function useArmed(): boolean {
  const [armed, setArmed] = useState(false);
  useEffect(() => {
    const timer = setTimeout(() => setArmed(true), ARMED);
    return () => clearTimeout(timer);
  }, []);
  return armed;
}
