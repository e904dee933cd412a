import './lib/withoutEval';
import { ChakraProvider } from '@chakra-ui/react';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { lazy, StrictMode, Suspense } from 'react';
import { createRoot } from 'react-dom/client';
import { BrowserRouter } from 'react-router';
import { App } from './App';
import { Problem } from './api/client';
import { Guarded } from './components/Guarded';
import { keepForOffline } from './offline/register';
import { bringNight } from './theme/night';
import { system } from './theme/system';

// It draws a code, and is seen once by each phone: no page of every day waits for that.
const TrustScreen = lazy(async () => ({ default: (await import('./features/trust/TrustScreen')).TrustScreen }));

const client = new QueryClient({
  defaultOptions: {
    queries: {
      // Answers that say no stay no; a server that is away is asked again.
      retry: (tries, error) => !(error instanceof Problem) && tries < 2,
      retryDelay: 800,
      networkMode: 'always',
      refetchOnWindowFocus: true,
      refetchOnReconnect: true,
      staleTime: 2_000,
    },
    // Without a network a refusal is said at once, with everything still in its field: nothing waits unseen until the network is back.
    mutations: { networkMode: 'always' },
  },
});

bringNight();

const root = document.getElementById('root');
if (root === null) throw new Error('The page has no place for the bench: #root is missing.');

createRoot(root).render(
  <StrictMode>
    <ChakraProvider value={system}>
      <QueryClientProvider client={client}>
        <BrowserRouter>
          <Guarded within="page">
            <Suspense fallback={null}>{window.location.pathname === '/trust' ? <TrustScreen /> : <App />}</Suspense>
          </Guarded>
        </BrowserRouter>
      </QueryClientProvider>
    </ChakraProvider>
  </StrictMode>,
);
if (window.location.pathname !== '/trust') keepForOffline(() => client.isFetching() === 0);
