import type { Walkable } from '@velvet-tape/core/raised';
import type { PerspectiveCamera } from 'three';
import type { Gait } from '../gait';
import { type Lens, lookFrom } from './lens';

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
    { eye, lens, seconds }: { readonly eye: number; readonly lens: Lens; readonly seconds: number },
  ): { goesOn: boolean; walks: boolean } {
    const { gait } = this;
    const walks = gait.step(walkable, seconds);
    const { level } = gait.at;
    const last = this.high ?? level;
    const now = Math.abs(level - last) > LEAP ? level : last + (level - last) * Math.min(1, seconds * 9);
    this.high = now;
    gait.seen = { x: gait.at.x, y: gait.at.y, z: now + eye, heading: gait.heading, pitch: gait.pitch };
    lookFrom(camera, gait.seen, lens);
    return { goesOn: walks || Math.abs(now - level) > 1, walks };
  }
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
