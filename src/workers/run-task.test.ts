import { afterEach, describe, expect, it, vi } from 'vitest';
import type { Day } from '@/core/shared';
import type { Task } from './protocol';
import { runTask } from './run-task';

/** Stands in for a worker: says what it is told to, or nothing. */
class FakeWorker {
  static last: FakeWorker;
  onmessage: ((event: { data: unknown }) => void) | null = null;
  onerror: ((event: { message: string; preventDefault: () => void }) => void) | null = null;
  ended = false;
  constructor() {
    FakeWorker.last = this;
  }
  postMessage(): void {}
  terminate(): void {
    this.ended = true;
  }
}
const task: Task = { kind: 'assess-elements', questions: [], today: '2026-06-30' as Day };
const spawn = () => new FakeWorker() as unknown as Worker;
afterEach(() => vi.useRealTimers());

describe('worker client', () => {
  it('gives the answer, tells the progress and ends the worker', async () => {
    const shares: number[] = [];
    const result = runTask(task, { spawn, onProgress: (share) => shares.push(share) });
    FakeWorker.last.onmessage?.({ data: { kind: 'progress', share: 0.5 } });
    FakeWorker.last.onmessage?.({ data: { kind: 'done', answer: [] } });
    expect([await result, shares, FakeWorker.last.ended]).toEqual([{ ok: true, value: [] }, [0.5], true]);
  });

  it('turns a crash, silence and an abort into failures of their own', async () => {
    const crashed = runTask(task, { spawn });
    FakeWorker.last.onerror?.({ message: 'boom', preventDefault: () => undefined });
    expect(await crashed).toMatchObject({
      ok: false,
      code: 'crashed',
      message: expect.stringContaining('boom'),
    });

    vi.useFakeTimers();
    const silent = runTask(task, { spawn, timeout: 1000 });
    vi.advanceTimersByTime(1001);
    expect(await silent).toMatchObject({ ok: false, code: 'timeout' });

    const stop = new AbortController();
    const stopped = runTask(task, { spawn, signal: stop.signal });
    const worker = FakeWorker.last;
    stop.abort();
    expect([await stopped, worker.ended]).toMatchObject([{ ok: false, code: 'cancelled' }, true]);
    expect(await runTask(task, { spawn, signal: stop.signal })).toMatchObject({ code: 'cancelled' });
  });

  it('passes on an expected failure as it is', async () => {
    const result = runTask(task, { spawn });
    FakeWorker.last.onmessage?.({
      data: { kind: 'failed', failure: { ok: false, code: 'future', path: 'x', message: 'y' } },
    });
    expect(await result).toEqual({ ok: false, code: 'future', path: 'x', message: 'y' });
  });
});
