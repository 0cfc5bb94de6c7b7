import type { ReactNode } from 'react';

/**
 * One link: how heavy (share of the points at stake, 0–1) and how sound (chance of a clean rep,
 * 0–1; null: nothing known).
 */
export type ChainLink = {
  readonly key: string;
  readonly title: string;
  readonly weight: number;
  readonly strength: number | null;
  readonly note: ReactNode;
};

type Props = {
  readonly links: readonly ChainLink[];
  readonly label: string;
  /** False where the chain shows rules only: every wire is then drawn alike. */
  readonly withStrength?: boolean;
};

/**
 * An exercise as links in performing order: the longer, the more it can cost; the thinner its wire,
 * the weaker.
 */
export function Chain({ links, label, withStrength = true }: Props) {
  return (
    <ol aria-label={label} className="flex flex-col gap-1 sm:flex-row sm:gap-0">
      {links.map((link, i) => (
        <li
          key={link.key}
          className="relative min-w-0 sm:basis-0"
          style={{ flexGrow: 0.55 + link.weight, ['--across' as string]: `${35 + 65 * link.weight}%` }}
        >
          <div aria-hidden="true" className="flex h-7 w-(--across) items-center sm:h-11 sm:w-auto">
            <Link look={withStrength ? lookOf(link.strength) : PLAIN} first={i === 0} />
          </div>
          <p className="text-sm font-semibold leading-tight sm:pr-3">
            <span className="text-ink-soft">{i + 1}. </span>
            {link.title}
          </p>
          <p className="text-sm leading-snug text-ink-soft sm:pr-3">{link.note}</p>
        </li>
      ))}
    </ol>
  );
}

type Look = { readonly wire: number; readonly style: 'solid' | 'dotted'; readonly weak: boolean };
const PLAIN: Look = { wire: 5, style: 'solid', weak: false };

/** 2 px for a link that would not hold, 11 px for a sound one; dotted where no rep is logged. */
function lookOf(strength: number | null): Look {
  if (strength === null) return { wire: 3, style: 'dotted', weak: false };
  return { wire: 2 + 9 * Math.max(0, (strength - 0.3) / 0.7), style: 'solid', weak: strength < 0.7 };
}

function Link({ look, first }: { readonly look: Look; readonly first: boolean }) {
  return (
    <>
      {!first && (
        <span className="absolute left-0 top-[1.22rem] z-10 hidden h-1.5 w-4 -translate-x-1/2 rounded-full bg-ink ring-2 ring-sheet sm:block" />
      )}
      <span
        className={`h-6 w-full rounded-full sm:h-9 ${look.weak ? 'border-signal-ink' : 'border-ink'}`}
        style={{ borderWidth: `${look.wire}px`, borderStyle: look.style }}
      />
    </>
  );
}
