import type { Timing } from '@/core/coaching';
import { type Judged, judgedByMeasure, type LegsSeen, type Paid, type Seen } from '@/core/log';
import { sameFault } from '@/core/rulebooks';
import { paidBy } from './calls';
import { askedNow, type InHand, NOT_HERE, NOTHING_THERE, said, type Tapped } from './in-hand';
import { judgement } from './judgements';
import { latencyOf, markerOf, secondsFrom } from './pad-store';
import type { PadView } from './pad-view';

type SeenMore = Partial<Pick<Seen, 'timing' | 'grade' | 'run' | 'measured' | 'drive' | 'endedBy'>>;

export function logged(
  view: PadView,
  hand: InHand,
  judged: Judged,
  more: SeenMore = {},
  paid: Paid = {},
): Tapped {
  if (view.lying !== null && view.lying <= 0) return NOTHING_THERE;
  const latency = judged.outcome === 'miss' ? null : latencyOf(hand);
  const held = secondsFrom(hand.hold.from, hand.hold.to ?? hand.now);
  const asked = askedNow(view, hand);
  const sinceCue = secondsFrom(hand.cueAt, hand.now);
  const seen: Seen = {
    ...(sinceCue === null ? {} : { sinceCue }),
    timing: null,
    endedBy: null,
    run: null,
    ...more,
    measured: { ...byTap({ latency, marker: markerOf(hand), held }), ...more.measured },
  };
  const helped = { ...judged, aids: [...new Set([...judged.aids, ...hand.aids])] };
  return said({
    kind: 'rep',
    purpose: view.probe?.kind === 'asking' ? 'probe' : 'training',
    asked,
    seen,
    judged: judgedByMeasure(view.judging, asked, seen, helped),
    paid: { ...paidBy(hand.call), ...paid },
    from: null,
  });
}

function byTap(seconds: Readonly<Record<'latency' | 'marker' | 'held', number | null>>): Seen['measured'] {
  const found = Object.entries(seconds).filter(([, value]) => value !== null);
  return Object.fromEntries(
    found.map(([key, value]) => [key, { value: value as number, how: 'tap' as const }]),
  );
}

/** What the stage pays: an answer to the new cue always, one to the prompt as the stage or its coin says. */
export function coinPay({ by }: PadView, timing: Timing): Paid {
  if (by.kind !== 'timed') return {};
  switch (timing) {
    case 'in-gap':
    case 'unprompted':
      return { size: 'small', by: 'schedule' };
    case 'prompted':
      return { size: by.paid ? 'small' : 'none', by: by.stage === 'B' ? 'coin' : 'schedule' };
    case 'before-word':
    case 'reminded':
    case 'none':
      return { size: 'none', by: 'schedule' };
  }
}

export function chainRun(view: PadView, brokeAt: number | null): SeenMore {
  const { by } = view;
  if (by.kind !== 'chain') return {};
  return {
    run: { kind: 'chain', links: by.links.map(({ id }) => ({ element: id, criteria: {} })), brokeAt },
  };
}

/**
 * Continuous work: every fault stamped that counts here names it. Stopped before the time that is asked
 * it is neither one nor the other where you stopped it, and ended too early where the dog did.
 */
export function loggedRun(view: PadView, hand: InHand, run: LegsSeen, endedBy: 'handler' | 'dog'): Tapped {
  const faults = run.stamps
    .map(({ fault }) => fault)
    .filter((fault, i, all) => all.findIndex((other) => sameFault(other, fault)) === i);
  const counts = faults.some((fault) => !view.noted.some((noted) => sameFault(noted, fault)));
  return logged(
    view,
    { ...hand, hold: { from: null, to: null } },
    judgement(counts ? 'flawed' : 'clean', faults),
    {
      run,
      endedBy,
      measured: { held: { value: run.seconds, how: 'tap' } },
    },
  );
}

/** A whole exercise is logged with the values that each link was asked, and the times that were pressed. */
export function loggedWhole(view: PadView, hand: InHand, brokeAt: number | null): Tapped {
  const { by } = view;
  if (by.kind !== 'whole') return NOT_HERE;
  const links = by.links.map(({ id, criteria }) => ({ element: id, criteria }));
  const { from } = hand.splits;
  const splits = from === null ? [] : hand.splits.at.map((at) => secondsFrom(from, at) ?? 0);
  const timed = splits.length === 0 ? {} : { splits };
  return logged(view, hand, judgement(brokeAt === null ? 'clean' : 'miss', []), {
    run: { kind: 'chain', links, brokeAt, ...timed },
  });
}
