import { type Axis, atLeastAsHard, type Criteria } from '@/core/breakdown';
import { type FeelEvent, type FeelRecord, feelRecord } from '@/core/coaching';
import { useKeptLogs } from '@/data/live';
import type { KeptLog } from '@/data/read';
import { Sheet } from '@/ui';
import type { Opened } from './element-room';
import { tell } from './words';

/** By feel there is no rule to work out; what the person did shows where they go up and back. */
export function FeelSheet({ element, state }: Pick<Opened, 'element' | 'state'>) {
  const bouts = state.evidence.get(element.id) ?? [];
  const logs = useKeptLogs(bouts.map((bout) => bout.id));
  const record =
    logs &&
    feelRecord(bouts.map((bout) => eventsOf(bout.start, logs.get(bout.id)?.walked ?? [], element.axes)));
  return (
    <Sheet title={tell('feel-sheet.how-you-go-up-and-back-here')}>
      <p className="leading-snug">{record ? inWords(record) : tell('feel-sheet.reading-the-log')}</p>
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
  const percent = (share: number): string => tell('feel-sheet.clean', { round: Math.round(share * 100) });
  const up =
    record.cleanBeforeUp === null
      ? tell('feel-sheet.you-have-not-gone-up-yet')
      : tell('feel-sheet.you-went-up-times-in-the-middle', {
          ups: record.ups,
          percent: percent(record.cleanBeforeUp),
        });
  const down =
    record.cleanBeforeDown === null
      ? tell('feel-sheet.you-have-not-gone-back')
      : tell('feel-sheet.you-went-back-times-after', {
          downs: record.downs,
          percent: percent(record.cleanBeforeDown),
        });
  const thin =
    record.ups + record.downs < 8
      ? tell('feel-sheet.that-is-moves-in-reps-little-to-go', {
          ups: record.ups + record.downs,
          reps: record.reps,
        })
      : '';
  return `${up} ${down}${thin}`;
}
