import { PerspectiveCamera, Vector3 } from 'three';
import { lookFrom, seenUpAndDown } from '../src/features/plan/views/space/lens';

const pose = { x: 2000, y: 1500, z: 1600, heading: 0.6, pitch: -0.2 };
const degrees = (radians: number) => (radians * 180) / Math.PI;

/** Where a point of the sheet, so high, is in the picture: −1 to 1 across and up. */
const seen = (camera: PerspectiveCamera, x: number, y: number, z: number) =>
  new Vector3(x / 1000, z / 1000, y / 1000).project(camera);

test('a lens of 24 mm sees 73.74° across and 53.13° up on 36 × 24 mm (exact)', () => {
  expect(seenUpAndDown(24, 1.5)).toBeCloseTo(53.13, 2);
  const across = 2 * Math.atan(1.5 * Math.tan((seenUpAndDown(24, 1.5) * Math.PI) / 360));
  expect(degrees(across)).toBeCloseTo(73.74, 2);
  // upright the longer side is up and down
  expect(seenUpAndDown(24, 2 / 3)).toBeCloseTo(73.74, 2);
});

test('what one looks at is in the middle of the picture, and the edge of the view at its edge', () => {
  const camera = new PerspectiveCamera(50, 1.5, 0.05, 300);
  lookFrom(camera, pose, { mm: 24, uprights: false });
  const ahead = (turn: number, rise: number) => {
    const [h, p] = [pose.heading + turn, pose.pitch + rise];
    const flat = 3000 * Math.cos(p);
    return seen(camera, pose.x + flat * Math.cos(h), pose.y + flat * Math.sin(h), pose.z + 3000 * Math.sin(p));
  };
  expect(ahead(0, 0).x).toBeCloseTo(0, 6);
  expect(ahead(0, 0).y).toBeCloseTo(0, 6);
  expect(ahead(0, (53.1301 * Math.PI) / 360).y).toBeCloseTo(1, 3);
  // to the right of the sheet’s clockwise is to the right of the picture
  expect(ahead(0.2, 0).x).toBeGreaterThan(0);
});

test.each([-0.3, -0.1, 0.25])(
  'with uprights kept (tilt %p) a corner of a wall is upright, and the same place is in the middle',
  (pitch) => {
    const camera = new PerspectiveCamera(50, 4 / 3, 0.05, 300);
    lookFrom(camera, { ...pose, pitch }, { mm: 20, uprights: true });
    for (const turn of [-0.5, 0.1, 0.45]) {
      const [x, y] = [pose.x + 2500 * Math.cos(pose.heading + turn), pose.y + 2500 * Math.sin(pose.heading + turn)];
      expect(seen(camera, x, y, 0).x).toBeCloseTo(seen(camera, x, y, 2400).x, 6);
    }
    const middle = seen(
      camera,
      pose.x + 3000 * Math.cos(pose.heading),
      pose.y + 3000 * Math.sin(pose.heading),
      pose.z + 3000 * Math.tan(pitch),
    );
    expect(middle.x).toBeCloseTo(0, 6);
    expect(middle.y).toBeCloseTo(0, 6);
    // without it the corner leans
    lookFrom(camera, { ...pose, pitch }, { mm: 20, uprights: false });
    const [x, y] = [pose.x + 2500 * Math.cos(pose.heading + 0.45), pose.y + 2500 * Math.sin(pose.heading + 0.45)];
    expect(Math.abs(seen(camera, x, y, 0).x - seen(camera, x, y, 2400).x)).toBeGreaterThan(0.01);
  },
);
