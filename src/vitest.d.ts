import 'vitest';

declare module 'vitest' {
  interface AsymmetricMatchersContaining {
    /** A sentence of the core's that says these words, or words like these. */
    saying(words: string | RegExp): unknown;
  }
}
