import type { RegisterName } from '@fonte/core/registers';
import type { ComponentType } from 'react';
import { Link, useParams } from 'react-router';
import useSWR from 'swr';
import { ApiProblem } from '../app/api.ts';
import { Empty, Failed, Loading } from '../app/Feedback.tsx';
import { useMayRegister } from './RegisterNav.tsx';

/** A page with the form of a register: empty for a new thing, or with the thing that the address names. */
export function thingPage<T>(register: RegisterName, Form: ComponentType<{ thing: T | null }>): ComponentType {
  return function ThingPage() {
    const { thing: id } = useParams();
    const may = useMayRegister(register);
    const { data, error, mutate } = useSWR<T, unknown>(id ? `/api/${register}/${id}` : null, { revalidateOnFocus: false });
    if (!may)
      return (
        <Empty title="A coordinator may change this register">
          <Link to={`/${register}`}>Back</Link>
        </Empty>
      );
    if (error instanceof ApiProblem && error.status === 404)
      return (
        <Empty title="There is nothing of that name in the register">
          <Link to={`/${register}`}>Back</Link>
        </Empty>
      );
    if (error) return <Failed error={error} retry={() => void mutate()} />;
    if (id && !data) return <Loading what="the register" />;
    return <Form key={id ?? 'new'} thing={data ?? null} />;
  };
}
