import { type Axis, atLeastAsHard, type Criteria } from '@/core/breakdown';
import { type FeelEvent, type FeelRecord, feelRecord } from '@/core/coaching';
import { useKeptLogs } from '@/data/live';
import type { KeptLog } from '@/data/read';
import { Sheet } from '@/ui';
import type { Opened } from './element-room';

/** By feel there is no rule to work out; what the person did shows where they go up and back. */
export function FeelSheet({ element, state }: Pick<Opened, 'element' | 'state'>) {
  const bouts = state.evidence.get(element.id) ?? [];
  const logs = useKeptLogs(bouts.map((bout) => bout.id));
  const record =
    logs &&
    feelRecord(bouts.map((bout) => eventsOf(bout.start, logs.get(bout.id)?.walked ?? [], element.axes)));
  return (
    <Sheet title="How you go up and back here">
      <p className="leading-snug">{record ? inWords(record) : 'Reading the log …'}</p>
    </Sheet>
  );
}

/** A move is up where it asks more on some axis and less on none. */
function eventsOf(start: Criteria, walked: KeptLog['walked'], axes: readonly Axis[]): FeelEvent[] {
  let stands = start;
  return walked.map((step): FeelEvent => {
    if (typeof step === 'boolean') return { kind: 'rep', clean: step };
    const up = atLeastAsHard(axes, step, stands);
    stands = step;
    return { kind: 'move', up };
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
