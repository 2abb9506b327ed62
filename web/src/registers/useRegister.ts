import { newId, type EntryKind } from '@fonte/core/book';
import type { RegisterName } from '@fonte/core/registers';
import { useNavigate } from 'react-router';
import { useSWRConfig } from 'swr';
import type { z } from 'zod';
import { useSession } from '../session/session.ts';
import { penned } from '../book/pen.ts';
import { writeOnce } from '../book/send.ts';
import type { Writing } from '../form/useEntryForm.ts';
import { now } from '../time/clock.ts';

/** Writes a thing of a register into its own book: a new one, or how it reads from now on. */
export function useRegister<S extends z.ZodType<{ id: string }>>(
  register: RegisterName,
  kind: EntryKind<string, S>,
  /** Where one goes on afterwards. */
  after: string | ((said: z.output<S>) => string) = `/${register}`,
) {
  const { me, renew } = useSession();
  const navigate = useNavigate();
  const { mutate } = useSWRConfig();
  return async (said: z.output<S>, { id: entry, kept }: Writing) => {
    await writeOnce(await penned(kind, said as z.input<S>, { book: said.id, author: me.person.id, moment: now(), id: entry }));
    kept();
    await mutate((key) => typeof key === 'string' && key.includes(`/api/${register}`));
    if (register === 'people') await renew();
    await navigate(typeof after === 'string' ? after : after(said));
  };
}

/** An id for a thing that is new, kept with its draft. */
export const freshId = (): string => newId(now());
