import { useEffect, useState, useSyncExternalStore } from 'react';
import { useLocation } from 'react-router';
import { isTyping } from '../units/drafts.ts';

/** ms after the first drawing, by when nobody waits for anything any more. */
const rest = 4000;
/** How often, in ms, a page that stays open asks for a newer version. */
const askEvery = 30 * 60_000;

/** How often, in ms, a version that was told to take over and has not is told again: the one in charge may have been busy. */
const tellEvery = 2000;

/** A new version that waits: `waiting` for the page's word, `in charge` where another tab has given it. Null without one. */
let newer: 'waiting' | 'in charge' | null = null;
const listeners = new Set<() => void>();

function is(state: typeof newer): void {
  newer = state;
  for (const changed of listeners) changed();
}

let followed: ServiceWorkerRegistration | null = null;

function follow(registration: ServiceWorkerRegistration): void {
  followed = registration;
  const { serviceWorker } = navigator;
  // Without one in charge this is the first version here: there is none to wait for.
  const look = () => {
    if (registration.waiting && serviceWorker.controller && newer === null) is('waiting');
  };
  look();
  let before = serviceWorker.controller;
  serviceWorker.addEventListener('controllerchange', () => {
    const isFirst = before === null;
    before = serviceWorker.controller;
    if (isAsked) location.reload();
    // What this page has not fetched yet is no longer there: it goes on, and is opened anew between two pieces of work.
    else if (!isFirst) is('in charge');
  });
  registration.addEventListener('updatefound', () => registration.installing?.addEventListener('statechange', look));
  setInterval(() => void registration.update().catch(() => undefined), askEvery);
}

let registering: Promise<ServiceWorkerRegistration | null> | null = null;

/** Puts the whole application on this device. Null where the browser cannot, as without HTTPS. */
export function install(): Promise<ServiceWorkerRegistration | null> {
  registering ??= (async () => {
    if (!('serviceWorker' in navigator) || import.meta.env.DEV) return null;
    try {
      const registration = await navigator.serviceWorker.register('/sw.js');
      follow(registration);
      return registration;
    } catch {
      registering = null;
      return null;
    }
  })();
  return registering;
}

/** Installs it once the page has come to rest. */
export function installLater(): void {
  setTimeout(() => void install(), rest);
}

let isAsked = false;

/** The version that waits takes over, and the page is opened anew with it. */
export function takeOver(): void {
  if (newer === 'in charge') location.reload();
  if (newer !== 'waiting' || isAsked) return;
  isAsked = true;
  // Whichever waits by then: it may have been replaced by a newer one.
  const tell = () => followed?.waiting?.postMessage('take-over');
  tell();
  setInterval(tell, tellEvery);
}

/**
 * Whether a new version of the application waits. It takes over by itself between two pieces of work, on a page that is about no
 * round and while nothing is typed; at a point it waits for the end of what is in hand.
 */
export function useNewVersion(): boolean {
  const isWaiting = useSyncExternalStore(
    (changed) => {
      listeners.add(changed);
      return () => listeners.delete(changed);
    },
    () => newer !== null,
  );
  const { pathname } = useLocation();
  const [opened] = useState(pathname);
  useEffect(() => {
    const isAtWork = pathname.startsWith('/rounds/') || isTyping();
    // Not under the finger that has just opened the page.
    if (isWaiting && !isAtWork && pathname !== opened) takeOver();
  }, [isWaiting, pathname, opened]);
  return isWaiting;
}
