import { useWindowVirtualizer } from '@tanstack/react-virtual';
import { type ReactNode, useLayoutEffect, useRef, useState } from 'react';

type Props<T> = {
  readonly label: string;
  readonly items: readonly T[];
  readonly keyOf: (item: T) => string;
  /** About how high an item is, in pixels, until it has been seen. */
  readonly height: number;
  /** No room between the items. */
  readonly dense?: boolean;
  readonly children: (item: T) => ReactNode;
};

/** Up to so many are simply written out: they can be searched and printed whole. */
const SHORT = 12;

/**
 * A list of any length, of which only what is near the window is on the page; it scrolls with the page.
 * Each item says which of how many it is, since a reader cannot count what is not there.
 */
export function LongList<T>(props: Props<T>) {
  const { label, items, keyOf, dense = false, children } = props;
  if (items.length <= SHORT)
    return (
      <ul aria-label={label} className={dense ? 'grid' : 'grid gap-6'}>
        {items.map((item) => (
          <li key={keyOf(item)}>{children(item)}</li>
        ))}
      </ul>
    );
  return <Virtual {...props} />;
}

function Virtual<T>({ label, items, keyOf, height, dense = false, children }: Props<T>) {
  const list = useRef<HTMLUListElement>(null);
  const [top, setTop] = useState(0);
  useLayoutEffect(() => setTop(list.current?.offsetTop ?? 0), []);
  const virtual = useWindowVirtualizer({
    count: items.length,
    estimateSize: () => height,
    overscan: 2,
    scrollMargin: top,
    getItemKey: (i) => keyOf(items[i] as T),
  });
  return (
    <ul ref={list} aria-label={label} className="relative" style={{ height: virtual.getTotalSize() }}>
      {virtual.getVirtualItems().map((row) => (
        <li
          key={row.key}
          ref={virtual.measureElement}
          data-index={row.index}
          aria-setsize={items.length}
          aria-posinset={row.index + 1}
          className={`absolute inset-x-0 top-0 ${dense ? '' : 'pb-6'}`}
          style={{ transform: `translateY(${row.start - top}px)` }}
        >
          {children(items[row.index] as T)}
        </li>
      ))}
    </ul>
  );
}
