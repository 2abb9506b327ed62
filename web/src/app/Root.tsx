import { Door } from '../access/index.ts';
import { joinPath, type Session as Told } from '@fonte/core/access';
import { ConfigProvider } from 'antd';
import { useCallback, useEffect, useMemo, useState } from 'react';
import { RouterProvider } from 'react-router';
import useSWR, { preload, SWRConfig, useSWRConfig } from 'swr';
import { NoConnection, onSignedOut, whereUnknown } from '../api/call.ts';
import { useConnection } from '../api/connection.ts';
import { answerLocally } from '../api/kept.ts';
import { keepSending, sendAfter } from '../book/send.ts';
import { inOutbox, outboxRead } from '../book/outbox.ts';
import { Failed, Loading } from '../feedback/Feedback.tsx';
import { catchUp, endSession, ensureDevice, forgetChosen, goOnAs, openSession, took, whenTold, type Opened } from '../session/open.ts';
import { forgetHere } from '../disk/index.ts';
import { SessionContext, type Session } from '../session/session.ts';
import { antdTheme } from '../theme/antd.ts';
import { useVariantState, VariantContext } from '../theme/variant.ts';
import { askToday } from '../today/index.ts';
import { forgetDrafts } from '../units/drafts.ts';
import { RoomsContext } from '../visit/room.ts';
import { rooms } from './rooms.ts';
import { router } from './router.tsx';

answerLocally(
  async () => (await import('../ready/index.ts')).localAnswers,
  async () => (await (await import('../ready/index.ts')).readyNote())?.at ?? null,
);

// On its way while the page is still being drawn.
whenTold(({ me }) => {
  if (me && location.pathname === '/') askToday();
});
void preload('session', openSession).catch(() => undefined);

const wrongClock = 90_000;
/** ms after which nobody waits for the page any more: it sees to what a day without signal needs. */
const rest = 20_000;

/** Whether a link was opened that lets somebody in. */
const isLink = () => location.pathname === joinPath;

function WithSession() {
  const { data, error, mutate } = useSWR('session', openSession, { revalidateOnFocus: false });
  const { mutate: refresh } = useSWRConfig();
  const [byLink, setByLink] = useState(isLink);

  const accept = useCallback(
    async (opened: Opened) => {
      await mutate(opened, { revalidate: false });
      await refresh((key) => key !== 'session');
    },
    [mutate, refresh],
  );
  const opened = useMemo<Session | null>(() => {
    if (!data?.told.me) return null;
    const { told, people, isFromDisk } = data;
    return {
      me: told.me!,
      people,
      demo: told.demo,
      isFromDisk,
      become: async (id) => {
        const person = people.find((one) => one.id === id);
        if (person) await accept(await goOnAs(data, person));
      },
      enter: async (answer) => {
        await forgetChosen();
        await accept(await took(answer));
      },
      signOut: async (everywhere) => {
        await endSession(everywhere);
        await forgetDrafts();
        await outboxRead();
        if (inOutbox().length === 0) await forgetHere();
        // Nothing of it stays before anybody's eyes either.
        location.assign('/');
      },
      renew: async () => {
        await mutate();
        await refresh((key) => key !== 'session');
      },
    };
  }, [data, accept, mutate, refresh]);

  useEffect(() => onSignedOut(() => void mutate()), [mutate]);
  useEffect(() => {
    if (!data?.told.me) return;
    // The server has to know this device, and who goes on here, before it is told anything.
    let settled: Promise<void> | null = null;
    const settle = async (anew = data.isFromDisk) => {
      const now = anew ? await openSession() : data;
      // Nothing is settled without the server: it is asked again with the next entry.
      if (now.isFromDisk) throw new NoConnection();
      if (!now.told.me) return;
      const told = await ensureDevice(now.told);
      const caught = await catchUp({ ...now, told });
      if (caught.told !== data.told || data.isFromDisk)
        await mutate(caught.told === told ? await took(told, Promise.resolve(now.people)) : caught, { revalidate: false });
    };
    const settleOnce = async () => {
      settled ??= settle();
      settled.catch(() => {
        settled = null;
      });
      await settled;
    };
    sendAfter(settleOnce);
    whereUnknown(() => settle(true));
    const resting = setTimeout(() => {
      void settleOnce().catch(() => undefined);
      if (data.told.me?.scope === null) void import('../ready/index.ts').then(({ keepReady }) => keepReady()).catch(() => undefined);
    }, rest);
    const stop = keepSending();
    return () => {
      clearTimeout(resting);
      stop();
    };
  }, [data, mutate]);

  if (error && !data)
    return (
      <main>
        <Failed error={error} retry={() => void mutate()} />
      </main>
    );
  if (!data)
    return (
      <main>
        <Loading what="Fonte" />
      </main>
    );
  if (!opened || byLink) {
    const enter = async (told: Told) => {
      setByLink(false);
      await forgetChosen();
      await accept(await took(told));
    };
    return <Door told={data.told} enter={enter} />;
  }
  return (
    <SessionContext value={opened}>
      <WrongClock isDemo={opened.demo} />
      <RoomsContext value={rooms}>
        <RouterProvider router={router} />
      </RoomsContext>
    </SessionContext>
  );
}

function WrongClock({ isDemo }: { isDemo: boolean }) {
  const ahead = useConnection().clock?.ahead ?? 0;
  if (isDemo || Math.abs(ahead) <= wrongClock) return null;
  return (
    <p className="problem" role="alert">
      This device’s clock is {Math.round(Math.abs(ahead) / 60_000)} min {ahead > 0 ? 'ahead of' : 'behind'} the server’s. Set it right
      before you record times.
    </p>
  );
}

export function Root() {
  const light = useVariantState();
  // Drawn while the page is built; where it is worked on, in the page.
  const theme = useMemo(() => ({ ...antdTheme(light.variant), hashed: false, zeroRuntime: import.meta.env.PROD }), [light.variant]);
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
