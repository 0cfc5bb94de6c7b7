import type { ReactNode } from 'react';

type Props = {
  readonly x: number;
  readonly y: number;
  readonly words: string;
  readonly size?: number;
  readonly bold?: boolean;
  readonly anchor?: 'start' | 'middle' | 'end';
};

/** Words on the drawing, with the paper's colour behind their strokes so that they are read over lines. */
export const Written = ({ x, y, words, size = 15, bold = false, anchor = 'middle' }: Props) => (
  <text
    x={x}
    y={y}
    textAnchor={anchor}
    fontSize={size}
    fontWeight={bold ? 800 : 600}
    fill="var(--ink)"
    stroke="var(--sheet)"
    strokeWidth="4"
    paintOrder="stroke"
    strokeLinejoin="round"
  >
    {words}
  </text>
);

/** What is painted and not read: the list beside the drawing says it. */
export const Unread = ({
  children,
  transform,
}: {
  readonly children: ReactNode;
  readonly transform?: string;
}) => (
  // biome-ignore lint/a11y/noAriaHiddenOnFocusable: a group of shapes takes no focus
  <g aria-hidden="true" transform={transform}>
    {children}
  </g>
);
