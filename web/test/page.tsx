import { personHeader, type ClassOfOnes, type ProblemCode, type Who } from '@green-beam/contract';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { render } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { ReactNode } from 'react';
import { createMemoryRouter, RouterProvider, type RouteObject } from 'react-router';
import { vi } from 'vitest';
import { OutboxProvider } from '../src/outbox/OutboxContext';
import { WhoContext } from '../src/session/who';

export interface Call {
  readonly method: string;
  readonly path: string;
  readonly query: URLSearchParams;
  readonly body: Record<string, unknown>;
  /** For whom it says that it asks. */
  readonly person: string | null;
}

/** What a made-up server answers at each `METHOD /path`; a `*` stands for one part of the path. */
export type Answers = Readonly<Record<string, object | ((call: Call) => unknown)>>;

/** A refusal as the server words it. */
export const refusal = (status: number, code: ProblemCode, detail: string): Response =>
  Response.json({ type: 'about:blank', title: code, status, code, detail }, { status });

/** Stands in for the server; gives the calls that it got, and lets itself be taken off the net. */
export function serve(answers: Answers) {
  const calls: Call[] = [];
  const net = { up: true };
  vi.stubGlobal('fetch', async (address: string, { method = 'GET', body, headers }: RequestInit = {}) => {
    if (!net.up) throw new TypeError('no connection');
    const url = new URL(address, 'http://desk.test');
    const call: Call = {
      method,
      path: url.pathname,
      query: url.searchParams,
      body: typeof body === 'string' ? (JSON.parse(body) as Record<string, unknown>) : {},
      person: new Headers(headers).get(personHeader),
    };
    calls.push(call);
    const found = Object.entries(answers).find(([pattern]) => fits(pattern, `${method} ${url.pathname}`));
    if (!found) return refusal(404, 'not-found', `Nothing answers ${method} ${url.pathname}.`);
    const answer =
      typeof found[1] === 'function' ? await (found[1] as (call: Call) => unknown)(call) : found[1];
    return answer instanceof Response ? answer : Response.json(answer);
  });
  return {
    calls,
    net,
    sent: (pattern: string) => calls.filter((call) => fits(pattern, `${call.method} ${call.path}`)),
  };
}

const fits = (pattern: string, line: string): boolean => {
  const [wanted, given] = [pattern.split('/'), line.split('/')];
  return wanted.length === given.length && wanted.every((part, at) => part === '*' || part === given[at]);
};

export const tern = { id: 'tern', code: 'TERN9', name: '9 Tern' };
const as = (part: ClassOfOnes['part']) => [{ ...tern, part }];
export const student: Who = { id: 'ada', role: 'student', name: 'Ada Lind', classes: as('student') };
export const teacher: Who = { id: 'marrow', role: 'teacher', name: 'Ms Marrow', classes: as('owner') };

/** A page or a part of one, as somebody who has signed in sees it. */
export function open(routes: RouteObject[], address = '/', who: Who = student) {
  const queries = new QueryClient({
    defaultOptions: { queries: { retry: false }, mutations: { retry: false } },
  });
  const router = createMemoryRouter(routes, { initialEntries: [address] });
  const view = render(
    <QueryClientProvider client={queries}>
      <WhoContext value={who}>
        <OutboxProvider>
          <RouterProvider router={router} />
        </OutboxProvider>
      </WhoContext>
    </QueryClientProvider>,
  );
  return { ...view, queries, router, user: userEvent.setup({ delay: null }) };
}

/** One element by itself, with what every page has around it. */
export const show = (element: ReactNode, who: Who = student) => open([{ path: '*', element }], '/', who);
