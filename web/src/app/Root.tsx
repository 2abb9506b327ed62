import type { Person } from '@fonte/core/registers';
import { ConfigProvider } from 'antd';
import { useCallback, useMemo } from 'react';
import { RouterProvider } from 'react-router';
import useSWR, { SWRConfig, useSWRConfig } from 'swr';
import { antdTheme } from '../theme/antd.ts';
import { useVariantState, VariantContext } from '../theme/variant.ts';
import { aheadOf, follow } from '../time/clock.ts';
import { get } from './api.ts';
import { Failed, Loading } from './Feedback.tsx';
import { router } from './router.tsx';
import { SessionContext, type Session } from './session.ts';

interface SessionAnswer {
  author: string;
  now: number;
  demo: boolean;
}
interface Ready extends SessionAnswer {
  people: Person[];
  ahead: number;
}

async function openSession(): Promise<Ready> {
  const [session, people] = await Promise.all([get<SessionAnswer>('/api/session'), get<Person[]>('/api/people')]);
  if (session.demo) follow(session.now);
  return { ...session, people, ahead: session.demo ? 0 : aheadOf(session.now) };
}

const wrongClock = 90_000;

function WithSession() {
  const { data, error, mutate } = useSWR('session', openSession, { revalidateOnFocus: false });
  const { mutate: refresh } = useSWRConfig();
  const renew = useCallback(async () => {
    await mutate();
    await refresh(() => true);
  }, [mutate, refresh]);
  const session = useMemo<Session | null>(
    () => (data ? { author: data.author, people: data.people, demo: data.demo, renew } : null),
    [data, renew],
  );
  if (error)
    return (
      <main>
        <Failed error={error} retry={() => void mutate()} />
      </main>
    );
  if (!session || !data)
    return (
      <main>
        <Loading what="Fonte" />
      </main>
    );
  return (
    <SessionContext value={session}>
      {Math.abs(data.ahead) > wrongClock && (
        <p className="problem" role="alert">
          This device’s clock is {Math.round(Math.abs(data.ahead) / 60_000)} min {data.ahead > 0 ? 'ahead of' : 'behind'} the server’s. Set
          it right before you record times.
        </p>
      )}
      <RouterProvider router={router} />
    </SessionContext>
  );
}

export function Root() {
  const light = useVariantState();
  const theme = useMemo(() => antdTheme(light.variant), [light.variant]);
  return (
    <VariantContext value={light}>
      <ConfigProvider theme={theme} button={{ autoInsertSpace: false }} wave={{ disabled: true }}>
        <SWRConfig value={{ fetcher: get, dedupingInterval: 500, errorRetryInterval: 4000 }}>
          <WithSession />
        </SWRConfig>
      </ConfigProvider>
    </VariantContext>
  );
}
