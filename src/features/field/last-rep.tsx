import { ToggleGroup } from 'radix-ui';
import type { Cause } from '@/core/log';
import { faultText, sameFault } from '@/core/rulebooks';
import { Button } from '@/ui';
import { wordsOf } from '@/words';
import { othersOf } from './chips';
import { useHand } from './hand-store';
import type { PadView } from './pad-view';
import type { PadActions } from './use-pad-actions';
import { tell } from './words';

const CAUSES: readonly { readonly cause: Cause; readonly words: string }[] = [
  { cause: 'dog', words: tell('last-rep.dog') },
  { cause: 'handler', words: tell('last-rep.handler') },
  { cause: 'apparatus', words: tell('last-rep.kit') },
  { cause: 'environment', words: tell('last-rep.place') },
];

const CHIP =
  'min-h-14 min-w-14 flex-auto border-2 border-ink bg-sheet px-1.5 text-base leading-tight data-[state=on]:bg-ink data-[state=on]:text-paper data-[state=on]:font-bold';

type Props = { readonly view: PadView; readonly actions: PadActions };

/**
 * The rep just logged: what the measures made of it and the tap that says otherwise, whose doing it
 * was, whether it was helped, more faults of the same go, and the one touch that takes it back.
 */
export function LastRep({ view, actions }: Props) {
  const { last } = view;
  const leftHanded = useHand((state) => state.leftHanded);
  if (!last) return null;
  const aided = last.judged.aids.length > 0;
  return (
    <section aria-label={tell('last-rep.last-rep')} className="border-2 border-rule p-3">
      <div className={`mb-2 flex items-center justify-between gap-3 ${leftHanded ? 'flex-row-reverse' : ''}`}>
        <p className="text-lg leading-snug">
          <span className="font-bold">{tell('last-rep.last-rep')} </span>
          {view.lastInWords}
        </p>
        <Button
          size="big"
          className="max-lg:!hidden"
          aria-disabled={actions.busy || undefined}
          onClick={actions.undo}
        >
          {tell('last-rep.undo')}
        </Button>
      </div>
      <Proposed view={view} actions={actions} />
      <div className="flex flex-wrap gap-1.5">
        <ToggleGroup.Root
          type="single"
          aria-label={tell('last-rep.whose-doing')}
          value={last.judged.cause}
          onValueChange={(cause) => cause !== '' && actions.tap({ tap: 'cause', cause: cause as Cause })}
          className="flex flex-auto flex-wrap gap-1.5"
          aria-disabled={actions.busy || undefined}
        >
          {CAUSES.map(({ cause, words }) => (
            <ToggleGroup.Item key={cause} value={cause} className={CHIP}>
              {words}
            </ToggleGroup.Item>
          ))}
        </ToggleGroup.Root>
        <button
          type="button"
          aria-pressed={aided}
          data-state={aided ? 'on' : 'off'}
          aria-disabled={actions.busy || undefined}
          onClick={() =>
            actions.tap(
              aided ? { tap: 'say', change: { judged: { aids: [] } } } : { tap: 'aid', aid: 'unsaid' },
            )
          }
          className={CHIP}
        >
          {tell('last-rep.aided')}
        </button>
      </div>
      <MoreFaults view={view} actions={actions} />
      <Instead view={view} actions={actions} />
    </section>
  );
}

/** What was measured and speaks against what was called, and the one tap that says otherwise. */
function Proposed({ view, actions }: Props) {
  if (!view.proposal) return null;
  return (
    <div
      role="status"
      aria-label={tell('last-rep.measured')}
      className="mb-2 border-l-[6px] border-signal bg-sheet px-3 py-2"
    >
      <p className="mb-2 leading-snug">{view.proposal.words}</p>
      <div className="flex flex-wrap gap-1.5">
        {view.proposal.otherwise.map(({ as, words }) => (
          <Button
            key={as}
            size="big"
            aria-disabled={actions.busy || undefined}
            onClick={() => actions.tap({ tap: 'otherwise', as })}
          >
            {words}
          </Button>
        ))}
      </div>
    </div>
  );
}

/** What it did instead of what was asked, where that is one of a few: one tap. */
function Instead({ view, actions }: Props) {
  const { last } = view;
  const others = last ? othersOf(view.chips, last) : [];
  if (!last || last.judged.outcome === 'clean' || others.length === 0 || others.length > MOST_OTHERS)
    return null;
  return (
    <fieldset className="mt-2">
      <legend className="text-base font-semibold">{tell('last-rep.it-did-instead')}</legend>
      <div className="mt-1 flex flex-wrap gap-1.5">
        {others.map((instead) => (
          <button
            key={instead}
            type="button"
            aria-pressed={last.seen.instead === instead}
            data-state={last.seen.instead === instead ? 'on' : 'off'}
            aria-disabled={actions.busy || undefined}
            className={CHIP}
            onClick={() => actions.tap({ tap: 'say', change: { seen: { instead } } })}
          >
            {instead}
          </button>
        ))}
      </div>
    </fieldset>
  );
}

const MOST_OTHERS = 8;

/** Several faults in one go: each further one is a tap on the rep that is logged already. */
function MoreFaults({ view, actions }: Props) {
  const { last } = view;
  if (!last || last.judged.outcome === 'clean' || view.flaws.length === 0) return null;
  const has = (fault: (typeof view.flaws)[number]): boolean =>
    last.judged.faults.some((one) => sameFault(one, fault.ref));
  return (
    <fieldset className="mt-2">
      <legend className="text-base font-semibold">{tell('last-rep.in-the-same-rep')}</legend>
      <div className="mt-1 flex flex-wrap gap-1.5">
        {view.flaws.map((fault) => (
          <button
            key={faultText(fault.ref)}
            type="button"
            aria-pressed={has(fault)}
            data-state={has(fault) ? 'on' : 'off'}
            aria-disabled={actions.busy || undefined}
            className={CHIP}
            onClick={() => actions.tap({ tap: 'also', fault: fault.ref })}
          >
            {wordsOf(fault.label)}
          </button>
        ))}
      </div>
    </fieldset>
  );
}
