import { useEffect, useMemo, useState } from 'react';
import { type ArticleEvent, articleNames, articleStates, type NextRun, nextRun } from '@/core/coaching';
import { type Entry, foldLog } from '@/core/log';
import { seedFromText } from '@/core/shared';
import { useKennel } from '@/data/live';
import { articlesBefore, type DatedBout, type ElementRecord } from '@/data/read';
import { Button, Notice } from '@/ui';
import { wordsOf } from '@/words';
import { ArticleVerdict } from './article-verdict';
import { coveredWords, LaidOtherwise, laidByRung, layoutWords } from './laid-otherwise';
import { tell } from './later-words';
import type { PadView } from './pad-view';
import type { PadActions } from './use-pad-actions';

type Props = {
  readonly element: ElementRecord;
  readonly bout: DatedBout;
  readonly entries: readonly Entry[];
  readonly view: PadView;
  readonly actions: PadActions;
};

/**
 * One run among numbered articles: what to lay where, the first touch, the pick. In helper mode the
 * handler sees the places only, until the pick is tapped; otherwise the run is logged as known to
 * the coach and stands apart.
 */
export function ArticlePad({ element, bout, entries, view, actions }: Props) {
  const { kennel } = useKennel();
  const [before, setBefore] = useState<readonly ArticleEvent[] | null>(null);
  const [byHelper, setByHelper] = useState(false);
  const [shown, setShown] = useState(false);
  /** This run's layout was open to the coach at some time. */
  const [known, setKnown] = useState(true);
  const [firstTouch, setFirstTouch] = useState<number | null>(null);
  /** Whether it was helped, and whether that came before its first touch. */
  const [helped, setHelped] = useState<'no' | 'first' | 'after'>('no');
  /** Whether the dog watched, where that was otherwise than the rung or the draw has it. */
  const [watched, setWatched] = useState<boolean | null>(null);
  /** Laid otherwise than drawn, by the person's own hand. */
  const [own, setOwn] = useState<Pick<NextRun, 'laid' | 'target'> | null>(null);
  useEffect(() => {
    let current = true;
    void articlesBefore(kennel, element.id, bout).then((found) => current && setBefore(found));
    return () => {
      current = false;
    };
  }, [kennel, element.id, bout]);
  const events = useMemo(() => foldLog(bout.start, entries).articles, [bout.start, entries]);
  const runs = events.filter((event) => event.kind === 'run').length;
  // The next run begins with nothing touched and the layout covered again.
  // biome-ignore lint/correctness/useExhaustiveDependencies: the pad is cleared with every run that is logged
  useEffect(() => {
    setFirstTouch(null);
    setHelped('no');
    setOwn(null);
    setWatched(null);
    setShown(false);
    setKnown(!byHelper);
  }, [runs]);
  if (!before || element.articles === null)
    return <p className="text-lg">{tell('article-pad.reading-the-log')}</p>;
  const count = element.axes.find((axis) => axis.quantity === 'count');
  const choices = count ? (view.criteria[count.key] ?? count.start) : 2;
  const { shape, nearer: nearerAtTimes, aidedAgain } = element.articles;
  const rung = laidByRung(element, view.criteria);
  const how = rung ?? element.articles.laid;
  const names = articleNames(element.articles);
  const states = articleStates(names, [...before, ...events], aidedAgain);
  const next = nextRun(
    states,
    { choices, shape, laid: how, nearer: nearerAtTimes },
    runs,
    seedFromText(bout.id),
  );
  if (!next.ok)
    return (
      <div className="grid gap-2.5">
        <Notice tone="alert" role="alert">
          {wordsOf(next.message)}
        </Notice>
        {next.code === 'wash' && (
          <Button
            size="big"
            aria-disabled={actions.busy || undefined}
            onClick={() => actions.tap({ tap: 'washed' })}
          >
            {tell('article-pad.all-are-washed-and-aired')}
          </Button>
        )}
      </div>
    );
  const run: NextRun = own ? { ...next.value, ...own } : next.value;
  const { laid, target, nearer } = run;
  const seen = watched ?? run.seen;
  const covered = byHelper && !shown;
  const tap = (place: number | null): void => {
    if (firstTouch === null && place !== null && place !== target) setFirstTouch(place);
    else
      actions.tap({
        tap: 'picked',
        helped: helped === 'no' ? 'no' : firstTouch === null || helped === 'first' ? 'first' : 'after',
        run: {
          kind: 'articles',
          laid,
          target,
          firstTouch: firstTouch ?? place,
          pick: place,
          known,
          shape,
          seen,
          nearer,
        },
      });
  };
  return (
    <section aria-label={tell('article-pad.articles')} className="grid gap-2.5">
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
          {tell('article-pad.a-helper-lays-them')}
        </label>
        <label className="inline-flex min-h-14 items-center gap-2 text-lg">
          <input
            type="checkbox"
            className="size-6 accent-(--ink)"
            checked={seen}
            onChange={() => setWatched(!seen)}
          />
          {tell('article-pad.the-dog-watches')}
        </label>
        {byHelper && (
          <Button size="big" onClick={() => setShown(!shown)}>
            {tell('article-pad.cover-it', { shown: Boolean(shown) })}
          </Button>
        )}
      </div>
      <p className="text-lg font-semibold leading-snug">
        {covered ? coveredWords(known) : layoutWords({ ...run, seen }, shape)}
      </p>
      <Plan run={run} covered={covered} firstTouch={firstTouch} busy={actions.busy} onTap={tap} />
      <Button size="big" aria-disabled={actions.busy || undefined} onClick={() => tap(null)}>
        {tell('article-pad.none-picked')}
      </Button>
      <Button
        size="big"
        aria-pressed={helped !== 'no'}
        look={helped === 'no' ? 'plain' : 'ink'}
        onClick={() => setHelped(helped !== 'no' ? 'no' : firstTouch === null ? 'first' : 'after')}
      >
        {tell('article-pad.i-helped-it')}
      </Button>
      <p className="leading-snug text-ink-soft">
        {firstTouch === null
          ? tell('article-pad.tap-what-it-touches-first-with')
          : helped === 'after'
            ? tell('article-pad.it-was-wrong-and-you-helped-it')
            : tell('article-pad.it-touched-a-wrong-one-first-now')}
        {!covered &&
          (known || seen) &&
          tell('article-pad.this-run-proves-nothing-you-know', { known: Boolean(known) })}
      </p>
      <ArticleVerdict reps={view.reps} axes={element.axes} fixed={bout.runsFixed} />
      {!covered && <LaidOtherwise names={names} run={run} onLay={setOwn} />}
      {!covered && <TakeOut laid={laid} actions={actions} />}
    </section>
  );
}

type PlanProps = {
  readonly run: NextRun;
  readonly covered: boolean;
  readonly firstTouch: number | null;
  readonly busy: boolean;
  readonly onTap: (place: number) => void;
};

/** The layout from above, you at the bottom; every article is a button where it lies. */
function Plan({ run, covered, firstTouch, busy, onTap }: PlanProps) {
  const { laid, target, spots, nearer } = run;
  const flat =
    spots.every((spot, i) => i === nearer || spot.y === spots[0]?.y) && laid.length <= 6 && nearer === null;
  return (
    <fieldset
      className={`relative border-2 border-rule bg-sheet ${flat ? 'h-24' : 'h-80'}`}
      aria-label={
        firstTouch === null ? tell('article-pad.first-touch-or-pick') : tell('article-pad.final-pick')
      }
    >
      {laid.map((number, place) => {
        const spot = spots[place] ?? { x: 0.5, y: 0.5 };
        // In a long line every second one stands a little back, so that each keeps its size under a
        // thumb.
        const back = !flat && spots.every((one) => one.y === spots[0]?.y) ? (place % 2) * 0.25 : 0;
        const look =
          !covered && place === target
            ? 'bg-signal text-on-signal'
            : firstTouch === place
              ? 'bg-ink text-paper'
              : 'bg-paper';
        return (
          <button
            key={number}
            type="button"
            disabled={busy}
            aria-label={tell('article-pad.place-nearer', {
              place: place + 1,
              covered: covered ? '' : tell('article-pad.article', { number }),
              place2: place === nearer,
            })}
            className={`absolute size-14 -translate-x-1/2 -translate-y-1/2 border-2 border-ink text-2xl font-bold ${look}`}
            style={{ left: `${10 + spot.x * 80}%`, top: flat ? '50%' : `${12 + (spot.y - back) * 76}%` }}
            onClick={() => onTap(place)}
          >
            {covered ? place + 1 : number}
          </button>
        );
      })}
      {!flat && (
        <span className="absolute bottom-1 left-2 text-base text-ink-soft">
          {tell('article-pad.you-stand-below')}
        </span>
      )}
    </fieldset>
  );
}

/** One that is worn or spoilt for good is never offered again. */
function TakeOut({ laid, actions }: { readonly laid: readonly string[]; readonly actions: PadActions }) {
  return (
    <details className="border-2 border-rule px-3">
      <summary className="flex min-h-14 cursor-pointer items-center text-lg underline decoration-rule underline-offset-4">
        {tell('article-pad.take-one-out-of-use')}
      </summary>
      <div className="flex flex-wrap gap-2 pb-3">
        {laid.map((number) => (
          <Button
            key={number}
            size="big"
            aria-disabled={actions.busy || undefined}
            aria-label={tell('article-pad.article-out-of-use', { number })}
            onClick={() => actions.tap({ tap: 'out-of-use', text: number })}
          >
            {number}
          </Button>
        ))}
      </div>
    </details>
  );
}
