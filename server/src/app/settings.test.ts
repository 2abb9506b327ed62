import { describe, expect, it } from 'vitest';
import { readSettings } from './settings.ts';

describe('settings', () => {
  it('have defaults that serve this machine only', () => {
    expect(readSettings({})).toMatchObject({ host: '127.0.0.1', port: 4180, logLevel: 'info', desks: {} });
    // Nobody is believed about where they come from before somebody says so.
    expect([readSettings({}).proxies, readSettings({ FONTE_PROXY: 'loopback, 10.0.0.2' }).proxies]).toEqual([[], ['loopback', '10.0.0.2']]);
    expect(readSettings({}).database).toMatch(/\/data\/fonte\.sqlite$/);
  });

  it('are taken from the environment', () => {
    const settings = readSettings({ FONTE_DB: '/tmp/x.sqlite', FONTE_PORT: '0', FONTE_LAB_DESKS: '{"ponta": "http://127.0.0.1:4190"}' });
    expect(settings).toMatchObject({
      database: '/tmp/x.sqlite',
      port: 0,
      desks: { ponta: { address: 'http://127.0.0.1:4190', private: false } },
    });
  });

  it.each([
    [{ FONTE_PORT: 'eighty' }, 'FONTE_PORT'],
    [{ FONTE_PORT: '70000' }, 'FONTE_PORT'],
    [{ FONTE_LOG: 'loud' }, 'FONTE_LOG'],
    [{ FONTE_LAB_DESKS: 'ponta' }, 'FONTE_LAB_DESKS'],
    [{ FONTE_LAB_DESKS: '{"a": "not a url"}' }, 'FONTE_LAB_DESKS'],
  ])('name what is wrong: %j', (environment, name) => {
    expect(() => readSettings(environment)).toThrow(name);
  });
});
