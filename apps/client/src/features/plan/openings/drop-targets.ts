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
export function dropSpotAt(client: Point): DropSpot | null {
  for (const { element, spotAt } of targets) {
    const box = element.getBoundingClientRect();
    const inside = client.x >= box.left && client.x <= box.right && client.y >= box.top && client.y <= box.bottom;
    if (inside) return spotAt({ x: client.x - box.left, y: client.y - box.top });
  }
  return null;
}

let sheet: { readonly element: HTMLElement; pointAt(px: Point): PointOnSheet } | null = null;

/** A point of the house under a finger, and how far that may miss, mm. */
export interface PointOnSheet {
  readonly at: Point;
  readonly reach: number;
}

/** The sheet itself, for what can be let go of anywhere on it. Returns what takes it away. */
export function sheetIs(element: HTMLElement, pointAt: (px: Point) => PointOnSheet): () => void {
  const own = { element, pointAt };
  sheet = own;
  return () => {
    if (sheet === own) sheet = null;
  };
}

/** The point of the house under a point of the window; null beside the sheet. */
export function pointOnSheet(client: Point): PointOnSheet | null {
  if (!sheet) return null;
  const box = sheet.element.getBoundingClientRect();
  const inside = client.x >= box.left && client.x <= box.right && client.y >= box.top && client.y <= box.bottom;
  return inside ? sheet.pointAt({ x: client.x - box.left, y: client.y - box.top }) : null;
}
