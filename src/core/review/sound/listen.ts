import { bandsOf, cuttingAt, decibels, spectrumOf } from './frames';
import { HEARD } from './heard';
import { meanRise, periodicity, powerIn, sharpest, tonal } from './hearing';
import { type Burst, openBurst, openRun, usualOf } from './spans';

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
  const isVoice = (to: number): boolean => lifting && periodicity(buffer, to - start, cutting) > HEARD.voiced;
  let [lifting, quiet] = [false, Number.NaN];

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
    const bright = decibels(powerIn(cutting, power, 1_200, rate));
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
    if (click && !isVoice(click.from)) waiting.push(click);
    // A word that begins hard goes on as a voice.
    while (waiting[0] && from - waiting[0].from >= HEARD.after * rate) {
      const heard = clickFrom(waiting.shift() as Burst);
      if (heard && !isVoice(from + size)) found.push(heard);
    }
    for (const span of tone.step(at, isTone, Math.max(...rise)))
      found.push({ kind: 'whistle', ...span, shape: [] });
    const spoken = decibels(powerIn(cutting, power, 250, 4_000));
    if (Number.isNaN(quiet)) quiet = spoken;
    const raised = spoken - quiet;
    quiet += (raised < 0 ? 0.1 : 0.008) * raised;
    lifting = raised >= HEARD.lift;
    const lifted = !isTone && lifting;
    if (lifted) pitch = Math.max(pitch * 0.98, periodicity(buffer, from - start, cutting));
    for (const span of voice.step(at, lifted, raised)) {
      // Wind and rustling last as long as a word, but have no pitch.
      if (pitch > HEARD.voiced) found.push({ kind: 'word', ...span, shape: [] });
      pitch = 0;
    }
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
