import { useEffect, useState } from 'react';
import { ApiProblem, explain } from '../api/call.ts';

/** What would come of a record, worked out anew with every change once nothing is missing; or why nothing comes of it, and at which field. */
export interface Tries<A> {
  tried: { key: string; answer: A } | null;
  say: string | null;
  field: string | null;
}

/** @param keyOf all of the record that the answer hangs on */
export function useTried<R, A>(record: R | null, keyOf: (record: R) => string, ask: (record: R) => Promise<A>): Tries<A> {
  const key = record && keyOf(record);
  const [tried, setTried] = useState<Tries<A>['tried']>(null);
  const [refused, setRefused] = useState<{ key: string; say: string; field: string | null } | null>(null);
  useEffect(() => {
    if (!record || key === null) return;
    let isOver = false;
    const timer = setTimeout(() => {
      void ask(record)
        .then((answer) => {
          if (!isOver) setTried({ key, answer });
        })
        .catch((failure: unknown) => {
          if (isOver) return;
          setRefused({ key, say: explain(failure), field: failure instanceof ApiProblem ? (failure.errors[0]?.path ?? null) : null });
        });
    }, 300);
    return () => {
      isOver = true;
      clearTimeout(timer);
    };
    // The key says all of the record.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [key]);
  const isOwn = refused?.key === key;
  return { tried: tried?.key === key ? tried : null, say: isOwn ? refused.say : null, field: isOwn ? refused.field : null };
}
