import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { StrictMode, Suspense } from 'react';
import { createRoot } from 'react-dom/client';
import { BrowserRouter } from 'react-router';
import { onSent, Problem } from './api/client';
import { altersRulebooks, changes, forgetWhatWasLeft, refresh, takeIn } from './api/fresh';
import { App } from './App';
import './index.css';
import { Fault } from './ui/Fault';
import { startTheme } from './ui/theme';

startTheme();

const queries = new QueryClient({
  defaultOptions: {
    queries: {
      refetchOnWindowFocus: false,
      retry: (count, problem) => count < 1 && !(problem instanceof Problem && problem.status >= 400),
    },
  },
});

forgetWhatWasLeft(queries);

onSent((outcome, method, path, keeps) => {
  if (!changes(method, path)) return;
  if (outcome === 'taken' && altersRulebooks(path)) void queries.invalidateQueries();
  else if (outcome === 'taken') refresh(queries, keeps);
  // What is refused may be refused because the screen is behind.
  else takeIn(queries);
});

createRoot(document.getElementById('root')!).render(
  <StrictMode>
    <QueryClientProvider client={queries}>
      <BrowserRouter>
        <Fault>
          <Suspense fallback={<p className="text-soft p-6">Opening …</p>}>
            <App />
          </Suspense>
        </Fault>
      </BrowserRouter>
    </QueryClientProvider>
  </StrictMode>,
);
