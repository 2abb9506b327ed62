import { newId } from '@fonte/core/book';
import { levelRead } from '@fonte/core/level';
import { pointRegistered } from '@fonte/core/registers';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { tapPoint } from '../../core/test/script.ts';
import { bench, type Bench } from './bench-server.ts';

let at: Bench;
beforeEach(async () => {
  at = await bench();
});
afterEach(() => at.close());

const level = (payload: object = {}) => {
  const entry = at.script.write(levelRead, {
    visit: at.script.well,
    measuringPoint: 'North rim',
    depth: { text: '7.40', unit: 'm' },
    water: 'static',
  });
  return { ...entry, payload: { ...entry.payload, ...payload } };
};
const url = () => `/api/books/${at.script.book}/entries`;

describe('a caller who means harm', () => {
  it('cannot smuggle in fields that no schema knows', async () => {
    const smuggled = JSON.stringify(level()).replace('{', '{"seq":99,"hash":"f00","__proto__":{"admin":true},');
    const answer = await at.api.post(url()).set('content-type', 'application/json').send(smuggled);
    expect(answer.status).toBe(201);
    expect(answer.body).toMatchObject({ seq: 2 });
    expect(answer.body).not.toHaveProperty('admin');
    expect(({} as { admin?: boolean }).admin).toBeUndefined();
  });

  it.each([
    ['a list for a depth', { depth: ['7.40', 'm'] }],
    ['null for a depth', { depth: null }],
    ['a number for a text', { depth: { text: 7.4, unit: 'm' } }],
    ['a unit that is none', { depth: { text: '7.40', unit: 'constructor' } }],
    ['a unit of another dimension', { depth: { text: '7.40', unit: 'L' } }],
    ['a text of a megabyte', { depth: { text: '7'.repeat(100_000), unit: 'm' } }],
    ['a visit that is no id', { visit: "x' OR 1=1 --" }],
    ['an empty mark', { measuringPoint: '' }],
    ['a state that is none', { water: 'frozen' }],
  ])('cannot send %s', async (_, payload) => {
    const before = await at.entries();
    const answer = await at.post(level(payload));
    expect(answer.status).toBe(422);
    expect((answer.body as { errors: { path: string }[] }).errors[0]!.path).toMatch(/^payload\./);
    expect(await at.entries()).toEqual(before);
  });

  it.each(['text/plain', 'application/x-www-form-urlencoded', 'multipart/form-data'])(
    'cannot post as %s, as a form on another site would',
    async (type) => {
      const answer = await at.api.post(url()).set('content-type', type).send(JSON.stringify(level()));
      expect(answer.status).toBe(422);
      expect(await at.entries()).toHaveLength(1);
    },
  );

  it('finds nothing under addresses that try to leave their place', async () => {
    for (const path of ['/api/books/..%2f..%2fetc/entries', "/api/points/x'%20OR%201=1/levels", '/api/books/%00/entries']) {
      const answer = await at.api.get(path);
      expect([200, 400, 404], path).toContain(answer.status);
      if (answer.status === 200) expect(answer.body).toEqual([]);
    }
    const draft = await at.api.post(`/api/rounds/${at.script.book}/reports/..%2f..%2fpasswd/draft`).send({});
    expect(draft.status).toBe(404);
  });

  it('gets markup back as data, never as a page', async () => {
    const name = '<img src=x onerror=alert(1)>';
    const entry = { ...level(), book: 'org', kind: pointRegistered.kind, payload: { ...tapPoint, id: 'x', code: 'XX1', name } };
    expect((await at.post(entry, 'org')).status).toBe(201);
    const points = await at.api.get('/api/points');
    expect(points.type).toBe('application/json');
    expect(points.headers['x-content-type-options']).toBe('nosniff');
    expect(points.headers['content-security-policy']).toContain("script-src 'self'");
    expect((points.body as { name: string }[]).map((point) => point.name)).toContain(name);
  });

  it('learns nothing about the server from a failure', async () => {
    await at.store.destroy();
    const answer = await at.api.get('/api/points');
    expect(answer.status).toBe(500);
    expect(JSON.stringify(answer.body)).not.toMatch(/sqlite|typeorm|node_modules|at /i);
    expect(answer.headers['x-powered-by']).toBeUndefined();
    at = await bench();
  });

  it('cannot read a round’s report through another round', async () => {
    const answer = await at.api.post(`/api/rounds/${newId(0)}/reports/${'a'.repeat(64)}/draft`).send({});
    expect([answer.status, answer.type]).toEqual([404, 'application/problem+json']);
  });
});
