import { drawingText } from '@/ui';

/**
 * The picture that is shown with what is drawn over it, and lines of words under it, as a PNG. Rejects where it cannot
 * be painted.
 */
export async function stillOf(
  video: HTMLVideoElement,
  drawing: SVGSVGElement,
  captions: readonly string[],
): Promise<Blob> {
  const [width, height] = [video.videoWidth, video.videoHeight];
  const size = Math.round(width / 36);
  const font = `600 ${size}px system-ui, sans-serif`;
  const measure = new OffscreenCanvas(1, 1).getContext('2d');
  if (!measure || width === 0) throw new Error('no picture');
  measure.font = font;
  const lines = inLines(captions, (text) => measure.measureText(text).width, width - size);
  const step = Math.round(1.4 * size);
  const canvas = new OffscreenCanvas(width, height + lines.length * step + size);
  const context = canvas.getContext('2d');
  if (!context) throw new Error('no picture');
  context.fillStyle = '#fff';
  context.fillRect(0, 0, canvas.width, canvas.height);
  context.drawImage(video, 0, 0, width, height);
  const address = URL.createObjectURL(new Blob([drawingText(drawing)], { type: 'image/svg+xml' }));
  try {
    const image = new Image();
    image.src = address;
    await image.decode();
    context.drawImage(image, 0, 0, width, height);
  } finally {
    URL.revokeObjectURL(address);
  }
  context.fillStyle = '#111';
  context.font = font;
  for (const [i, line] of lines.entries()) context.fillText(line, size / 2, height + (i + 1) * step);
  return canvas.convertToBlob({ type: 'image/png' });
}

/**
 * Captions one after the other, as many to a line as fit; one that is longer has a line of its own.
 * @internal
 */
export function inLines(
  captions: readonly string[],
  lengthOf: (text: string) => number,
  most: number,
): string[] {
  const lines: string[] = [];
  for (const one of captions) {
    const last = lines.at(-1);
    const joined = last === undefined ? one : `${last} · ${one}`;
    if (last !== undefined && lengthOf(joined) <= most) lines[lines.length - 1] = joined;
    else lines.push(one);
  }
  return lines;
}
