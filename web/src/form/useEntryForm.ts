import type { Finding } from '@fonte/core/findings';
import { Form, type FormInstance } from 'antd';
import { useEffect, useRef, useState } from 'react';
import type { z } from 'zod';
import { ApiProblem, writeUnderFreeId } from '../api/call.ts';
import { useAction } from '../feedback/useAction.ts';
import { broughtBack, dropDraft } from '../units/drafts.ts';
import { useUnitSystem } from '../units/system.ts';
import { useDraft } from '../units/useDraft.ts';
import { asTyped, fieldOf, nameOf, withEmptyIn, withTyped, type FieldProblem, type Read } from './values.ts';

export interface Writing {
  /** The id of the entry that the form makes, however often it is sent. */
  id: string;
  /** Called once what was typed is kept elsewhere: the form takes the next. */
  kept: () => void;
}

export interface EntryFormOptions<V extends object, P> {
  /** The name under which the draft is kept. */
  keep: string;
  initial: V;
  /** What the payload must be. The names of the fields are the paths of the payload. */
  schema: z.ZodType<P>;
  /** The payload of what the form holds, where it is not just that with what is empty left out. */
  read?: (values: V) => Read;
  /** What is wrong with a payload beyond what its schema says. */
  check?: (payload: P, values: V) => FieldProblem[];
  /** What is odd about a payload that would be accepted: it is asked about before it is written. */
  ask?: (payload: P, values: V) => Finding[];
  write: (payload: P, writing: Writing) => Promise<void>;
  /** What the form holds for the next entry, after one was written; as at first unless said otherwise. */
  next?: (values: V) => V;
  /** The field where the next entry begins. */
  first?: string;
  /** What is typed is a secret: it is kept nowhere. */
  isSecret?: boolean;
  /** The path in the form of what is refused at a path of the payload, where it is another. */
  at?: (path: string) => string;
}

/** A form that makes an entry, as its frame and the page around it see it. */
export interface EntryFormState<V extends object> {
  form: FormInstance<V>;
  keep: string;
  schema: z.ZodType;
  /** What is typed now. */
  values: V;
  /** When what it holds was typed (ms), if a browser that ended had left it; else null. */
  broughtBack: number | null;
  /** Changes what other controls than its fields decide. */
  set: (change: Partial<V>) => void;
  /** Somebody tried to write it as it is. */
  isTried: boolean;
  busy: boolean;
  /** What went wrong with it as a whole. */
  say: string | null;
  /** What is wrong with what no field shows. */
  elsewhere: readonly FieldProblem[];
  asked: readonly Finding[];
  isConfirmed: boolean;
  confirm: (is: boolean) => void;
  changed: (change: unknown) => void;
  finish: () => void;
  /** Forgets what was typed. */
  clear: () => void;
  /** Forgets it, and shows the empty form. */
  startAfresh: () => void;
}

/** Questions that a person answered, and what stood in the form then. */
interface Confirmed {
  questions: readonly Finding[];
  values: string;
}

/** What a question is, whatever its numbers are by now: its code, its field, and what it names. */
const kindOf = ({ code, field, data = {} }: Finding): string =>
  JSON.stringify([code, field, ...Object.values(data).filter((one) => typeof one === 'string')]);

/**
 * Whether the very questions were answered: another number in the form asks again; a number that moves with the clock, in a form that
 * stays as it is, does not.
 */
export function isAnswered(asked: readonly Finding[], confirmed: Confirmed | null, values: string): boolean {
  if (!confirmed) return false;
  if (JSON.stringify(asked) === JSON.stringify(confirmed.questions)) return true;
  const kinds = confirmed.questions.map(kindOf);
  return values === confirmed.values && asked.every((one) => kinds.includes(kindOf(one)));
}

const isIn = (change: unknown, name: readonly (string | number)[]) =>
  name.reduce<unknown>((value, key) => (value as Record<string | number, unknown> | undefined)?.[key], change) !== undefined;

/**
 * A form that makes an entry: it keeps what is typed over a reload, judges it by the schema that the server uses, says what is
 * wrong at its field until it is mended, asks about what is odd, and writes once. {@link EntryForm} is its frame.
 */
export function useEntryForm<V extends object, P>({
  keep,
  initial,
  schema,
  read = (values) => asTyped(values, schema),
  check = () => [],
  ask = () => [],
  write,
  next,
  first,
  isSecret = false,
  at = (path) => path,
}: EntryFormOptions<V, P>): EntryFormState<V> {
  const [form] = Form.useForm<V>();
  const [values, setValues, clear, id, freshId] = useDraft<V>(keep, initial, isSecret);
  const { busy, run, say, forget } = useAction();
  const [elsewhere, setElsewhere] = useState<FieldProblem[]>([]);
  const [asked, setAsked] = useState<Finding[]>([]);
  const [confirmed, setConfirmed] = useState<Confirmed | null>(null);
  const [isTried, setTried] = useState(false);

  const { system } = useUnitSystem();
  const typedIn = useRef(system);
  useEffect(() => {
    if (typedIn.current === system) return;
    typedIn.current = system;
    // Another system of units: what is still empty is typed in it; what was typed keeps the unit in which it was.
    const moved = withEmptyIn(values, schema, system);
    setValues(moved);
    for (const [key, value] of Object.entries(moved)) form.setFieldValue(key as never, value as never);
    if (JSON.stringify(moved) === JSON.stringify(withEmptyIn(initial, schema, system))) dropDraft(keep);
  }, [system, values, schema, setValues, form, initial, keep]);

  /** Also of fields that are not shown now. */
  const valuesNow = () => form.getFieldsValue(true) as V;
  const show = (problems: readonly FieldProblem[]) => {
    const fields = form.getFieldsError().map(({ name }) => name.join('.'));
    const placed = problems.map(({ path, message }) => ({ path, message, field: fieldOf(path, fields) }));
    setElsewhere(placed.filter(({ field }) => field === undefined));
    const here = placed.flatMap(({ field, message }) => (field === undefined ? [] : [{ name: nameOf(field) as never, errors: [message] }]));
    form.setFields(here);
    if (here[0]) form.scrollToField(here[0].name, { block: 'center', focus: true });
    return here.length > 0;
  };
  /** An error goes when its field is mended. */
  const mend = (change: unknown) => {
    const mended = form.getFieldsError().filter(({ name, errors }) => errors.length > 0 && isIn(change, name));
    if (mended.length > 0) form.setFields(mended.map(({ name }) => ({ name: name as never, errors: [] })));
    setElsewhere([]);
    setAsked([]);
    forget();
  };
  /** Puts whole values in place of those that stand: what is no longer in them is gone. */
  const put = (change: Partial<V>) => {
    for (const [key, value] of Object.entries(change)) form.setFieldValue(key as never, value);
  };
  const kept = (sent: V) => {
    const empty = next?.(sent) ?? initial;
    const fresh = withTyped(sent, valuesNow(), empty);
    const isBegun = JSON.stringify(fresh) !== JSON.stringify(empty);
    clear();
    if (next || isBegun) setValues(fresh);
    setTried(false);
    put(fresh);
    if (first && !isBegun) form.scrollToField(first, { block: 'nearest', focus: true });
  };
  const finish = () => {
    setTried(true);
    const values = valuesNow();
    const { value, problems } = read(values);
    const parsed = schema.safeParse(value);
    const refused = parsed.success
      ? check(parsed.data, values)
      : parsed.error.issues.map(({ path, message }) => ({ path: at(path.join('.')), message }));
    // What is no number is missing in the payload as well: its own words come first.
    const all = [...problems, ...refused.filter((one) => !problems.some(({ path }) => path === one.path))];
    show(all);
    if (!parsed.success || all.length > 0) return;
    const questions = ask(parsed.data, values);
    setAsked(questions);
    if (questions.length > 0 && !isAnswered(questions, confirmed, JSON.stringify(values))) return;
    void run(async () => {
      try {
        await writeUnderFreeId(id, freshId, (free) => write(parsed.data, { id: free, kept: () => kept(values) }));
      } catch (failure) {
        // What its field says is not said twice.
        if (failure instanceof ApiProblem && show(failure.errors.map((one) => ({ ...one, path: at(one.path.replace(/^payload\./, '')) }))))
          return;
        throw failure;
      }
    });
  };
  return {
    form,
    keep,
    schema,
    values,
    broughtBack: broughtBack(keep),
    startAfresh: () => {
      clear();
      put(initial);
      setTried(false);
      mend(initial);
    },
    set: (change) => {
      put(change);
      setValues(valuesNow());
      mend(change);
    },
    isTried,
    busy,
    say,
    elsewhere,
    asked,
    isConfirmed: asked.length > 0 && isAnswered(asked, confirmed, JSON.stringify(valuesNow())),
    confirm: (is) => setConfirmed(is ? { questions: asked, values: JSON.stringify(valuesNow()) } : null),
    changed: (change) => {
      setValues(valuesNow());
      mend(change);
    },
    finish,
    clear,
  };
}
