import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { buttonClass, PageHead, Sheet, TextField } from '@/ui';
import { findInGuide } from './guide-search';
import { GuideText } from './guide-text';
import { GUIDE, pageById } from './pages';
import { tell } from './words';

/** The guide: a page, all the others, and a search through them. It is here without a network. */
export function GuideBook() {
  const { kennel, page: id } = useParams();
  const page = pageById(id ?? '');
  const [question, setQuestion] = useState('');
  const found = findInGuide(question);
  return (
    <>
      <PageHead title={page.title} />
      <div className="grid items-start gap-6 lg:grid-cols-[1fr_20rem]">
        <Sheet>
          <GuideText key={page.id} page={page} />
        </Sheet>
        <div className="grid gap-4">
          <Sheet title={tell('guide.all-pages')}>
            <TextField
              label={tell('guide.search')}
              value={question}
              autoComplete="off"
              maxLength={80}
              onChange={(event) => setQuestion(event.target.value)}
            />
            {question.trim() !== '' && (
              <p className="mt-2 text-sm" role="status">
                {tell('guide.found', { n: found.length })}
              </p>
            )}
            <ul className="mt-2 divide-y divide-hair" aria-label={tell('guide.all-pages')}>
              {question.trim() === ''
                ? GUIDE.map((one) => (
                    <li key={one.id}>
                      <Link
                        className="flex min-h-11 items-center underline-offset-4 aria-[current=page]:font-bold not-aria-[current=page]:underline"
                        to={`/${kennel}/guide/${one.id}`}
                        aria-current={one.id === page.id ? 'page' : undefined}
                      >
                        {one.title}
                      </Link>
                    </li>
                  ))
                : found.map(({ page: one, line }) => (
                    <li key={one.id}>
                      <Link
                        className="block min-h-11 py-1.5 leading-snug"
                        to={`/${kennel}/guide/${one.id}`}
                        onClick={() => setQuestion('')}
                      >
                        <span className="font-semibold underline underline-offset-4">{one.title}</span>
                        <span className="block text-sm text-ink-soft">{line}</span>
                      </Link>
                    </li>
                  ))}
            </ul>
          </Sheet>
          <Sheet title={tell('guide.look-round')}>
            <p className="mb-3 leading-snug">{tell('guide.look-round-what')}</p>
            <Link className={buttonClass()} to="/sample/tour">
              {tell('guide.begin-tour')}
            </Link>
          </Sheet>
        </div>
      </div>
    </>
  );
}
