import { useSyncExternalStore } from 'react';

const query = '(width >= 64rem)';

/** Whether the page has room for two columns: what is in hand then stands beside the drawing, else under it. */
export const useWide = (): boolean =>
  useSyncExternalStore(
    (changed) => {
      const list = matchMedia(query);
      list.addEventListener('change', changed);
      return () => list.removeEventListener('change', changed);
    },
    () => matchMedia(query).matches,
  );
