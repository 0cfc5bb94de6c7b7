import { Link } from 'react-router';
import { PageHead } from '@/ui';
import { tell } from './words';

/** The few terms that stay, in the order in which somebody meets them. */
const TERMS: readonly (readonly [term: string, means: string])[] = [
  [tell('glossary-page.element'), tell('glossary-page.element-is')],
  [tell('glossary-page.ladder'), tell('glossary-page.ladder-is')],
  [tell('glossary-page.step'), tell('glossary-page.step-is')],
  [tell('glossary-page.demand'), tell('glossary-page.demand-is')],
  [tell('glossary-page.rep'), tell('glossary-page.rep-is')],
  [tell('glossary-page.counts'), tell('glossary-page.counts-is')],
  [tell('glossary-page.cue'), tell('glossary-page.cue-is')],
  [tell('glossary-page.silent'), tell('glossary-page.silent-is')],
  [tell('glossary-page.easy'), tell('glossary-page.easy-is')],
  [tell('glossary-page.handler'), tell('glossary-page.handler-is')],
  [tell('glossary-page.band'), tell('glossary-page.band-is')],
  [tell('glossary-page.cold'), tell('glossary-page.cold-is')],
  [tell('glossary-page.simulated'), tell('glossary-page.simulated-is')],
];

export function GlossaryPage() {
  return (
    <>
      <PageHead title={tell('glossary-page.title')}>{tell('glossary-page.few')}</PageHead>
      <p className="mb-6">
        <Link
          className="inline-flex min-h-11 items-center underline underline-offset-4"
          to="../settings"
          relative="path"
        >
          {tell('glossary-page.to-settings')}
        </Link>
      </p>
      <dl className="grid max-w-3xl gap-4">
        {TERMS.map(([term, means]) => (
          <div key={term} className="border-l-[6px] border-rule pl-3">
            <dt className="text-lg font-bold leading-tight">{term}</dt>
            <dd className="leading-snug">{means}</dd>
          </div>
        ))}
      </dl>
    </>
  );
}
