import { describe, expect, it } from 'vitest';
import { inRegion } from './region';

const BUMPER = { fetched: 'bumper', lying: 'down' } as const;
const LIE = { fetched: 'dummy', lying: 'lie' } as const;

describe('words by region', () => {
  it.each([
    [BUMPER, 'No dummies or birds towards roads', 'No bumpers or birds towards roads'],
    [BUMPER, 'Dummy at 20 m; a dummy’s line', 'Bumper at 20 m; a bumper’s line'],
    [BUMPER, 'dumbbell', 'dumbbell'],
    [LIE, 'Sit, stand and down on one cue', 'Sit, stand and lie on one cue'],
    [LIE, 'then sit, down, look back', 'then sit, lie, look back'],
    [LIE, 'Down', 'Lie'],
    [
      LIE,
      'Break it down; put down in sight; side to side, not up and down',
      'Break it down; put down in sight; side to side, not up and down',
    ],
    [{ fetched: 'dummy', lying: 'down' } as const, 'Sit and down with a dummy', 'Sit and down with a dummy'],
  ])('%j: “%s” → “%s”', (region, text, wanted) => expect(inRegion(text, region)).toBe(wanted));
});
