import { isRouteErrorResponse, Link, useRouteError } from 'react-router';

/** An address that leads nowhere, or a screen that could not be shown. */
export function Lost() {
  const error = useRouteError();
  const missing = error === undefined || error === null || isRouteErrorResponse(error);
  return (
    <main id="main" className="p-8">
      <title>Green Beam</title>
      <h1 className="mb-3">
        {missing ? 'There is nothing at this address.' : 'This screen could not be shown.'}
      </h1>
      <p className="mb-4">
        {missing
          ? 'It may have been moved.'
          : 'What you wrote is kept. Reload the page; if it happens again, tell your teacher.'}
      </p>
      <Link className="text-beam underline" to="/" reloadDocument>
        Go to Today
      </Link>
    </main>
  );
}
