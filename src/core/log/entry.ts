import type { Criteria } from '@/core/breakdown';
import type { BodySign, LayoutShape, Outcome, Refusal, Stage, Timing } from '@/core/coaching';
import type { FaultRef } from '@/core/rulebooks';
import type {
  BoutId,
  DeviceId,
  DogId,
  ElementId,
  EntryId,
  ExerciseKey,
  LevelId,
  PartKey,
  RunId,
} from '@/core/shared';

/**
 * The log of a bout: all that one dog does on one element in one outing. Append-only; an entry
 * never changes. What is said otherwise later, or taken back, is an entry of its own. Times are
 * milliseconds since 1970, values in base units. A key that is not there was not said.
 */
export const PURPOSES = ['training', 'warm-up', 'filler', 'probe', 'rehearsal'] as const;
export type Purpose = (typeof PURPOSES)[number];

export const CAUSES = ['dog', 'handler', 'apparatus', 'environment'] as const;
export type Cause = (typeof CAUSES)[number];

export const EYE_WORDS = [
  'badly-left',
  'slightly-left',
  'straight',
  'slightly-right',
  'badly-right',
] as const;
export type Crooked = (typeof EYE_WORDS)[number];

export const LANDINGS = ['spot', 'ahead', 'behind', 'hand', 'reset'] as const;
export type Landed = (typeof LANDINGS)[number];

/**
 * What the handler usually did while the dog held or stayed: the chip `action`, which takes any word
 * (an element with a list of what you do has its own).
 */
export const HANDLER_ACTIONS = ['stood', 'walked-off', 'came-back', 'out-of-sight', 'false-move'] as const;
/** Chips that every element can have; the others are its own conditions. */
export const ACTION_CHIP = 'action';
export const PLACE_CHIP = 'place';
export const HANDLER_CHIP = 'handler';
export const WORN_CHIP = 'worn';
/** Before the title of a condition of a fair trial: the toss that was followed, beside what was done. */
export const TOSS_CHIP = 'toss ';
export const WORD_CHIP = 'word';
/** Of a whole run: whether its links were asked at what the dog does now, or as the trial asks. */
export const VALUES_CHIP = 'values';

/** What the handler did about a rep that went wrong. It is recorded, never recommended. */
export const HANDLED = [
  'nothing',
  'error-word',
  'again',
  'put-back',
  'easier',
  'pause',
  'moved-and-back',
  'touch-or-lead',
] as const;
export type Handled = (typeof HANDLED)[number];

/** Help beyond what the rung names. `unsaid`: it was helped, nobody said how. */
export const AIDS = ['hand', 'lead', 'food', 'nearer', 'line', 'voice', 'person', 'guide', 'unsaid'] as const;
export type Aid = (typeof AIDS)[number];

export const MEASURES = [
  'latency',
  'marker',
  'held',
  'angle',
  'offset',
  'count',
  'speed',
  'out',
  'back',
  'line',
  'path',
] as const;
export type Measure = (typeof MEASURES)[number];
export const MEASURED_BY = ['tap', 'typed', 'clip', 'track'] as const;
/** How it was measured gives its error. */
export type Measured = { readonly value: number; readonly how: (typeof MEASURED_BY)[number] };

export const CALL_KINDS = ['return', 'call', 'cue', 'side', 'false-move', 'reward'] as const;
export type Call = {
  readonly kind: (typeof CALL_KINDS)[number];
  readonly word: string;
  /** Seconds that the steward waits, as they were drawn; null where none was. */
  readonly delay: number | null;
};

/** What was asked of the rep. Chips lie over the conditions of the bout. */
export type Asked = {
  readonly criteria: Criteria;
  readonly chips: Readonly<Record<string, string>>;
  /** Faults that were only noted on this rung. */
  readonly noted: readonly FaultRef[];
  readonly call: Call | null;
};

/** Places from 0; articles by their own numbers or names. */
export type ArticlesSeen = {
  readonly kind: 'articles';
  readonly laid: readonly string[];
  readonly target: number;
  readonly firstTouch: number | null;
  readonly pick: number | null;
  /** The coach knew the layout; the dog saw it laid. Neither proves anything. */
  readonly known: boolean;
  readonly shape: LayoutShape;
  readonly seen: boolean;
  /** The place of a decoy that lay nearer than the rest. */
  readonly nearer: number | null;
};
export type ChainSeen = {
  readonly kind: 'chain';
  readonly links: readonly { readonly element: ElementId; readonly criteria: Criteria }[];
  /** The link at which it broke, from 0: earlier ones held, later ones were not reached. */
  readonly brokeAt: number | null;
  /** Seconds from the start to the end of each link that was pressed, in their order. */
  readonly splits?: readonly number[];
};
export type LegsSeen = {
  readonly kind: 'legs';
  readonly seconds: number;
  readonly stamps: readonly { readonly leg: string; readonly fault: FaultRef; readonly at: number }[];
};
export type RunSeen = ChainSeen | LegsSeen | ArticlesSeen;

export type Calm = { readonly on?: number; readonly worn?: number; readonly off?: number };
/** Cues beyond the first: needed by the dog, slipped from the handler, or meant as the answer to a miss. */
export type Cues = { readonly needed: number; readonly slip: number; readonly meant?: number };

export type Seen = {
  readonly measured: Readonly<Partial<Record<Measure, Measured>>>;
  /** Crookedness by eye, as an interval. */
  readonly eye?: Crooked;
  readonly grade?: LevelId;
  readonly drive?: number;
  readonly calm?: Calm;
  readonly cues?: Cues;
  /** What it did instead of what was asked: a word, a side, an article. */
  readonly instead?: string;
  readonly handled?: Handled;
  /** Seconds from the stamp of the cue to the entry's own time: where a clip of it lies is told by this. */
  readonly sinceCue?: number;
  readonly timing: Timing | null;
  readonly endedBy: 'dog' | 'handler' | null;
  readonly run: RunSeen | null;
};

export type Judged = {
  /** `none`: neither one nor the other, as a hold that the handler ended early. */
  readonly outcome: Outcome | 'none';
  readonly faults: readonly FaultRef[];
  readonly cause: Cause;
  readonly aids: readonly Aid[];
  /** Nothing lay there, an article was touched, a layout was known: shown, never counted. */
  readonly void: boolean;
  /** What the program proposed from what was measured; null where it proposed nothing. */
  readonly proposed: { readonly outcome: Outcome | 'none'; readonly faults: readonly FaultRef[] } | null;
};

export const PAY_SIZES = ['none', 'small', 'large', 'jackpot'] as const;
export type Paid = {
  readonly size?: (typeof PAY_SIZES)[number];
  readonly what?: string;
  readonly pieces?: number;
  readonly when?: string;
  readonly where?: Landed;
  readonly unasked?: boolean;
  readonly marker?: string;
  readonly by?: 'person' | 'coin' | 'schedule';
};

/** A rep that a confirmed score sheet wrote: which run, part and time of it. */
export type FromSheet = {
  readonly run: RunId;
  readonly exercise: ExerciseKey;
  readonly part: PartKey;
  readonly time: number;
};

export type RepSaid = {
  readonly purpose: Purpose;
  readonly asked: Asked;
  readonly seen: Seen;
  readonly judged: Judged;
  readonly paid: Paid;
  readonly from: FromSheet | null;
};

/** What is said otherwise of a rep. Laid over it key by key; the last wins. */
export type Amendment = {
  readonly purpose?: Purpose;
  readonly asked?: Partial<Asked>;
  readonly seen?: Partial<Seen>;
  readonly judged?: Partial<Judged>;
  readonly paid?: Paid;
};

/**
 * Order is (seq, by, id): seq is one more than the highest that the device has seen in this bout, so
 * two devices may write the same. `timed` is false where `at` only keeps the order: typed from
 * paper, or set afterwards.
 */
export type Place = {
  readonly id: EntryId;
  readonly boutId: BoutId;
  readonly dogId: DogId;
  readonly seq: number;
  readonly by: DeviceId;
  readonly at: number;
  readonly timed: boolean;
};

/** What an entry says, without its place in the log. */
export type Said =
  | ({ readonly kind: 'rep' } & RepSaid)
  | ({
      readonly kind: 'amend';
      readonly of: EntryId;
      /** The last amendments of the rep that were known where this was written; absent where nobody kept it. */
      readonly after?: readonly EntryId[];
    } & Amendment)
  | { readonly kind: 'undo'; readonly of: EntryId }
  | { readonly kind: 'move'; readonly to: Criteria; readonly because: 'advice' | 'hand' | 'probe' }
  | { readonly kind: 'override'; readonly advice: string; readonly why: string }
  | { readonly kind: 'sign'; readonly sign: BodySign }
  | { readonly kind: 'sign-over'; readonly of: EntryId; readonly why: string }
  | { readonly kind: 'easy'; readonly what: string }
  | { readonly kind: 'unlogged'; readonly count: number }
  | { readonly kind: 'clock'; readonly what: 'work' | 'rest' | 'warm-up'; readonly seconds: number }
  | { readonly kind: 'rest' }
  | { readonly kind: 'time-out' }
  | { readonly kind: 'answer'; readonly why: Refusal }
  | { readonly kind: 'stage'; readonly stage: Stage }
  | { readonly kind: 'note'; readonly text: string }
  /** A note or a sign said otherwise. */
  | { readonly kind: 'restate'; readonly of: EntryId; readonly text?: string; readonly sign?: BodySign }
  /** Off on business of its own (lost food, a sniff round), or back: neither work nor rest. */
  | { readonly kind: 'off'; readonly back: boolean }
  /** One more lies there; `thing` by its key on the set-out of the bout. */
  | { readonly kind: 'laid'; readonly thing?: string }
  | { readonly kind: 'washed' }
  | { readonly kind: 'out-of-use'; readonly article: string }
  | { readonly kind: 'touched'; readonly article: string };

export type Entry = Place & Said;
export type RepEntry = Extract<Entry, { kind: 'rep' }>;

/** Entries in the order of a log, whatever order they came in. */
export function inOrder(entries: readonly Entry[]): Entry[] {
  return [...entries].sort(
    (a, b) =>
      a.seq - b.seq || (a.by < b.by ? -1 : a.by > b.by ? 1 : 0) || (a.id < b.id ? -1 : a.id > b.id ? 1 : 0),
  );
}

/** A rep of which nothing but its judgement and criteria was said. */
export function plainRep(criteria: Criteria, judged: Partial<Judged> & Pick<Judged, 'outcome'>): RepSaid {
  return {
    purpose: 'training',
    asked: { criteria, chips: {}, noted: [], call: null },
    seen: { measured: {}, timing: null, endedBy: null, run: null },
    judged: { faults: [], cause: 'dog', aids: [], void: false, proposed: null, ...judged },
    paid: {},
    from: null,
  };
}
