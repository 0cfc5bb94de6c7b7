/** A summary in words: what is painted, from the top. */
export type Summary = {
  readonly title: string;
  readonly parts: readonly { readonly head: string; readonly lines: readonly string[] }[];
  readonly foot: string;
};

const WIDTH = 1080;
const EDGE = 56;
const FONT = '"Atkinson Hyperlegible Next Variable", sans-serif';

/**
 * The summary as a picture that is read on a telephone: 1080 wide, as high as its words need. Rejects where the
 * browser cannot paint.
 */
export async function paintSummary({ title, parts, foot }: Summary): Promise<Blob> {
  await document.fonts.load(`700 32px ${FONT}`);
  const canvas = new OffscreenCanvas(WIDTH, 10);
  const measure = canvas.getContext('2d');
  if (!measure) throw new Error('no canvas');
  const rows = rowsOf(measure, { title, parts, foot });
  canvas.height = rows.reduce((sum, row) => sum + row.height, 2 * EDGE);
  const context = canvas.getContext('2d');
  if (!context) throw new Error('no canvas');
  context.fillStyle = '#fffef8';
  context.fillRect(0, 0, WIDTH, canvas.height);
  context.fillStyle = '#18211e';
  context.fillRect(0, 0, WIDTH, 18);
  let y = EDGE;
  for (const { text, font, height, ruled } of rows) {
    if (ruled) context.fillRect(EDGE, y + 14, WIDTH - 2 * EDGE, 3);
    context.font = font;
    context.textBaseline = 'bottom';
    context.fillText(text, EDGE, y + height - 4);
    y += height;
  }
  return canvas.convertToBlob({ type: 'image/png' });
}

type PaintedRow = {
  readonly text: string;
  readonly font: string;
  readonly height: number;
  readonly ruled: boolean;
};

function rowsOf(context: OffscreenCanvasRenderingContext2D, { title, parts, foot }: Summary): PaintedRow[] {
  const rows: PaintedRow[] = [];
  const put = (text: string, weight: number, size: number, before = 0, ruled = false): void => {
    const font = `${weight} ${size}px ${FONT}`;
    context.font = font;
    for (const [i, line] of wrapped(context, text, WIDTH - 2 * EDGE).entries())
      rows.push({ text: line, font, height: size * 1.35 + (i === 0 ? before : 0), ruled: ruled && i === 0 });
  };
  put(title, 800, 52);
  for (const { head, lines } of parts) {
    put(head, 800, 38, 40, true);
    for (const line of lines) put(`– ${line}`, 400, 34, 8);
  }
  put(foot, 400, 26, 36);
  return rows;
}

/**
 * A text in lines that fit; a word longer than a line stands alone.
 * @internal
 */
export function wrapped(
  context: { measureText(text: string): { readonly width: number } },
  text: string,
  width: number,
): string[] {
  const lines: string[] = [];
  for (const word of text.split(' ')) {
    const longer = [lines.at(-1), word].filter((one) => one !== undefined).join(' ');
    if (lines.length > 0 && context.measureText(longer).width <= width) lines[lines.length - 1] = longer;
    else lines.push(word);
  }
  return lines;
}
