/**
 * Seeded randomness: sfc32 (Chris Doty-Humphrey, PractRand, 2010), 128 bits of state, period about
 * 2^127.
 *
 * The state is four unsigned 32-bit integers and can be saved and restored, so a sequence goes on
 * where it stopped. Integer arithmetic only: the same seed gives the same bits on every engine.
 */
export type RandomState = readonly [number, number, number, number];

export type Random = {
  /**
   * Uniform on the open interval (0, 1), 32 bits of resolution; never exactly 0 or 1, so logs and
   * quantiles are finite.
   */
  readonly uniform: () => number;
  /**
   * Fills a list with uniforms; the same numbers as so many calls of `uniform`, without a call for
   * each.
   */
  readonly fill: (out: Float64Array) => void;
  /** Uniform integer in [0, n). `n` must be a positive integer. */
  readonly integer: (n: number) => number;
  /**
   * Standard normal (Marsaglia & Bray polar method, 1964; the spare value is dropped, so the state
   * is the whole story).
   */
  readonly normal: () => number;
  readonly save: () => RandomState;
};

/**
 * Mixes integers into one 32-bit seed (the finaliser of MurmurHash3, Appleby 2011). `mixSeed(1, 2)
 * === mixSeed(1, 2)`.
 */
export function mixSeed(...parts: readonly number[]): number {
  let hash = 0x9e3779b9;
  for (const part of parts) {
    hash = Math.imul(hash ^ (part >>> 0), 0x85ebca6b);
    hash = Math.imul(hash ^ (hash >>> 13), 0xc2b2ae35);
    hash = (hash ^ (hash >>> 16)) + 0x9e3779b9;
  }
  return hash >>> 0;
}

/** Turns text into a 32-bit seed (FNV-1a). `seedFromText('quill') === seedFromText('quill')`. */
export function seedFromText(text: string): number {
  let hash = 0x811c9dc5;
  for (let i = 0; i < text.length; i++) hash = Math.imul(hash ^ text.charCodeAt(i), 0x01000193);
  return hash >>> 0;
}

/** A generator from a 32-bit seed. Distinct seeds give unrelated sequences. */
export function seeded(seed: number): Random {
  const random = restored([seed >>> 0, mixSeed(seed, 1), mixSeed(seed, 2), 1]);
  for (let i = 0; i < 12; i++) random.uniform();
  return random;
}

/** A generator that goes on from a saved state. */
export function restored(state: RandomState): Random {
  let [a, b, c, d] = state;
  const uniform = (): number => {
    const t = (((a + b) | 0) + d) | 0;
    d = (d + 1) | 0;
    a = b ^ (b >>> 9);
    b = (c + (c << 3)) | 0;
    c = (c << 21) | (c >>> 11);
    c = (c + t) | 0;
    return ((t >>> 0) + 0.5) / 4294967296;
  };
  const fill = (out: Float64Array): void => {
    // The state lives in locals of this loop: in the closure's variables it runs at half the speed.
    let [w, x, y, z] = [a, b, c, d];
    for (let i = 0; i < out.length; i++) {
      const t = (((w + x) | 0) + z) | 0;
      z = (z + 1) | 0;
      w = x ^ (x >>> 9);
      x = (y + (y << 3)) | 0;
      y = (y << 21) | (y >>> 11);
      y = (y + t) | 0;
      out[i] = ((t >>> 0) + 0.5) / 4294967296;
    }
    [a, b, c, d] = [w, x, y, z];
  };
  const normal = (): number => {
    for (;;) {
      const x = 2 * uniform() - 1;
      const y = 2 * uniform() - 1;
      const s = x * x + y * y;
      if (s > 0 && s < 1) return x * Math.sqrt((-2 * Math.log(s)) / s);
    }
  };
  return {
    uniform,
    fill,
    normal,
    integer: (n) => Math.floor(uniform() * n),
    save: () => [a >>> 0, b >>> 0, c >>> 0, d >>> 0],
  };
}
