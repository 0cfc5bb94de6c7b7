import type { Sentence } from './say';

/**
 * Expected failure is a value; only a bug throws.
 *
 * `path` names the place in the input (`exercises[2].faults[0].cost`, or '' for the whole), `code`
 * is stable and for programs, `message` says to the person what happened, why, and what to do.
 */
export type Failure = {
  readonly ok: false;
  readonly code: string;
  readonly path: string;
  readonly message: Sentence;
};
export type Success<T> = { readonly ok: true; readonly value: T };
export type Result<T> = Success<T> | Failure;

/** A success. `ok(3)` → `{ ok: true, value: 3 }`. */
export function ok<T>(value: T): Success<T> {
  return { ok: true, value };
}

/** A failure. `fail('range', 'step', say('step.too-long'))` → `{ ok: false, code: 'range', … }`. */
export function fail(code: string, path: string, message: Sentence): Failure {
  return { ok: false, code, path, message };
}

/**
 * Unwraps a result that can only fail through a bug, e.g. data shipped with the program. Throws the
 * failure's message.
 */
export function must<T>(result: Result<T>): T {
  if (!result.ok) throw new Error(`${result.code} at ${result.path || 'root'}: ${result.message.say}`);
  return result.value;
}

/** Makes a switch over a union exhaustive: a forgotten case is a type error at the call. */
export function unreachable(value: never): never {
  throw new Error(`unreachable: ${JSON.stringify(value)}`);
}
