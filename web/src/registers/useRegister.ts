import { newId, writeEntry, type EntryKind } from '@fonte/core/book';
import type { RegisterName } from '@fonte/core/registers';
import { useNavigate } from 'react-router';
import { useSWRConfig } from 'swr';
import type { z } from 'zod';
import { deviceId, useSession } from '../session/session.ts';
import { writeOnce } from '../book/send.ts';
import type { Writing } from '../form/useEntryForm.ts';
import { now, offsetAt } from '../time/clock.ts';

/** Writes a thing of a register into its own book: a new one, or how it reads from now on. */
export function useRegister<S extends z.ZodType<{ id: string }>>(register: RegisterName, kind: EntryKind<string, S>) {
  const { author, renew } = useSession();
  const navigate = useNavigate();
  const { mutate } = useSWRConfig();
  return async (said: z.output<S>, { id: entry, kept }: Writing) => {
    const moment = now();
    const pen = { book: said.id, author, device: deviceId(), now: moment, offset: offsetAt(moment) };
    await writeOnce(writeEntry(pen, kind, said as z.input<S>, { id: entry }));
    kept();
    await mutate((key) => typeof key === 'string' && key.includes(`/api/${register}`));
    if (register === 'people') await renew();
    await navigate(`/${register}`);
  };
}

/** An id for a thing that is new, kept with its draft. */
export const freshId = (): string => newId(now());
