import type { ReactNode } from 'react';
import type { PictureThing } from '@/core/breakdown';

/**
 * What a thing looks like, told apart by shape and filling, never by colour alone; the turned ones point where
 * they face. About 26 px wide.
 */
export function ThingSymbol({ thing }: { readonly thing: Pick<PictureThing, 'kind' | 'turn' | 'order'> }) {
  const { kind, turn, order } = thing;
  const turned = (inner: ReactNode) => <g transform={`rotate(${turn})`}>{inner}</g>;
  switch (kind) {
    case 'dog':
      return turned(
        <path d="M0 -15 L11 11 L0 5 L-11 11 Z" fill="var(--ink)" stroke="var(--sheet)" strokeWidth="2" />,
      );
    case 'handler':
      return (
        <>
          <circle r="9" fill="var(--sheet)" stroke="var(--ink)" strokeWidth="3" />
          <circle r="3" fill="var(--ink)" />
        </>
      );
    case 'helper':
    case 'steward':
    case 'judge':
      return <Lettered letter={kind.charAt(0).toUpperCase()} />;
    case 'gun':
      return turned(
        <path
          d="M-5 9 L5 9 L5 1 L2 1 L2 -16 L-2 -16 L-2 1 L-5 1 Z"
          fill="var(--sheet)"
          stroke="var(--ink)"
          strokeWidth="2.5"
        />,
      );
    case 'mark':
      return <Disc order={order} fill="var(--signal)" ink="var(--on-signal)" />;
    case 'memory':
      return (
        <>
          <circle r="13" fill="var(--ink)" />
          <circle r="8.5" fill="var(--sheet)" />
          <Order order={order} y={5} ink="var(--ink)" />
        </>
      );
    case 'blind':
      return (
        <>
          <circle r="12" fill="var(--sheet)" stroke="var(--ink)" strokeWidth="3" strokeDasharray="5 3.4" />
          <Order order={order} y={5} ink="var(--ink)" />
        </>
      );
    case 'article':
      return (
        <rect
          x="-8"
          y="-5"
          width="16"
          height="10"
          fill="var(--sheet)"
          stroke="var(--ink)"
          strokeWidth="2.5"
        />
      );
    case 'box':
      return (
        <path d="M-9 -6 L-9 8 L9 8 L9 -6 M-12 -6 L12 -6" fill="none" stroke="var(--ink)" strokeWidth="3" />
      );
    case 'hide':
      return (
        <path
          d="M-8 -8 L8 8 M8 -8 L-8 8"
          fill="none"
          stroke="var(--ink)"
          strokeWidth="4"
          strokeLinecap="round"
        />
      );
    case 'platform':
      return turned(
        <rect
          x="-12"
          y="-7"
          width="24"
          height="14"
          rx="3"
          fill="var(--signal)"
          stroke="var(--ink)"
          strokeWidth="2.5"
        />,
      );
    case 'pole':
      return <path d="M0 10 L0 -14 M-7 10 L7 10" stroke="var(--ink)" strokeWidth="4" strokeLinecap="round" />;
    case 'hurdle':
      return turned(
        <path
          d="M-14 6 L-14 -6 M14 6 L14 -6 M-14 0 L14 0"
          stroke="var(--ink)"
          strokeWidth="3.5"
          fill="none"
        />,
      );
    case 'toy':
      return (
        <path d="M0 -11 L10 0 L0 11 L-10 0 Z" fill="var(--signal)" stroke="var(--ink)" strokeWidth="2.5" />
      );
    case 'decoy':
      return (
        <path
          d="M-12 5 Q-4 -4 4 -3 L6 -9 L11 -7 L9 1 Q6 8 -12 5 Z"
          fill="var(--sheet)"
          stroke="var(--ink)"
          strokeWidth="2.5"
        />
      );
    case 'square':
    case 'lane':
    case 'cover':
      return <circle r="4.5" fill="var(--sheet)" stroke="var(--ink)" strokeWidth="2.5" />;
  }
}

const Disc = ({
  order,
  fill,
  ink,
}: {
  readonly order: number | null;
  readonly fill: string;
  readonly ink: string;
}) => (
  <>
    <circle r="12" fill={fill} stroke="var(--ink)" strokeWidth="2.5" />
    <Order order={order} y={5} ink={ink} />
  </>
);

const Order = ({
  order,
  y,
  ink,
}: {
  readonly order: number | null;
  readonly y: number;
  readonly ink: string;
}) =>
  order === null ? null : (
    <text y={y} textAnchor="middle" fontSize="14" fontWeight="800" fill={ink}>
      {order}
    </text>
  );

const Lettered = ({ letter }: { readonly letter: string }) => (
  <>
    <rect x="-10" y="-10" width="20" height="20" fill="var(--sheet)" stroke="var(--ink)" strokeWidth="2.5" />
    <text y="5" textAnchor="middle" fontSize="14" fontWeight="800" fill="var(--ink)">
      {letter}
    </text>
  </>
);
