import { useEffect, useMemo, useState } from 'react';
import { type ArticleEvent, articleStates, layOut } from '@/core/coaching';
import { evidenceAgainstLuck, type PickRun, SETTLED } from '@/core/evidence';
import { mixSeed, seeded, seedFromText } from '@/core/shared';
import { articleEvents, articlesBefore, type ElementRecord, type Entry, type Session, standingReps, useKennel } from '@/data/repositories';
import { Button, Notice } from '@/ui';
import type { PadView } from './pad-view';
import type { PadActions } from './use-pad-actions';

type Props = {
  readonly element: ElementRecord;
  readonly session: Session;
  readonly entries: readonly Entry[];
  readonly view: PadView;
  readonly actions: PadActions;
};

/**
 * One run among numbered articles: what to lay where, the first touch, the pick. In helper mode the handler sees the places only, until the pick is tapped; otherwise
 * the run is logged as known to the coach and stands apart.
 */
export function ArticlePad({ element, session, entries, view, actions }: Props) {
  const { kennel } = useKennel();
  const [before, setBefore] = useState<readonly ArticleEvent[] | null>(null);
  const [byHelper, setByHelper] = useState(false);
  const [shown, setShown] = useState(false);
  /** This run's layout was open to the coach at some time. */
  const [known, setKnown] = useState(true);
  const [firstTouch, setFirstTouch] = useState<number | null>(null);
  useEffect(() => {
    let current = true;
    void articlesBefore(kennel, session).then((found) => current && setBefore(found));
    return () => {
      current = false;
    };
  }, [kennel, session]);
  const events = useMemo(() => articleEvents(entries), [entries]);
  const runs = events.filter((event) => event.kind === 'run').length;
  // The next run begins with nothing touched and the layout covered again.
  // biome-ignore lint/correctness/useExhaustiveDependencies: the pad is cleared with every run that is logged
  useEffect(() => {
    setFirstTouch(null);
    setShown(false);
    setKnown(!byHelper);
  }, [runs]);
  if (!before) return <p className="text-lg">Reading the log …</p>;
  const count = element.axes.find((axis) => axis.quantity === 'count');
  const choices = count ? (view.criteria[count.key] ?? count.start) : 2;
  const layout = layOut(
    articleStates(element.articles ?? 0, [...before, ...events]),
    choices,
    runs,
    seeded(mixSeed(seedFromText(session.id), choices)),
  );
  if (!layout.ok)
    return (
      <div className="grid gap-2.5">
        <Notice tone="alert" role="alert">
          {layout.message}
        </Notice>
        <Button size="big" disabled={actions.busy} onClick={actions.washed}>
          All are washed and aired
        </Button>
      </div>
    );
  const { laid, target, scentIt } = layout.value;
  const covered = byHelper && !shown;
  const tap = (place: number | null): void => {
    if (firstTouch === null && place !== null && place !== target) setFirstTouch(place);
    else actions.picked({ laid: [...laid], target, firstTouch: firstTouch ?? place, pick: place, known });
  };
  return (
    <section aria-label="Articles" className="grid gap-2.5">
      <div className="flex flex-wrap items-center justify-between gap-2">
        <label className="inline-flex min-h-14 items-center gap-2 text-lg">
          <input
            type="checkbox"
            className="size-6 accent-(--ink)"
            checked={byHelper}
            onChange={() => {
              // What the coach has seen once stays known for this run.
              if (byHelper) setKnown(true);
              setByHelper(!byHelper);
              setShown(false);
            }}
          />
          A helper lays them
        </label>
        {byHelper && (
          <Button size="big" onClick={() => setShown(!shown)}>
            {shown ? 'Cover it' : 'Helper: show it'}
          </Button>
        )}
      </div>
      <p className="text-lg font-semibold leading-snug">
        {covered
          ? coveredWords(known)
          : `Lay from the left; the right one is number ${laid[target]}${scentIt ? ', scent it first' : ', which has your scent'}.`}
      </p>
      <fieldset className="flex flex-wrap gap-2" aria-label={firstTouch === null ? 'First touch or pick' : 'Final pick'}>
        {laid.map((number, place) => (
          <Button
            key={number}
            size="huge"
            className="min-w-20 flex-1 flex-col px-2"
            look={!covered && place === target ? 'signal' : firstTouch === place ? 'ink' : 'plain'}
            disabled={actions.busy}
            aria-label={`Place ${place + 1}${covered ? '' : `, article ${number}`}`}
            onClick={() => tap(place)}
          >
            {covered ? place + 1 : number}
          </Button>
        ))}
      </fieldset>
      <Button size="big" disabled={actions.busy} onClick={() => tap(null)}>
        None picked
      </Button>
      <p className="leading-snug text-ink-soft">
        {firstTouch === null ? 'Tap what it touches first.' : 'It touched a wrong one first. Now tap what it brings.'}
      </p>
      <Verdict entries={entries} />
    </section>
  );
}

const coveredWords = (known: boolean): string =>
  known ? 'Covered now; this run was seen, so the next one counts.' : 'Covered: only the helper knows.';

/** Better than luck? Only hidden, unaided runs that the coach did not know count; looked at after each, settled at 20. */
function Verdict({ entries }: { readonly entries: readonly Entry[] }) {
  const runs = standingReps(entries).flatMap((rep): PickRun[] => {
    const run = rep.details.articles;
    return run && !run.known && !rep.aided && run.laid.length > 1 ? [{ choices: run.laid.length, right: run.pick === run.target }] : [];
  });
  if (runs.length === 0) return <p className="leading-snug">No hidden run yet: what the coach knows proves nothing.</p>;
  const evidence = evidenceAgainstLuck(runs);
  const right = runs.filter((run) => run.right).length;
  const words = !evidence.ok
    ? evidence.message
    : evidence.value >= SETTLED
      ? `settled: it knows. Luck gets this far in fewer than 1 of 20 series.`
      : `${evidence.value.toFixed(1)} of ${SETTLED}: not settled yet. It may be luck.`;
  return (
    <p role="status" aria-label="Better than luck" className="border-l-[6px] border-rule bg-sheet px-3 py-2 text-lg leading-snug">
      <span className="font-bold">Better than luck? </span>
      {right} of {runs.length} hidden runs right; {words}
    </p>
  );
}
