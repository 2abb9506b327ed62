import { execFileSync, spawn, spawnSync, type ChildProcess } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Browser, Page } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { click, freshProfile, openBrowser, phone, see, type, signal } from './browser.ts';
import { ensureBuilt, root, start, type Running } from './harness.ts';
import { setUpOnPage } from './people.ts';
import * as walk from './walk.ts';

/* The files of deploy/ as they are shipped, with this machine's ports and a certificate made for the test. */

const name = 'fonte.example';
const folder = mkdtempSync(join(tmpdir(), 'fonte-https-'));
let server: Running;
let proxy: ChildProcess;
let browser: Browser;
let page: Page;
let address: string;

const freePort = () =>
  new Promise<number>((resolve) => {
    const probe = createServer();
    probe.listen(0, '127.0.0.1', () => {
      const { port } = probe.address() as { port: number };
      probe.close(() => resolve(port));
    });
  });

beforeAll(async () => {
  ensureBuilt();
  const [secure, plain] = [await freePort(), await freePort()];
  address = `https://${name}:${secure}`;
  server = await start({ what: 'server', env: { FONTE_NAMES: `${name}:${secure}`, FONTE_PROXY: 'loopback' } });
  execFileSync(
    'openssl',
    [
      'req',
      '-x509',
      '-newkey',
      'rsa:2048',
      '-nodes',
      '-days',
      '2',
      '-subj',
      `/CN=${name}`,
      '-keyout',
      join(folder, 'key.pem'),
      '-out',
      join(folder, 'fullchain.pem'),
    ],
    { stdio: 'ignore' },
  );
  const shipped = readFileSync(join(root, 'deploy/nginx.conf'), 'utf8')
    .replaceAll('/etc/ssl/fonte', folder)
    .replace('listen 443 ssl', `listen 127.0.0.1:${secure} ssl`)
    .replace('listen 80', `listen 127.0.0.1:${plain}`)
    .replace('http://127.0.0.1:4180', server.address);
  const config = join(folder, 'nginx.conf');
  const body = ['client_body', 'proxy', 'fastcgi', 'uwsgi', 'scgi'].map((one) => `${one}_temp_path ${folder}/${one};`).join(' ');
  writeFileSync(config, `daemon off; pid ${folder}/pid; error_log stderr; events {} http { access_log off; ${body}\n${shipped} }`);
  proxy = spawn(existsSync('/usr/sbin/nginx') ? '/usr/sbin/nginx' : 'nginx', ['-c', config], { stdio: 'ignore' });
  browser = await openBrowser(freshProfile(), [
    `--host-resolver-rules=MAP ${name} 127.0.0.1`,
    '--ignore-certificate-errors',
    '--use-fake-device-for-media-stream',
    '--use-fake-ui-for-media-stream',
  ]);
  page = await browser.newPage();
  await page.setViewport(phone);
}, 120_000);
afterAll(async () => {
  await browser?.close();
  proxy?.kill();
  await server?.stop();
});

describe.sequential('over HTTPS, by the proxy’s shipped configuration', () => {
  it('a person is let in by a cookie that goes over HTTPS alone, and signs what they write', async () => {
    await setUpOnPage(page, { ...server, address }, 'Marta Leal', 'ML');
    expect(await page.evaluate(() => isSecureContext)).toBe(true);
    const [cookie] = await browser.cookies();
    expect(cookie).toMatchObject({ secure: true, httpOnly: true, sameSite: 'Strict' });
    await page.goto(`${address}/people`, { waitUntil: 'domcontentloaded' });
    await click(page, 'Register a person', 'link');
    await type(page, 'Name', 'Duarte Sá');
    await type(page, 'Initials', 'DS');
    await click(page, 'Register it');
    await see(page, 'Duarte Sá');
    await walk.handedIn(page);
    const { stdout } = spawnSync(process.execPath, [join(root, 'server/dist/verify.js'), server.database], { encoding: 'utf8' });
    expect(stdout).not.toContain('BROKEN');
    expect(stdout).not.toContain('unsigned');
  });

  it('goes on without a signal', async () => {
    await page.waitForFunction(() => navigator.serviceWorker.ready.then(({ active }) => active !== null));
    await page.reload({ waitUntil: 'domcontentloaded' });
    await see(page, 'Duarte Sá');
    await signal(page, false);
    await page.reload({ waitUntil: 'domcontentloaded' });
    await see(page, 'Marta Leal');
    await signal(page, true);
  });

  it('shows the camera', async () => {
    await page.goto(`${address}/verify`, { waitUntil: 'domcontentloaded' });
    await click(page, 'Count and hash of the paper with the camera');
    await page.waitForFunction(() => {
      const video = document.querySelector('video');
      return video !== null && video.readyState >= 2 && video.videoWidth > 0;
    });
  });

  it('answers under its own name and no other', async () => {
    const port = new URL(address).port;
    const ask = (...args: string[]) =>
      spawnSync('curl', ['-sk', '--resolve', `${name}:${port}:127.0.0.1`, '-o', '/dev/null', '-w', '%{http_code}', ...args], {
        encoding: 'utf8',
      }).stdout;
    expect(ask(`${address}/api/health`)).toBe('200');
    expect(ask('-H', 'Host: elsewhere.example', `${address}/api/health`)).toBe('421');
  });
});

it('the unit of the supervisor is sound, and asks for a new start after two seconds', () => {
  const unit = readFileSync(join(root, 'deploy/fonte.service'), 'utf8');
  const file = join(folder, 'fonte.service');
  // What it names must be there: this machine has Node elsewhere, and no such user.
  writeFileSync(file, unit.replace('/usr/bin/node', process.execPath).replace(/^(User|Group)=.*\n/gm, ''));
  const { status, stderr } = spawnSync('systemd-analyze', ['verify', file], { encoding: 'utf8' });
  expect(stderr.split('\n').filter((line) => line.includes('fonte.service'))).toEqual([]);
  expect(status, stderr).toBe(0);
  expect(unit).toMatch(/^Restart=always\nRestartSec=2$/m);
});
