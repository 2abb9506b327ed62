import { kitGiven, wordsForHome, type KitBook } from '@fonte/core/kit';
import { personRegistered } from '@fonte/core/registers';
import type { VisitState } from '@fonte/core/round';
import { wallTime } from '@fonte/core/time';
import { Input, Select } from 'antd';
import { useSWRConfig } from 'swr';
import type { z } from 'zod';
import { penned } from '../book/pen.ts';
import { writeOnce } from '../book/send.ts';
import { useRound } from '../book/useRound.ts';
import { EntryForm } from '../form/EntryForm.tsx';
import { Field } from '../form/Field.tsx';
import { FormDialog } from '../form/FormDialog.tsx';
import { useEntryForm } from '../form/useEntryForm.ts';
import { freshId } from '../registers/index.ts';
import { useMe, useSession } from '../session/session.ts';
import { now } from '../time/clock.ts';
import { DayInput } from '../time/DayInput.tsx';
import { TimeInput } from '../time/TimeInput.tsx';
import { waysAtHome } from './ways.ts';

type Said = z.output<typeof kitGiven.payload>;
interface Draft {
  person: string;
  /** The id of the entry that registers them. */
  registers: string;
  name: string;
  ways: Record<string, string | undefined>;
  pickUp: { date: string; from: string | null; to: string | null; where: string };
  call: string;
}

interface Props {
  visit: VisitState;
  given: KitBook['given'];
}

/** Gives the round to a household, or says anew when it is picked up. */
export function GiveKit({ visit, given }: Props) {
  return (
    <FormDialog
      by={kitGiven.by}
      open={given ? 'Change it' : 'Give it to a household'}
      title={given ? `The kit of ${given.name}` : 'A kit that a household fills itself'}
    >
      {(close) => <Give visit={visit} given={given} close={close} />}
    </FormDialog>
  );
}

/** Two letters for a household, as for whoever stands in a book. */
const initialsOf = (name: string): string =>
  name
    .split(/\s+/)
    .slice(0, 3)
    // A sign may be more than one unit long.
    .map((word) => ([...word][0] ?? '').toUpperCase())
    .join('');

function Give({ visit, given, close }: Props & { close: () => void }) {
  const {
    id: round,
    round: { plan },
    append,
  } = useRound();
  const me = useMe();
  const { renew } = useSession();
  const { mutate } = useSWRConfig();
  const due = visit.due.filter((one) => waysAtHome(one).length > 0);
  const form = useEntryForm<Draft, Said>({
    keep: `kit.${round}.${given?.entry ?? 'new'}`,
    initial: {
      person: given?.person ?? freshId(),
      registers: freshId(),
      name: given?.name ?? '',
      ways: Object.fromEntries(
        due.map((one) => [
          one.procedure,
          given?.ways[one.procedure] ?? (waysAtHome(one).length === 1 ? waysAtHome(one)[0]!.id : undefined),
        ]),
      ),
      pickUp: given?.pickUp ?? { date: '', from: null, to: null, where: '' },
      call: given?.call ?? '',
    },
    schema: kitGiven.payload,
    // The way is asked for, and never taken for the first.
    read: ({ registers: _, ...draft }) => ({ value: draft, problems: [] }),
    check: ({ pickUp }) => (pickUp.date < wallTime(now(), plan.zone).date ? [{ path: 'pickUp.date', message: 'That day is over.' }] : []),
    write: async (said, { id, kept }) => {
      if (!given) {
        const person = { id: said.person, name: said.name, initials: initialsOf(said.name), role: 'householder' as const };
        await writeOnce(
          await penned(personRegistered, person, { book: person.id, author: me.id, moment: now(), id: form.values.registers }),
        );
        await mutate((key) => typeof key === 'string' && /\/api\/(accounts|people)/.test(key));
      }
      await append(kitGiven, said, { id, kept });
      await renew();
      close();
    },
  });
  return (
    <EntryForm of={form} submit={given ? 'Write the change' : 'Give it'} enter="nothing" leave={{ says: 'Not now', by: close }}>
      <Field name="name">
        <Input size="large" maxLength={120} disabled={given !== null} placeholder="House at the bend" />
      </Field>
      {due
        .filter((one) => waysAtHome(one).length > 1)
        .map((one) => (
          <Field key={one.procedure} name={['ways', one.procedure]} label={`How: ${one.title}`}>
            <Select
              size="large"
              placeholder="Choose what the programme asks for"
              options={waysAtHome(one).map((way) => ({ value: way.id, label: wordsForHome(way)!.title }))}
            />
          </Field>
        ))}
      <div className="form-grid">
        <Field name={['pickUp', 'date']}>
          <DayInput />
        </Field>
        <Field name={['pickUp', 'from']}>
          <TimeInput />
        </Field>
        <Field name={['pickUp', 'to']}>
          <TimeInput />
        </Field>
      </div>
      <Field name={['pickUp', 'where']} hint="In the shade, out of reach of children and pets" placeholder="beside the front door" />
      <Field name="call" placeholder="a name and a number" />
    </EntryForm>
  );
}
