import './styles.css';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import type { ComparisonSummary } from '@urvek/contract';
import { StrictMode, type ComponentType } from 'react';
import { createRoot } from 'react-dom/client';
import { createBrowserRouter, Navigate, RouterProvider } from 'react-router';
import { Refused } from './api/client.ts';
import { readKey, takeKeyFromAddress } from './api/key.ts';
import { comparisonQuery } from './api/queries.ts';
import { foresee } from './api/study.ts';
import { ComparisonFrame } from './ComparisonFrame.tsx';
import { NoticeArea } from './components/Notice.tsx';
import { PictureStyle } from './components/Picture.tsx';
import { Waiting } from './components/States.tsx';
import { askBackgroundSync, registerServiceWorker } from './field/background.ts';
import { fieldLog } from './field/fieldLog.ts';
import { compareWithBase, sync } from './field/sync.ts';
import { Plain } from './Plain.tsx';

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

/** A view is fetched when it is first gone to; the service worker has all of them at hand. */
const view = <K extends string>(load: () => Promise<Record<K, ComponentType>>, name: K) => ({
  lazy: async () => ({ Component: (await load())[name] }),
});

const router = createBrowserRouter([
  {
    element: <Plain />,
    HydrateFallback: Waiting,
    children: [
      { path: '/', ...view(() => import('./views/bench/Bench.tsx'), 'Bench') },
      { path: '/notebook', ...view(() => import('./views/notebook/Notebook.tsx'), 'NewNotebook') },
      { path: '/new', ...view(() => import('./views/bench/FromQuestion.tsx'), 'FromQuestion') },
      { path: '/words', ...view(() => import('./views/words/Words.tsx'), 'Words') },
      { path: '/walk-now', ...view(() => import('./views/walk/WalkNow.tsx'), 'WalkNow') },
      { path: '/methods', ...view(() => import('./views/methods/Methods.tsx'), 'Methods') },
      { path: '/signals', ...view(() => import('./views/signals/Signals.tsx'), 'Signals') },
      { path: '/devices', ...view(() => import('./views/bench/Devices.tsx'), 'Devices') },
      { path: '/join/:code?', ...view(() => import('./views/walk/Join.tsx'), 'Join') },
      { path: '/joined/:walkId', ...view(() => import('./views/walk/JoinedLog.tsx'), 'JoinedLog') },
      { path: '/file/:walkId', ...view(() => import('./views/walk/FileWalk.tsx'), 'FileWalk') },
    ],
  },
  {
    path: '/trainer',
    HydrateFallback: Waiting,
    ...view(() => import('./views/trainer/Trainer.tsx'), 'Trainer'),
  },
  {
    path: '/trainer/grades',
    HydrateFallback: Waiting,
    ...view(() => import('./views/trainer/GradeTrainer.tsx'), 'GradeTrainer'),
  },
  {
    path: '/c/:id',
    element: <ComparisonFrame />,
    HydrateFallback: Waiting,
    children: [
      { index: true, element: <Navigate to="kit" replace /> },
      { path: 'kit', ...view(() => import('./views/kit/Kit.tsx'), 'Kit') },
      { path: 'paths', ...view(() => import('./views/paths/Paths.tsx'), 'Paths') },
      { path: 'plan', ...view(() => import('./views/plan/Plan.tsx'), 'Plan') },
      { path: 'key-sheet', ...view(() => import('./views/plan/KeySheet.tsx'), 'KeySheet') },
      { path: 'run-sheet', ...view(() => import('./views/plan/RunSheet.tsx'), 'RunSheet') },
      { path: 'walk', ...view(() => import('./views/walk/Walk.tsx'), 'Walk') },
      { path: 'trace/:walkId?', ...view(() => import('./views/trace/Trace.tsx'), 'Trace') },
      { path: 'film/:walkId?', ...view(() => import('./views/film/Film.tsx'), 'Film') },
      { path: 'notebook', ...view(() => import('./views/notebook/Notebook.tsx'), 'ComparisonNotebook') },
      { path: 'import-sheet', ...view(() => import('./views/trace/SheetImport.tsx'), 'SheetImport') },
      { path: 'ranges', ...view(() => import('./views/ranges/Ranges.tsx'), 'Ranges') },
      { path: 'verdict', ...view(() => import('./views/verdict/Verdict.tsx'), 'Verdict') },
      { path: 'history', ...view(() => import('./views/kit/History.tsx'), 'History') },
      { path: 'report', ...view(() => import('./views/report/Report.tsx'), 'Report') },
    ],
  },
  { path: '*', element: <Navigate to="/" replace /> },
]);

await takeKeyFromAddress();
void readKey();

// What every stage begins with is on its way while the stage itself is fetched.
const asked = /^\/c\/([^/]+)/.exec(window.location.pathname)?.[1];
if (asked !== undefined) {
  foresee(asked);
  void client.prefetchQuery(comparisonQuery(asked));
}

/** What was asked for before the service worker was there is asked for once more, by this page, so that it is kept. */
async function keepForOffline(): Promise<void> {
  // What the study answers is worked out here again whenever it is asked for.
  await client.refetchQueries({ predicate: ({ queryKey: [of] }) => of !== 'study' });
  // The study's thread is older than the service worker, which does not see what that fetches.
  const { keepAtBase } = await import('./workers/entries.ts');
  for (const { id } of client.getQueryData<ComparisonSummary[]>(['comparisons']) ?? []) await keepAtBase(id);
}

registerServiceWorker(
  async () => (await fieldLog.walks.where('underWay').equals(1).count()) > 0,
  () => void keepForOffline(),
);

void compareWithBase()
  // Out of reach, it is asked at the next start.
  .catch(() => undefined)
  .then(() => sync())
  .then((all) => (all ? undefined : askBackgroundSync()));

window.addEventListener('online', () => void sync());

// The first Tab begins at the body, and not with a search through all of the page: up to a third of a second of a
// long report.
document.body.tabIndex = -1;
document.body.focus({ preventScroll: true });

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
