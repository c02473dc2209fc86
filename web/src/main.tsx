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

const root = document.getElementById('root');
if (!root) throw new Error('The page has no place for the application.');
createRoot(root).render(
  <StrictMode>
    <QueryClientProvider client={queries}>
      <BrowserRouter>
        <Screens />
      </BrowserRouter>
    </QueryClientProvider>
  </StrictMode>,
);
