import type { Walkable } from '@velvet-tape/core/raised';
import { type Standing, walked } from './walking';

/** Eyes at a place of the sheet, so high over the ground floor, looking that way. mm, radians. */
export interface Pose {
  readonly x: number;
  readonly y: number;
  readonly z: number;
  readonly heading: number;
  readonly pitch: number;
}

/** What keys and a thumb ask for, each −1 to 1: to turn, to go on, to go aside, to come nearer. */
export interface Wish {
  readonly turn: number;
  readonly go: number;
  readonly side: number;
  readonly nearer: number;
}

/** Walking, mm/s, and turning, radians/s. */
const SPEED = 1700;
const TURNING = 1.6;

const NONE: Wish = { turn: 0, go: 0, side: 0, nearer: 0 };

/** Where one stands and looks, and which way one wants to go: changed many times a second, so it is no state of the interface. */
export class Gait {
  at: Standing = { x: 0, y: 0, level: 0 };
  /** Clockwise from the right of the sheet, radians. */
  heading = 0;
  /** Up is positive, radians. */
  pitch = 0;
  /** Where the eyes are now, whichever way one looks at the house: mm, radians. */
  seen: Pose = { x: 0, y: 0, z: 0, heading: 0, pitch: 0 };
  private readonly keys = new Set<string>();
  private thumb: { readonly side: number; readonly go: number } | null = null;
  private readonly listeners = new Set<() => void>();

  /** Put down somewhere, looking that way. */
  stand(at: Standing, heading: number, pitch = -0.06): void {
    this.at = at;
    this.heading = heading;
    this.pitch = pitch;
    this.tell();
  }

  /** The eyes are there now. */
  sees(pose: Pose): void {
    this.seen = pose;
  }

  /** A drag over so much of the height of the glass: the view goes with the finger. */
  look(dx: number, dy: number): void {
    this.heading -= dx * 1.6;
    this.pitch = Math.min(1.3, Math.max(-1.3, this.pitch + dy * 1.4));
    this.tell();
  }

  press(key: string): void {
    this.keys.add(key);
    this.tell();
  }
  release(key: string): void {
    this.keys.delete(key);
    this.tell();
  }
  /** Nothing is held any more. */
  rest(): void {
    this.keys.clear();
    this.thumb = null;
  }
  push(thumb: { readonly side: number; readonly go: number } | null): void {
    this.thumb = thumb;
    this.tell();
  }

  isMoving(): boolean {
    return this.thumb !== null || this.keys.size > 0;
  }

  now(): Wish {
    if (this.thumb) return { ...NONE, go: this.thumb.go, side: this.thumb.side };
    const held = (key: string) => (this.keys.has(key) ? 1 : 0);
    const aside = held('Shift');
    const across = held('ArrowRight') - held('ArrowLeft');
    return {
      turn: aside ? 0 : across,
      side: aside ? across : 0,
      go: held('ArrowUp') - held('ArrowDown'),
      nearer: held('+') - held('-'),
    };
  }

  /** Walks as is wished for, so many seconds; was there a wish? */
  step(walkable: Walkable, seconds: number): boolean {
    if (!this.isMoving()) return false;
    const { turn, go, side } = this.now();
    this.heading += turn * seconds * TURNING;
    const [cos, sin] = [Math.cos(this.heading), Math.sin(this.heading)];
    const far = seconds * SPEED;
    if (go !== 0 || side !== 0)
      this.at = walked(walkable, this.at, (go * cos - side * sin) * far, (go * sin + side * cos) * far);
    return true;
  }

  /** Told whenever something is wished for. */
  heard(listener: () => void): () => void {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  }
  private tell(): void {
    this.listeners.forEach((listener) => listener());
  }
}
