import { errorSchema, keptTypeListSchema } from '@velvet-tape/contract';
import { usualSpec } from '@velvet-tape/core';
import request from 'supertest';
import { type TestService, startService } from './service';

let service: TestService;
beforeAll(async () => {
  service = await startService('kept_types_test');
});
afterAll(() => service.close());

const list = async () =>
  keptTypeListSchema.parse((await request(service.app).get('/api/opening-types').expect(200)).body).types;
const put = (id: string, body: unknown) =>
  request(service.app)
    .put(`/api/opening-types/${id}`)
    .send(body as object);

test('a type is kept, kept anew under its id, listed and forgotten; forgetting twice is no fault', async () => {
  const spec = usualSpec('sash window', 'metric');
  await put('sash-1', { name: 'Sash', spec }).expect(200);
  await put('door-1', { name: '', spec: usualSpec('door', 'imperial') }).expect(200);
  await put('sash-1', { name: 'Tall sash', spec: { ...spec, height: 1800 } }).expect(200);
  expect((await list()).map(({ name, spec: { height } }) => [name, height])).toEqual([
    ['Tall sash', 1800],
    ['', 2032],
  ]);
  await request(service.app).delete('/api/opening-types/sash-1').expect(200);
  await request(service.app).delete('/api/opening-types/sash-1').expect(200);
  expect((await list()).map(({ id }) => id)).toEqual(['door-1']);
});

test.each([
  ['a form nobody knows', 'bad-1', { name: 'x', spec: { ...usualSpec('door', 'metric'), form: 'trapdoor' } }],
  ['no width', 'bad-2', { name: 'x', spec: { ...usualSpec('door', 'metric'), width: 0 } }],
  ['no spec', 'bad-3', { name: 'x' }],
  ['an id that is none', 'a', { name: 'x', spec: usualSpec('door', 'metric') }],
])('%s is refused in the one error shape', async (_, id, body) => {
  const { error } = errorSchema.parse((await put(id, body).expect(400)).body);
  expect(error.code).toBe('bad-request');
  expect((await list()).map((type) => type.id)).not.toContain(id);
});

test('the OpenAPI document has it', async () => {
  const { paths } = (await request(service.app).get('/api/openapi.json')).body as { paths: Record<string, object> };
  expect(Object.keys(paths['/api/opening-types/{id}']!).sort()).toEqual(['delete', 'put']);
});
