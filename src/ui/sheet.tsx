import { type ReactNode, useId } from 'react';
import { tell } from '@/words/shell';

type SheetProps = {
  readonly title?: ReactNode;
  readonly aside?: ReactNode;
  readonly children: ReactNode;
  readonly className?: string;
  readonly label?: string;
  /** It is the whole page: its heading is the page's, and names the window. */
  readonly page?: string;
};

/**
 * One sheet of the notebook: a heading with its rule, and what stands under it. It is a landmark under
 * its heading's name, or under `label`.
 */
export function Sheet({ title, aside, children, className = '', label, page }: SheetProps) {
  const heading = useId();
  const Heading = page === undefined ? 'h2' : 'h1';
  const named = label === undefined && title !== undefined ? heading : undefined;
  return (
    <section
      aria-label={label}
      aria-labelledby={named}
      className={`border-2 border-ink bg-sheet ${className}`}
    >
      {title !== undefined && (
        <header className="flex flex-wrap items-baseline justify-between gap-x-4 gap-y-1 border-b border-rule px-4 py-2.5">
          {page !== undefined && <PageTitle>{page}</PageTitle>}
          <Heading id={heading} className="text-lg font-bold leading-tight">
            {title}
          </Heading>
          {aside !== undefined && <div className="text-sm text-ink-soft">{aside}</div>}
        </header>
      )}
      <div className="px-4 py-3">{children}</div>
    </section>
  );
}

/** The name of the window, for a page that draws its own heading. */
export const PageTitle = ({ children }: { readonly children: string }) => (
  <title>{tell('sheet.regulon', { title: children })}</title>
);

/** A page's title line: what room this is, in one sentence of what it says. */
export function PageHead({ title, children }: { readonly title: string; readonly children?: ReactNode }) {
  return (
    <header className="mb-5 max-w-4xl">
      <PageTitle>{title}</PageTitle>
      <h1 className="text-[1.75rem] font-extrabold leading-tight tracking-tight">{title}</h1>
      {children !== undefined && <p className="mt-1 text-lg leading-snug text-ink-soft">{children}</p>}
    </header>
  );
}

type NoticeProps = {
  readonly tone?: 'plain' | 'alert';
  readonly children: ReactNode;
  readonly role?: 'status' | 'alert';
};

/** A line that wants to be read: told apart by its bar and word, not by colour alone. */
export function Notice({ tone = 'plain', children, role }: NoticeProps) {
  const bar = tone === 'alert' ? 'border-l-[6px] border-signal' : 'border-l-[6px] border-rule';
  return (
    <div role={role} className={`${bar} bg-paper px-3 py-2 text-base leading-snug`}>
      {children}
    </div>
  );
}
