import { useLiveQuery } from 'dexie-react-hooks';
import { type Axis, atLeastAsHard } from '@/core/breakdown';
import { type FeelEvent, type FeelRecord, feelRecord } from '@/core/coaching';
import { asEvidence, countsAsEvidence } from '@/core/log';
import { useKennelWithDog } from '@/data/live';
import { type LoggedBout, recentBouts } from '@/data/read';
import { Sheet } from '@/ui';
import type { Opened } from './element-frame';

/** By feel there is no rule to work out; what the person did shows where they go up and back. */
export function FeelSheet({ element }: Pick<Opened, 'element'>) {
  const { kennel } = useKennelWithDog();
  const record = useLiveQuery(async () => {
    const all = await recentBouts(kennel, { element: element.id }, Number.POSITIVE_INFINITY);
    return feelRecord(all.map((bout) => eventsOf(bout, element.axes)));
  }, [kennel, element]);
  return (
    <Sheet title="How you go up and back here">
      <p className="leading-snug">{record ? inWords(record) : 'Reading the log …'}</p>
    </Sheet>
  );
}

/** A move is up where it asks more on some axis and less on none. */
function eventsOf({ bout, entries, folded }: LoggedBout, axes: readonly Axis[]): FeelEvent[] {
  const reps = new Map(asEvidence(bout, folded.reps).map((rep) => [rep.id, rep]));
  let stands = bout.start;
  return entries.flatMap((entry): FeelEvent[] => {
    if (entry.kind === 'move') {
      const up = atLeastAsHard(axes, entry.to, stands);
      stands = entry.to;
      return [{ kind: 'move', up }];
    }
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
    record.cleanBeforeDown === null
      ? 'You have not gone back.'
      : `You went back ${record.downs} times, after ${percent(record.cleanBeforeDown)}.`;
  const thin =
    record.ups + record.downs < 8
      ? ` That is ${record.ups + record.downs} moves in ${record.reps} reps: little to go by.`
      : '';
  return `${up} ${down}${thin}`;
}
