import { createBrowserRouter } from 'react-router';
import { TodayPage } from '../today/TodayPage.tsx';
import { NotFound } from './NotFound.tsx';
import { Shell, ShellError } from './Shell.tsx';

/** Every page but the first is fetched when it is opened. */
export const router = createBrowserRouter([
  {
    path: '/',
    element: <Shell />,
    errorElement: <ShellError />,
    HydrateFallback: () => null,
    children: [
      { index: true, element: <TodayPage /> },
      { path: 'rounds', lazy: async () => ({ Component: (await import('../plan/RoundsPage.tsx')).RoundsPage }) },
      { path: 'rounds/new', lazy: async () => ({ Component: (await import('../plan/NewRoundPage.tsx')).NewRoundPage }) },
      { path: 'points', lazy: async () => ({ Component: (await import('../registers/PointsPage.tsx')).PointsPage }) },
      { path: 'points/new', lazy: async () => ({ Component: (await import('../registers/PointForm.tsx')).PointPage }) },
      { path: 'points/:thing/edit', lazy: async () => ({ Component: (await import('../registers/PointForm.tsx')).PointPage }) },
      { path: 'labs', lazy: async () => ({ Component: (await import('../registers/LabsPage.tsx')).LabsPage }) },
      { path: 'labs/new', lazy: async () => ({ Component: (await import('../registers/LabForm.tsx')).LabPage }) },
      { path: 'labs/:thing', lazy: async () => ({ Component: (await import('../registers/LabForm.tsx')).LabPage }) },
      { path: 'people', lazy: async () => ({ Component: (await import('../registers/PeoplePage.tsx')).PeoplePage }) },
      { path: 'people/new', lazy: async () => ({ Component: (await import('../registers/PersonForm.tsx')).PersonPage }) },
      { path: 'people/:thing', lazy: async () => ({ Component: (await import('../registers/PersonForm.tsx')).PersonPage }) },
      { path: 'bench', lazy: async () => ({ Component: (await import('../bench/BenchPage.tsx')).BenchPage }) },
      {
        path: 'rounds/:round',
        lazy: async () => ({ Component: (await import('../round/RoundShell.tsx')).RoundShell }),
        children: [
          { index: true, lazy: async () => ({ Component: (await import('../round/RoundPage.tsx')).RoundPage }) },
          { path: 'at/:visit/level', lazy: async () => ({ Component: (await import('../level/LevelPage.tsx')).LevelPage }) },
          { path: 'at/:visit/purge', lazy: async () => ({ Component: (await import('../purge/PurgePage.tsx')).PurgePage }) },
          { path: 'at/:visit/tap/:procedure?', lazy: async () => ({ Component: (await import('../tap/TapPage.tsx')).TapPage }) },
          { path: 'at/:visit/fill', lazy: async () => ({ Component: (await import('../fill/FillPage.tsx')).FillPage }) },
          { path: 'custody', lazy: async () => ({ Component: (await import('../custody/CustodyPage.tsx')).CustodyPage }) },
          { path: 'report', lazy: async () => ({ Component: (await import('../read/ReportPage.tsx')).ReportPage }) },
          { path: 'verdict', lazy: async () => ({ Component: (await import('../limits/VerdictPage.tsx')).VerdictPage }) },
          { path: 'book', lazy: async () => ({ Component: (await import('../book/BookPage.tsx')).BookPage }) },
        ],
      },
      { path: '*', element: <NotFound /> },
    ],
  },
]);
