import Markdown from 'markdown-to-jsx/react';
import type { ComponentProps } from 'react';
import { Link, useParams } from 'react-router';
import type { GuidePage } from './pages';

/** A page of the guide as it is written, below its title. */
export function GuideText({ page, onGo }: { readonly page: GuidePage; readonly onGo?: () => void }) {
  const { kennel } = useParams();
  const GuideLink = ({ href = '', children }: ComponentProps<'a'>) => (
    <Link
      className="underline underline-offset-4"
      to={`/${kennel}/guide/${href.replace(/\.md$/, '')}`}
      onClick={onGo}
    >
      {children}
    </Link>
  );
  return (
    <div className="grid max-w-prose gap-3 leading-snug">
      <Markdown
        options={{
          wrapper: null,
          forceBlock: true,
          disableParsingRawHTML: true,
          overrides: {
            a: GuideLink,
            h2: { props: { className: 'mt-2 text-lg font-bold' } },
            ul: { props: { className: 'grid list-disc gap-1.5 pl-5' } },
            ol: { props: { className: 'grid list-decimal gap-1.5 pl-6' } },
            code: { props: { className: 'border border-ink px-1.5 font-sans font-bold' } },
          },
        }}
      >
        {page.text}
      </Markdown>
    </div>
  );
}
