import { afterEach, beforeEach, expect, it, vi } from 'vitest';

/** A worker as the browser tells of it: it remembers what it was told. */
const worker = () => ({ told: [] as unknown[], postMessage(message: unknown) { this.told.push(message); } }); // prettier-ignore

/** A browser in which one version is in charge. */
function browser() {
  const container = Object.assign(new EventTarget(), {
    controller: worker() as object | null,
    register: () => Promise.resolve(registration),
  });
  const registration = Object.assign(new EventTarget(), {
    waiting: null as ReturnType<typeof worker> | null,
    installing: null as EventTarget | null,
    update: () => Promise.resolve(),
  });
  const reload = vi.fn();
  vi.stubEnv('DEV', false);
  vi.stubGlobal('navigator', { serviceWorker: container });
  vi.stubGlobal('location', { reload });
  return {
    container,
    registration,
    reload,
    /** A version that is on the device, and waits. */
    comes: () => {
      const installing = new EventTarget();
      registration.installing = installing;
      registration.dispatchEvent(new Event('updatefound'));
      const next = worker();
      registration.waiting = next;
      installing.dispatchEvent(new Event('statechange'));
      return next;
    },
    /** What waits is in charge from now on, as every open page hears. */
    takesOver: () => {
      container.controller = registration.waiting;
      registration.waiting = null;
      container.dispatchEvent(new Event('controllerchange'));
    },
  };
}

beforeEach(() => {
  vi.useFakeTimers();
  vi.resetModules();
});
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
  vi.unstubAllEnvs();
});

it('tells the version that waits until it takes over, and opens the page with it once', async () => {
  const { comes, takesOver, reload } = browser();
  const { install, takeOver } = await import('./version.ts');
  await install();
  const next = comes();
  takeOver();
  takeOver();
  expect(next.told).toEqual(['take-over']);
  // The one in charge was busy, and the browser has let the word pass.
  vi.advanceTimersByTime(4500);
  expect(next.told.length).toBe(3);
  expect(reload).not.toHaveBeenCalled();
  takesOver();
  expect(reload).toHaveBeenCalledOnce();
});

it('tells the newest, where one that waited was replaced before it took over', async () => {
  const { comes } = browser();
  const { install, takeOver } = await import('./version.ts');
  await install();
  const first = comes();
  takeOver();
  const second = comes();
  vi.advanceTimersByTime(2500);
  expect(first.told).toHaveLength(1);
  expect(second.told).toEqual(['take-over']);
});

it('stays where another tab has activated a new version, and reloads when asked to', async () => {
  const { comes, takesOver, reload } = browser();
  const { install, takeOver } = await import('./version.ts');
  await install();
  comes();
  takesOver();
  expect(reload).not.toHaveBeenCalled();
  takeOver();
  expect(reload).toHaveBeenCalledOnce();
});

it('says nothing of the first version on a device, which takes over from none', async () => {
  const { container, comes, takesOver, reload } = browser();
  container.controller = null;
  const { install, takeOver } = await import('./version.ts');
  await install();
  comes();
  takesOver();
  takeOver();
  expect(reload).not.toHaveBeenCalled();
});
