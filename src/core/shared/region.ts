/**
 * Words that differ by region, by choice: what is thrown and fetched, and lying down. A person's own words
 * (titles, notes) stay as they were written.
 */
export type Region = { readonly fetched: 'dummy' | 'bumper'; readonly lying: 'down' | 'lie' };
export const USUAL_REGION: Region = { fetched: 'dummy', lying: 'down' };

/**
 * The text in the words of a region: "two dummies" → "two bumpers"; "sit, stand and down" → "sit, stand and
 * lie". Only where it is a position does "down" change: it is many other things.
 */
export function inRegion(text: string, { fetched, lying }: Region): string {
  const thrown =
    fetched === 'dummy' ? text : replaced(replaced(text, 'dummies', 'bumpers'), 'dummy', 'bumper');
  if (lying === 'down') return thrown;
  if (/^down$/i.test(thrown)) return replaced(thrown, 'down', 'lie');
  return thrown.replace(/\b(sit|stand)(,| and| or|, and|, or) down\b/gi, '$1$2 lie');
}

/** A word by another one, with the capital that it had. */
const replaced = (text: string, from: string, to: string): string =>
  text.replace(new RegExp(`\\b${from}\\b`, 'gi'), (word) =>
    word[0] === word[0]?.toUpperCase() ? `${to[0]?.toUpperCase()}${to.slice(1)}` : to,
  );
