import { useQuery, useQueryClient } from '@tanstack/react-query';
import { lazy, Suspense, useCallback, useEffect, useLayoutEffect, useRef } from 'react';
import { Navigate, Route, Routes, useLocation, useNavigationType } from 'react-router';
import { Problem } from './api/client';
import { complaintQuery } from './api/complaints';
import { noteHere } from './api/early';
import { keys } from './api/keys';
import { newer, type PracticeAttempt } from './api/practice';
import { type Session, sessionQuery } from './api/session';
import { Guarded } from './components/Guarded';
import { Failure, Loading } from './components/States';
import { SignIn } from './features/signin/SignIn';
import { SignInAgain } from './features/signin/SignInAgain';
import { asOf } from './lib/asOf';
import { readIn } from './lib/figures';
import { inThisTurn } from './lib/inThisTurn';
import { useToday } from './lib/now';
import { type Answered, outbox } from './lib/outbox';
import { preferencesOf } from './lib/preferences';
import { hearTabs } from './lib/sessionNews';
import { LeaveContext, SignedInContext } from './lib/signedIn';
import { useKept } from './lib/store';
import { useAgain } from './lib/useConnection';
import { keepAnswer } from './offline/register';
import { showIn } from './theme/night';

/** The screens, each fetched when somebody goes there. The one that the page opens with comes beside it (PageController). */
const BenchScreen = lazy(() => import('./features/bench/BenchScreen'));
const MachinesScreen = lazy(() => import('./features/machines/MachinesScreen'));
const MachineScreen = lazy(() => import('./features/machines/MachineScreen'));
const AddControlScreen = lazy(() => import('./features/machines/AddControlScreen'));
const ServiceScreen = lazy(() => import('./features/machines/ServiceScreen'));
const JobScreen = lazy(() => import('./features/job/JobScreen'));
const TraceScreen = lazy(() => import('./features/trace/TraceScreen'));
const SpecsScreen = lazy(() => import('./features/specs/SpecsScreen'));
const SpecScreen = lazy(() => import('./features/specs/SpecScreen'));
const SpecEditScreen = lazy(() => import('./features/specs/SpecEditScreen'));
const CausesScreen = lazy(() => import('./features/cause/CausesScreen'));
const CountsScreen = lazy(() => import('./features/cause/CountsScreen'));
const ComplainScreen = lazy(() => import('./features/cause/ComplainScreen'));
const ComplaintScreen = lazy(() => import('./features/cause/ComplaintScreen'));
const DueScreen = lazy(() => import('./features/due/DueScreen'));
const LabelScreen = lazy(() => import('./features/label/LabelScreen'));
const ShopScreen = lazy(() => import('./features/shop/ShopScreen'));
const CablesScreen = lazy(() => import('./features/cables/CablesScreen'));
const FittingScreen = lazy(() => import('./features/cables/FittingScreen'));
const ChecksScreen = lazy(() => import('./features/shelf/ChecksScreen'));
const GaugesScreen = lazy(() => import('./features/shelf/GaugesScreen'));
const ShelfScreen = lazy(() => import('./features/shelf/ShelfScreen'));
const PracticeScreen = lazy(() => import('./features/practice/PracticeScreen'));
const AttemptScreen = lazy(() => import('./features/practice/AttemptScreen'));
const LearnersScreen = lazy(() => import('./features/practice/LearnersScreen'));
const LessonFormScreen = lazy(() => import('./features/practice/LessonFormScreen'));
const NothingHere = lazy(() => import('./features/NothingHere'));

/** Who is signed in decides what is shown; a session that ends keeps the screen and asks for the password over it. */
export const App = () => {
  const session = useQuery(sessionQuery);
  const client = useQueryClient();
  const user = session.data?.user ?? null;
  const last = useRef(user);
  const today = useToday();
  useAgain();
  if (user !== null) last.current = user;
  const isHere = session.data === undefined ? null : user !== null;
  useEffect(() => {
    if (isHere !== null) noteHere(isHere);
  }, [isHere]);

  const signedOut = useCallback(() => {
    client.setQueryData<Session>(sessionQuery.queryKey, (known) =>
      known === undefined ? known : { ...known, user: null },
    );
  }, [client]);

  const leave = useCallback(() => {
    last.current = null;
    signedOut();
  }, [signedOut]);

  const ask = useCallback(() => void client.refetchQueries({ queryKey: sessionQuery.queryKey }), [client]);

  useEffect(() => {
    const answered = (after: Answered) => {
      if ('diagnosis' in after) {
        client.setQueryData(complaintQuery(after.id, false).queryKey, after);
        void keepAnswer(`/api/complaints/${after.id}`, after);
        void client.invalidateQueries({ queryKey: complaintQuery(after.id, true).queryKey });
        for (const queryKey of [keys.complaints, keys.bench, keys.machine(after.tag)])
          void client.invalidateQueries({ queryKey, refetchType: 'none' });
        return;
      }
      if ('is_over' in after) {
        client.setQueryData<PracticeAttempt>(keys.attempt(after.id), (before) => newer(before, after));
        void keepAnswer(`/api/practice/attempts/${after.id}`, after);
        if (after.is_over) void client.invalidateQueries({ queryKey: keys.practice });
        return;
      }
      const job = after;
      client.setQueryData(keys.job(job.id), job);
      void keepAnswer(`/api/jobs/${job.id}`, job);
      // Whoever goes there next sees what this entry made of it.
      for (const queryKey of [keys.bench, keys.machine(job.machine.tag), keys.service(job.machine.tag)])
        void client.invalidateQueries({ queryKey, refetchType: 'none' });
    };
    // Together with what waits no more because of it.
    const atOnce = (after: Answered) => inThisTurn(() => answered(after));
    outbox.attend(user?.id ?? null, { answered: atOnce, signedOut, another: ask });
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

  // A session that ended is noticed by whatever is asked or changed next.
  useEffect(() => {
    const notice = (error: unknown) => {
      if (error instanceof Problem && error.status === 401) signedOut();
    };
    const asked = client.getQueryCache().subscribe((event) => {
      if (event.type === 'updated' && event.action.type === 'error') notice(event.action.error);
    });
    const changed = client.getMutationCache().subscribe((event) => {
      if (event.type === 'updated' && event.action.type === 'error') notice(event.action.error);
    });
    return () => {
      asked();
      changed();
    };
  }, [client, signedOut]);

  if (session.isPending) return <Loading what="the workshop" />;
  if (session.data === undefined) return <Failure error={session.error} retry={() => session.refetch()} />;
  if (last.current === null) return <SignIn demo={session.data.demo} />;
  readIn(last.current.units);

  return (
    <SignedInContext value={last.current}>
      <LeaveContext value={leave}>
        <Shown person={last.current.id} />
        <Screens key={[today, ...Object.values(last.current.units)].join(' ')} />
        {user === null && <SignInAgain person={last.current} />}
      </LeaveContext>
    </SignedInContext>
  );
};

/** By day or after dark, as this person has it on this device. */
const Shown = ({ person }: { person: string }) => {
  const { theme } = useKept(preferencesOf(person));
  useEffect(() => showIn(theme), [theme]);
  return null;
};

/** A screen is come to at its top: what stands there may be that the machine must not run. Going back is the browser's. */
const Landing = () => {
  const { pathname } = useLocation();
  const how = useNavigationType();
  const last = useRef(pathname);
  useLayoutEffect(() => {
    if (last.current === pathname) return;
    last.current = pathname;
    asOf.anew();
    if (how !== 'POP') window.scrollTo(0, 0);
  }, [pathname, how]);
  return null;
};

const Screens = () => (
  <Suspense fallback={<Loading what="the screen" />}>
    <Landing />
    <Guarded within="frame">
      <Routes>
        <Route path="/" element={<BenchScreen />} />
        <Route path="/machines" element={<MachinesScreen />} />
        <Route path="/machines/:tag" element={<MachineScreen />} />
        <Route path="/machines/:tag/add" element={<AddControlScreen />} />
        <Route path="/machines/:tag/service" element={<ServiceScreen />} />
        <Route path="/machines/:tag/:control/cause" element={<ComplainScreen />} />
        <Route path="/causes" element={<CausesScreen />} />
        <Route path="/causes/counts" element={<CountsScreen />} />
        <Route path="/causes/:id" element={<ComplaintScreen />} />
        <Route path="/jobs/:id" element={<JobScreen />} />
        <Route path="/jobs/:id/pull" element={<TraceScreen />} />
        <Route path="/jobs/:id/pull/:trace" element={<TraceScreen />} />
        <Route path="/specs" element={<SpecsScreen />} />
        <Route path="/specs/new" element={<SpecEditScreen how="new" />} />
        <Route path="/specs/:id" element={<SpecScreen />} />
        <Route path="/specs/:id/next" element={<SpecEditScreen how="next" />} />
        <Route path="/specs/:id/edit" element={<SpecEditScreen how="edit" />} />
        <Route path="/due" element={<DueScreen />} />
        <Route path="/machines/:tag/label" element={<LabelScreen />} />
        <Route path="/shop" element={<ShopScreen />} />
        <Route path="/shelf" element={<ShelfScreen />} />
        <Route path="/shelf/cables" element={<CablesScreen />} />
        <Route path="/shelf/:id/checks" element={<ChecksScreen />} />
        <Route path="/shelf/gauges" element={<GaugesScreen />} />
        <Route path="/machines/:tag/:control/cables" element={<FittingScreen />} />
        <Route path="/practice" element={<PracticeScreen />} />
        <Route path="/practice/learners" element={<LearnersScreen />} />
        <Route path="/practice/lessons/:key/like" element={<LessonFormScreen />} />
        <Route path="/practice/:id" element={<AttemptScreen />} />
        <Route path="/bench" element={<Navigate to="/" replace />} />
        <Route path="*" element={<NothingHere />} />
      </Routes>
    </Guarded>
  </Suspense>
);
