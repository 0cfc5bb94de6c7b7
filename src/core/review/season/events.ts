/** What happens on a live day (a hunt, a competition) and is worth a tap. */
export const LIVE_KINDS = ['mark', 'blind', 'flush', 'stay', 'delivery', 'other'] as const;
export type LiveKind = (typeof LIVE_KINDS)[number];
/** How the wind lay to the dog's way out, and what it went through. */
export const LIVE_WINDS = ['into', 'across', 'with'] as const;
export type LiveWind = (typeof LIVE_WINDS)[number];
export const LIVE_COVERS = ['open', 'light', 'thick'] as const;
export type LiveCover = (typeof LIVE_COVERS)[number];
/** As it should be; with a fault; not done, or lost. */
export const LIVE_ENDS = ['right', 'fault', 'lost'] as const;
export type LiveEnd = (typeof LIVE_ENDS)[number];

/** One event, with the values at which it happened; null where nobody said. Metres. */
export type LiveEvent = {
  readonly what: LiveKind;
  readonly distance: number | null;
  readonly wind: LiveWind | null;
  readonly cover: LiveCover | null;
  readonly end: LiveEnd;
};

/** What somebody counts of a season: of so many, so many right. */
export type LiveTally = { readonly what: LiveKind; readonly n: number; readonly right: number };

/** Events by what they were, those that were in the order of the kinds. Two marks, one right → mark 1 of 2. */
export const tallyOf = (events: readonly LiveEvent[]): LiveTally[] =>
  LIVE_KINDS.flatMap((what) => {
    const own = events.filter((one) => one.what === what);
    return own.length === 0
      ? []
      : [{ what, n: own.length, right: own.filter(({ end }) => end === 'right').length }];
  });

/**
 * How an event ended with what was said of it afterwards: a right one with a fault is one with a fault; what was
 * tapped stays as it was, so that a fault that is taken back gives it back.
 */
export const endWith = (end: LiveEnd, faults: number): LiveEnd =>
  end === 'right' && faults > 0 ? 'fault' : end;
