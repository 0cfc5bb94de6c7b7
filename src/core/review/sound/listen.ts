import { bandsOf, type Cutting, cuttingAt, decibels, spectrumOf } from './frames';

export type SoundKind = 'click' | 'whistle' | 'word';

/**
 * A sound that may be a cue or a marker: seconds from the beginning of what was heard, how far above the sound
 * around it, decibels, and of a click the shape of its spectrum (see `own-clicks.ts`).
 */
export type Sound = {
  readonly kind: SoundKind;
  readonly at: number;
  readonly until: number;
  readonly over: number;
  readonly shape: readonly number[];
};

/**
 * What is taken for which sound; decibels and seconds. `flux`: the mean rise over all bands from one frame to the
 * next that begins a sound, beside `spread` times the usual spread of it. A click is over within `short`, and
 * lifts at least `broad` bands by 6 dB. `tonal`: the share of the power of a frame within three bins that makes
 * it a tone.
 */
const HEARD = {
  flux: 1.6,
  spread: 6,
  short: 0.03,
  broad: 2,
  fall: 4,
  step: 2.5,
  tonal: 0.55,
  tone: 0.08,
  lift: 6,
  voice: 0.09,
  longest: 2,
  voiced: 0.55,
  after: 0.045,
  gap: 0.12,
} as const;
/** The first moments of a recording are a switch, not a sound. */
const SETTLING = 0.05;
/** How long the usual is remembered, seconds. */
const MEMORY = 1;

export type Listener = {
  /** The next samples, from −1 to 1, in pieces of any length; gives what is over by now. */
  readonly hear: (samples: Float32Array) => Sound[];
  /** What was still going on at the end. */
  readonly end: () => Sound[];
};

/**
 * Listens for short broad clicks, whistles and words: spectral flux over even steps of pitch with an adaptive
 * threshold (Bello and others 2005), then what each onset turns into. It remembers a tenth of a second of sound
 * and keeps none. A click is told 40 ms after it, to the millisecond.
 * Silence with a click at 1.000 s → `[{ kind: 'click', at: 1.000, … }]`.
 */
export function openListener(rate: number): Listener {
  const cutting = cuttingAt(rate);
  const { size, hop } = cutting;
  const spectrum = spectrumOf(cutting);
  const perSecond = rate / hop;
  const keep = 2 * size + Math.ceil(0.1 * rate);
  let [buffer, start, filled] = [new Float32Array(keep + 4 * size), 0, 0];
  let next = 0;

  const bands = cutting.edges.length - 1;
  const floor = new Float64Array(bands).fill(Number.NaN);
  const loud = new Float64Array(bands);
  let before: Float64Array[] = [];
  const fluxes = usualOf(Math.round(MEMORY * perSecond));
  const levels = usualOf(Math.round(MEMORY * perSecond));
  let brightness: readonly number[] = [];
  const burst = openBurst(cutting, perSecond);
  const tone = openRun(HEARD.tone, 0.02, HEARD.longest);
  const voice = openRun(HEARD.voice, HEARD.gap, HEARD.longest);
  let pitch = 0;
  const waiting: Burst[] = [];
  /** Whether somebody speaks in the 30 ms up to a sample. */
  const spoken = (to: number): boolean => lifting && periodicity(buffer, to - start, cutting) > HEARD.voiced;
  let lifting = false;

  const frame = (from: number): Sound[] => {
    const at = from / rate;
    const power = spectrum(buffer, from - start);
    const now = bandsOf(cutting, power);
    const level = now.map(decibels);
    if (Number.isNaN(floor[0])) for (let i = 0; i < bands; i++) floor[i] = level[i] as number;
    const rise = level.map((one, i) => one - (floor[i] as number));
    const flux = meanRise(level, before);
    before = [...before.slice(-1), level];
    const usual = fluxes.take(flux);
    const bright = decibels(powerAbove(cutting, power));
    const step = brightness.length < 2 ? 0 : bright - Math.max(...brightness);
    brightness = [...brightness.slice(-1), bright];
    const steps = levels.take(step);
    const sudden = steps !== null && step > Math.max(HEARD.step, steps.middle + HEARD.spread * steps.spread);
    const found: Sound[] = [];
    const isTone = tonal(cutting, power, rise);
    const begins =
      at > SETTLING &&
      (sudden || (usual !== null && flux > Math.max(HEARD.flux, usual.middle + HEARD.spread * usual.spread)));
    const click = burst.step({ from, at, begins, rise, level: bright });
    if (click && !spoken(click.from)) waiting.push(click);
    // A word that begins hard goes on as a voice.
    while (waiting[0] && from - waiting[0].from >= HEARD.after * rate) {
      const heard = clickFrom(waiting.shift() as Burst);
      if (heard && !spoken(from + size)) found.push(heard);
    }
    for (const span of tone.step(at, isTone, Math.max(...rise)))
      found.push({ kind: 'whistle', ...span, shape: [] });
    const lifted = !isTone && voiceRise(cutting, rise) >= HEARD.lift;
    if (lifted) pitch = Math.max(pitch * 0.98, periodicity(buffer, from - start, cutting));
    for (const span of voice.step(at, lifted, voiceRise(cutting, rise))) {
      // Wind and rustling last as long as a word, but have no pitch.
      if (pitch > HEARD.voiced) found.push({ kind: 'word', ...span, shape: [] });
      pitch = 0;
    }
    lifting = voiceRise(cutting, rise) >= HEARD.lift;
    // Down at once, up slowly: a gust or a bark does not count as the usual.
    for (let i = 0; i < bands; i++) {
      const off = rise[i] as number;
      floor[i] = (floor[i] as number) + (off < 0 ? 0.1 : 0.008) * off;
      loud[i] = (loud[i] as number) + 0.02 * ((now[i] as number) - (loud[i] as number));
    }
    return found;
  };

  /** The exact time of a click by the energy of differences in steps of a millisecond, and its shape from there. */
  const clickFrom = (click: Burst): Sound | null => {
    const at = sharpest(buffer, start, click.from - hop, click.from + size, rate);
    if (at === null) return null;
    const power = bandsOf(cutting, spectrum(buffer, at - start - Math.round(size / 4)));
    const shape = Array.from(power, (one, i) => Math.sqrt(Math.max(0, one - (loud[i] as number))));
    const length = Math.hypot(...shape);
    return {
      kind: 'click',
      at: at / rate,
      until: at / rate + HEARD.short,
      over: click.over,
      shape: length === 0 ? [] : shape.map((one) => one / length),
    };
  };

  const hear = (samples: Float32Array): Sound[] => {
    const found: Sound[] = [];
    let taken = 0;
    while (taken < samples.length) {
      const room = Math.min(buffer.length - filled, samples.length - taken);
      buffer.set(samples.subarray(taken, taken + room), filled);
      filled += room;
      taken += room;
      while (next + size <= start + filled) {
        found.push(...frame(next));
        next += hop;
      }
      // What lies further back than a tenth of a second is forgotten.
      const drop = Math.max(0, next - keep - start);
      if (drop > 0) {
        buffer.copyWithin(0, drop, filled);
        filled -= drop;
        start += drop;
      }
    }
    return found;
  };
  return {
    hear,
    end: () => [
      ...tone.end().map((span) => ({ kind: 'whistle' as const, ...span, shape: [] })),
      ...(pitch > HEARD.voiced ? voice.end() : []).map((span) => ({
        kind: 'word' as const,
        ...span,
        shape: [],
      })),
    ],
  };
}

const mean = (list: ArrayLike<number>): number => {
  let sum = 0;
  for (let i = 0; i < list.length; i++) sum += list[i] as number;
  return sum / list.length;
};

/** The mean over all bands of what each rose by since the louder of the two frames before. */
function meanRise(level: Float64Array, before: readonly Float64Array[]): number {
  if (before.length < 2) return 0;
  let sum = 0;
  for (let i = 0; i < level.length; i++)
    sum += Math.max(0, (level[i] as number) - Math.max(before[0]?.[i] as number, before[1]?.[i] as number));
  return sum / level.length;
}

/** The median of the last values and the median distance from it, as a standard deviation; null while few. */
function usualOf(count: number) {
  const ring = new Float64Array(count);
  let [taken, known] = [0, null as { readonly middle: number; readonly spread: number } | null];
  return {
    take(value: number): typeof known {
      const was = known;
      ring[taken % count] = value;
      taken++;
      if (taken >= 16 && taken % 8 === 0) {
        const sorted = ring.slice(0, Math.min(taken, count)).sort();
        const middle = sorted[sorted.length >> 1] as number;
        const off = sorted.map((one) => Math.abs(one - middle)).sort();
        known = { middle, spread: 1.4826 * (off[off.length >> 1] as number) };
      }
      return was;
    },
  };
}

type Burst = { readonly from: number; readonly over: number };
type Step = {
  readonly from: number;
  readonly at: number;
  readonly begins: boolean;
  readonly rise: Float64Array;
  readonly level: number;
};

/** Waits after an onset whether it is over at once: then it was a click. */
function openBurst({ hop }: Cutting, perSecond: number) {
  const short = Math.ceil(HEARD.short * perSecond);
  let open: {
    from: number;
    peak: number;
    peakAt: number;
    broad: number;
    frames: number;
    before: number;
  } | null = null;
  let last = 0;
  return {
    step({ from, begins, rise, level }: Step): Burst | null {
      const broad = rise.reduce((sum, one) => sum + (one >= HEARD.lift ? 1 : 0), 0);
      const was = last;
      last = level;
      if (!open) {
        if (begins) open = { from, peak: level, peakAt: from, broad, frames: 0, before: was };
        return null;
      }
      open.frames++;
      // A frame meets a click with its rim first.
      if (level > open.peak && open.frames <= 3)
        open = { ...open, peak: level, peakAt: from, broad: Math.max(open.broad, broad) };
      const gone = level <= Math.max(open.peak - HEARD.fall, open.before + (open.peak - open.before) * 0.4);
      if (open.frames <= 1 || (!gone && open.frames < short + 2)) return null;
      const done = open;
      open = null;
      return gone && done.broad >= HEARD.broad && done.peak - done.before >= HEARD.step
        ? { from: done.peakAt - hop / 2, over: done.peak - done.before }
        : null;
    },
  };
}

type Span = { readonly at: number; readonly until: number; readonly over: number };

/** Frames in a row of which something holds, at least so long, with gaps in between that count as the same. */
function openRun(least: number, gap: number, longest: number) {
  let open: { at: number; until: number; over: number } | null = null;
  const close = (): Span[] => {
    const done = open;
    open = null;
    return done && done.until - done.at >= least && done.until - done.at <= longest ? [done] : [];
  };
  return {
    step(at: number, holds: boolean, over: number): Span[] {
      if (holds && open) open = { ...open, until: at, over: Math.max(open.over, over) };
      else if (holds) open = { at, until: at, over };
      else if (open && at - open.until > gap) return close();
      return [];
    },
    end: close,
  };
}

/** Whether a frame is a tone that stands out: most of its power within three bins, between 1 and 8 kHz. */
function tonal({ rate, size }: Cutting, power: Float64Array, rise: Float64Array): boolean {
  const bin = (hertz: number): number => Math.min(power.length - 1, Math.round((hertz / rate) * size));
  let [best, all] = [bin(1_000), 0];
  for (let i = bin(600); i < power.length; i++) {
    all += power[i] as number;
    if (i >= bin(1_000) && i <= bin(8_000) && (power[i] as number) > (power[best] as number)) best = i;
  }
  let near = 0;
  for (let i = best - 1; i <= best + 1; i++) near += power[i] ?? 0;
  return near > HEARD.tonal * all && Math.max(...rise) >= 10;
}

/** The power above 1.2 kHz, where clicks ring and wind does not. */
function powerAbove({ rate, size }: Cutting, power: Float64Array): number {
  let sum = 0;
  for (let i = Math.round((1_200 / rate) * size); i < power.length; i++) sum += power[i] as number;
  return sum;
}

/** How far the bands of a voice, up to 4 kHz, lie above the usual, decibels. */
function voiceRise({ edges, rate, size }: Cutting, rise: Float64Array): number {
  const bands = edges.findIndex((edge) => (edge / size) * rate > 4_000);
  return mean(rise.subarray(0, bands < 1 ? rise.length : bands));
}

/** How much the last 40 ms repeat themselves at the pitch of a voice (80 to 400 Hz): 1 exactly, 0 not at all. */
function periodicity(samples: Float32Array, to: number, { rate }: Cutting): number {
  const length = Math.round(0.03 * rate);
  const from = Math.max(0, to - length);
  const step = Math.max(1, Math.round(rate / 8_000));
  // Differences again: the rumble of wind repeats itself too, but below a voice's formants.
  const bright = Math.max(1, Math.round(rate / 2_500));
  let best = 0;
  for (let lag = Math.round(rate / 400); lag <= rate / 80; lag += step) {
    if (from - lag - bright < 0) break;
    let [both, a, b] = [0, 0, 0];
    for (let i = from; i < to; i += step) {
      const x = (samples[i] ?? 0) - (samples[i - bright] ?? 0);
      const y = (samples[i - lag] ?? 0) - (samples[i - lag - bright] ?? 0);
      both += x * y;
      a += x * x;
      b += y * y;
    }
    if (a > 0 && b > 0) best = Math.max(best, both / Math.sqrt(a * b));
  }
  return best;
}

/** The sample at which the differences first come to half of their largest millisecond; null without any. */
function sharpest(
  samples: Float32Array,
  start: number,
  from: number,
  to: number,
  rate: number,
): number | null {
  const step = Math.max(1, Math.round(rate / 1_000));
  // Differences over an eighth of a millisecond: most of what rings between 1 and 7 kHz, nothing of wind.
  const lag = Math.max(1, Math.round(rate / 8_000));
  const energies: number[] = [];
  for (let at = from; at < to; at += step) {
    let sum = 0;
    for (let i = at; i < at + step; i++) {
      const off = (samples[i - start] ?? 0) - (samples[i - start - lag] ?? 0);
      sum += off * off;
    }
    energies.push(sum);
  }
  const most = Math.max(...energies);
  if (!(most > 0)) return null;
  return from + energies.findIndex((one) => one >= most / 2) * step;
}
