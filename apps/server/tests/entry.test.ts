import { request as plainRequest, type IncomingMessage, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { mkdtempSync, rmSync, statSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { errorSchema } from '@velvet-tape/contract';
import { Key } from '../src/entry/key';
import { type TestService, listening, startService } from './service';

const folder = mkdtempSync(join(tmpdir(), 'velvet-tape-key-'));
const key = Key.inFile(join(folder, 'key'));
let service: TestService;
let server: Server;
beforeAll(async () => {
  service = await startService('entry_test', { key, names: ['tape.example'], mostRequests: 1e6 });
  server = await listening(service.app);
});
afterAll(async () => {
  server.close();
  rmSync(folder, { recursive: true });
  await service.close();
});

interface Answer {
  readonly status: number;
  readonly headers: IncomingMessage['headers'];
  readonly body: string;
}
const ask = (path: string, headers: Record<string, string>, method = 'GET'): Promise<Answer> =>
  new Promise((resolve, reject) => {
    const { port } = server.address() as AddressInfo;
    const sent = plainRequest({ host: '127.0.0.1', port, path, method, headers, agent: false }, (response) => {
      let body = '';
      response.setEncoding('utf8').on('data', (part: string) => (body += part));
      response.on('end', () => resolve({ status: response.statusCode!, headers: response.headers, body }));
    });
    sent.on('error', reject);
    sent.end();
  });

const FROM_FAR = { Host: '192.168.7.20:4180' };
/** Every route there is: what is added to the document is tried here by itself. */
async function routes(): Promise<[string, string][]> {
  const { paths } = JSON.parse((await ask('/api/openapi.json', { Host: 'localhost' })).body) as {
    paths: Record<string, Record<string, unknown>>;
  };
  return Object.entries(paths).flatMap(([path, methods]) =>
    Object.keys(methods).map((method): [string, string] => [method.toUpperCase(), path.replace(/{\w+}/g, '1234')]),
  );
}

test.each(['localhost', 'localhost:4180', '127.0.0.1:4180', '[::1]:4180'])(
  'on the machine itself, as %s, it opens without a question',
  async (Host) => {
    expect((await ask('/api/jobs', { Host })).status).toBe(200);
  },
);

test('from anywhere else, also through something on this machine that passes it on, every route but well-being wants the key', async () => {
  const far: Record<string, string>[] = [
    FROM_FAR,
    { Host: 'tape.example' },
    { Host: 'localhost', 'X-Forwarded-For': '10.1.2.3' },
    { Host: '127.0.0.1', Via: '1.1 x' },
  ];
  for (const headers of far)
    for (const [method, path] of [...(await routes()), ['GET', '/api/nothing'] as const]) {
      const answer = await ask(path, headers, method);
      if (path === '/healthz') expect(answer.status).toBe(200);
      else {
        expect([method, path, answer.status]).toEqual([method, path, 401]);
        expect(errorSchema.parse(JSON.parse(answer.body)).error).toMatchObject({ code: 'no-entry' });
      }
    }
});

test('the link lets a browser in and goes on to the jobs; its cookie is no script’s business and is not the key', async () => {
  const answer = await ask(`/enter?key=${key.text}`, FROM_FAR);
  expect([answer.status, answer.headers.location]).toEqual([303, '/']);
  const [cookie] = answer.headers['set-cookie']!;
  expect(cookie).toMatch(/HttpOnly/);
  expect(cookie).toMatch(/SameSite=Strict/);
  expect(cookie).not.toContain(key.text);
  const Cookie = cookie!.split(';')[0]!;
  expect((await ask('/api/jobs', { ...FROM_FAR, Cookie })).status).toBe(200);
  expect((await ask('/api/jobs', { ...FROM_FAR, Cookie: `${Cookie}x` })).status).toBe(401);
});

test('another key, or one that was changed, lets nobody in; who guesses is asked to wait', async () => {
  expect((await ask('/enter?key=constructor', FROM_FAR)).status).toBe(401);
  expect((await ask('/enter', FROM_FAR)).status).toBe(400);
  const old = Key.unknown();
  expect((await ask('/api/jobs', { ...FROM_FAR, Cookie: `velvet-tape-entry=${old.token}` })).status).toBe(401);
  const tries = [];
  for (let i = 0; i < 25; i += 1) tries.push((await ask(`/enter?key=${i}`, FROM_FAR)).status);
  expect(tries.at(-1)).toBe(429);
});

test.each(['evil.example', 'evil.example:4180', 'localhost.evil.example', '127.0.0.1.evil.example', 'a b'])(
  'under the name “%s” nothing answers, not even where it comes from this machine',
  async (Host) => {
    for (const path of ['/api/jobs', '/healthz', '/enter?key=x', '/'])
      expect([400, 421]).toContain((await ask(path, { Host })).status);
  },
);

test('only its owner may read the file of the key, and it stays the same', () => {
  const path = join(folder, 'key');
  expect(statSync(path).mode & 0o077).toBe(0);
  expect(Key.inFile(path).text).toBe(key.text);
  expect(key.text.length).toBeGreaterThanOrEqual(32);
});
