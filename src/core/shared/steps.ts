/**
 * A long computation that pauses now and then and says how far it is, so that whoever runs it can do
 * something else in between, or stop. It stays pure: what it pauses for changes nothing.
 */
export type Steps<T, S = number> = Generator<S, T, void>;

/**
 * Runs a computation to its end without a pause and gives its result. `finish(steps, log)` of one that
 * yields .5 and 1 and returns 7 → 7, after `log(.5)` and `log(1)`.
 * @internal
 */
export function finish<T, S>(steps: Steps<T, S>, onStep: (step: S) => void = () => undefined): T {
  for (;;) {
    const next = steps.next();
    if (next.done) return next.value;
    onStep(next.value);
  }
}
