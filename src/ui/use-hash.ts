import { useEffect } from 'react';

/** Brings what the address names after its # into sight, once the page has it. */
export function useHash(ready: boolean): void {
  useEffect(() => {
    const { hash } = globalThis.location;
    if (!ready || hash === '') return;
    document.getElementById(decodeURIComponent(hash.slice(1)))?.scrollIntoView({ block: 'start' });
  }, [ready]);
}
