import FFT from 'fft.js';

/** How sound is cut into frames at a rate: `size` samples (a power of two, about 11 ms), every `hop` of them. */
export type Cutting = {
  readonly rate: number;
  readonly size: number;
  readonly hop: number;
  /** The first bin of each band and, at the end, the first after the last one. */
  readonly edges: readonly number[];
};

const LOWEST = 400;
const HIGHEST = 14_000;
const BANDS = 22;

/** Frames of about 11 ms with half of it between them, and bands of even steps of pitch from 400 Hz upwards. */
export function cuttingAt(rate: number): Cutting {
  const size = 2 ** Math.round(Math.log2(rate / 94));
  const [low, high] = [LOWEST, Math.min(HIGHEST, 0.45 * rate)];
  const edges = [Math.max(1, Math.round((low / rate) * size))];
  for (let i = 1; i <= BANDS; i++) {
    const bin = Math.round(((low * (high / low) ** (i / BANDS)) / rate) * size);
    // Low bands would be narrower than a bin.
    if (bin > (edges.at(-1) as number)) edges.push(bin);
  }
  return { rate, size, hop: size / 2, edges };
}

export type Spectrum = (samples: Float32Array, from: number) => Float64Array;

/** The power in each bin of a frame under a Hann window; the same array is filled again with each call. */
export function spectrumOf({ size }: Cutting): Spectrum {
  const fft = new FFT(size);
  const [frame, out] = [new Float64Array(size), fft.createComplexArray()];
  const window = Float64Array.from(
    { length: size },
    (_, i) => 0.5 - 0.5 * Math.cos((2 * Math.PI * (i + 0.5)) / size),
  );
  const power = new Float64Array(size / 2);
  return (samples, from) => {
    for (let i = 0; i < size; i++) frame[i] = (samples[from + i] ?? 0) * (window[i] as number);
    fft.realTransform(out, frame as unknown as number[]);
    for (let i = 0; i < power.length; i++)
      power[i] = (out[2 * i] as number) ** 2 + (out[2 * i + 1] as number) ** 2;
    return power;
  };
}

/** The mean power of each band. */
export function bandsOf({ edges }: Cutting, power: Float64Array): Float64Array {
  const bands = new Float64Array(edges.length - 1);
  for (let band = 0; band < bands.length; band++) {
    const [from, to] = [edges[band] as number, edges[band + 1] as number];
    let sum = 0;
    for (let i = from; i < to; i++) sum += power[i] as number;
    bands[band] = sum / (to - from);
  }
  return bands;
}

/** Power as decibels over next to nothing. */
export const decibels = (power: number): number => 10 * Math.log10(power + 1e-14);
