import { isRouteErrorResponse, Link, useRouteError } from 'react-router';
import { buttonClass, Notice, PageHead } from '@/ui';

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
      <PageHead title="Something went wrong here">
        Your reps are stored; this page could not be drawn.
      </PageHead>
      <Notice tone="alert" role="alert">
        {words}
      </Notice>
      <p className="mt-4 flex gap-3">
        <Link className={buttonClass('ink')} to="/" reloadDocument>
          Start again
        </Link>
      </p>
    </main>
  );
}

export function LostPage() {
  return (
    <div className="mx-auto max-w-2xl p-6">
      <PageHead title="There is no such page">The address may be old.</PageHead>
      <Link className={buttonClass('ink')} to="/">
        Go to Today
      </Link>
    </div>
  );
}
