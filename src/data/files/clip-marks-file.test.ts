import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { WebVTTParser } from 'webvtt-parser';
import { ANGLES_OF, CLIP_STAMPS, LATE_OUTCOMES, PLACES_OF } from '@/core/review';
import { must } from '@/core/shared';
import { type MarkInFile, readMarks, writeMarks } from './clip-marks-file';

const FRAME = () => 0.04;
const at = fc.integer({ min: 0, max: 36_000_000 }).map((ms) => ms / 1000);
const pixel = fc
  .tuple(fc.integer({ min: -9_000, max: 400_000 }), fc.integer({ min: 0, max: 400_000 }))
  .map(([x, y]) => [x / 100, y / 100] as const);
const mark: fc.Arbitrary<MarkInFile> = fc.oneof(
  fc.record({ at, what: fc.constantFrom(...CLIP_STAMPS), px: fc.constant([]), says: fc.constant(null) }),
  fc.record({
    at,
    what: fc.constant('place' as const),
    px: fc.tuple(pixel),
    says: fc.constantFrom(...PLACES_OF),
  }),
  fc.record({
    at,
    what: fc.constant('angle' as const),
    px: fc.tuple(pixel, pixel, pixel),
    says: fc.constantFrom(...ANGLES_OF),
  }),
  fc.record({
    at,
    what: fc.constant('judged' as const),
    px: fc.constant([]),
    says: fc.constantFrom(...LATE_OUTCOMES),
  }),
  fc.record({ at, what: fc.constant('grade' as const), px: fc.constant([]), says: fc.nat(99).map(String) }),
);
const inOrder = (marks: readonly MarkInFile[]) => [...marks].sort((a, b) => a.at - b.at);

describe('marks as WebVTT', () => {
  it('come back as they were, to the millisecond and the hundredth of a pixel', () => {
    fc.assert(
      fc.property(fc.array(mark, { maxLength: 30 }), (marks) => {
        const { marks: back, unread } = must(readMarks(writeMarks(marks, FRAME)));
        expect(unread).toEqual([]);
        expect(back).toEqual(inOrder(marks));
      }),
      { numRuns: 200 },
    );
  });

  it('are sound to another reader, each from its frame to the next', () => {
    const text = writeMarks(
      [
        { at: 3_725.04, what: 'place', px: [[512, 300.5]], says: 'dog' },
        { at: 2, what: 'cue', px: [], says: null },
      ],
      FRAME,
    );
    const { cues, errors } = new WebVTTParser().parse(text, 'metadata');
    expect(errors).toEqual([]);
    expect(cues.map(({ startTime, endTime, text }) => [startTime, endTime, text])).toEqual([
      [2, 2.04, 'cue'],
      [3_725.04, 3_725.08, 'place dog 512 300.5'],
    ]);
  });

  it('are read from what other programs write, and what is no mark is told with its line', () => {
    const text =
      '\uFEFFWEBVTT - notes of a helper\r\n\r\nSTYLE\r\n::cue { color: red }\r\n\r\n1\r\n00:02.500 --> 00:03.000 align:start\r\ncue\r\nlooks away\r\n\r\nNOTE cue\r\n\r\n01:00:00.000 --> 01:00:01.000\r\nplace somebody 1 2';
    expect(must(readMarks(text))).toEqual({
      marks: [{ at: 2.5, what: 'cue', px: [], says: null }],
      unread: [
        { line: 9, text: 'looks away' },
        { line: 14, text: 'place somebody 1 2' },
      ],
    });
  });

  it.each([
    ['', 'not-webvtt'],
    ['WEBVTTX', 'not-webvtt'],
    ['{"format":"regulon-kennel"}', 'not-webvtt'],
  ])('refuses %j', (text, code) => {
    expect(readMarks(text)).toMatchObject({ ok: false, code });
  });

  it.each([
    'place dog 1',
    'place dog 1 x',
    'angle body 1 2 3',
    'judged well',
    'grade',
    'grade a',
    'cue 3',
    'jump',
  ])('takes “%s” for no mark', (line) => {
    const read = must(readMarks(`WEBVTT\n\n00:01.000 --> 00:02.000\n${line}\n`));
    expect([read.marks, read.unread]).toEqual([[], [{ line: 4, text: line }]]);
  });

  it('never falls over, whatever the text', () => {
    fc.assert(
      fc.property(fc.string(), (text) => {
        expect(readMarks(`WEBVTT\n${text}`).ok).toBe(true);
      }),
      { numRuns: 500 },
    );
  });
});
