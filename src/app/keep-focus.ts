import { useEffect } from 'react';

const FOCUSABLE =
  'a[href], button:not(:disabled), input:not(:disabled), select:not(:disabled), textarea:not(:disabled), summary, [tabindex]';

/**
 * Keeps the focus on the page: what had it can go with a tap, or can be switched off by one. Then the
 * nearest thing around it that takes the focus has it, or what follows it; never the body, from which a
 * keyboard or a screen reader begins again at the top.
 */
export function useKeptFocus(): void {
  useEffect(() => {
    let around: HTMLElement[] = [];
    const remember = (event: FocusEvent): void => {
      around = [];
      for (let one = event.target as HTMLElement | null; one; one = one.parentElement) around.push(one);
    };
    const look = (): void => {
      const { activeElement: on } = document;
      const lost = on === null || on === document.body;
      const off = !lost && on.matches(':disabled');
      // An open sheet keeps its own focus.
      if (around.length === 0 || (!lost && !off) || document.querySelector('[role=dialog]')) return;
      const next = off ? following(on) : null;
      const home = around.find((one) => one.isConnected && one !== on && one.matches('[tabindex]'));
      (next ?? home ?? document.querySelector<HTMLElement>('#room'))?.focus({ preventScroll: true });
    };
    const watch = new MutationObserver(look);
    watch.observe(document.body, { childList: true, subtree: true, attributeFilter: ['disabled'] });
    document.addEventListener('focusin', remember);
    return () => {
      watch.disconnect();
      document.removeEventListener('focusin', remember);
    };
  }, []);
}

/** What takes the focus next after an element, in the same part of the page. */
function following(from: Element): HTMLElement | null {
  const part = from.closest('form, section, fieldset, main');
  const all = [...(part?.querySelectorAll<HTMLElement>(FOCUSABLE) ?? [])];
  return (
    all.find((one) => from.compareDocumentPosition(one) & Node.DOCUMENT_POSITION_FOLLOWING) ?? all[0] ?? null
  );
}
