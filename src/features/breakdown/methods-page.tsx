import { useState } from 'react';
import { Link } from 'react-router';
import { METHODS, searchMethods } from '@/core/breakdown';
import { buttonClass, PageHead, Sheet, TextField } from '@/ui';

/** The ready methods, to be searched by any of their words. */
export function MethodsPage() {
  const [question, setQuestion] = useState('');
  const found = searchMethods(question);
  return (
    <>
      <PageHead title="Methods">
        Ready ways to take a practice apart. Everything in them is a suggestion: what you use you can change.
      </PageHead>
      <p className="mb-4">
        <Link className={buttonClass('plain')} to=".." relative="path">
          Back to the breakdown
        </Link>
      </p>
      <TextField
        label="Search"
        className="mb-2 max-w-xl"
        value={question}
        placeholder="e.g. dumbbell, creeping, left"
        onChange={(event) => setQuestion(event.target.value)}
      />
      <p className="mb-5 text-sm text-ink-soft" aria-live="polite">
        {found.length === 0
          ? 'None has all of these words. Try one word, or a fault that you see.'
          : `${found.length} of ${METHODS.length}`}
      </p>
      <ul className="grid gap-4 md:grid-cols-2">
        {found.map((method) => (
          <li key={method.id}>
            <Sheet
              title={
                <Link
                  className="underline decoration-rule underline-offset-4 hover:decoration-ink"
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
