import { describe, expect, it } from 'vitest';
import { asId, type DeviceId, type DogId, type SignalId } from '@/core/shared';
import type { Signal } from '@/data/read';
import { alikeInWords } from './signals-sheet';

const of = (word: string, kind: Signal['kind'], dog: string | null = null): Signal => ({
  id: asId<SignalId>(`${word} ${kind} ${dog}`),
  dogId: dog === null ? null : asId<DogId>(dog),
  kind,
  word,
  means: '',
  stays: null,
  elements: [],
  changed: { at: 0, by: asId<DeviceId>('test'), seen: {} },
});

describe('what a dog may take for what, in words', () => {
  it.each([
    [
      [of('Free', 'release'), of('free', 'cue')],
      '“Free” means two things, release and cue, so the dog cannot know which: use another word for one of them.',
    ],
    [[of('Sit', 'cue'), of('sit', 'cue')], '“Sit” stands twice as cue: take one of them off.'],
    [
      [of('Back', 'cue'), of('Bark', 'cue')],
      '“Back” (cue) and “Bark” (cue) are nearly alike, so a dog may take one for the other: say one of them otherwise.',
    ],
  ])('%#', (signals, words) => expect(alikeInWords(signals)).toEqual([words]));

  it('says nothing of words that two dogs hear, or that are told apart', () => {
    expect(alikeInWords([of('Back', 'cue', 'a'), of('Back', 'cue', 'b')])).toEqual([]);
    expect(alikeInWords([of('Sit', 'cue'), of('Yes', 'marker'), of('Free', 'release')])).toEqual([]);
    expect(alikeInWords([])).toEqual([]);
  });
});
