import { afterEach, describe, expect, it, vi } from 'vitest';
import { ApiProblem, explain, get, NoConnection, post } from './api.ts';

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
    const failure = await post('/api/x', {}).catch((error: unknown) => error);
    expect(failure).toBeInstanceOf(ApiProblem);
    expect((failure as ApiProblem).at('payload.depth')).toBe('Cannot be less than −20.00 m.');
    expect((failure as ApiProblem).at('payload.dep')).toBeUndefined();
    expect(explain(failure)).toBe('Cannot be less than −20.00 m.');
  });

  it('is told by its title where no field is named, and in plain words where there is no problem document', async () => {
    answer(404, { title: 'There is no such round.' });
    expect(explain(await get('/api/x').catch((error: unknown) => error))).toBe('There is no such round.');
    vi.stubGlobal(
      'fetch',
      vi.fn(() => Promise.resolve(new Response('<html>', { status: 502 }))),
    );
    expect(explain(await get('/api/x').catch((error: unknown) => error))).toBe('The server did not answer as expected.');
  });
});

it('tells no connection from a refusal: then nobody knows whether it was written', async () => {
  vi.stubGlobal(
    'fetch',
    vi.fn(() => Promise.reject(new TypeError('Failed to fetch'))),
  );
  const failure = await post('/api/x').catch((error: unknown) => error);
  expect(failure).toBeInstanceOf(NoConnection);
  expect(explain(failure)).toContain('What you typed is still here');
});
