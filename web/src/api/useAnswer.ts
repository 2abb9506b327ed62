import { addressOf, type AnyEndpoint, type Answer } from '@fonte/core/endpoints';
import useSWR, { preload, type SWRConfiguration } from 'swr';
import { call, type Call } from './call.ts';

/** Asks ahead of the page that will need the answer: who asks then finds it on its way. */
export function askAhead<E extends AnyEndpoint>(endpoint: E, question: Call<E>): void {
  void preload(addressOf(endpoint, question), () => call(endpoint, question)).catch(() => undefined);
}

/** What the server answers at an endpoint, kept up to date; null asks for nothing yet. */
export function useAnswer<E extends AnyEndpoint>(endpoint: E, question: Call<E> | null, options?: SWRConfiguration<Answer<E>, unknown>) {
  return useSWR<Answer<E>, unknown>(question && addressOf(endpoint, question), () => call(endpoint, question!), options);
}
