import { addressOf, type AnyEndpoint, type Answer } from '@fonte/core/endpoints';
import useSWR, { preload, type SWRConfiguration } from 'swr';
import type { Call } from './call.ts';
import { readOrKept } from './kept.ts';

/** Asks ahead of the page that will need the answer: who asks then finds it on its way. */
export function askAhead<E extends AnyEndpoint>(endpoint: E, question: Call<E>): void {
  void preload(addressOf(endpoint, question), () => readOrKept(endpoint, question)).catch(() => undefined);
}

/** What the server answers at an endpoint, kept up to date; null asks for nothing yet. */
export function useAnswer<E extends AnyEndpoint>(endpoint: E, question: Call<E> | null, options?: SWRConfiguration<Answer<E>, unknown>) {
  return useSWR<Answer<E>, unknown>(question && addressOf(endpoint, question), () => readOrKept(endpoint, question!), options);
}
