import type { Point, WallFace } from '@velvet-tape/core';
import { useEffect } from 'react';
import type { View } from 'react-native';

/** Where an opening would come if it were let go of here. */
export interface DropSpot {
  readonly face: WallFace;
  /** Of its middle, mm from the left end of the face. */
  readonly along: number;
}

interface Target {
  readonly element: HTMLElement;
  spotAt(px: Point): DropSpot | null;
}

const targets = new Set<Target>();

/** What is dragged out of the tray can be let go of on this element; `spotAt` says where, px from its top left. */
export function useDropTarget(host: React.RefObject<View | null>, spotAt: Target['spotAt']): void {
  useEffect(() => {
    const element = host.current as unknown as HTMLElement | null;
    if (!element) return;
    const target = { element, spotAt };
    targets.add(target);
    return () => {
      targets.delete(target);
    };
  }, [host, spotAt]);
}

/** The spot under a point of the window; null where nothing can be let go of. */
function dropSpotAt(client: Point): DropSpot | null {
  for (const { element, spotAt } of targets) {
    const box = element.getBoundingClientRect();
    const inside = client.x >= box.left && client.x <= box.right && client.y >= box.top && client.y <= box.bottom;
    if (inside) return spotAt({ x: client.x - box.left, y: client.y - box.top });
  }
  return null;
}

/** Further than this a touch is a drag, px. */
const STILL = 8;

interface DragOut {
  touched(): void;
  /** While it is dragged: the spot under it. */
  over(spot: DropSpot | null): void;
  /** It was let go of; null where it can't be, or when the system took the pointer away. */
  dropped(spot: DropSpot | null): void;
}

/** Listens to what is dragged out of an element, onto what it can be let go of on. Returns what stops it. */
export function listenToDragOut(element: HTMLElement, on: DragOut): () => void {
  const stop = new AbortController();
  const { signal } = stop;
  let from: Point | null = null;
  let moved = false;
  let dragged = false;
  element.style.touchAction = 'none';
  const at = (event: PointerEvent): Point => ({ x: event.clientX, y: event.clientY });
  const end = (spot: DropSpot | null) => {
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
    on.touched();
    element.setPointerCapture(event.pointerId);
  });
  listen('pointermove', (event) => {
    if (!from || (!moved && Math.hypot(event.clientX - from.x, event.clientY - from.y) < STILL)) return;
    moved = true;
    on.over(dropSpotAt(at(event)));
  });
  listen('pointerup', (event) => end(dropSpotAt(at(event))));
  // a drag is not a press of the button it began on
  element.addEventListener('click', (event) => dragged && event.stopPropagation(), { signal, capture: true });
  listen('pointercancel', () => end(null));
  return () => stop.abort();
}
