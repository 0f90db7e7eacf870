import { SCHEMA_VERSION } from '@velvet-tape/core';
import { gzipSync } from 'node:zlib';
import { randomFrom } from '../src/demo/hand-drawing';
import { planWithRoom } from './service';

export interface OddRequest {
  readonly method: string;
  readonly path: string;
  readonly headers: Record<string, string>;
  readonly body?: Buffer;
}

const WORDS = [
  'constructor',
  '__proto__',
  'hasOwnProperty',
  'toString',
  '',
  ' ',
  '%',
  '%00',
  '%E0%A4%A',
  '..%2F..%2Fetc',
  'a'.repeat(70),
  '🏠',
  '-1',
  '0',
  '1e300',
  '4294967296',
  'NaN',
  'null',
  "'; DROP TABLE jobs; --",
  '\u0000',
  '\ud83c',
];
const VALUES: unknown[] = [
  null,
  true,
  false,
  0,
  -1,
  1.5,
  1e300,
  -1e300,
  2 ** 31,
  2 ** 53,
  '',
  'x',
  '\u0000',
  '\ud83c',
  'constructor',
  '__proto__',
  [],
  {},
  [[]],
  [null],
  { id: 'x' },
  { constructor: 1 },
  'x'.repeat(3000),
];

/** Requests of many kinds: to routes that are there and to none, with plans that are sound but for a thing or two, and with anything else. */
export function* oddRequests(count: number, seed: number): Generator<OddRequest> {
  const random = randomFrom(seed);
  const any = <T>(of: readonly T[]): T => of[Math.floor(random() * of.length)]!;
  const sometimes = (share: number) => random() < share;
  const word = () => any(WORDS);
  const path = () =>
    any([
      () => '/api/jobs/fuzzed/plan',
      () => `/api/jobs/${escaped(word())}/plan`,
      () => `/api/jobs/fuzzed/plan?version=${escaped(word())}&mark=${escaped(word())}`,
      () => `/api/jobs/fuzzed/plan?version=1`,
      () => `/api/jobs/fuzzed/revisions/${escaped(word())}`,
      () => `/api/jobs/fuzzed/revisions/${escaped(word())}/name`,
      () => `/api/jobs/fuzzed/revisions/1/name`,
      () => `/api/jobs/${escaped(word())}/${any(['version', 'readable', 'revisions'])}`,
      () => `/api/jobs?limit=${escaped(word())}&after=${escaped(word())}`,
      () => `/api/pictures/${escaped(word())}`,
      () => '/api/pictures/some-picture',
      () => `/api/opening-types/${escaped(word())}`,
      () => '/api/opening-types/some-type',
      () => `/api/${escaped(word())}`,
      () => `/${escaped(word())}`,
      () => '/healthz',
    ])();
  const plan = JSON.parse(JSON.stringify(planWithRoom())) as object;
  for (let i = 0; i < count; i++) {
    const method = any(['GET', 'PUT', 'PATCH', 'DELETE', 'POST', 'HEAD', 'OPTIONS', 'PUT', 'PATCH']);
    const headers: Record<string, string> = {};
    let body: Buffer | undefined;
    if (method !== 'GET' && method !== 'HEAD') {
      const value = any([
        () => ({ version: any([0, 1, 2, ...VALUES]), plan: spoilt(plan, random, VALUES, WORDS) }),
        () => ({
          schema: SCHEMA_VERSION,
          put: { [any(['walls', 'rooms', 'corners', word()])]: { [word()]: any(VALUES) } },
          drop: {},
        }),
        () => ({ schema: any([SCHEMA_VERSION, ...VALUES]), put: any(VALUES), drop: any(VALUES), job: any(VALUES) }),
        () => any(VALUES),
        () => ({ name: any(VALUES), spec: any(VALUES) }),
      ])();
      body = Buffer.from(JSON.stringify(value) ?? '');
      if (sometimes(0.1)) body = body.subarray(0, Math.floor(random() * body.length));
      if (sometimes(0.1)) body = Buffer.concat([Buffer.alloc(7, Math.floor(random() * 256)), body]);
      headers['Content-Type'] = any([
        'application/json',
        'application/json',
        'application/json',
        'text/plain',
        'image/jpeg',
        'application/json; charset=utf-7',
        '',
      ]);
      if (sometimes(0.1)) headers['Content-Encoding'] = any(['gzip', 'br', 'deflate', 'odd']);
      if (sometimes(0.05)) [body, headers['Content-Encoding']] = [gzipSync(body), 'gzip'];
    }
    if (sometimes(0.1)) headers['Range'] = any(['bytes=0-', 'bytes=9-1', 'bytes=-', 'odd']);
    if (sometimes(0.1)) headers['If-None-Match'] = any(['*', 'W/"x"', '"']);
    if (sometimes(0.1)) headers['Accept-Encoding'] = any(['br', 'gzip;q=9', 'identity;q=0', '*;q=0']);
    yield { method, path: path(), headers, ...(body && { body }) };
  }
}

const escaped = (text: string): string =>
  text.startsWith('%') || text.startsWith('..') ? text : encodeURIComponent(text.replace(/\p{Surrogate}/gu, '?'));

/** A copy with one to three things in it replaced, renamed, taken away or put in. */
function spoilt(plan: object, random: () => number, values: readonly unknown[], words: readonly string[]): unknown {
  const copy = JSON.parse(JSON.stringify(plan)) as Record<string, unknown>;
  for (let times = 1 + Math.floor(random() * 3); times > 0; times--) {
    let at = copy;
    for (let depth = Math.floor(random() * 4); depth > 0; depth--) {
      const inner = Object.values(at).filter(
        (each): each is Record<string, unknown> => typeof each === 'object' && each !== null,
      );
      if (inner.length === 0) break;
      at = inner[Math.floor(random() * inner.length)]!;
    }
    const keys = Object.keys(at);
    const key = keys[Math.floor(random() * keys.length)] ?? 'x';
    const value = structuredClone(values[Math.floor(random() * values.length)]);
    const how = random();
    if (how < 0.5) at[key] = value;
    else if (how < 0.7) delete at[key];
    else
      Object.defineProperty(at, words[Math.floor(random() * words.length)]!, {
        value: how < 0.85 ? at[key] : value,
        enumerable: true,
        configurable: true,
        writable: true,
      });
  }
  return copy;
}
