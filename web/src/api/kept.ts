import { addressOf, type AnyEndpoint, type Answer } from '@fonte/core/endpoints';
import { useSyncExternalStore } from 'react';
import { disk } from '../disk/index.ts';
import { now } from '../time/clock.ts';
import { call, NoConnection, type Call } from './call.ts';

/** How endpoints are answered from what lies on the device, by method and path. Fetched when it is first needed. */
type Locals = ReadonlyMap<string, (question: never) => Promise<unknown>>;
let locals: () => Promise<Locals> = () => Promise.resolve(new Map());
/** When what they are worked out from was last fetched whole (ms); null where it never was. */
let fetchedAt: () => Promise<number | null> = () => Promise.resolve(null);

/** Says who answers without the server, and from how long ago. */
export function answerLocally(load: () => Promise<Locals>, asOf: () => Promise<number | null>): void {
  locals = load;
  fetchedAt = asOf;
}

/** When the oldest was written that was read from the device since the signal was lost (ms); null while nothing was. */
let oldest: number | null = null;
const listeners = new Set<() => void>();

/** Something was read that is as old as that (ms), or, null, fresh from the server. */
export function readOld(at: number | null): void {
  if (at !== null && oldest !== null && oldest <= at) return;
  if (at === oldest) return;
  oldest = at;
  for (const changed of listeners) changed();
}

/** How old what is shown may be, where it was read from the device. */
export function useOldest(): number | null {
  return useSyncExternalStore(
    (changed) => {
      listeners.add(changed);
      return () => listeners.delete(changed);
    },
    () => oldest,
  );
}

async function keptAnswer(address: string): Promise<{ answer: unknown; at: number } | undefined> {
  try {
    return await (await disk()).answers.get(address);
  } catch {
    return undefined;
  }
}

/** The first page is drawn before anything is kept of it. */
const restful = new Promise<void>((resolve) => {
  setTimeout(resolve, 2500);
});

/** What was answered a moment ago is not written down again. */
const written = new Map<string, string>();

async function keep(address: string, answer: unknown): Promise<void> {
  try {
    const text = JSON.stringify(answer);
    const { answers } = await disk();
    if (written.get(address) === text) await answers.update(address, { at: now() });
    else await answers.put({ address, answer, at: now() });
    written.set(address, text);
  } catch {
    // It is there as long as the page is open.
  }
}

/**
 * Reads from the server, and without a signal what this device has: worked out from its own books and registers where that can
 * be done, and otherwise what was answered last.
 * @throws NoConnection where the device has nothing, ApiProblem
 */
export async function readOrKept<E extends AnyEndpoint>(endpoint: E, question: Call<E>): Promise<Answer<E>> {
  const address = addressOf(endpoint, question);
  try {
    const answer = await call(endpoint, question);
    readOld(null);
    void restful.then(() => keep(address, answer));
    return answer;
  } catch (failure) {
    if (!(failure instanceof NoConnection)) throw failure;
    const local = await locals()
      .then((all) => all.get(`${endpoint.method} ${endpoint.path}`)?.(question as never))
      .catch(() => undefined);
    const kept = await keptAnswer(address);
    if (local === undefined && !kept) throw failure;
    readOld(kept?.at ?? (await fetchedAt().catch(() => null)) ?? oldest);
    return (local ?? kept!.answer) as Answer<E>;
  }
}
