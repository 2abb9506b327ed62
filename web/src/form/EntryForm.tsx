import type { Finding } from '@fonte/core/findings';
import { sayAbout } from '@fonte/core/round';
import { Button, Checkbox, Form, type FormInstance } from 'antd';
import { useState, type ReactNode } from 'react';
import type { z } from 'zod';
import { ApiProblem } from '../api/call.ts';
import { Said } from '../feedback/Said.tsx';
import { useAction } from '../feedback/useAction.ts';
import { Mark } from '../theme/Mark.tsx';
import { useDraft } from '../units/useDraft.ts';
import { inBase, nameOf, type FieldProblem } from './values.ts';

interface Props<V extends object> {
  /** Where the draft is kept in this tab. */
  keep: string;
  initial: V;
  /** What the payload must be. The names of the fields are the paths of the payload. */
  schema: z.ZodType;
  /** The payload of what the form holds, where it is not just that. */
  payloadOf?: (values: object) => object;
  /** What is odd about a payload that would be accepted: it is asked about before it is written. */
  ask?: (payload: unknown) => Finding[];
  /** Writes the payload; `id` is that of the entry that the form makes, however often it is sent. */
  write: (payload: unknown, id: string) => Promise<void>;
  submit: string;
  children: (form: FormInstance<V>, values: V) => ReactNode;
}

/** What a question was about: another number asks anew. */
const said = (questions: readonly Finding[]) => JSON.stringify(questions);

/**
 * The frame of every form that makes an entry: it keeps what is typed over a reload, judges it by the schema that the server
 * uses, says what is wrong at its field until it is mended, and writes once.
 */
export function EntryForm<V extends object>({
  keep,
  initial,
  schema,
  payloadOf = (values) => values,
  ask = () => [],
  write,
  submit,
  children,
}: Props<V>) {
  const [form] = Form.useForm<V>();
  const [draft, setDraft, clear, id] = useDraft<V>(keep, initial);
  const { busy, run, say, forget } = useAction();
  const [elsewhere, setElsewhere] = useState<FieldProblem[]>([]);
  const [asked, setAsked] = useState<Finding[]>([]);
  const [confirmed, setConfirmed] = useState('');

  const show = (problems: readonly FieldProblem[]) => {
    const known = new Set(form.getFieldsError().map(({ name }) => name.join('.')));
    setElsewhere(problems.filter(({ path }) => !known.has(path)));
    const here = problems.filter(({ path }) => known.has(path));
    form.setFields(here.map(({ path, message }) => ({ name: nameOf(path) as never, errors: [message] })));
    if (here[0]) form.scrollToField(nameOf(here[0].path) as never, { block: 'center', focus: true });
  };
  /** An error goes when its field is mended. */
  const mend = (changed: unknown) => {
    const isIn = (name: readonly (string | number)[]) =>
      name.reduce<unknown>((value, key) => (value as Record<string | number, unknown> | undefined)?.[key], changed) !== undefined;
    const mended = form.getFieldsError().filter(({ name, errors }) => errors.length > 0 && isIn(name));
    if (mended.length > 0) form.setFields(mended.map(({ name }) => ({ name: name as never, errors: [] })));
    setElsewhere([]);
    setAsked([]);
    forget();
  };
  const finish = (values: V) => {
    const { value, problems } = inBase(values);
    const parsed = schema.safeParse(payloadOf(value as object));
    const refused = parsed.success ? [] : parsed.error.issues.map(({ path, message }) => ({ path: path.join('.'), message }));
    // What is no number is missing in the payload as well: its own words come first.
    const all = [...problems, ...refused.filter((one) => !problems.some(({ path }) => path === one.path))];
    show(all);
    if (!parsed.success || all.length > 0) return;
    const questions = ask(parsed.data);
    setAsked(questions);
    if (questions.length > 0 && confirmed !== said(questions)) return;
    void run(async () => {
      try {
        await write(parsed.data, id);
        clear();
      } catch (failure) {
        if (failure instanceof ApiProblem)
          show(failure.errors.map(({ path, message }) => ({ path: path.replace(/^payload\./, ''), message })));
        throw failure;
      }
    });
  };
  return (
    <Form<V>
      form={form}
      layout="vertical"
      requiredMark={false}
      className="stack-wide"
      initialValues={draft}
      onValuesChange={(changed) => {
        // Also of fields that are not shown now.
        setDraft(form.getFieldsValue(true) as V);
        mend(changed);
      }}
      onFinish={finish}
    >
      {children(form, draft)}
      {elsewhere.map(({ path, message }) => (
        <p key={path} className="field-error" role="alert">
          {message}
        </p>
      ))}
      {asked.length > 0 && (
        <div className="finding question" role="alert">
          <Mark kind="question" />
          {asked
            .map((finding) => ({ code: finding.code, ...sayAbout(finding) }))
            .map(({ code, says, advice }) => (
              <p key={code}>
                {says} {advice}
              </p>
            ))}
          <Checkbox checked={confirmed === said(asked)} onChange={(event) => setConfirmed(event.target.checked ? said(asked) : '')}>
            It is so
          </Checkbox>
        </div>
      )}
      <Said say={say} />
      <div>
        <Button type="primary" size="large" htmlType="submit" loading={busy}>
          {submit}
        </Button>
      </div>
    </Form>
  );
}
