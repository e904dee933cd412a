import { useQuery, useQueryClient } from '@tanstack/react-query';
import { lazy, Suspense, useCallback, useEffect, useRef } from 'react';
import { Navigate, Route, Routes } from 'react-router';
import { Problem } from './api/client';
import type { Job } from './api/jobs';
import { type Session, sessionQuery } from './api/session';
import { Failure, Loading } from './components/States';
import { SignIn } from './features/signin/SignIn';
import { SignInAgain } from './features/signin/SignInAgain';
import { outbox } from './lib/outbox';
import { hearTabs } from './lib/sessionNews';
import { SignedInContext } from './lib/signedIn';
import { keepAnswer } from './offline/register';

const BenchScreen = lazy(() => import('./features/bench/BenchScreen'));
const MachinesScreen = lazy(() => import('./features/machines/MachinesScreen'));
const MachineScreen = lazy(() => import('./features/machines/MachineScreen'));
const JobScreen = lazy(() => import('./features/job/JobScreen'));
const SpecsScreen = lazy(() => import('./features/specs/SpecsScreen'));
const SpecScreen = lazy(() => import('./features/specs/SpecScreen'));
const SpecEditScreen = lazy(() => import('./features/specs/SpecEditScreen'));
const DueScreen = lazy(() => import('./features/due/DueScreen'));
const LabelScreen = lazy(() => import('./features/label/LabelScreen'));
const ShopScreen = lazy(() => import('./features/shop/ShopScreen'));
const ShelfScreen = lazy(() => import('./features/shelf/ShelfScreen'));
const NothingHere = lazy(() => import('./features/NothingHere'));

/** Who is signed in decides what is shown; a session that ends keeps the screen and asks for the password over it. */
export const App = () => {
  const session = useQuery(sessionQuery);
  const client = useQueryClient();
  const user = session.data?.user ?? null;
  const last = useRef(user);
  if (user !== null) last.current = user;

  const signedOut = useCallback(() => {
    client.setQueryData<Session>(sessionQuery.queryKey, (known) =>
      known === undefined ? known : { ...known, user: null },
    );
  }, [client]);

  const ask = useCallback(() => void client.refetchQueries({ queryKey: sessionQuery.queryKey }), [client]);

  useEffect(() => {
    const answered = (job: Job) => {
      client.setQueryData(['job', job.id], job);
      void keepAnswer(`/api/jobs/${job.id}`, job);
    };
    outbox.attend(user?.id ?? null, { answered, signedOut, another: ask });
  }, [user?.id, client, signedOut, ask]);

  // Another tab may have changed hands; so may the server's session while this one was out of view.
  useEffect(() => {
    const seen = () => document.visibilityState === 'visible' && ask();
    const deaf = hearTabs(ask);
    document.addEventListener('visibilitychange', seen);
    window.addEventListener('online', ask);
    return () => {
      deaf();
      document.removeEventListener('visibilitychange', seen);
      window.removeEventListener('online', ask);
    };
  }, [ask]);

  useEffect(
    () =>
      client.getQueryCache().subscribe((event) => {
        const error = event.type === 'updated' && event.action.type === 'error' ? event.action.error : null;
        if (error instanceof Problem && error.status === 401) signedOut();
      }),
    [client, signedOut],
  );

  if (session.isPending) return <Loading what="the workshop" />;
  if (session.data === undefined) return <Failure error={session.error} retry={() => session.refetch()} />;
  if (last.current === null) return <SignIn demo={session.data.demo} />;
  const leave = () => {
    last.current = null;
    signedOut();
  };
  return (
    <SignedInContext value={last.current}>
      <Suspense fallback={<Loading what="the screen" />}>
        <Routes>
          <Route path="/" element={<BenchScreen onLeave={leave} />} />
          <Route path="/machines" element={<MachinesScreen onLeave={leave} />} />
          <Route path="/machines/:tag" element={<MachineScreen onLeave={leave} />} />
          <Route path="/jobs/:id" element={<JobScreen onLeave={leave} />} />
          <Route path="/specs" element={<SpecsScreen onLeave={leave} />} />
          <Route path="/specs/new" element={<SpecEditScreen how="new" onLeave={leave} />} />
          <Route path="/specs/:id" element={<SpecScreen onLeave={leave} />} />
          <Route path="/specs/:id/next" element={<SpecEditScreen how="next" onLeave={leave} />} />
          <Route path="/specs/:id/edit" element={<SpecEditScreen how="edit" onLeave={leave} />} />
          <Route path="/due" element={<DueScreen onLeave={leave} />} />
          <Route path="/machines/:tag/label" element={<LabelScreen onLeave={leave} />} />
          <Route path="/shop" element={<ShopScreen onLeave={leave} />} />
          <Route path="/shelf" element={<ShelfScreen onLeave={leave} />} />
          <Route path="/bench" element={<Navigate to="/" replace />} />
          <Route path="*" element={<NothingHere onLeave={leave} />} />
        </Routes>
      </Suspense>
      {user === null && <SignInAgain person={last.current} onLeave={leave} />}
    </SignedInContext>
  );
};
