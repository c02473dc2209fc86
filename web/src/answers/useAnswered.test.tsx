import { QueryClient, QueryClientProvider, useQuery } from '@tanstack/react-query';
import { render, screen } from '@testing-library/react';
import { expect, it } from 'vitest';
import { useAnswered } from './useAnswered';

const asked = (key: string, answer: () => Promise<string>) => ({ queryKey: [key], queryFn: answer });
const later = <T,>() => {
  let resolve: (answer: T) => void = () => undefined;
  const promise = new Promise<T>((done) => (resolve = done));
  return { promise, resolve };
};

function page(...questions: ReturnType<typeof asked>[]) {
  const Part = (own: (typeof questions)[number]) => <p>{useQuery(own).data ?? 'nothing'}</p>;
  const Whole = () =>
    useAnswered(questions) ? questions.map((own) => <Part key={String(own.queryKey)} {...own} />) : 'waits';
  const queries = new QueryClient({ defaultOptions: { queries: { retry: false } } });
  render(
    <QueryClientProvider client={queries}>
      <Whole />
    </QueryClientProvider>,
  );
}

it('shows a page when the last of what it asks for is there', async () => {
  const [first, second] = [later<string>(), later<string>()];
  page(
    asked('first', () => first.promise),
    asked('second', () => second.promise),
  );
  first.resolve('one');
  await Promise.resolve();
  expect(screen.getByText('waits')).toBeVisible();
  second.resolve('two');
  expect(await screen.findByText('two')).toBeVisible();
  expect(screen.getByText('one')).toBeVisible();
});

it('does not wait for what fails, and stays when it is asked for again', async () => {
  page(
    asked('first', () => Promise.resolve('one')),
    asked('second', () => Promise.reject(new Error('no'))),
  );
  expect(await screen.findByText('one')).toBeVisible();
  expect(await screen.findByText('nothing')).toBeVisible();
});
