import { fail, ok, printOf, type Result, say } from '@/core/shared';

/** What stands before every piece, so that a code of something else is known for one. */
const HEAD = 'RG1';
/** Letters of one piece: a code of so many is read from a screen by a telephone without trouble. */
const LETTERS = 560;

/**
 * A text as pieces for codes on a screen: compressed (deflate, RFC 1951), in letters, each piece with the
 * print of the whole, its number and how many there are. A sheet of 40 marks → some four pieces.
 */
export async function piecesOf(text: string): Promise<string[]> {
  const bytes = await through(new TextEncoder().encode(text), new CompressionStream('deflate-raw'));
  const letters = btoa(Array.from(bytes, (byte) => String.fromCharCode(byte)).join(''));
  const count = Math.max(1, Math.ceil(letters.length / LETTERS));
  const print = printOf(text).slice(0, 8);
  return Array.from({ length: count }, (_, i) =>
    [HEAD, print, i + 1, count, letters.slice(i * LETTERS, (i + 1) * LETTERS)].join('.'),
  );
}

/** Pieces of one text, as they are found. */
export type Gathered = {
  readonly print: string;
  readonly count: number;
  readonly parts: ReadonlyMap<number, string>;
};

/** Adds a piece to what is there, in any order and twice too. Null where it is no piece; another text begins anew. */
export function withPiece(gathered: Gathered | null, read: string): Gathered | null {
  const [head, print = '', number, of, letters] = read.split('.');
  const [place, count] = [Number(number), Number(of)];
  const sound =
    head === HEAD && letters !== undefined && print !== '' && place >= 1 && place <= count && count < 1000;
  if (!sound || !Number.isInteger(place) || !Number.isInteger(count)) return null;
  const before =
    gathered?.print === print && gathered.count === count ? gathered.parts : new Map<number, string>();
  return { print, count, parts: new Map([...before, [place, letters]]) };
}

/** The text, once all pieces are there. Fails with `pieces` while some are missing, and with `damaged`. */
export async function textOf({ print, count, parts }: Gathered): Promise<Result<string>> {
  if (parts.size < count)
    return fail('pieces', '', say('data.code-pieces.so-many-of', { have: parts.size, count }));
  const letters = Array.from({ length: count }, (_, i) => parts.get(i + 1) ?? '').join('');
  try {
    const bytes = Uint8Array.from(atob(letters), (letter) => letter.charCodeAt(0));
    const text = new TextDecoder().decode(await through(bytes, new DecompressionStream('deflate-raw')));
    if (printOf(text).slice(0, 8) === print) return ok(text);
  } catch {
    // Said below: what does not unpack is damaged as what unpacks to something else is.
  }
  return fail('damaged', '', say('data.code-pieces.damaged'));
}

async function through(
  bytes: Uint8Array<ArrayBuffer>,
  stream: CompressionStream | DecompressionStream,
): Promise<Uint8Array<ArrayBuffer>> {
  const out = new Blob([bytes]).stream().pipeThrough(stream);
  return new Uint8Array(await new Response(out).arrayBuffer());
}
