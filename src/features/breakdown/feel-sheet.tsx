import { useLiveQuery } from 'dexie-react-hooks';
import { type FeelEvent, type FeelRecord, feelRecord } from '@/core/coaching';
import { countsAsEvidence } from '@/core/evidence';
import { type Entry, recentSessions, standingReps, useKennelWithDog } from '@/data/repositories';
import { Sheet } from '@/ui';
import type { Opened } from './element-frame';

/** By feel there is no rule to work out; what the person did shows where they go up and back. */
export function FeelSheet({ element }: Pick<Opened, 'element'>) {
  const { kennel, dog } = useKennelWithDog();
  const record = useLiveQuery(async () => {
    const all = await recentSessions(kennel, dog.id, Number.POSITIVE_INFINITY);
    return feelRecord(all.filter(({ session }) => session.elementId === element.id).map(({ entries }) => eventsOf(entries)));
  }, [kennel, dog.id, element.id]);
  return (
    <Sheet title="How you go up and back here">
      <p className="leading-snug">{record ? inWords(record) : 'Reading the log …'}</p>
    </Sheet>
  );
}

function eventsOf(entries: readonly Entry[]): FeelEvent[] {
  const reps = new Map(standingReps(entries).map((rep) => [rep.id, rep]));
  return entries.flatMap((entry): FeelEvent[] => {
    if (entry.kind === 'move') return [{ kind: 'move', up: entry.to > entry.from }];
    const rep = entry.kind === 'rep' ? reps.get(entry.id) : undefined;
    return rep && countsAsEvidence(rep) ? [{ kind: 'rep', clean: rep.outcome === 'clean' }] : [];
  });
}

function inWords(record: FeelRecord): string {
  const percent = (share: number): string => `${Math.round(share * 100)} % clean`;
  const up =
    record.cleanBeforeUp === null
      ? 'You have not gone up yet.'
      : `You went up ${record.ups} times, in the middle after ${percent(record.cleanBeforeUp)} in the last five reps.`;
  const down =
    record.cleanBeforeDown === null ? 'You have not gone back.' : `You went back ${record.downs} times, after ${percent(record.cleanBeforeDown)}.`;
  const thin = record.ups + record.downs < 8 ? ` That is ${record.ups + record.downs} moves in ${record.reps} reps: little to go by.` : '';
  return `${up} ${down}${thin}`;
}
