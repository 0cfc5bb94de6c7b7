import { expect, it, vi } from 'vitest';
import type { Day } from '@/core/shared';
import { printOf, runCached } from './cached';
import * as client from './run-task';

it('runs the same task once, another anew, and a failed one again', async () => {
  const run = vi
    .spyOn(client, 'runTask')
    .mockResolvedValueOnce({ ok: false, code: 'timeout', path: '', message: '' })
    .mockResolvedValue({ ok: true, value: [] as never });
  const task = { kind: 'assess-elements', questions: [], today: '2026-06-30' as Day } as const;
  expect((await runCached(task)).ok).toBe(false);
  expect((await runCached(task)).ok).toBe(true);
  await runCached(task);
  await runCached({ ...task, today: '2026-07-01' as Day });
  expect(run).toHaveBeenCalledTimes(3);
  expect(printOf(task)).toBe(printOf({ ...task }));
  expect(printOf(task)).toMatch(/^[0-9a-f]{16}$/);
});
