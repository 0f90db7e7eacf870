import { MathUtils, type PerspectiveCamera } from 'three';
import type { Pose } from '../gait';

/** A lens, mm as on a film of 36 × 24 mm, and whether uprights stay upright. */
export interface Lens {
  readonly mm: number;
  readonly uprights: boolean;
}

/** Half of the longer side of that film, mm. */
const HALF = 18;

/** How much a lens sees up and down, degrees, in a picture so many times as broad as high: along its longer side it sees 2 atan (18 / mm). */
export function seenUpAndDown(mm: number, aspect: number): number {
  const along = HALF / mm;
  return MathUtils.radToDeg(2 * Math.atan(aspect >= 1 ? along / aspect : along));
}

/** Puts a camera where somebody looks. With its uprights kept it looks level, and the picture is shifted up or down instead, as with a shift lens. */
export function lookFrom(camera: PerspectiveCamera, { x, y, z, heading, pitch }: Pose, { mm, uprights }: Lens): void {
  const up = uprights ? 0 : pitch;
  const flat = Math.cos(up);
  camera.position.set(x / 1000, z / 1000, y / 1000);
  camera.lookAt(x / 1000 + flat * Math.cos(heading), z / 1000 + Math.sin(up), y / 1000 + flat * Math.sin(heading));
  camera.fov = seenUpAndDown(mm, camera.aspect);
  camera.updateProjectionMatrix();
  if (uprights) shiftedBy(camera, Math.tan(Math.min(1.2, Math.max(-1.2, pitch))));
  camera.updateMatrixWorld();
}

function shiftedBy(camera: PerspectiveCamera, tangent: number): void {
  const { elements } = camera.projectionMatrix;
  elements[9] = elements[9]! + elements[5]! * tangent;
  camera.projectionMatrixInverse.copy(camera.projectionMatrix).invert();
}
