import { describe, expect, it } from 'vitest';
import { ok, type Result, type Steps } from '@/core/shared';
import type { Said, Task } from './protocol';
import { serveSteps } from './serve';

/** A worker by hand: a clock that each step moves, and turns that are taken one at a time. */
function worker(stepMs: number) {
  let clock = 0;
  const said: unknown[] = [];
  const turns: (() => void)[] = [];
  const begun: string[] = [];
  function* count(name: string, steps: number): Steps<Result<unknown>, Said> {
    for (let i = 1; i <= steps; i++) {
      clock += stepMs;
      begun.push(`${name}${i}`);
      yield i / steps;
    }
    return ok(name);
  }
  const receive = serveSteps(
    (message) => said.push(message),
    (task) => count(...(task as unknown as [string, number])),
    (go) => turns.push(go),
    () => clock,
  );
  return {
    said,
    begun,
    task: (id: number, name: string, steps: number) =>
      receive({ data: { kind: 'task', id, task: [name, steps] as unknown as Task } }),
    cancel: (id: number) => receive({ data: { kind: 'cancel', id } }),
    turn: () => turns.shift()?.(),
    idle: () => turns.length === 0,
  };
}
const settled = (said: readonly unknown[]) =>
  said.flatMap((message) => ((message as { kind: string }).kind === 'settled' ? [message] : []));

describe('what a worker does with its messages', () => {
  it('does a task a stretch at a time, and tells each percent once', () => {
    const one = worker(10);
    one.task(0, 'a', 4);
    one.turn();
    expect(one.begun).toEqual(['a1', 'a2']);
    one.turn();
    one.turn();
    expect(settled(one.said)).toEqual([{ kind: 'settled', id: 0, result: { ok: true, value: 'a' } }]);
    expect(one.idle()).toBe(true);
    const fine = worker(0);
    fine.task(0, 'f', 1000);
    fine.turn();
    expect(fine.said.length).toBeLessThan(110);
  });

  it('does the newest first, since the page in hand asked it, and the older ones after it', () => {
    const one = worker(20);
    one.task(0, 'old', 3);
    one.turn();
    one.task(1, 'new', 2);
    while (!one.idle()) one.turn();
    expect(one.begun).toEqual(['old1', 'new1', 'new2', 'old2', 'old3']);
    expect(settled(one.said).map((message) => (message as { id: number }).id)).toEqual([1, 0]);
  });

  it('stops in the middle of a cancelled task, and of the last one altogether', () => {
    const one = worker(20);
    one.task(0, 'a', 100);
    one.turn();
    one.cancel(0);
    while (!one.idle()) one.turn();
    expect([one.begun, settled(one.said)]).toEqual([['a1'], []]);
    one.cancel(7);
    one.task(1, 'b', 1);
    while (!one.idle()) one.turn();
    expect(settled(one.said)).toHaveLength(1);
  });
});
