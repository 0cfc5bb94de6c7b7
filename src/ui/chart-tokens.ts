import { useEffect, useState } from 'react';

export type Tokens = {
  readonly ink: string;
  readonly soft: string;
  readonly hair: string;
  readonly sheet: string;
  readonly signal: string;
  readonly font: string;
};

// A canvas inherits nothing from the page: colours and font are read from it, again whenever the
// theme changes.
export function useTokens(): Tokens {
  const [tokens, setTokens] = useState(readTokens);
  useEffect(() => {
    const watch = new MutationObserver(() => setTokens(readTokens()));
    watch.observe(document.documentElement, { attributes: true, attributeFilter: ['data-theme'] });
    return () => watch.disconnect();
  }, []);
  return tokens;
}

function readTokens(): Tokens {
  const style = getComputedStyle(document.documentElement);
  const token = (name: string): string => style.getPropertyValue(name).trim();
  return {
    ink: token('--ink'),
    soft: token('--ink-soft'),
    hair: token('--hair'),
    sheet: token('--sheet'),
    signal: token('--signal'),
    font: style.fontFamily,
  };
}
