import type { Criteria } from '@/core/breakdown';
import type { Outcome, Timing } from '@/core/coaching';
import type { Day, EntryId, SessionId } from '@/core/shared';

export type Crooked = 'badly-left' | 'slightly-left' | 'straight' | 'slightly-right' | 'badly-right';
export type Landed = 'spot' | 'ahead' | 'behind' | 'hand' | 'reset';

/** What the handler did while the dog held or stayed. */
export const HANDLER_ACTIONS = ['stood', 'walked-off', 'came-back', 'out-of-sight', 'false-move'] as const;
export type HandlerAction = (typeof HANDLER_ACTIONS)[number];

/** One rep as evidence sees it. `option` is the fault that was named (a FaultOption key, or a method's fault). */
export type EvidenceRep = {
  readonly id: EntryId;
  readonly session: SessionId;
  readonly day: Day;
  /** Order within the day, for telling the cold rep; any increasing number, e.g. milliseconds. */
  readonly at: number;
  readonly away: boolean;
  readonly outcome: Outcome;
  readonly option: string | null;
  readonly cause: 'dog' | 'handler' | 'apparatus' | 'environment';
  readonly aided: boolean;
  /** What the rep was for; training where nothing else was said. */
  readonly purpose?: Purpose | undefined;
  /** Nothing lay there, or it was touched: shown, never counted. */
  readonly isVoid?: boolean | undefined;
  readonly criteria: Criteria;
  /** Surface, place, handler …, by the element's own names. */
  readonly conditions?: Readonly<Record<string, string>> | undefined;
  /** Seconds from cue to response. */
  readonly latency?: number | null | undefined;
  readonly timing?: Timing | null | undefined;
  readonly extraCues?: number | undefined;
  /** Seconds a hold lasted. */
  readonly held?: number | undefined;
  /** By eye, or in degrees where measured; + is to the dog's right. */
  readonly crooked?: Crooked | undefined;
  readonly measured?: number | undefined;
  readonly pay?: 'none' | 'small' | 'large' | undefined;
  readonly landed?: Landed | undefined;
  readonly did?: HandlerAction | undefined;
};

export const PURPOSES = ['training', 'warm-up', 'filler', 'probe', 'rehearsal'] as const;
export type Purpose = (typeof PURPOSES)[number];
/** Warm-up and filler are made easy, and a probe looks for failure on purpose: averaged with training they would mean nothing. */
const COUNTED: ReadonlySet<Purpose> = new Set(['training', 'rehearsal'] as const);

/** Whether a rep says anything about the dog: aided and void ones, other purposes and other causes than the dog are shown, not counted. */
export function countsAsEvidence(rep: Pick<EvidenceRep, 'aided' | 'cause' | 'purpose' | 'isVoid'>): boolean {
  return !rep.aided && rep.cause === 'dog' && rep.isVoid !== true && COUNTED.has(rep.purpose ?? 'training');
}
