import { useLiveQuery } from 'dexie-react-hooks';
import { useMemo } from 'react';
import { Link } from 'react-router';
import { FULL_SIZE, type Readiness } from '@/core/readiness';
import { countInWords } from '@/core/rulebooks';
import type { Joined } from '@/core/trials';
import { useKennel } from '@/data/live';
import { classToday, type RunForecast, runLessonOf } from '@/data/read';
import { Notice, newestOf, Sheet, useLatest } from '@/ui';
import { wordsOf, writeNumber, writeShare } from '@/words';
import { ask } from '@/workers/client';
import { lossView } from './after-view';
import { tell } from './after-words';
import type { RunState } from './run-state';

type Props = { readonly state: RunState; readonly joined: Joined; readonly forecast: RunForecast | null };

/** What was expected of the run beside what came of it, exercise by exercise, and what the reps say now. */
export function AfterLoss({ state, joined, forecast }: Props) {
  const { kennel, today } = useKennel();
  const { run, book } = state;
  const lesson = useLiveQuery(async () => runLessonOf(kennel, run.id), [kennel, run.id]);
  const outlook = useLiveQuery(
    async () => (lesson && run.dogId ? classToday(kennel, { ...run, dogId: run.dogId }, today) : null),
    [kennel, run, today, lesson],
  );
  const job = useMemo(() => {
    if (!outlook?.ok) return null;
    const { input, assumptions, seed } = outlook.value;
    return (signal: AbortSignal) =>
      ask(
        { kind: 'assess-class', input, assumptions, seed, size: FULL_SIZE, first: false, want: 'forecast' },
        { signal },
      );
  }, [outlook]);
  const latest = useLatest<Readiness>(job);
  const now = newestOf(latest)?.forecast.pass ?? null;
  if (!forecast) return outlook?.ok ? <Notice>{tell('trials-after.not-frozen')}</Notice> : null;
  const loss = lossView(book, forecast, joined.rules, joined.score);
  const shares = ({ low, mid, high }: RunForecast['pass']) => ({
    low: writeShare(low),
    mid: writeShare(mid),
    high: writeShare(high),
  });
  const rounded = (value: number): number => Math.round(value * 10) / 10;
  const figure = (value: number): string => writeNumber(rounded(value));
  const counted = (value: number): string => wordsOf(countInWords(rounded(value), joined.rules.word));
  return (
    <Sheet
      title={tell('trials-after.said-and-happened')}
      aside={tell('trials-after.frozen-on', {
        reps: forecast.reps,
        // A sheet that is typed in from paper, days later.
        late: forecast.at > new Date(`${run.day}T23:59:59`).getTime(),
      })}
      label={tell('trials-after.said-and-happened')}
    >
      <p className="leading-snug">{tell('trials-after.before', shares(forecast.pass))}</p>
      {lesson && (
        <p role="status" className="leading-snug">
          {latest.state === 'failed'
            ? wordsOf(latest.failure.message)
            : now === null
              ? tell('trials-after.working')
              : writeShare(now.mid) === writeShare(forecast.pass.mid)
                ? tell('trials-after.unchanged')
                : tell('trials-after.after', shares(now))}
        </p>
      )}
      <table className="mt-2 w-full text-left leading-snug">
        <thead>
          <tr className="border-b border-ink">
            <th scope="col">{tell('trials-after.exercise')}</th>
            <th scope="col" className="text-right">
              {tell('trials-after.expected')}
            </th>
            <th scope="col" className="text-right">
              {tell('trials-after.lost')}
            </th>
          </tr>
        </thead>
        <tbody>
          {loss.lines.map((line) => (
            <tr key={line.key} className="border-b border-hair">
              <th scope="row" className="py-1 pr-2 font-normal">
                {line.title}
              </th>
              <td className="text-right tabular-nums">{figure(line.expected)}</td>
              <td className={`text-right tabular-nums ${loss.worst?.key === line.key ? 'font-bold' : ''}`}>
                {figure(line.lost)}
              </td>
            </tr>
          ))}
          <tr className="font-bold">
            <th scope="row" className="py-1">
              {tell('trials-after.in-all')}
            </th>
            <td className="text-right tabular-nums">{counted(loss.expected)}</td>
            <td className="text-right tabular-nums">{counted(loss.lost)}</td>
          </tr>
        </tbody>
      </table>
      <p className="mt-2 leading-snug">
        {loss.worst
          ? tell('trials-after.most-worse', {
              title: loss.worst.title,
              more: counted(loss.worst.lost - loss.worst.expected),
            })
          : tell('trials-after.as-expected')}{' '}
        <Link className="underline underline-offset-4" to={`/${kennel.name}/readiness`}>
          {tell('trials-after.to-readiness')}
        </Link>
      </p>
    </Sheet>
  );
}
