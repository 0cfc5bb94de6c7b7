import { describe, expect, it } from 'vitest';
import { mean, variance } from '@/core/statistics';
import { mixSeed, restored, seeded } from '.';

describe('seeded randomness', () => {
  it('is the same for the same seed and goes on from a saved state', () => {
    const first = seeded(7);
    const second = seeded(7);
    const head = Array.from({ length: 5 }, first.uniform);
    expect(Array.from({ length: 5 }, second.uniform)).toEqual(head);
    const copy = restored(first.save());
    expect(Array.from({ length: 5 }, copy.normal)).toEqual(Array.from({ length: 5 }, first.normal));
  });

  it('fills a list with the numbers that single calls give, and goes on after it', () => {
    const [one, other] = [seeded(9), seeded(9)];
    const out = new Float64Array(50);
    one.fill(out);
    expect([...out, one.uniform()]).toEqual(Array.from({ length: 51 }, other.uniform));
  });

  it('has the moments it should, and never 0 or 1', () => {
    const random = seeded(11);
    const uniforms = Array.from({ length: 40_000 }, random.uniform);
    const normals = Array.from({ length: 40_000 }, random.normal);
    expect(Math.min(...uniforms) > 0 && Math.max(...uniforms) < 1).toBe(true);
    expect(mean(uniforms)).toBeCloseTo(0.5, 1.7);
    expect(variance(uniforms)).toBeCloseTo(1 / 12, 2);
    expect(mean(normals)).toBeCloseTo(0, 1.5);
    expect(variance(normals)).toBeCloseTo(1, 1.3);
  });

  it('gives neighbouring seeds unrelated sequences', () => {
    const starts = new Set(Array.from({ length: 1000 }, (_, i) => seeded(mixSeed(3, i)).uniform()));
    expect(starts.size).toBe(1000);
  });
});
