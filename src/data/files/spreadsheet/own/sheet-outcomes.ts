/** What a word of a sheet says of a go; `skip`: it says nothing of it. */
export const WORD_OUTCOMES = ['clean', 'flawed', 'miss', 'skip'] as const;
export type WordOutcome = (typeof WORD_OUTCOMES)[number];
export type GoOutcome = Exclude<WordOutcome, 'skip'>;

const KNOWN: Readonly<Record<GoOutcome, readonly string[]>> = {
  clean:
    'clean c ok okay good yes y j ja + ++ ✓ ✔ pass passed hit success correct richtig gut sauber sehr gut perfect 1 true done'.split(
      ' ',
    ),
  flawed:
    'flawed f slow crooked ~ o partial so-so meh half halb schief langsam unsauber mangelhaft 0.5'.split(' '),
  miss: 'miss missed m fail failed no n nein - -- ✗ ✘ x bad wrong falsch fehler nicht refused broke 0 false'.split(
    ' ',
  ),
};

/** What a word usually says; null where people mean different things by it, or nobody knows it. */
export function usualOutcome(word: string): GoOutcome | null {
  const wanted = word.toLowerCase().replace(/[.!]$/, '');
  const found = (Object.keys(KNOWN) as GoOutcome[]).find((outcome) => KNOWN[outcome].includes(wanted));
  // A cross is a tick for one person and a miss for another.
  return wanted === 'x' || wanted === 'o' ? null : (found ?? null);
}

/** Goes of a cell that tells several: "4/5", "4 of 5", "++-+". Null where it tells one, or none. */
export function goesIn(
  cell: string,
): { readonly clean: number; readonly all: number } | readonly GoOutcome[] | null {
  const share = /^(\d{1,3})\s*(?:\/|of|von|aus)\s*(\d{1,3})$/i.exec(cell);
  if (share) {
    const [clean, all] = [Number(share[1]), Number(share[2])];
    return all > 0 && clean <= all ? { clean, all } : null;
  }
  const signs = cell.replace(/[\s,]/g, '');
  if (!/^[+✓✔✗✘~-]{2,60}$/u.test(signs)) return null;
  return [...signs].map((sign) => ('+✓✔'.includes(sign) ? 'clean' : sign === '~' ? 'flawed' : 'miss'));
}

/**
 * Goes of which only the numbers are known, spread evenly: nobody kept their order, and neither a row of clean ones
 * nor a row of misses may be read out of it. `spread([['clean', 2], ['miss', 2]])` → clean, miss, clean, miss.
 */
export function spread(counts: readonly (readonly [GoOutcome, number])[]): GoOutcome[] {
  const places = counts.flatMap(([outcome, count], kind) =>
    Array.from({ length: count }, (_, i) => ({ outcome, at: (i + 0.5) / count, kind })),
  );
  return places.sort((a, b) => a.at - b.at || a.kind - b.kind).map(({ outcome }) => outcome);
}
