import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { createBrowserRouter, Navigate, Outlet, RouterProvider } from 'react-router';
import { Refused } from './api/client.ts';
import { useComparison } from './api/queries.ts';
import { StageStrip, TopBar, useComparisonId } from './components/Frame.tsx';
import { NoticeArea } from './components/Notice.tsx';
import { PictureStyle } from './components/Picture.tsx';
import { askBackgroundSync, registerServiceWorker } from './field/background.ts';
import { sync } from './field/sync.ts';
import './styles.css';
import { Bench } from './views/bench/Bench.tsx';
import { Kit } from './views/kit/Kit.tsx';
import { Paths } from './views/paths/Paths.tsx';
import { KeySheet } from './views/plan/KeySheet.tsx';
import { Plan } from './views/plan/Plan.tsx';
import { RunSheet } from './views/plan/RunSheet.tsx';
import { Ranges } from './views/ranges/Ranges.tsx';
import { Report } from './views/report/Report.tsx';
import { SheetImport } from './views/trace/SheetImport.tsx';
import { Trace } from './views/trace/Trace.tsx';
import { Trainer } from './views/trainer/Trainer.tsx';
import { Verdict } from './views/verdict/Verdict.tsx';
import { Devices } from './views/bench/Devices.tsx';
import { Join, JoinedLog } from './views/walk/Join.tsx';
import { Walk } from './views/walk/Walk.tsx';
import { FileWalk, WalkNow } from './views/walk/WalkNow.tsx';

const client = new QueryClient({
  defaultOptions: {
    queries: {
      staleTime: 5000,
      retry: (failures, error) => failures < 2 && !(error instanceof Refused),
      networkMode: 'always',
    },
    mutations: { networkMode: 'always' },
  },
});

function ComparisonFrame() {
  const id = useComparisonId();
  const { data } = useComparison(id);
  return (
    <>
      <TopBar>
        {data && (
          <>
            {data.title}
            {data.demo && (
              <span className="ml-3 border border-sheet px-1.5 text-sm">made up: simulated walks</span>
            )}
          </>
        )}
      </TopBar>
      <StageStrip id={id} />
      <Outlet />
    </>
  );
}

const router = createBrowserRouter([
  {
    path: '/',
    element: (
      <>
        <TopBar />
        <Bench />
      </>
    ),
  },
  { path: '/trainer', element: <Trainer /> },
  {
    path: '/walk-now',
    element: (
      <>
        <TopBar />
        <WalkNow />
      </>
    ),
  },
  {
    path: '/devices',
    element: (
      <>
        <TopBar />
        <Devices />
      </>
    ),
  },
  {
    path: '/join/:code?',
    element: (
      <>
        <TopBar />
        <Join />
      </>
    ),
  },
  {
    path: '/joined/:walkId',
    element: (
      <>
        <TopBar />
        <JoinedLog />
      </>
    ),
  },
  {
    path: '/file/:walkId',
    element: (
      <>
        <TopBar />
        <FileWalk />
      </>
    ),
  },
  {
    path: '/c/:id',
    element: <ComparisonFrame />,
    children: [
      { index: true, element: <Navigate to="kit" replace /> },
      { path: 'kit', element: <Kit /> },
      { path: 'paths', element: <Paths /> },
      { path: 'plan', element: <Plan /> },
      { path: 'key-sheet', element: <KeySheet /> },
      { path: 'run-sheet', element: <RunSheet /> },
      { path: 'walk', element: <Walk /> },
      { path: 'trace/:walkId?', element: <Trace /> },
      { path: 'import-sheet', element: <SheetImport /> },
      { path: 'ranges', element: <Ranges /> },
      { path: 'verdict', element: <Verdict /> },
      { path: 'report', element: <Report /> },
    ],
  },
  { path: '*', element: <Navigate to="/" replace /> },
]);

registerServiceWorker();
void sync().then((all) => (all ? undefined : askBackgroundSync()));
window.addEventListener('online', () => void sync());

createRoot(document.getElementById('root') as HTMLElement).render(
  <StrictMode>
    <QueryClientProvider client={client}>
      <PictureStyle />
      <NoticeArea>
        <RouterProvider router={router} />
      </NoticeArea>
    </QueryClientProvider>
  </StrictMode>,
);
