import { Link, NavLink, Outlet, ScrollRestoration, useRouteError } from 'react-router';
import { Button } from 'antd';
import { useState } from 'react';
import { moveClock } from '@fonte/core/endpoints';
import { roleNames } from '@fonte/core/roles';
import { useNow } from '../time/useNow.ts';
import { useMe, useSession } from '../session/session.ts';
import { call } from '../api/call.ts';
import { usePageTitle } from './usePageTitle.ts';
import { PersonMenu } from '../access/index.ts';
import { later } from '../feedback/later.tsx';
import { useAsked } from '../feedback/useAsked.ts';
import { Empty, Failed } from '../feedback/Feedback.tsx';
import { rooms } from './rooms.ts';
import { useBells } from './useBells.ts';
import { useIdle } from './useIdle.ts';
import { Settings } from './Settings.tsx';
import { Signal } from './Signal.tsx';
import { showMoment, siteZone } from '../time/show.ts';

const skips = [
  ['1 min', 60],
  ['10 min', 600],
  ['1 h', 3600],
  ['1 d', 86_400],
] as const;

/** Only the demo has it. */
const WhoWrites = later(
  async () => (await import('./WhoWrites.tsx')).WhoWrites,
  () => null,
);

/** Whoever writes here, and the way to hand the device on. */
function WhoGoesOn() {
  const me = useMe();
  const { ask, dialog } = useAsked();
  return (
    <>
      <Button onClick={ask} title={`${roleNames[me.role]}. Change the person`}>
        <span className="wide">{me.name}</span>
        <span className="narrow">{me.initials}</span>
      </Button>
      {dialog && <PersonMenu {...dialog} key={dialog.key} />}
    </>
  );
}

/** What the demo's clock says. */
function DemoTime() {
  const time = useNow(1000);
  return <>{showMoment(time, siteZone())}</>;
}

/** Only the demo shows this: nobody wants to wait two minutes for a made-up tap. */
function SkipTime() {
  const { renew } = useSession();
  const [busy, setBusy] = useState(false);
  const skip = async (seconds: number) => {
    setBusy(true);
    try {
      await call(moveClock, { body: { seconds } });
      await renew();
    } finally {
      setBusy(false);
    }
  };
  return (
    <span className="skip row" style={{ gap: 4 }}>
      <span className="wide">
        Demo clock: <DemoTime />
      </span>
      {skips.map(([label, seconds]) => (
        <button
          key={label}
          type="button"
          disabled={busy}
          onClick={() => void skip(seconds)}
          aria-label={`Move the demo clock on by ${label}`}
        >
          +{label}
        </button>
      ))}
    </span>
  );
}

export function Shell() {
  const { demo, people, become } = useSession();
  const { scope } = useSession().me;
  const me = useMe();
  const main = usePageTitle();
  const isIdle = useIdle();
  useBells(!scope);
  return (
    <div className="shell">
      <a className="skip-link" href="#main">
        To the page
      </a>
      <header className="bar">
        <Link to="/" className="name" aria-label="Fonte, today">
          <img src="/mark.svg" alt="" width={30} height={30} />
          <span className="wide">Fonte</span>
        </Link>
        <nav aria-label="Main">
          {rooms.map(
            ({ name, entrance }) =>
              entrance &&
              // Whoever has one kit sees nothing else of the house.
              !scope && (
                <NavLink key={name} to={entrance.path} end={entrance.path === '/'}>
                  {entrance.label}
                </NavLink>
              ),
          )}
        </nav>
        <div className="aside">
          {demo && <SkipTime />}
          <Settings />
          {demo && isIdle && people.length > 1 ? (
            <WhoWrites me={me.id} people={people} become={(person) => void become(person)} />
          ) : demo ? (
            <span className="wide">{me.name}</span>
          ) : scope ? null : (
            <WhoGoesOn />
          )}
        </div>
      </header>
      <Signal />
      <main id="main" tabIndex={-1} ref={main}>
        <Outlet />
      </main>
      <ScrollRestoration />
    </div>
  );
}

export function ShellError() {
  return (
    <main>
      <h1>This page stumbled</h1>
      <Failed error={useRouteError()} retry={() => location.reload()} />
    </main>
  );
}

/** A page that could not be fetched or drawn. What was written lies in the outbox, what was typed in its draft. */
export function PageError() {
  const error = useRouteError();
  // A part of it, or the styles that go with it.
  const isUnfetched = error instanceof Error && /fetch|import|preload CSS/i.test(error.message);
  return isUnfetched ? (
    <Empty title="This page cannot be fetched without a connection">
      <p>What you wrote down and what you typed is kept on this device.</p>
      <Button onClick={() => location.reload()}>Try again</Button>
    </Empty>
  ) : (
    <>
      <h1>This page stumbled</h1>
      <Failed error={error} retry={() => location.reload()} />
    </>
  );
}
