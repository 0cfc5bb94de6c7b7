import type { MouseEvent } from 'react';
import { type FaultRef, faultText, sameFault } from '@/core/rulebooks';
import type { NamedFault } from '@/data/read';
import { Button } from '@/ui';
import { useHand } from './hand-store';
import { KeyHint } from './keys';
import { usePad } from './pad-store';
import { type PadView, TIMING_WORDS, TIMINGS } from './pad-view';
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
        title={choosing === 'miss' ? 'What happened?' : 'Which fault?'}
        onBack={() => choose('outcome')}
      />
    );
  }
  if (view.transfer) return <TimingPad actions={actions} />;
  if (view.grades.length > 0)
    return (
      <ListPad
        label="How far did it go?"
        names={view.grades.map((grade) => grade.name)}
        busy={actions.busy}
        onPick={(i) => view.grades[i] && actions.graded(view.grades[i].id)}
        best={view.grades.length - 1}
      />
    );
  if (view.links.length > 0) return <ChainPad view={view} actions={actions} />;
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
      onClick={(event) => {
        letGo(event);
        actions.outcome(outcome);
      }}
    >
      {words}
      <KeyHint action={outcome} />
    </Button>
  );
  return (
    <fieldset className="grid grid-cols-2 gap-2.5 lg:gap-3" aria-label="Outcome of the rep">
      {target('clean', 'Clean', 'signal', 'col-span-2 min-h-24 text-3xl lg:min-h-28')}
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
};

/** One tap from an ordered list, best at the top, under the thumb's longest reach. */
function ListPad({ label, names, busy, onPick, best }: ListProps) {
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
        className="min-h-24 text-3xl"
        disabled={actions.busy}
        onClick={(event) => {
          letGo(event);
          actions.outcome('clean');
        }}
      >
        Whole chain clean
      </Button>
      <p className="font-semibold">Or: it broke at</p>
      <ListPad
        label="Where did it break?"
        names={view.links.map((link) => link.title).reverse()}
        busy={actions.busy}
        onPick={(i) => actions.brokeAt(view.links.length - 1 - i)}
        best={-1}
      />
    </div>
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
          onClick={(event) => {
            letGo(event);
            actions.timed(timing);
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
  readonly title: string;
  readonly onBack: () => void;
};

function FaultChoice({ faults, noted, actions, title, onBack }: ChoiceProps) {
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
            onClick={() => actions.name(fault)}
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
          <Button size="big" disabled={actions.busy} onClick={() => actions.name(null)}>
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
