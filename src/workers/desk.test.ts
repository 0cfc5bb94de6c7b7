import { afterEach, describe, expect, it, vi } from 'vitest';
import { openDesk, type ToWorker } from './desk';

type Task = { readonly kind: 'double'; readonly of: number };
type Sent = ToWorker<Task>;

/** Stands in for a worker: keeps what it was sent, and says what it is told to. */
class FakeWorker {
  static all: FakeWorker[] = [];
  static get last(): FakeWorker {
    return FakeWorker.all.at(-1) as FakeWorker;
  }
  onmessage: ((event: { data: unknown }) => void) | null = null;
  onerror: ((event: { message: string; preventDefault: () => void }) => void) | null = null;
  ended = false;
  readonly sent: Sent[] = [];
  constructor() {
    FakeWorker.all.push(this);
  }
  postMessage(message: Sent): void {
    this.sent.push(message);
  }
  terminate(): void {
    this.ended = true;
  }
  say(id: number, said: number): void {
    this.onmessage?.({ data: { kind: 'said', id, said } });
  }
  settle(id: number, value: number): void {
    this.onmessage?.({ data: { kind: 'settled', id, result: { ok: true, value } } });
  }
  crash(message: string): void {
    this.onerror?.({ message, preventDefault: () => undefined });
  }
}
const desk = (options: { timeout?: number; endsOnCancel?: boolean } = {}) =>
  openDesk<Task, number, { double: number }>({
    spawn: () => new FakeWorker() as unknown as Worker,
    ...options,
  });
const task = (of: number): Task => ({ kind: 'double', of });
afterEach(() => {
  vi.useRealTimers();
  FakeWorker.all = [];
});

describe('a desk before a worker', () => {
  it('keeps one worker for all tasks, and gives each its own answer in any order', async () => {
    const one = desk();
    const told: number[] = [];
    const [first, second] = [
      one.ask(task(1), { onSaid: (said) => told.push(said) }),
      one.ask(task(2), { onSaid: (said) => told.push(said) }),
    ];
    expect(FakeWorker.all).toHaveLength(1);
    expect(FakeWorker.last.sent).toMatchObject([
      { kind: 'task', id: 0, task: task(1) },
      { kind: 'task', id: 1, task: task(2) },
    ]);
    FakeWorker.last.say(1, 0.5);
    FakeWorker.last.settle(1, 4);
    FakeWorker.last.say(1, 0.9);
    FakeWorker.last.settle(0, 2);
    expect([await first, await second, told]).toEqual([
      { ok: true, value: 2 },
      { ok: true, value: 4 },
      [0.5],
    ]);
    const third = one.ask(task(3));
    FakeWorker.last.settle(2, 6);
    expect([await third, FakeWorker.all.length, FakeWorker.last.ended]).toEqual([
      { ok: true, value: 6 },
      1,
      false,
    ]);
  });

  it('drops a task that is cancelled and leaves the others', async () => {
    const one = desk();
    const stop = new AbortController();
    const [first, second] = [one.ask(task(1), { signal: stop.signal }), one.ask(task(2))];
    stop.abort();
    expect(await first).toMatchObject({ ok: false, code: 'cancelled' });
    expect(FakeWorker.last.sent.at(-1)).toEqual({ kind: 'cancel', id: 0 });
    FakeWorker.last.settle(0, 2);
    FakeWorker.last.settle(1, 4);
    expect([await second, FakeWorker.last.ended]).toEqual([{ ok: true, value: 4 }, false]);
    expect(await one.ask(task(1), { signal: stop.signal })).toMatchObject({ code: 'cancelled' });
  });

  it('a crash fails all that waited, and the next task has a new worker', async () => {
    const one = desk();
    const waited = [one.ask(task(1)), one.ask(task(2))];
    FakeWorker.last.crash('boom');
    for (const result of await Promise.all(waited))
      expect(result).toMatchObject({ ok: false, code: 'crashed', message: expect.saying('boom') });
    const again = one.ask(task(3));
    FakeWorker.last.settle(2, 6);
    expect([await again, FakeWorker.all.length, FakeWorker.all[0]?.ended]).toEqual([
      { ok: true, value: 6 },
      2,
      true,
    ]);
  });

  it('gives a silent worker up, but not one that says how far it is, nor an idle one', async () => {
    vi.useFakeTimers();
    const one = desk({ timeout: 1000 });
    const slow = one.ask(task(1));
    for (let i = 1; i <= 5; i++) {
      vi.advanceTimersByTime(900);
      FakeWorker.last.say(0, i / 10);
    }
    FakeWorker.last.settle(0, 2);
    expect(await slow).toEqual({ ok: true, value: 2 });
    vi.advanceTimersByTime(10_000);
    expect(FakeWorker.last.ended).toBe(false);
    const silent = one.ask(task(2));
    vi.advanceTimersByTime(1001);
    expect([await silent, FakeWorker.last.ended]).toMatchObject([{ ok: false, code: 'timeout' }, true]);
  });

  it('ends a worker that cannot stop in the middle when its task is cancelled', async () => {
    const one = desk({ endsOnCancel: true });
    const stop = new AbortController();
    const result = one.ask(task(1), { signal: stop.signal });
    stop.abort();
    expect([await result, FakeWorker.last.ended]).toMatchObject([{ ok: false, code: 'cancelled' }, true]);
  });
});
