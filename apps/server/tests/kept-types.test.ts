import { errorSchema, keptTypeListSchema } from '@velvet-tape/contract';
import { specOfPiece, usualSpec } from '@velvet-tape/core';
import { READY_LOOKS } from '@velvet-tape/core/finishes';
import { newPiece, pieceKindOf } from '@velvet-tape/core/pieces';
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
  expect((await list()).map(({ name, spec }) => [name, 'height' in spec && spec.height])).toEqual([
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

test('a piece is kept beside types of openings, with its price and link; without a width, or with half of another spec, it is refused', async () => {
  const name = 'Grandmother’s sofa';
  const stand = { kind: 'free', x: 0, y: 0, turn: 0 } as const;
  const piece = {
    ...newPiece(pieceKindOf('sofa-3')),
    id: 'p',
    floor: 'ground',
    stand,
    note: 'to be covered',
    price: 0,
  };
  const spec = specOfPiece(piece);
  await put('sofa-1', { name, spec: { ...spec, width: 2150 } }).expect(200);
  const kept = (await list()).find(({ id }) => id === 'sofa-1')!;
  expect(kept).toMatchObject({ name, spec: { form: 'sofa-3', width: 2150, note: 'to be covered', price: 0 } });
  await put('sofa-2', { name, spec: { ...spec, width: 0 } }).expect(400);
  await put('sofa-2', { name, spec: { form: spec.form, width: spec.width } }).expect(400);
  expect((await list()).map(({ id }) => id)).not.toContain('sofa-2');
});

test('a finish is kept beside them exactly as it is laid; of no size, of a stuff nobody knows, or half of it, it is refused', async () => {
  const look = READY_LOOKS.find(({ stuff }) => stuff === 'tiles')!;
  await put('finish-1', { name: look.name, spec: look }).expect(200);
  const kept = (await list()).find(({ id }) => id === 'finish-1')!;
  expect(kept).toEqual(expect.objectContaining({ name: look.name, spec: look }));
  for (const [id, spec] of [
    ['finish-2', { ...look, stuff: 'velvet' }],
    ['finish-3', { ...look, along: 0 }],
    ['finish-4', { ...look, colour: 'red' }],
    ['finish-5', { stuff: look.stuff, name: look.name }],
  ] as const)
    await put(id, { name: 'x', spec }).expect(400);
  expect((await list()).filter(({ id }) => id.startsWith('finish-')).map(({ id }) => id)).toEqual(['finish-1']);
});
