import { buildLadder } from '@/core/breakdown';
import { seedFromText } from '@/core/shared';
import type { ElementRecord, Session } from '@/data/records';
import type { CoachFacts } from './fold';
import type { Kennel } from './kennel';

/**
 * What a policy is told of a session's beginning besides its rung: lengths to cut by, a seed for its coins, and since when this rung is worked. The last
 * is the first day of the unbroken row of sessions that began on it; sessions only are read, not their reps.
 */
export async function coachFacts(kennel: Kennel, element: ElementRecord, session: Session): Promise<CoachFacts> {
  const ladder = buildLadder(element);
  const length = element.axes.find((axis) => axis.quantity === 'distance');
  const sessions = (await kennel.database.sessions.where('elementId').equals(element.id).toArray()).sort((a, b) => b.startedAt - a.startedAt);
  const elsewhere = sessions.findIndex((one) => one.startRung !== session.startRung);
  const onRung = elsewhere < 0 ? sessions : sessions.slice(0, elsewhere);
  return {
    top: ladder.rungs.length - 1,
    seed: seedFromText(session.id),
    values: length ? ladder.rungs.map((rung) => rung.criteria[length.key] ?? length.start) : null,
    rungSince: onRung.at(-1)?.day ?? session.day,
    today: session.day,
  };
}
