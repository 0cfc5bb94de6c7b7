import type { Result } from '@/core/shared';
import { say } from '@/core/shared';
import type { Kennel } from '@/data/kennel';
import type { New, RunForecast } from '@/data/records';
import { refuse, transact, type Undo } from './transact';

/**
 * Keeps what was thought of a run before it began. The first one stays, whatever is worked out later; once
 * the run has been confirmed into reps none is added. Fails with `gone` where the run is not there.
 */
export function keepRunForecast(kennel: Kennel, said: New<RunForecast>): Promise<Result<Undo>> {
  return transact(kennel, ['runs', 'runForecasts', 'runLessons'], async (write) => {
    if (!(await write.get('runs', said.id)))
      refuse('gone', said.id, say('data.runs.this-run-is-not-there-any-more'));
    const known = (await write.get('runForecasts', said.id)) ?? (await write.get('runLessons', said.id));
    if (!known) await write.put('runForecasts', said, { from: 'run', at: said.at });
  });
}
