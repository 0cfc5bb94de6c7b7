import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { type Day, printOf } from '@/core/shared';
import type { FromWorker, ToWorker } from './desk';
import type { Said, Task } from './protocol';

/** The one worker behind `ask`, played by hand. */
class PlayedWorker {
  static last: PlayedWorker | null = null;
  onmessage: ((event: { data: FromWorker<Said, unknown> }) => void) | null = null;
  onerror = null;
  readonly sent: ToWorker<Task>[] = [];
  constructor() {
    PlayedWorker.last = this;
  }
  postMessage(message: ToWorker<Task>): void {
    this.sent.push(message);
  }
  terminate(): void {}
  settle(id: number, ok = true): void {
    const result = ok
      ? { ok: true as const, value: [] }
      : { ok: false as const, code: 'x', path: '', message: { say: 'shared.name', with: { name: '' } } };
    this.onmessage?.({ data: { kind: 'settled', id, result } });
  }
}
const on = (day: string) => ({ kind: 'assess-elements', questions: [], today: day as Day }) as const;
const tasks = () => (PlayedWorker.last?.sent ?? []).filter((message) => message.kind === 'task');

let ask: typeof import('./ask').ask;
beforeEach(async () => {
  vi.resetModules();
  vi.stubGlobal('Worker', PlayedWorker);
  PlayedWorker.last = null;
  ({ ask } = await import('./ask'));
});
afterEach(() => void vi.unstubAllGlobals());

describe('asking', () => {
  it('works the same question out once, asked twice at once or again later, and another anew', async () => {
    const [one, two] = [ask(on('2026-06-30')), ask(on('2026-06-30'))];
    expect(tasks()).toHaveLength(1);
    PlayedWorker.last?.settle(0);
    expect([await one, await two]).toEqual([
      { ok: true, value: [] },
      { ok: true, value: [] },
    ]);
    expect(await ask(on('2026-06-30'))).toEqual({ ok: true, value: [] });
    expect(tasks()).toHaveLength(1);
    void ask(on('2026-07-01'));
    expect(tasks()).toHaveLength(2);
  });

  it('asks a failed question again', async () => {
    const first = ask(on('2026-06-30'));
    PlayedWorker.last?.settle(0, false);
    expect((await first).ok).toBe(false);
    void ask(on('2026-06-30'));
    expect(tasks()).toHaveLength(2);
  });

  it('goes on while one still waits, and stops when nobody does; then it is asked anew', async () => {
    const [a, b] = [new AbortController(), new AbortController()];
    const told: Said[] = [];
    void ask(on('2026-06-30'), { signal: a.signal, onSaid: () => told.push(-1) });
    void ask(on('2026-06-30'), { signal: b.signal, onSaid: (said) => told.push(said) });
    a.abort();
    expect(PlayedWorker.last?.sent).toHaveLength(1);
    PlayedWorker.last?.onmessage?.({ data: { kind: 'said', id: 0, said: 0.5 } });
    expect(told).toEqual([0.5]);
    b.abort();
    expect(PlayedWorker.last?.sent.at(-1)).toEqual({ kind: 'cancel', id: 0 });
    const again = ask(on('2026-06-30'));
    PlayedWorker.last?.settle(1);
    expect((await again).ok).toBe(true);
  });
});

describe('a print', () => {
  it('is the same for the same data, and tells open ends and small changes apart', () => {
    expect(printOf(on('2026-06-30'))).toBe(printOf({ ...on('2026-06-30') }));
    expect(printOf({})).toMatch(/^[0-9a-f]{16}$/);
    const all = [{ to: null }, { to: Number.POSITIVE_INFINITY }, { to: Number.NEGATIVE_INFINITY }, { to: 0 }];
    expect(new Set(all.map(printOf)).size).toBe(4);
  });
});
