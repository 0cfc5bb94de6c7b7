import type { Steps } from '@/core/shared';

/** The steps of a part as a share of the whole; null pauses without saying more. */
export function* share<T>(steps: Steps<T, number | null>, from: number, width: number): Steps<T, number> {
  let done = 0;
  for (;;) {
    const next = steps.next();
    if (next.done) return next.value;
    done = next.value ?? done;
    yield from + width * done;
  }
}
