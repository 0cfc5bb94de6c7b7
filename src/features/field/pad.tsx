import { lazy, Suspense, useLayoutEffect, useMemo, useRef, useState } from 'react';
import type { Criteria } from '@/core/breakdown';
import type { FaultCount } from '@/core/evidence';
import type { CoachFacts, Entry } from '@/core/log';
import type { ElementId } from '@/core/shared';
import { useKennelWithDog, useSignals } from '@/data/live';
import { cuesOf, type DatedBout, type DogWork, type ElementRecord, ownCuesOf } from '@/data/read';
import { Button, Dock, Notice, PageTitle, RepMarks, Rod, SIGN_WORDS, saveText, useWakeLock } from '@/ui';
import { wordsOf } from '@/words';
import { AdviceLine } from './advice-line';
import { calledNext, useWordReach } from './called-next';
import { useCaller } from './caller-store';
import { ChipBar, MoreChips } from './chip-bar';
import { GapClock } from './gap-clock';
import { useHand } from './hand-store';
import { HoldClock } from './hold-clock';
import { usePadKeys } from './keys';
import { LastRep } from './last-rep';
import { usePad } from './pad-store';
import { PadBar, PadTools } from './pad-tools';
import { padView } from './pad-view';
import { RepPad } from './rep-pad';
import { StampButton } from './stamp-button';
import { TapButton } from './tap-button';
import { type PadActions, usePadActions } from './use-pad-actions';
import { tell } from './words';

type Props = {
  readonly element: ElementRecord;
  readonly work: DogWork;
  readonly bout: DatedBout;
  readonly entries: readonly Entry[];
  readonly facts: CoachFacts;
  /** How often each fault was seen before. */
  readonly seen: readonly FaultCount[];
  /** Where the dog stands on each link of an exercise that is run whole. */
  readonly stands?: ReadonlyMap<ElementId, Criteria>;
};

/** The pad: made to be used with one thumb, the eyes on the dog. */
export function Pad({ element, work, bout, entries, facts, seen, stands }: Props) {
  const { dog } = useKennelWithDog();
  const changed = usePad((state) => state.chips);
  const kind = useCaller((state) => state.kind);
  const signals = useSignals();
  const cues = useMemo(() => cuesOf(signals ?? [], dog.id, element.id), [signals, dog.id, element.id]);
  const named = useMemo(() => ownCuesOf(signals ?? [], dog.id, element.id), [signals, dog.id, element.id]);
  const words = kind === 'cues' ? cues : NO_WORDS;
  const view = padView(element, work, bout, entries, facts, {
    chips: changed,
    words,
    seen,
    ...(stands ? { stands } : {}),
  });
  const length = element.axes.find((axis) => axis.quantity === 'distance') ?? null;
  const reach = useWordReach(kind === 'cues' ? element : null, length);
  const called = kind && calledNext(kind, cues, bout, view, length && { axis: length, words: reach });
  const actions = usePadActions(bout, view, called?.ok ? called.value : null);
  const [help, setHelp] = useState(false);
  const { leftHanded, ears } = useHand();
  const call = called?.ok ? called.value.call : null;
  const home = useRef<HTMLDivElement>(null);
  // Whatever led here is gone: the pad has the keys.
  useLayoutEffect(() => {
    if (document.activeElement === document.body) home.current?.focus({ preventScroll: true });
  }, []);
  useWakeLock();
  usePadKeys(actions, view, () => setHelp(true));
  return (
    <div
      ref={home}
      data-pad
      tabIndex={-1}
      className="-mt-2 mx-auto grid max-w-5xl gap-2.5 outline-none lg:mt-0 lg:grid-cols-2 lg:gap-8"
    >
      <div className="grid content-start gap-2.5 lg:gap-3">
        <div>
          {/* On a phone its name stands in the bar already, and the room belongs to the advice. */}
          <PageTitle>{element.title}</PageTitle>
          <h1 className="text-2xl font-extrabold leading-tight max-lg:sr-only">{element.title}</h1>
          <p className="text-sm leading-snug text-ink-soft lg:text-base">
            {tell('pad.away', { place: view.place, away: Boolean(bout.away) })}
          </p>
        </div>
        <Unsaved actions={actions} day={bout.day} />
        <AdviceLine view={view} actions={actions} />
        {ears && (
          <Suspense>
            <Ears actions={actions} />
          </Suspense>
        )}
        <ul className="flex flex-wrap gap-1.5 lg:gap-2">
          {view.asked.map((asked) => (
            <li key={asked.key} className="border-2 border-ink bg-sheet px-2 py-0.5 lg:px-3 lg:py-1">
              <span className="block text-sm leading-tight">{asked.title}</span>
              <span
                className={`block font-extrabold leading-tight lg:text-2xl ${view.asked.length > 2 ? 'text-lg' : 'text-2xl'}`}
              >
                {asked.value}
              </span>
            </li>
          ))}
        </ul>
        <Suspense>
          <EndsLines element={element} />
        </Suspense>
        <Suspense>
          <ShortWork element={element} startedAt={bout.startedAt} />
          <LoadLines element={element} work={work} />
        </Suspense>
        {/* A new cue is not yet known: prompted answers are no falling off. */}
        {view.by.kind !== 'timed' && view.by.kind !== 'whole' && (
          <Suspense>
            <FallingOffLine element={element} bout={bout} view={view} reps={view.reps} />
          </Suspense>
        )}
        <div className="hidden gap-3 lg:grid">
          <Log view={view} />
          <PadTools actions={actions} view={view} bout={bout.id} onHelp={() => setHelp(true)} />
          <div className="mt-3 grid gap-3 border-t border-rule pt-4">
            {view.rods.map((rod) => (
              <Rod key={rod.axis} data={rod} compact />
            ))}
          </div>
        </div>
      </div>
      <div className={`grid content-start gap-2.5 lg:gap-3 ${leftHanded ? 'lg:order-first' : ''}`}>
        <Dock>
          <Suspense>{called && <CalledNow called={called} repCount={view.repCount} />}</Suspense>
          {/* A question comes first: what is above the judgement makes room for its answers. */}
          <div className={view.advice.some((one) => one.kind === 'ask') ? 'max-lg:hidden' : 'contents'}>
            <ChipBar view={view} call={call} />
          </div>
          {!OWN_CLOCK.has(view.by.kind) && <StampButton named={named} onStamp={actions.stamp} />}
          {view.hold !== null && view.by.kind !== 'timed' && view.by.kind !== 'game' && (
            <HoldClock asked={view.hold} />
          )}
          {view.lying !== null && (
            <Suspense fallback={null}>
              {bout.setOut === null ? (
                <Lying count={view.lying} actions={actions} />
              ) : (
                <LyingThings setOut={bout.setOut} view={view} actions={actions} />
              )}
            </Suspense>
          )}
          {view.by.kind !== 'articles' && (
            <RepPad element={element} bout={bout} entries={entries} view={view} actions={actions} />
          )}
          <PadBar actions={actions} />
        </Dock>
        {view.by.kind === 'timed' && (
          <GapClock
            transfer={view.by}
            onTimeOut={() => actions.tap({ tap: 'time-out' })}
            onStage={(stage) => actions.tap({ tap: 'stage', stage })}
          />
        )}
        {view.by.kind === 'articles' && (
          <>
            <RepPad element={element} bout={bout} entries={entries} view={view} actions={actions} />
            <StampButton named={named} onStamp={actions.stamp} />
          </>
        )}
        <div>
          <LastRep view={view} actions={actions} />
          <Suspense>
            <RepDetails view={view} actions={actions} rewards={dog.rewards} />
          </Suspense>
        </div>
        <MoreChips view={view} call={call} />
        <Suspense fallback={<div className="min-h-14" />}>
          <Caller called={called} />
        </Suspense>
        <div className="grid gap-3 lg:hidden">
          <Log view={view} />
          <PadTools actions={actions} view={view} bout={bout.id} onHelp={() => setHelp(true)} inHand />
        </div>
      </div>
      <Suspense>
        <Heard view={view} />
      </Suspense>
      {help && (
        <Suspense>
          <KeyHelp open onClose={() => setHelp(false)} />
        </Suspense>
      )}
    </div>
  );
}

/** Pads that have a clock of their own, or no room for one. */
const OWN_CLOCK: ReadonlySet<ReturnType<typeof padView>['by']['kind']> = new Set([
  'articles',
  'whole',
  'game',
] as const);
const NO_WORDS: readonly string[] = [];

const Heard = lazy(async () => ({ default: (await import('./heard')).Heard }));
const Caller = lazy(async () => ({ default: (await import('./caller')).Caller }));
const CalledNow = lazy(async () => ({ default: (await import('./caller')).CalledNow }));
const KeyHelp = lazy(async () => ({ default: (await import('./key-help')).KeyHelp }));
/** What stands beside the pad and is not tapped with every rep. */
const FallingOffLine = lazy(async () => ({ default: (await import('./falling-off-line')).FallingOffLine }));
const LyingThings = lazy(async () => ({ default: (await import('./lying-things')).LyingThings }));
const Ears = lazy(async () => ({ default: (await import('./ears')).Ears }));
const EndsLines = lazy(async () => ({ default: (await import('./load-lines')).EndsLines }));
const ShortWork = lazy(async () => ({ default: (await import('./load-lines')).ShortWork }));
const LoadLines = lazy(async () => ({ default: (await import('./load-lines')).LoadLines }));
const RepDetails = lazy(async () => ({ default: (await import('./rep-details')).RepDetails }));

/** Where the dog is never sent for nothing: how many lie there, and the tap that says one more does. */
function Lying({ count, actions }: { readonly count: number; readonly actions: PadActions }) {
  return (
    <TapButton
      size="big"
      look={count <= 0 ? 'ink' : 'plain'}
      className="!justify-between"
      actions={actions}
      says={{ tap: 'laid' }}
    >
      <span>{count <= 0 ? tell('pad.nothing-lies-there') : tell('pad.lies', { count })}</span>
      <span>{tell('pad.i-have-laid-one')}</span>
    </TapButton>
  );
}

/** A rep that could not be stored is not lost: it can be kept in a file. */
function Unsaved({ actions, day }: { readonly actions: PadActions; readonly day: string }) {
  const { failure, unsaved } = actions;
  if (!failure) return null;
  const keep = (): void =>
    saveText(`regulon-rep-${day}.json`, JSON.stringify(unsaved, null, 1), 'application/json');
  return (
    <Notice tone="alert" role="alert">
      {wordsOf(failure.message)}
      {unsaved && (
        <Button size="big" className="mt-2" onClick={keep}>
          {tell('pad.keep-this-rep-in-a-file')}
        </Button>
      )}
    </Notice>
  );
}

function Log({ view }: { readonly view: ReturnType<typeof padView> }) {
  return (
    <div>
      <p className="mb-1 text-lg font-semibold" aria-live="polite">
        {tell('pad.off-on-its-own', { tally: view.tally, off: Boolean(view.off) })}
      </p>
      {view.signs.length > 0 && (
        <p className="mb-1 leading-snug">
          {tell('pad.seen', {
            signs: view.signs.map(({ sign }) => SIGN_WORDS[sign].toLowerCase()).join(', '),
          })}
        </p>
      )}
      {view.marks.length > 0 && <RepMarks marks={view.marks} label={tell('pad.reps-of-this-session')} big />}
    </div>
  );
}
