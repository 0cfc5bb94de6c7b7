import { isRouteErrorResponse, Link, useRouteError } from 'react-router';
import { buttonClass, Notice, PageHead } from '@/ui';
import { tell } from '@/words/shell';

/** A bug has thrown: say so, and that the log is safe, and give a way on. */
export function TroublePage() {
  const error = useRouteError();
  const words = isRouteErrorResponse(error)
    ? error.statusText
    : error instanceof Error
      ? error.message
      : String(error);
  return (
    <main className="mx-auto max-w-2xl p-6">
      <PageHead title={tell('trouble.something-went-wrong-here')}>
        {tell('trouble.your-reps-are-stored-this-page')}
      </PageHead>
      <Notice tone="alert" role="alert">
        {words}
      </Notice>
      <p className="mt-4 flex gap-3">
        <Link className={buttonClass('ink')} to="/" reloadDocument>
          {tell('trouble.start-again')}
        </Link>
      </p>
    </main>
  );
}

export function LostPage() {
  return (
    <div className="mx-auto max-w-2xl p-6">
      <PageHead title={tell('trouble.there-is-no-such-page')}>
        {tell('trouble.the-address-may-be-old')}
      </PageHead>
      <Link className={buttonClass('ink')} to="/">
        {tell('trouble.go-to-today')}
      </Link>
    </div>
  );
}
