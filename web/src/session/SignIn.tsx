import { endpoints } from '@green-beam/contract';
import { Tabs } from 'radix-ui';
import { useState, type FormEvent } from 'react';
import { sentenceFor } from '../api';
import { storage } from '../browser/storage';
import { Button } from '../ui/Button';
import { CheckField } from '../ui/fields';
import { Field } from './SignInFields';
import { useSignIn } from './useSignIn';

const lastClassKey = 'green-beam/last-class';

/**
 * The door: students with what stands on their slip, teachers with name or address and password.
 * `unasked` is true where the server cannot be asked who is signed in.
 */
export function SignIn({ unasked }: { readonly unasked: boolean }) {
  return (
    <main id="main" className="grid min-h-screen md:grid-cols-[3fr_2fr]">
      <title>Sign in · Green Beam</title>
      <div className="on-bench hidden flex-col justify-center gap-6 bg-bench p-12 text-chalk md:flex">
        <BeamPicture />
        <p className="max-w-md text-xl">Read it. Write it with every digit it has. See why, and how sure.</p>
      </div>
      <div className="flex flex-col justify-center p-6 sm:p-10">
        <h1 className="mb-6 text-3xl">Green Beam</h1>
        {unasked && (
          <p role="status" className="mb-6 max-w-sm border-l-4 border-brass-line pl-3">
            There is no connection. Sign in when you have one. Nothing is lost.
          </p>
        )}
        <Tabs.Root defaultValue="student" className="max-w-sm">
          <Tabs.List aria-label="Who signs in" className="mb-6 flex gap-6 border-b border-rule">
            {['student', 'teacher'].map((role) => (
              <Tabs.Trigger
                key={role}
                value={role}
                className="border-b-4 border-transparent pb-2 font-bold capitalize text-soft data-[state=active]:border-beam data-[state=active]:text-ink"
              >
                {role}
              </Tabs.Trigger>
            ))}
          </Tabs.List>
          <Tabs.Content value="student">
            <StudentForm />
          </Tabs.Content>
          <Tabs.Content value="teacher">
            <TeacherForm />
          </Tabs.Content>
        </Tabs.Root>
      </div>
    </main>
  );
}

function StudentForm() {
  const [classCode, setClassCode] = useState(storage.getItem(lastClassKey) ?? '');
  const [name, setName] = useState('');
  const [passphrase, setPassphrase] = useState('');
  const enter = useSignIn(endpoints.signInStudent, () => storage.setItem(lastClassKey, classCode));
  return (
    <SignInForm enter={enter} body={{ classCode, name, passphrase }}>
      <Field label="Class code" value={classCode} onChange={setClassCode} hint="It stands on your slip." />
      <Field label="Your name" value={name} onChange={setName} autoComplete="username" />
      <Field
        label="Passphrase"
        value={passphrase}
        onChange={setPassphrase}
        type="password"
        autoComplete="current-password"
      />
    </SignInForm>
  );
}

function TeacherForm() {
  const [name, setName] = useState('');
  const [password, setPassword] = useState('');
  const enter = useSignIn(endpoints.signInTeacher);
  return (
    <SignInForm enter={enter} body={{ name, password }}>
      <Field label="Name or address" value={name} onChange={setName} autoComplete="username" />
      <Field
        label="Password"
        value={password}
        onChange={setPassword}
        type="password"
        autoComplete="current-password"
      />
    </SignInForm>
  );
}

function SignInForm({
  enter,
  body,
  children,
}: {
  readonly enter: ReturnType<typeof useSignIn>;
  readonly body: Readonly<Record<string, string>>;
  readonly children: React.ReactNode;
}) {
  const [ownDevice, setOwnDevice] = useState(false);
  const submit = (event: FormEvent) => {
    event.preventDefault();
    enter.mutate({ ...body, ownDevice });
  };
  return (
    <form onSubmit={submit} className="flex flex-col gap-4">
      {children}
      <CheckField
        label="This is my own device: keep me signed in"
        checked={ownDevice}
        onChange={setOwnDevice}
        className="self-start"
      />
      {enter.isError && (
        <p role="alert" className="border-l-4 border-vermilion pl-3">
          {sentenceFor(enter.error)}
        </p>
      )}
      <Button look="main" type="submit" disabled={enter.isPending}>
        Sign in
      </Button>
    </form>
  );
}

function BeamPicture() {
  return (
    <svg aria-hidden="true" viewBox="0 0 520 220" className="w-full max-w-xl" fill="none">
      <path d="M20 70 H500" stroke="#4fc48f" strokeWidth={6} />
      <path d="M260 74 L300 200 H220 Z" fill="#24473e" stroke="#4fc48f" strokeWidth={2} />
      {Array.from({ length: 25 }, (_, at) => 20 + at * 20).map((x, at) => (
        <path key={x} d={`M${x} 74 V${at % 6 === 0 ? 96 : 86}`} stroke="#8fb0a3" strokeWidth={2} />
      ))}
      <path d="M366 30 h28 v24 l-14 14 l-14 -14 Z" fill="#c79a45" />
      <path d="M60 70 v30 M30 100 h60" stroke="#c9d3cf" strokeWidth={5} />
    </svg>
  );
}
