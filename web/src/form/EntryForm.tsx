import { everybody } from '@fonte/core/roles';
import { allKinds, sayAbout } from '@fonte/core/round';
import { Button, Checkbox, Form } from 'antd';
import { createContext, useContext, useEffect, useRef, type KeyboardEvent, type ReactNode } from 'react';
import { z } from 'zod';
import { Said } from '../feedback/Said.tsx';
import { SessionContext } from '../session/session.ts';
import { sayWho } from '../session/May.tsx';
import { Mark } from '../theme/Mark.tsx';
import { siteZone, showMoment } from '../time/show.ts';
import type { EntryFormState } from './useEntryForm.ts';

/** The schema that fields of a form ask for their label, units and length. */
export const SchemaContext = createContext<z.ZodType>(z.unknown());

/** Who writes a payload, by its schema. */
const writersOf = new Map<z.ZodType, readonly string[]>(allKinds.map(({ payload, by }) => [payload, by]));

interface Props<V extends object> {
  of: EntryFormState<V>;
  /** What the button that writes it down says; without it there is none. */
  submit?: string;
  /** How much it stands out: a step that is not the next one does less, one against advice warns. */
  tone?: 'primary' | 'default' | 'danger';
  /** What Enter in a field does. What stands against advice is never written by it. */
  enter?: 'writes' | 'moves-on' | 'nothing';
  className?: string;
  /** What stands beside the fields, with fields of its own; they are a panel then. */
  lead?: ReactNode;
  children: ReactNode;
  /** Other buttons beside it. */
  beside?: ReactNode;
  /** The last of them: the way out that writes nothing. */
  leave?: { says: string; by: () => void };
  disabled?: boolean;
  /** Who may write it, where that is not told by the kind whose payload it makes. */
  by?: readonly string[];
  /** What its button does, where writing needs more than a press. */
  onSubmit?: () => void;
}

/** The next field that a number or text is typed in, in the order of the page; null after the last number. */
function fieldAfter(field: HTMLElement): HTMLElement | null {
  const fields = [...(field.closest('form')?.querySelectorAll<HTMLElement>('input:is([inputmode="decimal"], [inputmode="none"])') ?? [])];
  const place = fields.indexOf(field);
  return place < 0 ? null : (fields[place + 1] ?? null);
}

/** The frame of every form that makes an entry: fields, what is wrong with the whole, what is asked about it, and one button. */
export function EntryForm<V extends object>({
  of,
  submit,
  tone = 'primary',
  enter = 'writes',
  className = 'stack-wide',
  lead,
  children,
  beside,
  leave,
  disabled,
  by = writersOf.get(of.schema) ?? everybody,
  onSubmit = of.form.submit,
}: Props<V>) {
  const role = useContext(SessionContext)?.me.person.role;
  const asked = useRef<HTMLDivElement>(null);
  // What is asked is seen, also where it stands below the screen; each try asks anew.
  useEffect(() => {
    if (of.asked.length > 0) asked.current?.scrollIntoView({ block: 'nearest' });
  }, [of.asked]);
  const press = (event: KeyboardEvent<HTMLElement>) => {
    const field = event.target as HTMLElement;
    if (event.key !== 'Enter' || enter === 'writes' || field.tagName !== 'INPUT') return;
    const next = enter === 'moves-on' ? fieldAfter(field) : null;
    // After the last number Enter writes; a form without a button of its own has nothing that would.
    if (enter === 'moves-on' && !next) {
      if (submit) return;
      event.preventDefault();
      onSubmit();
      return;
    }
    event.preventDefault();
    next?.focus();
  };
  const below = (
    <>
      {children}
      {of.elsewhere.map(({ path, message }) => (
        <p key={path} className="field-error" role="alert">
          {message}
        </p>
      ))}
      {of.asked.length > 0 && (
        <div className="finding question" role="alert" ref={asked}>
          <Mark kind="question" />
          {of.asked
            .map((finding) => ({ code: finding.code, ...sayAbout(finding) }))
            .map(({ code, says, advice }) => (
              <p key={code}>
                {says} {advice}
              </p>
            ))}
          <Checkbox checked={of.isConfirmed} onChange={(event) => of.confirm(event.target.checked)}>
            It is so
          </Checkbox>
        </div>
      )}
      <Said say={of.say} />
      <div className="row">
        {submit && (
          <Button
            type={tone === 'primary' ? 'primary' : 'default'}
            danger={tone === 'danger'}
            size="large"
            htmlType={enter === 'nothing' ? 'button' : 'submit'}
            onClick={enter === 'nothing' ? onSubmit : undefined}
            loading={of.busy}
            disabled={disabled ?? false}
          >
            {submit}
          </Button>
        )}
        {beside}
        {leave && (
          <Button size="large" onClick={leave.by}>
            {leave.says}
          </Button>
        )}
      </div>
    </>
  );
  // Where nobody is signed in yet the form is the door itself.
  if (role && !by.includes(role)) return <p className="soft">This is written by {sayWho(by)}.</p>;
  return (
    <SchemaContext value={of.schema}>
      <Form<V>
        form={of.form}
        name={of.keep.replace(/[^\w-]/g, '-')}
        layout="vertical"
        requiredMark={false}
        className={className}
        initialValues={of.values}
        onValuesChange={of.changed}
        onFinish={of.finish}
        onKeyDown={press}
      >
        {of.broughtBack !== null && (
          <div className="finding question" role="status">
            <Mark kind="question" />
            <p>
              Typed {showMoment(of.broughtBack, siteZone())} and not written down. Is it still so?{' '}
              <button type="button" className="as-link" onClick={of.startAfresh}>
                Start afresh
              </button>
            </p>
          </div>
        )}
        {lead}
        {lead ? <section className="panel">{below}</section> : below}
      </Form>
    </SchemaContext>
  );
}
