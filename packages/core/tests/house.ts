import { type DerivedFloor, type Intent, type Plan, type WallFace, applyEdit, deriveFloor, newPlan } from '../src';

/** A plan under test, edited step by step as a person would. */
export class House {
  plan: Plan;
  private step: number;

  /** `after` steps of another house whose plan is taken on, so that new ids are new. */
  constructor(plan: Plan = newPlan({ name: 'Test house' }), after = 0) {
    this.plan = plan;
    this.step = after;
  }

  /** Does it, and fails the test with the reason when it is refused. */
  do(intent: Intent): string | null {
    this.step += 1;
    const result = applyEdit(this.plan, intent, `s${this.step}`);
    if (!result.ok) throw new Error(`Refused: ${result.reason}`);
    this.plan = result.plan;
    return result.made;
  }

  /** Tries it; the reason when it is refused, null when it was done. */
  tries(intent: Intent): string | null {
    this.step += 1;
    const result = applyEdit(this.plan, intent, `s${this.step}`);
    if (result.ok) this.plan = result.plan;
    return result.ok ? null : result.reason;
  }

  /** Does it; what was said about it. */
  say(intent: Intent): readonly string[] {
    this.step += 1;
    const result = applyEdit(this.plan, intent, `s${this.step}`);
    if (!result.ok) throw new Error(`Refused: ${result.reason}`);
    this.plan = result.plan;
    return result.notes;
  }

  box(x1: number, y1: number, x2: number, y2: number): string {
    return this.do({ kind: 'drawBox', floor: 'ground', a: { x: x1, y: y1 }, b: { x: x2, y: y2 } })!;
  }

  get floor(): DerivedFloor {
    return deriveFloor(this.plan, 'ground');
  }

  on(floor: string): DerivedFloor {
    return deriveFloor(this.plan, floor);
  }

  room(id: string) {
    const room = this.floor.rooms.find((r) => r.room.id === id);
    if (!room) throw new Error(`No room ${id}`);
    return room;
  }

  /** The face of a room on this side of it, on the sheet. Where there are several, the longest. */
  face(room: string, side: 'top' | 'right' | 'bottom' | 'left'): WallFace {
    const d = { top: [1, 0], right: [0, 1], bottom: [-1, 0], left: [0, -1] }[side] as [number, number];
    const faces = this.room(room).faces.filter((f) => f.d.x * d[0] + f.d.y * d[1] > 0.9);
    return faces.sort((a, b) => b.length - a.length)[0]!;
  }

  tape(face: WallFace, value: number, moves: 'from' | 'to' = 'to'): void {
    this.do(tapeIntent(face, value, moves));
  }
}

export const tapeIntent = (face: WallFace, value: number, moves: 'from' | 'to' = 'to'): Intent => ({
  kind: 'tapeLength',
  floor: 'ground',
  from: face.from,
  to: face.to,
  value,
  text: `${value} mm`,
  unit: 'mm',
  moves,
  time: '2026-05-04T10:00:00Z',
});

let applied = 0;

/** The plan with an intent done; fails the test with the reason when it is refused. */
export function apply(plan: Plan, intent: Intent): Plan {
  applied += 1;
  const result = applyEdit(plan, intent, `a${applied}`);
  if (!result.ok) throw new Error(`Refused: ${result.reason}`);
  return result.plan;
}
