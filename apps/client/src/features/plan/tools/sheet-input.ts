import type { Point } from '@velvet-tape/core';

/** What the fingers on the sheet mean: one works the tool, two move and zoom the sheet. */
export interface SheetHandlers {
  down(px: Point, event: PointerLike): void;
  move(px: Point, event: PointerLike): void;
  up(px: Point, event: PointerLike): void;
  /** The mouse passes over the sheet with no button down. */
  hover(px: Point, event: PointerLike): void;
  cancel(): void;
  /** Two fingers: moved by (dx, dy) px and spread by `factor` round `px`. */
  pinch(px: Point, dx: number, dy: number, factor: number): void;
}

export interface PointerLike {
  readonly pointerId: number;
  readonly pointerType: string;
  readonly altKey: boolean;
  readonly shiftKey: boolean;
  /** Which one of a mouse: 0 the first, 2 the other. */
  readonly button: number;
}

/** Keeps track of the pointers that are down. A second finger cancels what the first was doing. */
export class SheetInput {
  private readonly down = new Map<number, Point>();
  private pinching = false;

  constructor(private readonly handlers: SheetHandlers) {}

  pressed(px: Point, event: PointerLike): void {
    this.down.set(event.pointerId, px);
    if (this.down.size === 1) this.handlers.down(px, event);
    else if (!this.pinching) {
      this.pinching = true;
      this.handlers.cancel();
    }
  }

  moved(px: Point, event: PointerLike): void {
    const last = this.down.get(event.pointerId);
    if (!last) {
      if (event.pointerType === 'mouse' && this.down.size === 0) this.handlers.hover(px, event);
      return;
    }
    if (!this.pinching) {
      this.down.set(event.pointerId, px);
      this.handlers.move(px, event);
      return;
    }
    const before = this.spread();
    this.down.set(event.pointerId, px);
    const after = this.spread();
    if (!before || !after) return;
    this.handlers.pinch(
      after.centre,
      after.centre.x - before.centre.x,
      after.centre.y - before.centre.y,
      after.width / Math.max(1, before.width),
    );
  }

  released(px: Point, event: PointerLike): void {
    if (!this.down.delete(event.pointerId)) return;
    if (!this.pinching) this.handlers.up(px, event);
    else if (this.down.size === 0) this.pinching = false;
  }

  lost(event: PointerLike): void {
    if (this.down.delete(event.pointerId) && !this.pinching) this.handlers.cancel();
    if (this.down.size === 0) this.pinching = false;
  }

  private spread(): { centre: Point; width: number } | null {
    const [a, b] = [...this.down.values()];
    if (!a || !b) return null;
    return { centre: { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 }, width: Math.hypot(a.x - b.x, a.y - b.y) };
  }
}
