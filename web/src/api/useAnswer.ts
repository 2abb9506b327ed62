import { addressOf, type AnyEndpoint, type Answer } from '@fonte/core/endpoints';
import useSWR, { type SWRConfiguration } from 'swr';
import { call, type Call } from './call.ts';

/** What the server answers at an endpoint, kept up to date; null asks for nothing yet. */
export function useAnswer<E extends AnyEndpoint>(endpoint: E, question: Call<E> | null, options?: SWRConfiguration<Answer<E>, unknown>) {
  return useSWR<Answer<E>, unknown>(question && addressOf(endpoint, question), () => call(endpoint, question!), options);
}
