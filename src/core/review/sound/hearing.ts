import type { Cutting } from './frames';
import { HEARD } from './heard';

/** The mean over all bands of what each rose by since the louder of the two frames before. */
export function meanRise(level: Float64Array, before: readonly Float64Array[]): number {
  if (before.length < 2) return 0;
  let sum = 0;
  for (let i = 0; i < level.length; i++)
    sum += Math.max(0, (level[i] as number) - Math.max(before[0]?.[i] as number, before[1]?.[i] as number));
  return sum / level.length;
}

/** Whether a frame is a tone that stands out: most of its power within three bins, between 1 and 8 kHz. */
export function tonal({ rate, size }: Cutting, power: Float64Array, rise: Float64Array): boolean {
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

/** The power between two pitches. */
export function powerIn({ rate, size }: Cutting, power: Float64Array, low: number, high: number): number {
  const [from, to] = [Math.round((low / rate) * size), Math.round((high / rate) * size)];
  let sum = 0;
  for (let i = from; i < Math.min(to, power.length); i++) sum += power[i] as number;
  return sum;
}

/** How much the last 40 ms repeat themselves at the pitch of a voice (80 to 400 Hz): 1 exactly, 0 not at all. */
export function periodicity(samples: Float32Array, to: number, { rate }: Cutting): number {
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
export function sharpest(
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
