import type { Answer } from '@fonte/core/endpoints';
import { registered, type RegisterName } from '@fonte/core/registers';
import type { ComponentType } from 'react';
import { Link, useParams } from 'react-router';
import { ApiProblem } from '../api/call.ts';
import { useAnswer } from '../api/useAnswer.ts';
import { Empty, Failed, Loading } from '../feedback/Feedback.tsx';
import { useMayRegister } from './RegisterNav.tsx';

/** A page with the form of a register: empty for a new thing, or with the thing that the address names. */
export function thingPage<N extends RegisterName>(
  register: N,
  Form: ComponentType<{ thing: Answer<(typeof registered)[N]> | null }>,
): ComponentType {
  return function ThingPage() {
    const { thing: id } = useParams();
    const may = useMayRegister(register);
    const { data, error, mutate } = useAnswer<(typeof registered)[N]>(registered[register], id ? ({ in: { id } } as never) : null, {
      revalidateOnFocus: false,
    });
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
