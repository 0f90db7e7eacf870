import type { Point } from '@velvet-tape/core';

export interface PointerListeners {
  down(px: Point, event: PointerEvent): void;
  move(px: Point, event: PointerEvent): void;
  up(px: Point, event: PointerEvent): void;
  /** The system took the pointer away. */
  lost(event: PointerEvent): void;
}

/** Where an event is on an element, px from its top left. */
export function pointOn(element: HTMLElement, event: MouseEvent): Point {
  const box = element.getBoundingClientRect();
  return { x: event.clientX - box.left, y: event.clientY - box.top };
}

/** Listens to fingers and mouse on an element, which then neither scrolls nor selects. Returns what stops it. */
export function listenToPointers(element: HTMLElement, on: PointerListeners): () => void {
  const stop = new AbortController();
  const { signal } = stop;
  element.style.touchAction = 'none';
  element.style.userSelect = 'none';
  element.addEventListener('pointerdown', (event) => on.down(pointOn(element, event), event), { signal });
  element.addEventListener('pointermove', (event) => on.move(pointOn(element, event), event), { signal });
  element.addEventListener('pointerup', (event) => on.up(pointOn(element, event), event), { signal });
  element.addEventListener('pointercancel', (event) => on.lost(event), { signal });
  // a tap here makes no click: one would press what comes up under the finger
  element.addEventListener('touchend', (event) => event.cancelable && event.preventDefault(), {
    signal,
    passive: false,
  });
  return () => stop.abort();
}
