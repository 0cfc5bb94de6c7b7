/** How a line begins: as a numbered exercise, as a point of a list, or plainly. */
export type Mark = 'word' | 'roman' | 'number' | 'bullet' | 'plain';
export type MarkedLine = { readonly mark: Mark; readonly indent: number; readonly body: string };

const WORD =
  /^(?:exercise|ex\.|übung|task|test|station|aufgabe)\s*(?:no\.?\s*|nr\.?\s*)?(?:\d{1,2}|[ivx]{1,5})?\s*[:.)–—-]+\s*(?=\S)|^(?:exercise|übung|task|test|station|aufgabe)\s+(?:\d{1,2}|[ivx]{1,5})\s+(?=\S)/iu;
const ROMAN = /^[IVX]{1,5}\s*[.):–—-]\s*(?=\S)/u;
const NUMBERED = /^\d{1,2}\s*[.)]\s*(?=[^\d\s])/u;
const BULLET = /^(?:[-–—•*·▪‣]\s+|[a-z]\)\s*|\d{1,2}\.\d{1,2}\.?\s+|\(\d{1,2}\)\s+(?=\p{L}))/u;

/** A line without what counts or points to it. `marked('  2) Recall 40')` → number, indent 2, "Recall 40". */
export function marked(line: string): MarkedLine {
  const indent = /^[\t ]*/.exec(line)?.[0].replaceAll('\t', '    ').length ?? 0;
  const text = line.trim();
  for (const [mark, pattern] of [
    ['word', WORD],
    ['bullet', BULLET],
    ['roman', ROMAN],
    ['number', NUMBERED],
  ] as const) {
    const found = pattern.exec(text);
    if (found) return { mark, indent, body: text.slice(found[0].length) };
  }
  return { mark: 'plain', indent, body: text };
}

/**
 * The mark that exercises of a sheet bear: the highest that it has. Under "Exercise 1: …" a plain 1., 2. counts
 * faults; where nothing is numbered, exercises are what says its points, or what others stand indented under.
 */
export function exerciseMark(lines: readonly MarkedLine[]): 'word' | 'roman' | 'number' | null {
  return (
    (['word', 'roman', 'number'] as const).find((mark) => lines.some((line) => line.mark === mark)) ?? null
  );
}
