import type { ComponentType } from 'react';
import { createBrowserRouter, type RouteObject } from 'react-router';
import { TodayPage } from '../today/index.ts';
import type { RoomPage } from '../visit/room.ts';
import { NotFound } from './NotFound.tsx';
import { rooms } from './rooms.ts';
import { PageError, Shell, ShellError } from './Shell.tsx';

/** What comes along with the application: whoever opens it sees it first. */
const along = new Map<string, ComponentType>([['/', TodayPage]]);

const routeOf = ({ path, page }: RoomPage): RouteObject =>
  page === null ? { path, Component: along.get(path)! } : { path, lazy: async () => ({ Component: await page() }) };

const pages = rooms.flatMap((room) => room.pages);
const ofRound = '/rounds/:round';
const isOfRound = ({ path }: RoomPage) => path === ofRound || path.startsWith(`${ofRound}/`);

/** The pages of a round stand in its frame, which follows its book. */
export const router = createBrowserRouter([
  {
    path: '/',
    element: <Shell />,
    errorElement: <ShellError />,
    HydrateFallback: () => null,
    children: [
      {
        // What one page cannot do leaves the head and the way elsewhere as they are.
        errorElement: <PageError />,
        children: [
          ...pages.filter((page) => !isOfRound(page)).map(routeOf),
          {
            path: ofRound,
            lazy: async () => ({ Component: (await import('../round/RoundShell.tsx')).RoundShell }),
            children: pages.filter(isOfRound).map(routeOf),
          },
          { path: '*', element: <NotFound /> },
        ],
      },
    ],
  },
]);
