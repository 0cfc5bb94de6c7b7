import { ANGLES_OF, CLIP_MARKS, CLIP_STAMPS, type ClipMark, LATE_OUTCOMES, PLACES_OF } from '@/core/review';
import { fail, ok, type Result, say } from '@/core/shared';

/** A mark as a file holds it. */
export type MarkInFile = Pick<ClipMark, 'at' | 'what' | 'px' | 'says'>;

/** What was read, and the lines that no mark stands in. */
export type MarksRead = {
  readonly marks: readonly MarkInFile[];
  readonly unread: readonly { readonly line: number; readonly text: string }[];
};

/**
 * The marks of a clip as WebVTT (W3C): a cue each, from its frame to the next, with one line of text that says what
 * it is, whose, and where in the picture (`place dog 512 300.5`). See docs/formats/clip-marks.md.
 */
export function writeMarks(marks: readonly MarkInFile[], frameAt: (at: number) => number): string {
  const blocks = [...marks]
    .sort((a, b) => a.at - b.at)
    .map(({ at, what, says, px }) => {
      const words = [what, says ?? '', ...px.flat().map((one) => String(Number(one.toFixed(2))))];
      const until = Math.max(at + frameAt(at), at + 0.001);
      return `${clock(at)} --> ${clock(until)}\n${words.filter(Boolean).join(' ')}`;
    });
  return `${['WEBVTT', 'NOTE Marks of a clip. Times are those of its frames.', ...blocks].join('\n\n')}\n`;
}

function clock(seconds: number): string {
  const ms = Math.round(seconds * 1000);
  const two = (value: number): string => String(Math.floor(value)).padStart(2, '0');
  return `${two(ms / 3_600_000)}:${two((ms / 60_000) % 60)}:${two((ms / 1000) % 60)}.${String(ms % 1000).padStart(3, '0')}`;
}

const TIMING = /^\s*(?:(\d{2,}):)?(\d{2}):(\d{2})\.(\d{3})\s+-->\s+(?:\d{2,}:)?\d{2}:\d{2}\.\d{3}/;

/**
 * Reads marks back. Blocks that are notes, styles or regions are passed over; a cue whose text is no mark is told
 * with its line. Fails with `not-webvtt` where the first line is another.
 */
export function readMarks(text: string): Result<MarksRead> {
  const lines = text.replace(/^\uFEFF/, '').split(/\r\n|\r|\n/);
  if (!/^WEBVTT(?:[ \t]|$)/.test(lines[0] ?? ''))
    return fail('not-webvtt', '', say('data.clip-marks.not-webvtt'));
  const marks: MarkInFile[] = [];
  const unread: { line: number; text: string }[] = [];
  for (let i = 1; i < lines.length; i++) {
    const timing = lines[i]?.includes('-->') ? TIMING.exec(lines[i] as string) : null;
    if (!timing) {
      if (lines[i]?.includes('-->')) unread.push({ line: i + 1, text: lines[i] as string });
      continue;
    }
    const [, hours, minutes, seconds, ms] = timing;
    const at = Number(hours ?? 0) * 3600 + Number(minutes) * 60 + Number(seconds) + Number(ms) / 1000;
    for (i++; i < lines.length && lines[i]?.trim() !== ''; i++) {
      const mark = markIn(at, (lines[i] as string).trim());
      if (mark) marks.push(mark);
      else unread.push({ line: i + 1, text: lines[i] as string });
    }
  }
  return ok({ marks, unread });
}

/** What each kind says, and how many pixels it has. */
const KINDS: Readonly<
  Record<string, { readonly says: readonly string[] | RegExp | null; readonly px: number }>
> = {
  ...Object.fromEntries(CLIP_STAMPS.map((one) => [one, { says: null, px: 0 }])),
  place: { says: PLACES_OF, px: 1 },
  angle: { says: ANGLES_OF, px: 3 },
  judged: { says: LATE_OUTCOMES, px: 0 },
  grade: { says: /^\d{1,6}$/, px: 0 },
};

function markIn(at: number, text: string): MarkInFile | null {
  const [word = '', ...rest] = text.split(/\s+/);
  const what = CLIP_MARKS.find((one) => one === word);
  const kind = what && KINDS[what];
  if (!what || !kind) return null;
  const says = kind.says === null ? null : (rest.shift() ?? '');
  if (says !== null && !(kind.says instanceof RegExp ? kind.says.test(says) : kind.says?.includes(says)))
    return null;
  const numbers = rest.map(Number);
  if (numbers.length !== 2 * kind.px || numbers.some((one) => !Number.isFinite(one))) return null;
  const px = Array.from(
    { length: kind.px },
    (_, i) => [numbers[2 * i] as number, numbers[2 * i + 1] as number] as const,
  );
  return { at, what, px, says };
}
