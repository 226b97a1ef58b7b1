import './quick/earlyKeys.ts';
import { QueryClientProvider } from '@tanstack/react-query';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { RouterProvider } from 'react-router';
import { keepSearch } from './app/address.ts';
import { queries } from './app/queries.ts';
import { router } from './app/router.tsx';
import './styles.css';

import { keepQueries, restoreQueries } from './app/keptQueries.ts';

router.subscribe(({ location }) => keepSearch(location.search));
keepSearch(router.state.location.search);

const root = document.getElementById('root');
if (!root) throw new Error('The page has no root.');
await restoreQueries();
keepQueries();
createRoot(root).render(
  <StrictMode>
    <QueryClientProvider client={queries}>
      <RouterProvider router={router} />
    </QueryClientProvider>
  </StrictMode>,
);
