import './quick/earlyKeys.ts';
import { QueryClientProvider } from '@tanstack/react-query';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { ErrorBoundary } from 'react-error-boundary';
import { BrowserRouter } from 'react-router';
import { Addresses } from './app/Addresses.tsx';
import { keptByAddress } from './app/address.ts';
import { askFirst } from './app/askFirst.ts';
import { ErrorScreen } from './app/ErrorScreen.tsx';
import { queries } from './app/queries.ts';
import './styles.css';

import { keepQueries, restoreQueries } from './app/keptQueries.ts';

keptByAddress(() => window.location.search);

const root = document.getElementById('root');
if (!root) throw new Error('The page has no root.');
await restoreQueries();
keepQueries();
await askFirst();
createRoot(root).render(
  <StrictMode>
    <ErrorBoundary FallbackComponent={ErrorScreen}>
      <QueryClientProvider client={queries}>
        {/* What is pressed is drawn at once; what may come a moment later says so itself (`Later`, the day shown). */}
        <BrowserRouter useTransitions={false}>
          <Addresses />
        </BrowserRouter>
      </QueryClientProvider>
    </ErrorBoundary>
  </StrictMode>,
);
