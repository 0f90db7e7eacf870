import type { Walkable } from '@velvet-tape/core/raised';
import type { PerspectiveCamera } from 'three';
import type { Gait } from '../gait';

/** Farther than a step: one was put somewhere else, mm. */
const LEAP = 1200;

/** Eyes that follow where one walks; steps are taken softly. */
export class EyeRig {
  private high: number | null = null;

  constructor(private readonly gait: Gait) {}

  /** After so many seconds: does somebody walk, and is there more to come? */
  frame(
    camera: PerspectiveCamera,
    walkable: Walkable,
    eye: number,
    seconds: number,
  ): { goesOn: boolean; walks: boolean } {
    const { gait } = this;
    const walks = gait.step(walkable, seconds);
    const { x, y, level } = gait.at;
    const last = this.high ?? level;
    const now = Math.abs(level - last) > LEAP ? level : last + (level - last) * Math.min(1, seconds * 9);
    this.high = now;
    const up = (now + eye) / 1000;
    const flat = Math.cos(gait.pitch);
    camera.position.set(x / 1000, up, y / 1000);
    camera.lookAt(
      x / 1000 + flat * Math.cos(gait.heading),
      up + Math.sin(gait.pitch),
      y / 1000 + flat * Math.sin(gait.heading),
    );
    return { goesOn: walks || Math.abs(now - level) > 1, walks };
  }
}

/** Looks through a lens that sees so many degrees up and down; what is given back puts the one before in again. */
export function withLens(camera: PerspectiveCamera, degrees: number): () => void {
  const before = camera.fov;
  const put = (fov: number) => {
    camera.fov = fov;
    camera.updateProjectionMatrix();
  };
  put(degrees);
  return () => put(before);
}

/** A finger that is drawn over the glass turns the head. */
export function turnedByDrag(glass: HTMLElement, gait: Gait): () => void {
  const held = new Map<number, { x: number; y: number }>();
  const down = (event: PointerEvent) => {
    held.set(event.pointerId, { x: event.clientX, y: event.clientY });
    glass.setPointerCapture(event.pointerId);
  };
  const move = (event: PointerEvent) => {
    const last = held.get(event.pointerId);
    if (!last) return;
    gait.look((event.clientX - last.x) / glass.clientHeight, (event.clientY - last.y) / glass.clientHeight);
    held.set(event.pointerId, { x: event.clientX, y: event.clientY });
  };
  const up = (event: PointerEvent) => held.delete(event.pointerId);
  const heard = [
    ['pointerdown', down],
    ['pointermove', move],
    ['pointerup', up],
    ['pointercancel', up],
  ] as const;
  glass.style.touchAction = 'none';
  for (const [name, listener] of heard) glass.addEventListener(name, listener);
  return () => {
    for (const [name, listener] of heard) glass.removeEventListener(name, listener);
  };
}
