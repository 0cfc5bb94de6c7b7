import { type ReactNode, useId } from 'react';
import { tell } from '@/words/shell';

type SheetProps = {
  readonly title?: ReactNode;
  readonly aside?: ReactNode;
  readonly children: ReactNode;
  readonly className?: string;
  readonly label?: string;
};

/**
 * One sheet of the notebook: a heading with its rule, and what stands under it. It is a landmark under
 * its heading's name, or under `label`.
 */
export function Sheet({ title, aside, children, className = '', label }: SheetProps) {
  const heading = useId();
  const named = label === undefined && title !== undefined ? heading : undefined;
  return (
    <section
      aria-label={label}
      aria-labelledby={named}
      className={`border-2 border-ink bg-sheet ${className}`}
    >
      {title !== undefined && (
        <header className="flex flex-wrap items-baseline justify-between gap-x-4 gap-y-1 border-b border-rule px-4 py-2.5">
          <h2 id={heading} className="text-lg font-bold leading-tight">
            {title}
          </h2>
          {aside !== undefined && <div className="text-sm text-ink-soft">{aside}</div>}
        </header>
      )}
      <div className="px-4 py-3">{children}</div>
    </section>
  );
}

/** A page's title line: what room this is, in one sentence of what it says. */
export function PageHead({ title, children }: { readonly title: string; readonly children?: ReactNode }) {
  return (
    <header className="mb-5 max-w-4xl">
      <title>{tell('sheet.regulon', { title })}</title>
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
