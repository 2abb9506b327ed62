import { createServer, type RequestListener, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { newId } from '@fonte/core/book';
import type { IntakeRequest } from '@fonte/core/lab';
import { afterEach, describe, expect, it } from 'vitest';
import { HttpLabDesk } from './desk.ts';
import { isPrivate } from './private.ts';

let server: Server | undefined;
afterEach(() => {
  server?.closeAllConnections();
  server?.close();
});

/** A desk whose other end does as it is told. */
async function deskThat(answers: RequestListener, limits = { patience: 400, answer: 2000, report: 5000 }, path = ''): Promise<HttpLabDesk> {
  server = createServer(answers);
  await new Promise<void>((resolve) => {
    server!.listen(0, '127.0.0.1', resolve);
  });
  return new HttpLabDesk({ address: `http://127.0.0.1:${(server.address() as AddressInfo).port}${path}`, private: true }, limits);
}
const form = { handOver: newId(0), book: {}, boxes: [], bottles: [] } as unknown as IntakeRequest;
const good = JSON.stringify({ consignment: 'L-1', state: 'settled', containers: [] });

describe('a lab’s desk', () => {
  it('is asked below its configured path', async () => {
    const paths: string[] = [];
    const desk = await deskThat(
      (request, response) => {
        paths.push(request.url!);
        response.end(good);
      },
      undefined,
      '/labs/fonte/',
    );
    await desk.takeIn(form);
    await desk.report('A/../B');
    expect(paths).toEqual([`/labs/fonte/consignments/${form.handOver}`, '/labs/fonte/reports/A%2F..%2FB']);
  });

  it('is followed nowhere else', async () => {
    const asked: string[] = [];
    const desk = await deskThat((request, response) => {
      asked.push(request.url!);
      response.writeHead(302, { location: '/secret' }).end();
    });
    await expect(desk.takeIn(form)).rejects.toMatchObject({ status: 502, code: 'lab-answer' });
    expect(asked).toEqual([`/consignments/${form.handOver}`]);
  });

  it.each<[string, RequestListener]>([
    ['says nothing', () => undefined],
    ['stops in the middle', (_request, response) => void response.writeHead(200).write('{"reference":')],
    [
      'drips',
      (_request, response) => {
        const timer = setInterval(() => response.write(' '), 50);
        response.on('close', () => clearInterval(timer));
      },
    ],
  ])('that %s is given up in time', async (_, answers) => {
    const desk = await deskThat(answers);
    await expect(desk.takeIn(form)).rejects.toMatchObject({ status: 502 });
  });

  it('that never stops talking is cut off', async () => {
    const desk = await deskThat((_request, response) => {
      response.writeHead(200);
      response.write('x'.repeat(100_000));
    });
    await expect(desk.takeIn(form)).rejects.toMatchObject({ status: 502, code: 'lab-answer' });
  });

  it.each(['not json', '[]', '{"consignment":""}', '{"consignment":"L","state":"settled","containers":[{"label":1}]}'])(
    'that answers %s is not believed',
    async (body) => {
      await expect((await deskThat((_request, response) => void response.end(body))).takeIn(form)).rejects.toMatchObject({ status: 502 });
    },
  );

  it.each(['http://127.0.0.1:9', 'http://10.1.2.3', 'http://[::1]:9', 'http://169.254.169.254', 'http://localhost:9'])(
    'with the private address %s is not spoken to unless that is configured',
    async (address) => {
      const asked = new HttpLabDesk({ address, private: false }).takeIn(form);
      await expect(asked).rejects.toMatchObject({ status: 502 });
      const error = (await asked.catch((one: unknown) => one)) as { code: string };
      expect(['lab-private', 'lab-unreachable']).toContain(error.code);
    },
  );
});

it.each([
  ['127.0.0.1', true],
  ['10.255.0.1', true],
  ['172.16.0.1', true],
  ['172.32.0.1', false],
  ['192.168.1.1', true],
  ['::1', true],
  ['fd00::1', true],
  ['::ffff:10.0.0.1', true],
  ['2001:db8::1', false],
  ['203.0.113.7', false],
])('%s is private: %s (RFC 6890)', (address, expected) => {
  expect(isPrivate(address)).toBe(expected);
});
