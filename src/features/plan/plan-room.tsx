import { useState } from 'react';
import { Link } from 'react-router';
import { useKennelWithDog } from '@/data/live';
import { asSaid, isEmptyMatch, matchPlan, type PlanMatch } from '@/data/read';
import { takePlan } from '@/data/write';
import { Button, buttonClass, Notice, PageHead, Sheet } from '@/ui';
import { wordsOf, writeDay } from '@/words';
import { LeftLines } from './left-lines';
import { OtherWorkSheet } from './other-work-sheet';
import { OutSheet } from './out-sheet';
import { PiecesSheet } from './pieces-sheet';
import { blocksOf, titlesOf, weeksOf } from './plan-view';
import { type PlanState, usePlanning } from './use-planning';
import { changeInWords, lateInWords, lateSummary, titleLines, verdicts } from './verdict';
import { WeekSheet } from './week-sheet';
import { Weeks } from './weeks';
import { WishesSheet } from './wishes-sheet';
import { tell } from './words';

/** What to train on which day up to the trial, with which dog: drawn, moved by hand, planned anew. */
export function PlanRoom() {
  const { dog } = useKennelWithDog();
  const [stopped, setStopped] = useState(false);
  const state = usePlanning(stopped);
  if (!state) return <p className="text-lg">{tell('plan-room.reading-the-log')}</p>;
  const { planning, usuals, plan, latest } = state;
  if (!planning.hasWeek)
    return (
      <>
        <PageHead title={tell('plan-room.what-time-is-there')}>
          {tell('plan-room.a-plan-needs-a-week')}
        </PageHead>
        <WeekSheet usuals={usuals} planning={planning} />
      </>
    );
  const blocks = blocksOf(planning, plan);
  const weeks = weeksOf(planning, usuals, blocks);
  const [first, ...others] = plan ? verdicts(planning, plan) : [];
  return (
    <>
      <PageHead title={first?.title ?? tell('plan-room.the-weeks-ahead', { name: dog.name })}>
        {first ? [first.grounds, ...others.map((one) => `${one.title}. ${one.grounds}`)].join(' ') : null}
      </PageHead>
      {latest.state === 'failed' && <Notice tone="alert">{wordsOf(latest.failure.message)}</Notice>}
      <TakeLine state={state} stopped={stopped} onStop={setStopped} />
      {titleLines(planning).map((line) => (
        <p key={line} className="mb-3 leading-snug">
          {line}
        </p>
      ))}
      <LeftLines planning={planning} />
      {plan && plan.late.length > 0 && (
        <details className="mb-4 border-l-[6px] border-signal bg-paper px-3 py-2">
          <summary className="min-h-11 cursor-pointer content-center leading-snug">
            {lateSummary(planning, plan)}
          </summary>
          <ul className="list-inside list-disc leading-snug">
            {lateInWords(planning, plan).map((line) => (
              <li key={line}>{line}</li>
            ))}
          </ul>
        </details>
      )}
      <Weeks planning={planning} weeks={weeks} blocks={blocks} />
      <div className="mt-6 grid items-start gap-6 lg:grid-cols-2">
        <PiecesSheet planning={planning} plan={plan} weeks={weeks} />
        <div className="grid gap-6">
          <OutSheet planning={planning} weeks={weeks} />
          <WeekSheet usuals={usuals} planning={planning} />
          <WishesSheet planning={planning} />
          <OtherWorkSheet planning={planning} />
        </div>
      </div>
    </>
  );
}

type TakeProps = {
  readonly state: PlanState;
  readonly stopped: boolean;
  readonly onStop: (stopped: boolean) => void;
};

/** Whether the plan still serves best; if not, what would change, and one press to take it. */
function TakeLine({ state: { planning, latest, fine }, stopped, onStop }: TakeProps) {
  const { kennel, today, done } = useKennelWithDog();
  const { frame } = planning.question;
  if (stopped)
    return (
      <p className="mb-4 flex flex-wrap items-center gap-3" role="status">
        <span>{tell('plan-room.stopped')}</span>
        <Button onClick={() => onStop(false)}>{tell('plan-room.go-on')}</Button>
      </p>
    );
  if (latest.state === 'working')
    return (
      <p className="mb-4 flex flex-wrap items-center gap-3" role="status">
        <progress className="h-3 w-40 accent-ink" value={latest.share} />
        <span>{tell('plan-room.weighing')}</span>
        <Button look="quiet" onClick={() => onStop(true)}>
          {tell('plan-room.stop')}
        </Button>
      </p>
    );
  if (!fine) return null;
  const bouts = fine.bouts.filter((one) => !one.pinned).map((one) => asSaid(one, frame.pieces));
  const ahead = planning.slots.filter((one) => one.slot.day >= today);
  const isOpen = (one: (typeof ahead)[number]): boolean => !one.slot.pinned && one.state === 'ahead';
  const match = matchPlan(
    ahead.filter(isOpen).map((one) => one.slot),
    ahead.filter((one) => !isOpen(one)).map((one) => one.slot),
    bouts,
  );
  const titles = titlesOf(planning);
  const take = (): void =>
    void done(
      (made: PlanMatch) =>
        tell('plan-room.taken', { count: made.added.length + made.moved.length + made.removed.length }),
      takePlan(kennel, bouts, today),
    );
  if (isEmptyMatch(match))
    return (
      <p className="mb-4 leading-snug" role="status">
        {bouts.length === 0 && ahead.length === 0
          ? tell('plan-room.nothing-serves')
          : tell('plan-room.stands')}
      </p>
    );
  if (ahead.length === 0)
    return (
      <p className="mb-4 flex flex-wrap items-center gap-3">
        <Button look="signal" size="big" data-main onClick={take}>
          {tell('plan-room.take-it')}
        </Button>
        <span className="leading-snug">{tell('plan-room.nothing-kept-yet')}</span>
        {planning.later && (
          <span className="leading-snug">
            {tell('plan-room.trial-is-later', {
              title: planning.later.title,
              day: writeDay(planning.later.day),
            })}
          </span>
        )}
        {planning.trials.length === 0 && !planning.later && (
          <Link className={buttonClass('quiet')} to="../readiness#trials" relative="path">
            {tell('plan-room.name-a-trial')}
          </Link>
        )}
      </p>
    );
  return (
    <Sheet className="mb-5" title={tell('plan-room.would-change')}>
      <ul className="mb-3 list-inside list-disc leading-snug">
        {changeInWords(match, titles).map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ul>
      <Button look="signal" size="big" data-main onClick={take}>
        {tell('plan-room.take-the-change')}
      </Button>
    </Sheet>
  );
}
