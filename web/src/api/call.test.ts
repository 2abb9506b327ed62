import { afterEach, describe, expect, it, vi } from 'vitest';
import { doing, reading } from '@fonte/core/endpoints';
import { z } from 'zod';
import { connection } from './connection.ts';
import { ApiProblem, call, explain, NoConnection, whereUnknown } from './call.ts';

const write = doing('/api/x/:id', {
  summary: 'Writes',
  by: 'anybody',
  body: z.object({ depth: z.number() }),
  answer: z.object({ id: z.string() }),
});
const read = reading('/api/x', {
  summary: 'Reads',
  by: 'anybody',
  answer: z.array(z.number()),
  query: z.object({ search: z.string().optional() }),
});
const written = { in: { id: 'a/b' }, body: { depth: 7.4 } };

afterEach(() => vi.unstubAllGlobals());

const answer = (status: number, body: unknown) =>
  vi.stubGlobal(
    'fetch',
    vi.fn(() => Promise.resolve(new Response(JSON.stringify(body), { status, headers: { 'content-type': 'application/problem+json' } }))),
  );

describe('what the server refuses', () => {
  const problem = {
    title: 'The entry was not accepted.',
    errors: [{ path: 'payload.depth.text', message: 'Cannot be less than −20.00 m.' }],
  };

  it('is told at the field it concerns', async () => {
    answer(422, problem);
    const failure = await call(write, written).catch((error: unknown) => error);
    expect(failure).toBeInstanceOf(ApiProblem);
    expect((failure as ApiProblem).at('payload.depth')).toBe('Cannot be less than −20.00 m.');
    expect((failure as ApiProblem).at('payload.dep')).toBeUndefined();
    expect(explain(failure)).toBe('Cannot be less than −20.00 m.');
  });

  it('is told by its title where no field is named, and in plain words where there is no problem document', async () => {
    answer(404, { title: 'There is no such round.' });
    expect(explain(await call(read, {}).catch((error: unknown) => error))).toBe('There is no such round.');
    vi.stubGlobal(
      'fetch',
      vi.fn(() => Promise.resolve(new Response('<html>', { status: 418 }))),
    );
    expect(explain(await call(read, {}).catch((error: unknown) => error))).toBe('The server did not answer as expected.');
  });
});

it('takes a proxy that answers for a server which is not there for no connection, and the server’s own fault for what it is', async () => {
  const from = (headers: Record<string, string>) =>
    vi.stubGlobal(
      'fetch',
      vi.fn(() => Promise.resolve(new Response('{"title": "The lab hangs."}', { status: 502, headers }))),
    );
  from({});
  expect(await call(read, {}).catch((error: unknown) => error)).toBeInstanceOf(NoConnection);
  expect(connection().isLost).toBe(true);
  from({ 'x-fonte-now': String(Date.now() - 3_600_000) });
  expect(explain(await call(read, {}).catch((error: unknown) => error))).toBe('The lab hangs.');
  expect(connection().isLost).toBe(false);
  // The device is an hour ahead of the server, and says so with what it writes from now on.
  expect(Math.round(connection().clock!.ahead / 60_000)).toBe(60);
});

it('tells no connection from a refusal: then nobody knows whether it was written', async () => {
  vi.stubGlobal(
    'fetch',
    vi.fn(() => Promise.reject(new TypeError('Failed to fetch'))),
  );
  const failure = await call(write, written).catch((error: unknown) => error);
  expect(failure).toBeInstanceOf(NoConnection);
  expect(explain(failure)).toContain('What you typed is still here');
});

it('asks at the address that the endpoint names, and takes nothing for an answer that is none', async () => {
  answer(200, { id: 'a', more: 'of a newer server' });
  expect(await call(write, written)).toEqual({ id: 'a' });
  const [address, sent] = vi.mocked(fetch).mock.calls[0]!;
  expect([address, sent?.method, sent?.body]).toEqual(['/api/x/a%2Fb', 'POST', '{"depth":7.4}']);
  answer(200, ['seven']);
  expect(explain(await call(read, { query: { search: 'ä & b' } }).catch((error: unknown) => error))).toContain('not answer as expected');
  expect(vi.mocked(fetch).mock.calls[0]![0]).toBe('/api/x?search=%C3%A4+%26+b');
});

describe('a device that the server does not know yet', () => {
  const unknown = () => Response.json({ type: 'urn:fonte:problem:no-device', title: 'This device is not registered.' }, { status: 409 });

  it('makes itself known, and asks again', async () => {
    const said: string[] = [];
    whereUnknown(() => {
      said.push('known');
      return Promise.resolve();
    });
    vi.stubGlobal(
      'fetch',
      vi.fn(() => {
        said.push('asked');
        return Promise.resolve(said.includes('known') ? Response.json({ id: 'x' }) : unknown());
      }),
    );
    expect(await call(write, written)).toEqual({ id: 'x' });
    expect(said).toEqual(['asked', 'known', 'asked']);
  });

  it('asks no third time', async () => {
    whereUnknown(() => Promise.resolve());
    const asked = vi.fn(() => Promise.resolve(unknown()));
    vi.stubGlobal('fetch', asked);
    expect(await call(write, written).catch((error: unknown) => (error as ApiProblem).code)).toBe('no-device');
    expect(asked).toHaveBeenCalledTimes(2);
  });
});
