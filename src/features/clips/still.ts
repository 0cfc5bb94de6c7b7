import { drawingText } from '@/ui';

/** The picture that is shown with what is drawn over it and a line under it, as a PNG. Rejects where it cannot be painted. */
export async function stillOf(
  video: HTMLVideoElement,
  drawing: SVGSVGElement,
  caption: string,
): Promise<Blob> {
  const [width, height] = [video.videoWidth, video.videoHeight];
  const line = Math.round(width / 32);
  const canvas = new OffscreenCanvas(width, height + 2 * line);
  const context = canvas.getContext('2d');
  if (!context || width === 0) throw new Error('no picture');
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
  context.font = `600 ${line}px system-ui, sans-serif`;
  context.fillText(caption, line / 2, height + 1.35 * line, width - line);
  return canvas.convertToBlob({ type: 'image/png' });
}
