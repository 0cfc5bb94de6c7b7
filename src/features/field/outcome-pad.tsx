import { type MouseEvent, useEffect, useState } from 'react';
import { type FaultRef, faultText, sameFault } from '@/core/rulebooks';
import type { NamedFault } from '@/data/read';
import { Button } from '@/ui';
import { useHand } from './hand-store';
import { KeyHint } from './keys';
import { usePad } from './pad-store';
import type { PadView } from './pad-view';
import { TIMING_WORDS, TIMINGS } from './rep-words';
import type { PadActions } from './use-pad-actions';

type Props = { readonly view: PadView; readonly actions: PadActions };

// After a tap the focus would stay on the button, and the next Space would press it again instead
// of stamping a cue.
const letGo = (event: MouseEvent<HTMLButtonElement>): void => {
  if (event.detail > 0) event.currentTarget.blur();
};

/** The judgement of a rep: one tap, or two where a fault is named. */
export function OutcomePad({ view, actions }: Props) {
  const { choosing, choose } = usePad();
  const leftHanded = useHand((state) => state.leftHanded);
  if (choosing !== 'outcome') {
    const faults = choosing === 'miss' ? view.misses : view.flaws;
    return (
      <FaultChoice
        faults={faults}
        noted={choosing === 'miss' ? [] : view.noted}
        actions={actions}
        of={choosing === 'miss' ? 'miss' : 'flawed'}
        onBack={() => choose('outcome')}
      />
    );
  }
  if (view.transfer) return <TimingPad actions={actions} />;
  if (view.grades.length > 0)
    return (
      <div className="grid gap-2">
        <ListPad
          label="How far did it go?"
          names={view.grades.map(({ name }, i) => (i === view.gradeAsked ? `${name} (asked)` : name))}
          busy={actions.busy}
          onPick={(i) => view.grades[i] && actions.press({ tap: 'graded', grade: view.grades[i].id })}
          bounces={(i) => {
            const grade = view.grades[i]?.id;
            return grade !== undefined && actions.bounces({ tap: 'graded', grade });
          }}
          best={view.gradeAsked}
        />
        <Button
          size="big"
          className="justify-start"
          disabled={actions.busy}
          aria-disabled={actions.bounces({ tap: 'graded', grade: null }) || undefined}
          onClick={(event) => {
            letGo(event);
            actions.press({ tap: 'graded', grade: null });
          }}
        >
          Backs away
        </Button>
      </div>
    );
  if (view.links.length > 0) return <ChainPad view={view} actions={actions} />;
  if (view.byDrive) return <DrivePad actions={actions} onOther={() => choose('flaw')} />;
  const target = (
    outcome: 'clean' | 'flawed' | 'miss',
    words: string,
    look: 'signal' | 'plain',
    className = '',
  ) => (
    <Button
      size="huge"
      look={look}
      className={className}
      disabled={actions.busy}
      aria-disabled={actions.bounces({ tap: outcome }) || undefined}
      onClick={(event) => {
        letGo(event);
        actions.press({ tap: outcome });
      }}
    >
      {words}
      <KeyHint action={outcome} />
    </Button>
  );
  return (
    <fieldset className="grid grid-cols-2 gap-2.5 lg:gap-3" aria-label="Outcome of the rep">
      {target('clean', 'Clean', 'signal', 'col-span-2 min-h-20 text-3xl lg:min-h-28')}
      {target('flawed', 'Flawed', 'plain', leftHanded ? 'order-last' : '')}
      {target('miss', 'Miss', 'plain')}
    </fieldset>
  );
}

type ListProps = {
  readonly label: string;
  readonly names: readonly string[];
  readonly busy: boolean;
  readonly onPick: (index: number) => void;
  /** The one that stands out. */
  readonly best: number;
  readonly bounces: (index: number) => boolean;
};

/** One tap from an ordered list, best at the top, under the thumb's longest reach. */
function ListPad({ label, names, busy, onPick, best, bounces }: ListProps) {
  return (
    <fieldset className="grid gap-2" aria-label={label}>
      {names
        .map((name, i) => (
          <Button
            key={name}
            size="big"
            look={i === best ? 'signal' : 'plain'}
            className="justify-between text-left"
            disabled={busy}
            aria-disabled={bounces(i) || undefined}
            onClick={(event) => {
              letGo(event);
              onPick(i);
            }}
          >
            {name.replace(/^./, (letter) => letter.toUpperCase())}
            <KeyHint shown={String(i + 1)} />
          </Button>
        ))
        .reverse()}
    </fieldset>
  );
}

/**
 * A run of a chain: clean, or the link at which it broke. Earlier links held; later ones were not
 * reached.
 */
function ChainPad({ view, actions }: Props) {
  return (
    <div className="grid gap-2.5">
      <Button
        size="huge"
        look="signal"
        className="min-h-20 text-3xl"
        disabled={actions.busy}
        aria-disabled={actions.bounces({ tap: 'clean' }) || undefined}
        onClick={(event) => {
          letGo(event);
          actions.press({ tap: 'clean' });
        }}
      >
        Whole chain clean
      </Button>
      <p className="font-semibold">Or: it broke at</p>
      <ListPad
        label="Where did it break?"
        names={view.links.map((link) => link.title).reverse()}
        busy={actions.busy}
        onPick={(i) => actions.press({ tap: 'broke', link: view.links.length - 1 - i })}
        bounces={(i) => actions.bounces({ tap: 'broke', link: view.links.length - 1 - i })}
        best={-1}
      />
    </div>
  );
}

/**
 * A send says its drive with the one tap that logs it: only full drive makes it longer, and a refusal is
 * asked about.
 */
function DrivePad({ actions, onOther }: { readonly actions: PadActions; readonly onOther: () => void }) {
  const send = (
    drive: 'full' | 'went' | 'refused',
    words: string,
    key: 'clean' | 'flawed' | 'miss',
    className = '',
  ) => (
    <Button
      size="huge"
      look={drive === 'full' ? 'signal' : 'plain'}
      className={className}
      disabled={actions.busy}
      aria-disabled={actions.bounces({ tap: 'drive', drive }) || undefined}
      onClick={(event) => {
        letGo(event);
        actions.press({ tap: 'drive', drive });
      }}
    >
      {words}
      <KeyHint action={key} />
    </Button>
  );
  return (
    <fieldset className="grid grid-cols-2 gap-2.5 lg:gap-3" aria-label="How did it go?">
      {send('full', 'Full drive', 'clean', 'col-span-2 min-h-20 text-3xl lg:min-h-28')}
      {send('went', 'Went', 'flawed')}
      {send('refused', 'Refused', 'miss')}
      <Button size="big" className="col-span-2" disabled={actions.busy} onClick={onOther}>
        It went, with a fault
      </Button>
    </fieldset>
  );
}

/** Where a new cue takes over from an old prompt, a rep is judged by when the answer came. */
function TimingPad({ actions }: { readonly actions: PadActions }) {
  return (
    <fieldset className="grid grid-cols-2 gap-2.5 lg:gap-3" aria-label="When did the answer come?">
      {TIMINGS.map((timing, i) => (
        <Button
          key={timing}
          size="huge"
          look={timing === 'in-gap' || timing === 'unprompted' ? 'signal' : 'plain'}
          className="text-lg leading-tight"
          disabled={actions.busy}
          aria-disabled={actions.bounces({ tap: 'timed', timing }) || undefined}
          onClick={(event) => {
            letGo(event);
            actions.press({ tap: 'timed', timing });
          }}
        >
          {TIMING_WORDS[timing].replace(/^./, (letter) => letter.toUpperCase())}
          <KeyHint shown={String(i + 1)} />
        </Button>
      ))}
    </fieldset>
  );
}

type ChoiceProps = {
  readonly faults: readonly NamedFault[];
  readonly noted: readonly FaultRef[];
  readonly actions: PadActions;
  readonly of: 'flawed' | 'miss';
  readonly onBack: () => void;
};

/** Milliseconds before the faults that opened under the thumb take a tap: the one that opened them may bounce. */
const ARMED = 300;

function FaultChoice({ faults, noted, actions, of, onBack }: ChoiceProps) {
  const [armed, setArmed] = useState(false);
  useEffect(() => {
    const timer = setTimeout(() => setArmed(true), ARMED);
    return () => clearTimeout(timer);
  }, []);
  const name = (fault: NamedFault | null): void => {
    if (armed) actions.press({ tap: 'fault', of, fault });
  };
  const title = of === 'miss' ? 'What happened?' : 'Which fault?';
  return (
    <fieldset className="border-2 border-ink bg-sheet p-3">
      <legend className="float-left mb-2 text-xl font-bold">{title}</legend>
      <div className="clear-both grid gap-2">
        {faults.map((fault, i) => (
          <Button
            key={faultText(fault.ref)}
            size="big"
            className="justify-start text-left"
            disabled={actions.busy}
            aria-disabled={armed ? undefined : true}
            onClick={() => name(fault)}
          >
            <span className="min-w-6 text-ink-soft">{i + 1}</span>
            <span>
              {fault.label}
              {fault.by === 'handler' && ' (handler)'}
              {noted.some((one) => sameFault(one, fault.ref)) && ' (only noted here)'}
            </span>
          </Button>
        ))}
        <div className="grid grid-cols-2 gap-2">
          <Button
            size="big"
            disabled={actions.busy}
            aria-disabled={armed ? undefined : true}
            onClick={() => name(null)}
          >
            Not named
          </Button>
          <Button size="big" look="quiet" onClick={onBack}>
            Back
          </Button>
        </div>
      </div>
    </fieldset>
  );
}
