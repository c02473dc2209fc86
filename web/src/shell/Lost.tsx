import { Link } from 'react-router';

/** What is said in place of a screen, and the way to one that is there. */
function InPlace({ heading, sentence }: { readonly heading: string; readonly sentence: string }) {
  return (
    <main id="main" className="p-8">
      <title>Green Beam</title>
      <h1 className="mb-3">{heading}</h1>
      <p className="mb-4">{sentence}</p>
      <Link className="text-beam underline" to="/" reloadDocument>
        Go to Today
      </Link>
    </main>
  );
}

/** An address that leads nowhere. */
export const Lost = () => (
  <InPlace
    heading="There is no page at this address."
    sentence="Check the address, or start again from Today."
  />
);

/** A screen that could not be shown. */
export const Unshown = () => (
  <InPlace
    heading="This screen could not be shown."
    sentence="What you wrote is kept. Reload the page; if it happens again, tell your teacher."
  />
);
