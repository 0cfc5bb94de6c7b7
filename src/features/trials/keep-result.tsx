import { useLiveQuery } from 'dexie-react-hooks';
import type { Joined } from '@/core/trials';
import { useKennel } from '@/data/live';
import { keptForecasts, type Run, trialsOf } from '@/data/read';
import { addResult } from '@/data/write';
import { Button, Notice } from '@/ui';
import { pointsOfJoined } from './sheet-view';
import { tell } from './words';

/**
 * The result of a run: kept with its sheet beside the forecast of the dog’s trial in this class. A dog that
 * is meant for no such trial has none to keep it with, and it is said.
 */
export function KeepResult({ run, joined }: { readonly run: Run; readonly joined: Joined }) {
  const { kennel, today, done } = useKennel();
  const { dogId } = run;
  const found = useLiveQuery(
    async () =>
      dogId === null
        ? null
        : { trials: await trialsOf(kennel, dogId), kept: await keptForecasts(kennel, dogId) },
    [kennel, dogId],
  );
  if (!found || dogId === null || run.kind === 'practice') return null;
  // The trial that it was run at; of several of this class the one of that day.
  const ofClass = found.trials.filter((one) => one.ruleBookId === run.book);
  const trial =
    found.trials.find((one) => one.id === run.trial) ??
    ofClass.find((one) => one.day === run.day) ??
    ofClass.find((one) => one.day > run.day) ??
    ofClass.at(-1);
  if (found.kept.results.some((result) => result.run === run.id))
    return <Notice role="status">{tell('keep-result.is-kept')}</Notice>;
  if (!trial) return <Notice>{tell('keep-result.no-trial', { name: run.name })}</Notice>;
  const keep = (): void =>
    void done(
      tell('keep-result.kept'),
      addResult(
        kennel,
        {
          dogId,
          trialId: trial.id,
          kind: run.kind === 'trial' ? 'trial' : 'mock',
          day: run.day,
          passed: joined.score.passed,
          points: pointsOfJoined(joined),
          note: '',
        },
        today,
        run.id,
      ),
    );
  return (
    <p className="flex flex-wrap items-center gap-3">
      <Button look="signal" size="big" onClick={keep}>
        {tell('keep-result.keep', { title: trial.title })}
      </Button>
      <span className="flex-1 text-sm text-ink-soft">{tell('keep-result.with-its-sheet')}</span>
    </p>
  );
}
