import {
  type BumpShape,
  type Intent,
  type OpeningForm,
  type OpeningSpec,
  type Plan,
  type Point,
  type RoomColour,
  type StairChange,
  type Value,
  type WallFace,
  applyEdit,
  deriveFloor,
  diagonalBetween,
  kindOfForm,
  newPlan,
  parseLength,
  usualSpec,
} from '@velvet-tape/core';

/** A side of a room on the sheet; `round`: its curved wall. */
export type Side = 'top' | 'right' | 'bottom' | 'left' | 'round';
const HEADING: Record<Exclude<Side, 'round'>, [number, number]> = {
  top: [1, 0],
  right: [0, 1],
  bottom: [-1, 0],
  left: [0, -1],
};

/** A picture of a drawing on paper: mm of paper to a pixel, and 1 to how much it is drawn. */
export interface PictureOnPaper {
  readonly id: string;
  readonly width: number;
  readonly height: number;
  readonly perPixel: number;
  readonly ratio: number;
}

/** Builds the walls and rooms of a demo plan with the same edits a person makes. Lengths as a person types them. */
export class PlanBuilder {
  protected made: Plan;
  private steps = 0;
  protected floor = 'ground';

  constructor(
    job: Parameters<typeof newPlan>[0],
    protected readonly read: string,
  ) {
    this.made = newPlan(job);
  }

  get plan(): Plan {
    return this.made;
  }

  protected do(intent: Intent): string {
    this.steps += 1;
    const result = applyEdit(this.made, intent, `demo${this.steps}`);
    if (!result.ok) throw new Error(`The demo can't be built: ${result.reason}`);
    this.made = result.plan;
    return result.made ?? '';
  }

  protected mm(text: string): { value: number; unit: 'm' | 'cm' | 'mm' | 'ft' | 'in' } {
    const read = parseLength(text, this.made.job.units === 'metric' ? 'm' : 'ft');
    if (!read.ok) throw new Error(`The demo can't be built: ${text}: ${read.reason}`);
    return { value: read.mm, unit: read.unit };
  }

  /** One more floor above or below this one, which what comes next is built on. */
  addFloor(side: 'above' | 'below', name?: string): string {
    return (this.floor = this.do({ kind: 'addFloor', of: this.floor, side, ...(name !== undefined && { name }) }));
  }

  /** A picture under the floor, drawn on paper at a scale; a point of it, px, lies at a point of the sheet. */
  under(name: string, picture: PictureOnPaper, point: Point, at: Point): string {
    const { id, width, height, perPixel, ratio } = picture;
    const size = perPixel * ratio;
    const middle = { x: at.x + (width / 2 - point.x) * size, y: at.y + (height / 2 - point.y) * size };
    return this.do({
      kind: 'addUnderlay',
      floor: this.floor,
      picture: { picture: id, width, height },
      name,
      at: middle,
      paper: perPixel,
      calibration: { kind: 'printed', perPixel, ratio },
    });
  }

  lock(underlay: string): void {
    this.do({ kind: 'changeUnderlay', underlay, change: { locked: true } });
  }

  /** A room traced off an underlay along its inner faces, clockwise, its walls so thick. */
  traced(name: string, underlay: string, points: readonly Point[], thickness: number): string {
    const bodies = points.map(() => ({ left: thickness, right: 0 }));
    const room = this.do({
      kind: 'drawPath',
      floor: this.floor,
      points,
      closed: true,
      traced: { underlay, line: 'inner', bodies },
      time: this.read,
    });
    this.do({ kind: 'nameRoom', room, name });
    return room;
  }

  /** A room dragged out on the sheet, mm. */
  room(name: string, x1: number, y1: number, x2: number, y2: number): string {
    const room = this.do({ kind: 'drawBox', floor: this.floor, a: { x: x1, y: y1 }, b: { x: x2, y: y2 } });
    this.do({ kind: 'nameRoom', room, name });
    return room;
  }

  /** A room drawn corner by corner, mm. */
  outline(name: string, points: readonly Point[]): string {
    const room = this.do({ kind: 'drawPath', floor: this.floor, points, closed: true });
    this.do({ kind: 'nameRoom', room, name });
    return room;
  }

  /** A boundary without a wall; the smaller part is the new room. */
  chalk(name: string, from: Point, to: Point): string {
    const room = this.do({ kind: 'drawPath', floor: this.floor, points: [from, to], closed: false, chalk: true });
    this.do({ kind: 'nameRoom', room, name });
    return room;
  }

  /** A wall across a room; the smaller part is the new room. */
  divide(name: string, from: Point, to: Point): string {
    const room = this.do({ kind: 'drawPath', floor: this.floor, points: [from, to], closed: false });
    this.do({ kind: 'nameRoom', room, name });
    return room;
  }

  /** Stairs up from this floor, drawn as one walks up them. */
  stairs(path: readonly Point[], change: StairChange = {}): string {
    const stair = this.do({ kind: 'addStairs', floor: this.floor, form: 'stairs', path });
    this.do({ kind: 'changeStairs', stair, change });
    return stair;
  }

  /** What comes next is built on this floor. */
  goTo(floor: string): void {
    this.floor = floor;
  }

  /** A diagonal from one inside corner of a room to another, counted clockwise; a negative number counts from the last. */
  diagonal(room: string, from: number, to: number, text: string): void {
    const faces = this.facesOf(room);
    const [one, two] = [faces.at(from)!, faces.at(to)!];
    const { value, unit } = this.mm(text);
    const read = { value, text, unit, instrument: 'laser', time: this.read } as const;
    this.do({ kind: 'takeReading', floor: this.floor, place: diagonalBetween(one, two), read, stay: [one.from] });
  }

  /** The inside angle at a corner of a room, degrees, with a bevel. */
  angle(room: string, corner: number, text: string): void {
    const face = this.facesOf(room).at(corner)!;
    const place = { kind: 'angle', face: 'inside', from: face.from, to: face.halves[0]!.to, via: [] } as const;
    const read = { value: Number(text), text, unit: 'deg', instrument: 'tape', time: this.read } as const;
    this.do({ kind: 'takeReading', floor: this.floor, place, read, stay: [face.from] });
  }

  private facesOf(room: string): readonly WallFace[] {
    return deriveFloor(this.made, this.floor).rooms.find((each) => each.room.id === room)?.faces ?? [];
  }

  /** A wall bowed out of the room, as far as it was measured to. */
  bend(room: string, side: Side, sagitta: string): void {
    const face = this.face(room, side).key;
    const read = this.taped(sagitta);
    this.do({ kind: 'bendWall', floor: this.floor, face, by: 'sagitta', value: read.value, way: 'out', read });
  }

  /** How thick a wall was measured to be, at a door or a window. */
  thickness(room: string, side: Side, text: string): void {
    const face = this.face(room, side).key;
    const read = this.taped(text);
    this.do({ kind: 'setThickness', floor: this.floor, face, thickness: read.value, scope: 'wall', read });
  }

  private taped(text: string): Value {
    return { ...this.mm(text), text, instrument: 'tape', time: this.read };
  }

  bump(room: string, side: Side, shape: BumpShape, from: string, width: string, depth: string, splay = '0.30'): void {
    const mm = (text: string) => this.mm(text).value;
    this.do({
      kind: 'bump',
      floor: this.floor,
      face: this.face(room, side).key,
      shape,
      from: mm(from),
      width: mm(width),
      depth: shape === 'breast' ? -mm(depth) : mm(depth),
      splay: mm(splay),
    });
  }

  column(shape: 'round' | 'rectangle', width: string, x: number, y: number): void {
    this.do({ kind: 'addSolid', floor: this.floor, solid: 'column', shape, at: { x, y }, width: this.mm(width).value });
  }

  colour(room: string, colour: RoomColour): void {
    this.do({ kind: 'colourRoom', room, colour });
  }

  face(room: string, side: Side): WallFace {
    const faces = this.facesOf(room).filter((f) =>
      side === 'round' ? f.bulge !== 0 : f.d.x * HEADING[side][0] + f.d.y * HEADING[side][1] > 0.9,
    );
    return faces.sort((a, b) => b.length - a.length)[0]!;
  }

  tape(room: string, side: Side, text: string): void {
    const { from, to } = this.face(room, side);
    this.do({ kind: 'tapeLength', floor: this.floor, from, to, ...this.mm(text), text, moves: 'to', time: this.read });
  }

  height(room: string, text: string): void {
    const read = this.taped(text);
    this.do({ kind: 'setCeilingHeight', room, height: read.value, scope: 'room', read });
  }

  /** A gable roof over the floor, from the wall of its eaves: how high that is, and the pitch. */
  gable(room: string, side: Side, eaves: string, pitch: number): void {
    const face = this.face(room, side).key;
    this.do({
      ...{ kind: 'addRoof', floor: this.floor, form: 'gable', face, eaves: this.taped(eaves) },
      rise: { pitch },
    });
  }

  /** A height read on the slope that rises from a wall, so far from its foot. */
  heightUp(room: string, side: Side, up: string, text: string): void {
    const wall = this.face(room, side).halves[0]!.wall.id;
    const slope = Object.values(this.made.slopes).find(({ stand }) => stand.kind === 'wall' && stand.wall === wall);
    if (!slope) throw new Error('The demo can’t be built: no slope rises from that wall.');
    this.do({ kind: 'readSlope', slope: slope.id, at: { up: this.mm(up).value }, read: this.taped(text) });
  }

  /** A flat-roofed dormer at a wall, its middle so far along it from the left. */
  dormer(room: string, side: Side, along: string, sizes: { width: string; depth: string; height: string }): void {
    const { a, d } = this.face(room, side);
    const mm = this.mm(along).value;
    // a hand's breadth into the room
    const at = { x: a.x + d.x * mm - d.y * 100, y: a.y + d.y * mm + d.x * 100 };
    const { width, depth, height } = sizes;
    this.do({
      ...{ kind: 'addBreak', floor: this.floor, form: 'dormer', at },
      ...{ width: this.mm(width).value, depth: this.mm(depth).value, height: this.mm(height).value },
    });
  }

  /** What stands in a wall, so far from one end of it; sizes as a person types them. */
  opening(
    form: OpeningForm,
    room: string,
    side: Side,
    offset: string,
    sizes: { width?: string; height?: string; sill?: string } = {},
    more: { end?: 'left' | 'right'; spec?: Partial<OpeningSpec> } = {},
  ): string {
    const typed = Object.fromEntries(Object.entries(sizes).map(([name, text]) => [name, this.mm(text).value]));
    return this.do({
      kind: 'addOpening',
      floor: this.floor,
      opening: kindOfForm(form),
      spec: { ...usualSpec(form, this.made.job.units), ...more.spec },
      face: this.face(room, side).key,
      end: more.end ?? 'left',
      offset: this.mm(offset).value,
      ...typed,
    });
  }

  /** The jambs of an opening read along its wall, the tape hooked on the left corner. */
  readRunning(room: string, side: Side, opening: string, near: string, far: string): void {
    const { from, to } = this.face(room, side);
    for (const [jamb, text] of [
      ['near', near],
      ['far', far],
    ] as const)
      this.do({
        kind: 'readGap',
        floor: this.floor,
        from,
        to,
        a: 'from',
        b: { opening, jamb },
        read: this.taped(text),
      });
  }

  note(opening: string, note: string): void {
    this.do({ kind: 'changeOpening', floor: this.floor, opening, note });
  }

  flip(opening: string, what: 'hinge' | 'swing'): void {
    this.do({ kind: 'flipOpening', opening, what });
  }
}
