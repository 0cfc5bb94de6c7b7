import { CALLS, CALLS_AHEAD, type CallKind, callOrder } from '@/core/coaching';
import { mixSeed, seeded, seedFromText } from '@/core/shared';
import { type Session, useKennelWithDog } from '@/data/repositories';
import { useCaller } from './caller-store';

const WORDS: Readonly<Record<CallKind, string>> = {
  cues: 'cue words',
  'left-right': 'left or right',
  'return-or-call': 'go back or call',
  delay: 'the steward’s delay',
  reward: 'size of the reward',
  'false-move': 'a false move',
};

/**
 * The next thing to do, large, and the one after it, from an order that cannot be foreseen. It is read, never spoken. The order belongs to the session:
 * a reload shows the same one.
 */
export function Caller({ session, repCount }: { readonly session: Session; readonly repCount: number }) {
  const { dog } = useKennelWithDog();
  const kind = useCaller((state) => state.kind);
  const choose = useCaller((state) => state.choose);
  const cues = dog.cues.map((cue) => cue.word);
  const round = Math.floor(repCount / CALLS_AHEAD);
  const order = kind && callOrder(kind, cues, seeded(mixSeed(seedFromText(session.id), CALLS.indexOf(kind), round)));
  const at = repCount % CALLS_AHEAD;
  return (
    <section aria-label="Caller" className="grid gap-2">
      <label className="flex min-h-14 items-center justify-between gap-3 border-2 border-rule px-3">
        <span className="text-base">Call for me</span>
        <select
          className="min-h-14 flex-1 bg-transparent text-right text-lg font-semibold"
          value={kind ?? ''}
          onChange={(event) => choose(CALLS.find((one) => one === event.target.value) ?? null)}
        >
          <option value="">nothing</option>
          {CALLS.map((one) => (
            <option key={one} value={one}>
              {WORDS[one]}
            </option>
          ))}
        </select>
      </label>
      {order &&
        (order.ok ? (
          <p className="flex items-baseline justify-between gap-4 border-2 border-ink bg-sheet px-4 py-2" aria-live="polite">
            <span className="text-3xl font-extrabold">{order.value[at]}</span>
            <span className="text-base text-ink-soft">then {order.value[at + 1] ?? 'a new order'}</span>
          </p>
        ) : (
          <p className="leading-snug">Two cue words at least are needed; they are written down under Kennel.</p>
        ))}
    </section>
  );
}
