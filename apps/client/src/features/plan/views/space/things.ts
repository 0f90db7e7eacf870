import {
  BufferAttribute,
  BufferGeometry,
  Color,
  DirectionalLight,
  DoubleSide,
  FrontSide,
  Group,
  HemisphereLight,
  LineBasicMaterial,
  LineSegments,
  Mesh,
  MeshLambertMaterial,
  type Plane,
} from 'three';
import type { Drawn, HouseToDraw, ThingToDraw } from '../../../../workers/raise.worker';

/** What of the house shows, and how. */
export interface Shown {
  /** A floor; null: all. */
  readonly floor: string | null;
  /** A room alone; null: all. */
  readonly room: string | null;
  readonly openSide: boolean;
  readonly seeThrough: boolean;
  /** Floors are drawn apart. */
  readonly apart: boolean;
  /** With what stands loose in the rooms. */
  readonly furnished: boolean;
  /** From inside: everything is there, ceilings too. */
  readonly inside: boolean;
}

/** Even light from all round, a little more from one side, so that walls differ; within rooms it comes back from floor and walls. */
class LightOfHouse {
  readonly root = new Group();
  private readonly sky = new HemisphereLight();
  private readonly key = new DirectionalLight('#ffffff');
  private readonly fill = new DirectionalLight('#ffffff');

  constructor() {
    this.key.position.set(-6, 7, 3);
    this.fill.position.set(3, 3, -7);
    this.root.add(this.sky, this.key, this.fill);
  }

  be(inside: boolean): void {
    this.sky.color = new Color(inside ? '#fffefb' : '#ffffff');
    this.sky.groundColor = new Color(inside ? '#f4ecdf' : '#dccdb9');
    this.sky.intensity = inside ? 2.35 : 2.1;
    this.key.intensity = inside ? 0.75 : 1.1;
    this.fill.intensity = inside ? 0.35 : 0.4;
  }
}

/** What is solid is seen from outside only; where it is cut open one looks at the back of its faces, and they are drawn as what is cut is on a plan. */
function solidMaterial(): MeshLambertMaterial {
  // a hair behind its own edges
  const material = new MeshLambertMaterial({
    vertexColors: true,
    polygonOffset: true,
    polygonOffsetFactor: 1,
    polygonOffsetUnits: 1,
  });
  material.onBeforeCompile = (shader) => {
    shader.fragmentShader = shader.fragmentShader.replace(
      '#include <dithering_fragment>',
      '#include <dithering_fragment>\n  if (!gl_FrontFacing) gl_FragColor = vec4(0.227, 0.114, 0.247, 1.0);',
    );
  };
  return material;
}

/** Between floors drawn apart, mm. */
const APART = 2500;

interface Made {
  readonly thing: ThingToDraw;
  readonly stamp: string;
  readonly group: Group;
  readonly solid: Mesh;
  readonly lines: LineSegments | null;
}

/** The house in space: one group for each thing, made anew only where its stamp is another. Metres; floors over each other. */
export class HouseInSpace {
  readonly root = new Group();
  private readonly made = new Map<string, Made>();
  private readonly drawings = new Map<string, Drawn>();
  private readonly solid = solidMaterial();
  private readonly through = new MeshLambertMaterial({
    vertexColors: true,
    transparent: true,
    opacity: 0.28,
    depthWrite: false,
    side: DoubleSide,
  });
  private readonly glass = new MeshLambertMaterial({
    vertexColors: true,
    transparent: true,
    opacity: 0.3,
    depthWrite: false,
  });
  private readonly light = new LightOfHouse();
  private readonly ink = new LineBasicMaterial({ color: '#3A1D3F', transparent: true, opacity: 0.55 });
  private readonly pale = new LineBasicMaterial({ color: '#3A1D3F', transparent: true, opacity: 0.22 });

  constructor() {
    this.root.add(this.light.root);
  }

  /** Takes on what is there now. */
  take(house: HouseToDraw): void {
    const there = new Set<string>();
    for (const floor of house.floors)
      for (const thing of floor.things) {
        const name = `${floor.floor} ${thing.key}`;
        there.add(name);
        if (thing.drawn) this.drawings.set(thing.stamp, thing.drawn);
        const drawn = this.drawings.get(thing.stamp);
        const known = this.made.get(name);
        if (known && known.stamp === thing.stamp) this.made.set(name, { ...known, thing });
        else if (drawn) {
          if (known) this.drop(name, known);
          this.put(name, thing, drawn);
        }
      }
    for (const [name, made] of this.made) if (!there.has(name)) this.drop(name, made);
  }

  private put(name: string, thing: ThingToDraw, drawn: Drawn): void {
    const geometry = new BufferGeometry();
    geometry.setAttribute('position', new BufferAttribute(drawn.positions, 3));
    geometry.setAttribute('normal', new BufferAttribute(drawn.normals, 3));
    geometry.setAttribute('color', new BufferAttribute(drawn.colours, 3));
    const solid = new Mesh(geometry, thing.part === 'glass' ? this.glass : this.solid);
    if (thing.part === 'glass') solid.renderOrder = 1;
    const group = new Group();
    group.add(solid);
    let lines: LineSegments | null = null;
    if (drawn.edges.length > 0 && thing.part !== 'glass') {
      const edges = new BufferGeometry();
      edges.setAttribute('position', new BufferAttribute(drawn.edges, 3));
      lines = new LineSegments(edges, this.ink);
      group.add(lines);
    }
    this.root.add(group);
    this.made.set(name, { thing, stamp: thing.stamp, group, solid, lines });
  }

  private drop(name: string, { group, solid, lines }: Made): void {
    this.root.remove(group);
    solid.geometry.dispose();
    lines?.geometry.dispose();
    this.made.delete(name);
  }

  /** Shows what is to show, seen from a place of the sheet; metres. What lies towards who looks is lifted away. */
  show(house: HouseToDraw, shown: Shown, eye: { readonly x: number; readonly y: number; readonly z: number }): void {
    this.light.be(shown.inside);
    house.floors.forEach((floor, i) => {
      const on = shown.floor === null || shown.floor === floor.floor;
      const lift = shown.apart && shown.floor === null ? (i * APART) / 1000 : 0;
      const up = floor.elevation / 1000 + lift;
      const covered = shown.floor === null && !shown.apart && i + 1 < house.floors.length;
      for (const { key } of floor.things) {
        const made = this.made.get(`${floor.floor} ${key}`);
        if (!made) continue;
        const { thing, group, solid, lines } = made;
        group.position.y = up;
        const near = shown.openSide && !shown.inside && isNear(thing, shown, eye);
        const lid = thing.part === 'ceilings' && !shown.inside && shown.openSide && !(covered && !near);
        group.visible = on && isOf(thing, shown) && !lid && (shown.furnished || !thing.loose);
        // of what is lifted away its edges stay
        solid.visible = !near;
        if (lines) {
          lines.visible = !near || thing.part === 'walls';
          lines.material = near || shown.seeThrough ? this.pale : this.ink;
        }
        if (thing.part === 'walls') solid.material = shown.seeThrough ? this.through : this.solid;
      }
    });
  }

  /** Everything over a height is cut away; null: nothing. */
  cut(plane: Plane | null): void {
    for (const material of [this.solid, this.through, this.glass, this.ink, this.pale]) {
      material.clippingPlanes = plane ? [plane] : null;
      material.needsUpdate = true;
    }
    this.solid.side = plane ? DoubleSide : FrontSide;
  }

  dispose(): void {
    for (const [name, made] of this.made) this.drop(name, made);
    for (const material of [this.solid, this.through, this.glass, this.ink, this.pale]) material.dispose();
  }
}

/** Does it belong to the room that is looked at alone? */
const isOf = ({ rooms }: ThingToDraw, { room, inside }: Shown): boolean =>
  inside || room === null || rooms.includes(room);

/** Does a wall, or what stands in it, lie between who looks and what is behind it? */
function isNear({ wall }: ThingToDraw, { room }: Shown, eye: { readonly x: number; readonly z: number }): boolean {
  if (!wall) return false;
  const has = (id: string | null) => id !== null && (room === null || id === room);
  const [left, right] = [has(wall.leftRoom), has(wall.rightRoom)];
  // between two rooms that are both looked at it stays
  if (left === right) return false;
  const off = (eye.x * 1000 - wall.at.x) * wall.right.x + (eye.z * 1000 - wall.at.y) * wall.right.y;
  return left ? off > 0 : off < 0;
}
