import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { BrowserRouter } from 'react-router';
import { ApiProblem } from './api';
import { Screens } from './routes';
import './styles.css';

const queries = new QueryClient({
  defaultOptions: {
    queries: {
      retry: (failures, error) => !(error instanceof ApiProblem) && failures < 3,
      staleTime: 5_000,
      networkMode: 'always',
    },
    mutations: { networkMode: 'always' },
  },
});

/** A page that has only just opened can still be exchanged for a newer one without anybody noticing. */
const justOpenedMs = 8_000;
void import('virtual:pwa-register').then(({ registerSW }) => {
  const renew = registerSW({
    immediate: true,
    onNeedRefresh: () => {
      if (performance.now() < justOpenedMs) void renew(true);
    },
  });
});

/** What is written never changes its letters, and so its width: they are there before it, or a second has gone by. */
const lettersMs = 1_000;
const faces = ['400 1em "Atkinson Hyperlegible Next"', '700 1em "Atkinson Hyperlegible Next"'];
const letters = Promise.race([
  Promise.allSettled(
    [...faces, '400 1em "Atkinson Hyperlegible Mono"'].map((face) => document.fonts.load(face)),
  ),
  new Promise((late) => setTimeout(late, lettersMs)),
]);

const root = document.getElementById('root');
if (!root) throw new Error('The page has no place for the application.');
void letters.then(() =>
  createRoot(root).render(
    <StrictMode>
      <QueryClientProvider client={queries}>
        <BrowserRouter>
          <Screens />
        </BrowserRouter>
      </QueryClientProvider>
    </StrictMode>,
  ),
);
