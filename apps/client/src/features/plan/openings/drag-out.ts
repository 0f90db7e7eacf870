import type { Point } from '@velvet-tape/core';
import type { DropSpot } from './drop-targets';

export type { DropSpot };

/** Further than this a touch is a drag, px. */
const STILL = 8;

interface DragOut<Spot> {
  touched?(): void;
  /** While it is dragged: the spot under it. */
  over(spot: Spot | null): void;
  /** It was let go of; null where it can't be, or when the system took the pointer away. */
  dropped(spot: Spot | null): void;
}

/** Listens to what is dragged out of an element, onto what it can be let go of on. Returns what stops it. */
export function listenToDragOut<Spot = DropSpot>(
  element: HTMLElement,
  spotAt: (client: Point) => Spot | null,
  on: DragOut<Spot>,
): () => void {
  const stop = new AbortController();
  const { signal } = stop;
  let from: Point | null = null;
  let moved = false;
  let dragged = false;
  element.style.touchAction = 'none';
  const at = (event: PointerEvent): Point => ({ x: event.clientX, y: event.clientY });
  const end = (spot: Spot | null) => {
    if (moved) on.dropped(spot);
    dragged = moved;
    from = null;
    moved = false;
  };
  const listen = (
    type: 'pointerdown' | 'pointermove' | 'pointerup' | 'pointercancel',
    act: (event: PointerEvent) => void,
  ) => element.addEventListener(type, act, { signal });
  listen('pointerdown', (event) => {
    from = at(event);
    dragged = false;
    on.touched?.();
    element.setPointerCapture(event.pointerId);
  });
  listen('pointermove', (event) => {
    if (!from || (!moved && Math.hypot(event.clientX - from.x, event.clientY - from.y) < STILL)) return;
    moved = true;
    on.over(spotAt(at(event)));
  });
  listen('pointerup', (event) => end(spotAt(at(event))));
  // a drag is not a press of the button it began on
  element.addEventListener('click', (event) => dragged && event.stopPropagation(), { signal, capture: true });
  listen('pointercancel', () => end(null));
  return () => stop.abort();
}
