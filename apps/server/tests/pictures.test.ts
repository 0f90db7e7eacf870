import { LARGEST_PICTURE, LONGEST_SIDE, errorSchema, pictureSchema } from '@velvet-tape/contract';
import request from 'supertest';
import sharp from 'sharp';
import { type TestService, startService } from './service';

let service: TestService;
beforeAll(async () => {
  service = await startService('pictures_test');
});
afterAll(() => service.close());

const blank = (width: number, height: number) => sharp({ create: { width, height, channels: 3, background: '#eee' } });
const put = (id: string, bytes: Buffer, type = 'image/jpeg') =>
  request(service.app).put(`/api/pictures/${id}`).set('Content-Type', type).send(bytes);

test('a picture is kept byte for byte, once, and may be sent again', async () => {
  const bytes = await blank(64, 48).jpeg().toBuffer();
  const kept = pictureSchema.parse((await put('pic-1', bytes).expect(201)).body);
  expect(kept).toEqual({ id: 'pic-1', type: 'image/jpeg', width: 64, height: 48 });
  await put('pic-1', bytes).expect(201);
  const refused = await put('pic-1', await blank(10, 10).jpeg().toBuffer()).expect(409);
  expect(errorSchema.parse(refused.body).error).toMatchObject({ code: 'taken' });
  const got = await request(service.app).get('/api/pictures/pic-1').expect(200);
  expect(got.headers['content-type']).toBe('image/jpeg');
  expect(got.headers['cache-control']).toContain('immutable');
  expect(Buffer.compare(got.body as Buffer, bytes)).toBe(0);
});

test('where it was taken is taken out unless it is to be kept; it stays upright', async () => {
  const place = { IFD3: { GPSLatitudeRef: 'N', GPSLatitude: '51/1 30/1 0/1' }, IFD0: { Make: 'Camera' } };
  const upright = await blank(40, 30).withExif(place).jpeg().toBuffer();
  const sideways = await blank(40, 30).withExif(place).withMetadata({ orientation: 6 }).jpeg().toBuffer();
  const kept = async (id: string, bytes: Buffer, query = '') => {
    const { body } = await put(`${id}${query}`, bytes).expect(201);
    const got = (await request(service.app).get(`/api/pictures/${id}`).expect(200)).body as Buffer;
    const { exif, width, height, orientation } = await sharp(got).metadata();
    return { said: [body.width, body.height], size: [width, height], exif: exif !== undefined, orientation };
  };
  expect((await sharp(upright).metadata()).exif).toBeDefined();
  expect(await kept('gps-1', upright)).toMatchObject({ said: [40, 30], size: [40, 30], exif: false });
  expect(await kept('gps-2', sideways)).toMatchObject({ said: [30, 40], size: [30, 40], exif: false });
  expect(await kept('gps-3', upright, '?location=keep')).toMatchObject({ size: [40, 30], exif: true });
  const png = await blank(20, 20).withExif(place).png().toBuffer();
  expect(await kept('gps-4', png)).toMatchObject({ size: [20, 20], exif: false });
  const webp = await blank(20, 20).withExif(place).webp().toBuffer();
  expect(await kept('gps-5', webp)).toMatchObject({ size: [20, 20], exif: false });
});

test('it is what its bytes are, not what it is said to be', async () => {
  const kept = await put('pic-2', await blank(20, 30).png().toBuffer(), 'image/jpeg').expect(201);
  expect(kept.body).toMatchObject({ type: 'image/png', width: 20, height: 30 });
  await put('pic-3', await blank(20, 30).webp().toBuffer(), 'image/webp').expect(201);
});

test.each([
  ['text', () => Promise.resolve(Buffer.from('no picture at all')), 'not a picture'],
  ['nothing', () => Promise.resolve(Buffer.alloc(0)), 'JPEG, a PNG or a WebP|no picture'],
  [
    'half of a JPEG',
    async () => {
      const noise = Buffer.from(Array.from({ length: 300 * 300 * 3 }, (_, i) => (i * 7919) % 251));
      const whole = await sharp(noise, { raw: { width: 300, height: 300, channels: 3 } })
        .jpeg()
        .toBuffer();
      return whole.subarray(0, whole.length / 2);
    },
    'broken',
  ],
  [
    'one that is too long',
    () =>
      blank(LONGEST_SIDE + 10, 10)
        .png()
        .toBuffer(),
    'pixels along its longer side',
  ],
  ['a GIF', () => blank(10, 10).gif().toBuffer(), 'JPEG, a PNG or a WebP'],
])('%s is refused in plain words', async (_, make, words) => {
  const { error } = errorSchema.parse((await put('bad-1', await make()).expect(422)).body);
  expect(error.code).toBe('bad-picture');
  expect(error.message).toMatch(new RegExp(words));
  await request(service.app).get('/api/pictures/bad-1').expect(404);
});

test('more bytes than are kept are refused before they are read', async () => {
  const { error } = errorSchema.parse((await put('large', Buffer.alloc(LARGEST_PICTURE + 1)).expect(413)).body);
  expect(error.code).toBe('too-large');
});
