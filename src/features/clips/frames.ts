/** When each frame of a clip is shown, seconds, rising; `usual` is the length of a frame. */
export type Frames = { readonly at: Float64Array; readonly usual: number; readonly exact: boolean };

/** Thirty a second, for a file that does not say when its frames are shown. */
const GUESSED = 1 / 30;

/** The frames of a file; where it says none, thirty a second are taken, and it is told that they are guessed. */
export function framesOf(at: Float64Array, seconds: number): Frames {
  if (at.length >= 2) {
    const steps = at.subarray(1).map((time, i) => time - (at[i] as number));
    return { at, usual: steps.sort()[steps.length >> 1] as number, exact: true };
  }
  const count = Math.max(2, Math.floor(seconds / GUESSED));
  return { at: Float64Array.from({ length: count }, (_, i) => i * GUESSED), usual: GUESSED, exact: false };
}

/** The frame that is shown at a time: the last that has begun. Marks of a file have whole milliseconds. */
export function frameAt({ at }: Frames, time: number): number {
  let [low, high] = [0, at.length - 1];
  while (low < high) {
    const middle = (low + high + 1) >> 1;
    if ((at[middle] as number) <= time + 0.0011) low = middle;
    else high = middle - 1;
  }
  return low;
}

/** Frames a second on the whole. */
export const rateOf = (frames: Frames): number => {
  const seconds = timeOf(frames, frames.at.length - 1) - timeOf(frames, 0);
  return seconds > 0 ? (frames.at.length - 1) / seconds : 1 / frames.usual;
};

export const timeOf = ({ at }: Frames, frame: number): number =>
  at[Math.max(0, Math.min(at.length - 1, frame))] ?? 0;

/** How long the frame at a time is shown. */
export function lengthAt(frames: Frames, time: number): number {
  const frame = frameAt(frames, time);
  const next = frames.at[frame + 1];
  return next === undefined ? frames.usual : next - (frames.at[frame] as number);
}

/** Where to seek to see a frame: its middle. Its own time is a binary fraction away from the frame before. */
export const middleOf = (frames: Frames, frame: number): number =>
  timeOf(frames, frame) + lengthAt(frames, timeOf(frames, frame)) / 2;
