import { PasswordForm } from './PasswordForm';

/** The printed password lets one in once: nothing else can be done before it is changed. */
export function FirstPassword() {
  return (
    <main id="main" className="mx-auto max-w-2xl p-8">
      <title>Choose a password · Green Beam</title>
      <h1 className="mb-3">Choose a password of your own</h1>
      <p className="mb-6">
        The password that was printed for you is for the first sign-in only: others may have seen it.
      </p>
      <PasswordForm />
    </main>
  );
}
