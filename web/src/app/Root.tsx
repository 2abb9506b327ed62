import { session } from '@fonte/core/endpoints';
import { registerLists } from '@fonte/core/registers';
import { ConfigProvider } from 'antd';
import { useCallback, useEffect, useMemo, useState } from 'react';
import { RouterProvider } from 'react-router';
import useSWR, { preload, SWRConfig, useSWRConfig } from 'swr';
import { sendLeftovers } from '../book/send.ts';
import { antdTheme } from '../theme/antd.ts';
import { useVariantState, VariantContext } from '../theme/variant.ts';
import { aheadOf, follow } from '../time/clock.ts';
import { call } from '../api/call.ts';
import { Failed, Loading } from '../feedback/Feedback.tsx';
import { askToday } from '../today/index.ts';
import { RoomsContext } from '../visit/room.ts';
import { rooms } from './rooms.ts';
import { router } from './router.tsx';
import { SessionContext, type Session } from '../session/session.ts';

async function openSession() {
  const [told, people] = await Promise.all([call(session, {}), call(registerLists.people, {})]);
  if (told.demo) follow(told.now);
  return { ...told, people, ahead: told.demo ? 0 : aheadOf(told.now) };
}

// Both are on their way while the page is still being drawn.
void preload('session', openSession).catch(() => undefined);
if (location.pathname === '/') askToday();

const wrongClock = 90_000;
const personKey = 'fonte.person';

function WithSession() {
  const { data, error, mutate } = useSWR('session', openSession, { revalidateOnFocus: false });
  const { mutate: refresh } = useSWRConfig();
  const renew = useCallback(async () => {
    await mutate();
    await refresh(() => true);
  }, [mutate, refresh]);
  const [chosen, setChosen] = useState(() => localStorage.getItem(personKey));
  const opened = useMemo<Session | null>(() => {
    if (!data) return null;
    const isKnown = data.demo && data.people.some((person) => person.id === chosen);
    const become = (person: string) => {
      localStorage.setItem(personKey, person);
      setChosen(person);
    };
    return { author: isKnown ? chosen! : data.author, people: data.people, demo: data.demo, become, renew };
  }, [data, renew, chosen]);
  const isReady = opened !== null;
  useEffect(() => {
    if (isReady) sendLeftovers();
  }, [isReady]);
  if (error)
    return (
      <main>
        <Failed error={error} retry={() => void mutate()} />
      </main>
    );
  if (!opened || !data)
    return (
      <main>
        <Loading what="Fonte" />
      </main>
    );
  return (
    <SessionContext value={opened}>
      {Math.abs(data.ahead) > wrongClock && (
        <p className="problem" role="alert">
          This device’s clock is {Math.round(Math.abs(data.ahead) / 60_000)} min {data.ahead > 0 ? 'ahead of' : 'behind'} the server’s. Set
          it right before you record times.
        </p>
      )}
      <RoomsContext value={rooms}>
        <RouterProvider router={router} />
      </RoomsContext>
    </SessionContext>
  );
}

export function Root() {
  const light = useVariantState();
  const theme = useMemo(() => antdTheme(light.variant), [light.variant]);
  return (
    <VariantContext value={light}>
      <ConfigProvider theme={theme} button={{ autoInsertSpace: false }} wave={{ disabled: true }}>
        <SWRConfig value={{ dedupingInterval: 500, errorRetryInterval: 4000 }}>
          <WithSession />
        </SWRConfig>
      </ConfigProvider>
    </VariantContext>
  );
}
