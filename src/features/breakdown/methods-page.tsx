import { useState } from 'react';
import { Link } from 'react-router';
import { methodsIn, searchMethods } from '@/core/breakdown';
import { buttonClass, PageHead, Sheet, TextField } from '@/ui';
import { regionNow } from '@/words';
import { tell } from './words';

/** The methods in this person's words. */
const METHODS_HERE = methodsIn(regionNow());

/** The ready methods, to be searched by any of their words. */
export function MethodsPage() {
  const [question, setQuestion] = useState('');
  const found = searchMethods(question, METHODS_HERE);
  return (
    <>
      <PageHead title={tell('methods-page.methods')}>
        {tell('methods-page.ready-ways-to-take-a-practice')}
      </PageHead>
      <p className="mb-4">
        <Link className={buttonClass('plain')} to=".." relative="path">
          {tell('methods-page.back-to-the-breakdown')}
        </Link>
      </p>
      <TextField
        label={tell('methods-page.search')}
        className="mb-2 max-w-xl"
        value={question}
        placeholder={tell('methods-page.e-g-dumbbell-creeping-left')}
        onChange={(event) => setQuestion(event.target.value)}
      />
      <p className="mb-5 text-sm text-ink-soft" aria-live="polite">
        {found.length === 0
          ? tell('methods-page.none-has-all-of-these-words-try')
          : tell('methods-page.of', { foundCount: found.length, METHODSCount: METHODS_HERE.length })}
      </p>
      <ul className="grid gap-4 md:grid-cols-2">
        {found.map((method) => (
          <li key={method.id}>
            <Sheet
              title={
                <Link
                  className="inline-flex min-h-11 items-center underline decoration-rule underline-offset-4 hover:decoration-ink"
                  to={method.id}
                >
                  {method.title}
                </Link>
              }
              className="h-full"
            >
              <p className="leading-snug">{method.teaches}</p>
              <p className="mt-2 text-sm leading-snug text-ink-soft">
                {method.elements.map((element) => element.title).join(' → ')}
              </p>
            </Sheet>
          </li>
        ))}
      </ul>
    </>
  );
}
