import { lazy, Suspense, useLayoutEffect, useRef } from 'react';
import { Button } from '@/ui';
import { FaultChoice } from './fault-choice';
import { useHand } from './hand-store';
import type { JudgedBy } from './judged-by';
import { KeyHint } from './keys';
import { usePad } from './pad-store';
import type { PadView } from './pad-view';
import { TIMING_WORDS, TIMINGS } from './rep-words';
import type { Tap } from './tap';
import { letGo, TapButton } from './tap-button';
import type { PadActions } from './use-pad-actions';
import { WholePad } from './whole-pad';
import { tell } from './words';

type Props = { readonly view: PadView; readonly actions: PadActions };

/** The judgement of a rep: one tap, or two where a fault is named. */
export function OutcomePad({ view, actions }: Props) {
  const { choosing, choose } = usePad();
  const home = useRef<HTMLDivElement>(null);
  const chose = useRef(false);
  useLayoutEffect(() => {
    // The fault that was named is gone from the screen: whoever stood on it stands on the best outcome.
    if (chose.current && choosing === 'outcome' && document.activeElement === document.body)
      home.current?.querySelector('button')?.focus({ preventScroll: true });
    chose.current = choosing !== 'outcome';
  }, [choosing]);
  return (
    <div ref={home}>
      {choosing === 'outcome' ? (
        <Judgement by={view.by} actions={actions} onOther={() => choose('flaw')} />
      ) : (
        <FaultChoice
          faults={choosing === 'miss' ? view.misses : view.flaws}
          noted={choosing === 'miss' ? [] : view.noted}
          actions={actions}
          of={choosing === 'miss' ? 'miss' : 'flawed'}
          onBack={() => choose('outcome')}
        />
      )}
    </div>
  );
}

const ScenePad = lazy(async () => ({ default: (await import('./scene-pad')).ScenePad }));

type JudgementProps = {
  readonly by: JudgedBy;
  readonly actions: PadActions;
  readonly onOther: () => void;
};

function Judgement({ by, actions, onOther }: JudgementProps) {
  switch (by.kind) {
    case 'timed':
      return <TimingPad actions={actions} />;
    case 'graded':
      return <GradePad by={by} actions={actions} />;
    case 'scene':
      return (
        <Suspense>
          <ScenePad by={by} actions={actions} onOther={onOther} />
        </Suspense>
      );
    case 'chain':
      return <ChainPad links={by.links} actions={actions} />;
    case 'drive':
      return <DrivePad actions={actions} onOther={onOther} />;
    case 'outcome':
      return <Outcomes actions={actions} />;
    case 'whole':
      return <WholePad by={by} actions={actions} />;
    // These have pads of their own.
    case 'legs':
    case 'game':
    case 'articles':
      return null;
  }
}

/** The big one is under the thumb's middle; all three say their key. */
const BEST = 'col-span-2 min-h-20 text-3xl lg:min-h-28';
/** A pad with more rows is lower on a telephone, so that what is said above it can be read. */
const LOWER = 'max-lg:!min-h-16';

function Outcomes({ actions }: { readonly actions: PadActions }) {
  const leftHanded = useHand((state) => state.leftHanded);
  const target = (outcome: 'clean' | 'flawed' | 'miss', words: string, className = '') => (
    <TapButton
      size="huge"
      look={outcome === 'clean' ? 'signal' : 'plain'}
      className={className}
      actions={actions}
      says={{ tap: outcome }}
    >
      {words}
      <KeyHint action={outcome} />
    </TapButton>
  );
  return (
    <fieldset className="grid grid-cols-2 gap-2 lg:gap-3" aria-label={tell('outcome-pad.outcome-of-the-rep')}>
      {target('clean', tell('outcome-pad.clean'), BEST)}
      {target('flawed', tell('outcome-pad.flawed'), leftHanded ? 'order-last' : '')}
      {target('miss', tell('outcome-pad.miss'))}
    </fieldset>
  );
}

type ListProps = {
  readonly label: string;
  readonly rows: readonly { readonly words: string; readonly says: Tap; readonly key?: string }[];
  readonly actions: PadActions;
  /** The one that stands out. */
  readonly best?: number;
};

/** One tap from an ordered list, under the thumb's longest reach. */
function ListPad({ label, rows, actions, best }: ListProps) {
  return (
    <fieldset className="grid gap-2" aria-label={label}>
      {rows.map(({ words, says, key }, i) => (
        <TapButton
          key={words}
          size="big"
          look={i === best ? 'signal' : 'plain'}
          className="!justify-between text-left"
          actions={actions}
          says={says}
        >
          {words.replace(/^./, (letter) => letter.toUpperCase())}
          {key && <KeyHint shown={key} />}
        </TapButton>
      ))}
    </fieldset>
  );
}

/** By how far it went: the best at the top, and backing away below all of them. */
function GradePad({
  by,
  actions,
}: {
  readonly by: Extract<JudgedBy, { kind: 'graded' }>;
  readonly actions: PadActions;
}) {
  const rows = by.grades.map(({ id, name }, i) => ({
    words: i === by.asked ? tell('outcome-pad.asked', { name }) : name,
    says: { tap: 'graded', grade: id } as const,
    key: String(i + 1),
  }));
  return (
    <ListPad
      label={tell('outcome-pad.how-far-did-it-go')}
      rows={[
        ...rows.reverse(),
        { words: tell('outcome-pad.backs-away'), says: { tap: 'graded', grade: null } },
      ]}
      actions={actions}
      best={rows.length - 1 - by.asked}
    />
  );
}

/**
 * A run of a chain: clean, or the link at which it broke. Earlier links held; later ones were not
 * reached.
 */
function ChainPad({
  links,
  actions,
}: {
  readonly links: Extract<JudgedBy, { kind: 'chain' }>['links'];
  readonly actions: PadActions;
}) {
  return (
    <div className="grid gap-2">
      <TapButton
        size="huge"
        look="signal"
        className="min-h-20 text-3xl"
        actions={actions}
        says={{ tap: 'clean' }}
      >
        {tell('outcome-pad.whole-chain-clean')}
        <KeyHint action="clean" />
      </TapButton>
      <p className="font-semibold">{tell('outcome-pad.or-it-broke-at')}</p>
      <ListPad
        label={tell('outcome-pad.where-did-it-break')}
        rows={links.map(({ title }, link) => ({ words: title, says: { tap: 'broke', link } }))}
        actions={actions}
      />
    </div>
  );
}

/**
 * A send says its drive with the one tap that logs it: only full drive makes it longer, and a refusal is
 * asked about.
 */
function DrivePad({ actions, onOther }: Omit<JudgementProps, 'by'>) {
  const send = (
    drive: 'full' | 'went' | 'refused',
    words: string,
    key: 'clean' | 'flawed' | 'miss',
    className = '',
  ) => (
    <TapButton
      size="huge"
      look={drive === 'full' ? 'signal' : 'plain'}
      className={`${className} ${LOWER}`}
      actions={actions}
      says={{ tap: 'drive', drive }}
    >
      {words}
      <KeyHint action={key} />
    </TapButton>
  );
  return (
    <fieldset className="grid grid-cols-2 gap-2 lg:gap-3" aria-label={tell('outcome-pad.how-did-it-go')}>
      {send('full', tell('outcome-pad.full-drive'), 'clean', BEST)}
      {send('went', tell('outcome-pad.went'), 'flawed')}
      {send('refused', tell('outcome-pad.refused'), 'miss')}
      <Button
        size="big"
        className="col-span-2"
        onClick={(event) => {
          letGo(event);
          onOther();
        }}
      >
        {tell('outcome-pad.it-went-with-a-fault')}
      </Button>
    </fieldset>
  );
}

/** Where a new cue takes over from an old prompt, a rep is judged by when the answer came. */
function TimingPad({ actions }: { readonly actions: PadActions }) {
  return (
    <fieldset
      className="grid grid-cols-2 gap-2 lg:gap-3"
      aria-label={tell('outcome-pad.when-did-the-answer-come')}
    >
      {TIMINGS.map((timing, i) => (
        <TapButton
          key={timing}
          size="huge"
          look={timing === 'in-gap' || timing === 'unprompted' ? 'signal' : 'plain'}
          className="!min-h-16 text-lg leading-tight lg:!min-h-20"
          actions={actions}
          says={{ tap: 'timed', timing }}
        >
          {TIMING_WORDS[timing].replace(/^./, (letter) => letter.toUpperCase())}
          <KeyHint shown={String(i + 1)} />
        </TapButton>
      ))}
    </fieldset>
  );
}
