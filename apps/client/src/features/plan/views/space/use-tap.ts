import { useThree } from '@react-three/fiber';
import { useEffect } from 'react';
import { Raycaster, Vector2 } from 'three';
import type { HouseInSpace } from './things';

/** A finger that goes no farther than this, px, and stays no longer, ms, is a tap. */
const STILL = 8;
const SHORT = 500;

/** Tells which surface of the house is tapped; `tapped` null: nothing listens. */
export function useTap(space: HouseInSpace, tapped: ((surface: string) => void) | null): void {
  const { gl, camera } = useThree();
  useEffect(() => {
    const canvas = gl.domElement;
    if (!tapped) return undefined;
    let down: { x: number; y: number; time: number } | null = null;
    const began = (event: PointerEvent) => {
      down = event.isPrimary ? { x: event.clientX, y: event.clientY, time: event.timeStamp } : null;
    };
    const ended = (event: PointerEvent) => {
      const from = down;
      down = null;
      if (!from || !event.isPrimary) return;
      if (Math.hypot(event.clientX - from.x, event.clientY - from.y) > STILL || event.timeStamp - from.time > SHORT)
        return;
      const { left, top, width, height } = canvas.getBoundingClientRect();
      const ray = new Raycaster();
      const at = new Vector2(((event.clientX - left) / width) * 2 - 1, 1 - ((event.clientY - top) / height) * 2);
      camera.updateMatrixWorld();
      ray.setFromCamera(at, camera);
      const hit = space.hit(ray);
      if (hit) tapped(hit.surface);
    };
    const stop = new AbortController();
    const { signal } = stop;
    canvas.addEventListener('pointerdown', began, { signal });
    canvas.addEventListener('pointerup', ended, { signal });
    // it makes no click: one would press what comes up under the finger
    const still = (event: TouchEvent) => event.cancelable && event.preventDefault();
    canvas.addEventListener('touchend', still, { signal, passive: false });
    return () => stop.abort();
  }, [gl, camera, space, tapped]);
}
