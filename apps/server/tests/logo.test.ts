import { errorSchema, logoSchema } from '@velvet-tape/contract';
import request from 'supertest';
import { type TestService, startService } from './service';

let service: TestService;
beforeAll(async () => {
  service = await startService('logo_test');
});
afterAll(() => service.close());

const logo = async () => logoSchema.parse((await request(service.app).get('/api/logo').expect(200)).body).logo;
const put = (body: object) => request(service.app).put('/api/logo').send(body);

test('a workspace has no logo, then one, then another, then none', async () => {
  expect(await logo()).toBeNull();
  const first = { picture: 'pic-a', width: 300, height: 150 };
  await put({ logo: first }).expect(200);
  expect(await logo()).toEqual(first);
  await put({ logo: { ...first, picture: 'pic-b' } }).expect(200);
  expect((await logo())?.picture).toBe('pic-b');
  await put({ logo: null }).expect(200);
  expect(await logo()).toBeNull();
});

test.each([
  ['no width', { logo: { picture: 'pic-a', height: 3 } }],
  ['a size that is none', { logo: { picture: 'pic-a', width: 0, height: 3 } }],
  ['an id that every object knows', { logo: { picture: 'toString', width: 3, height: 3 } }],
  ['nothing', {}],
])('%s is refused in the one error shape', async (_, body) => {
  expect(errorSchema.parse((await put(body).expect(400)).body).error.code).toBe('bad-request');
  expect(await logo()).toBeNull();
});
