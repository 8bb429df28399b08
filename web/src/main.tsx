import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import '@fontsource-variable/atkinson-hyperlegible-mono/index.css';
import '@fontsource-variable/atkinson-hyperlegible-next/index.css';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { BrowserRouter } from 'react-router';
import './wire/check-uncompiled.ts';
import { App } from './shell/app.tsx';
import { applySettings } from './settings/settings.ts';
import { AwayError, ProblemError } from './wire/call.ts';
import { onServerReturn } from './wire/server-presence.ts';
import './styles.css';

applySettings();
matchMedia('(prefers-color-scheme: dark)').addEventListener('change', applySettings);

const queries = new QueryClient({
  defaultOptions: {
    queries: {
      staleTime: 10_000,
      refetchOnWindowFocus: false,
      networkMode: 'always',
      // While the server is away its return is waited for and everything shown is asked again then.
      retry: (failures, error) => !(error instanceof ProblemError) && !(error instanceof AwayError) && failures < 1,
    },
    mutations: { networkMode: 'always' },
  },
});
onServerReturn(() => void queries.invalidateQueries());

createRoot(document.getElementById('root')!).render(
  <StrictMode>
    <QueryClientProvider client={queries}>
      <BrowserRouter>
        <App />
      </BrowserRouter>
    </QueryClientProvider>
  </StrictMode>,
);
