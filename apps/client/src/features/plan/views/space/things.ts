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
  MeshBasicMaterial,
  MeshLambertMaterial,
  type Material,
  type Plane,
  type Raycaster,
} from 'three';
import type { Towards } from '@velvet-tape/core/sun';
import type { Drawn, HouseToDraw, Pattern, ThingToDraw } from '../../../../workers/raise.worker';
import { drawingOf, patternOf, patternsLaid } from '../raising';
import { madeTexture, pictureTexture } from './patterns';
import { rimOf } from './rim';

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
  /** The way to the sun; null: in even light. */
  readonly sun: Towards | null;
  /** From inside: everything is there, ceilings too. */
  readonly inside: boolean;
}

/** A ball the house is in, metres. */
interface Reach {
  readonly x: number;
  readonly y: number;
  readonly z: number;
  readonly radius: number;
}

function reachOf({ walkable }: HouseToDraw): Reach {
  const points = walkable.floors.flatMap(({ rooms }) => rooms.flatMap(({ rings }) => rings.flat()));
  if (points.length === 0) return { x: 0, y: 0, z: 0, radius: 10 };
  const [xs, zs] = [points.map(({ x }) => x / 1000), points.map(({ y }) => y / 1000)];
  const ups = walkable.floors.map(({ elevation }) => elevation / 1000);
  const [minX, maxX, minZ, maxZ] = [Math.min(...xs), Math.max(...xs), Math.min(...zs), Math.max(...zs)];
  const [low, high] = [Math.min(...ups), Math.max(...ups) + 3];
  const radius = Math.hypot(maxX - minX, maxZ - minZ, high - low) / 2 + 1;
  return { x: (minX + maxX) / 2, y: (low + high) / 2, z: (minZ + maxZ) / 2, radius };
}

/** Even light from all round, a little more from one side, so that walls differ; within rooms it comes back from floor and walls. Or the sun, with its shadows, and the sky. */
class LightOfHouse {
  readonly root = new Group();
  private readonly sky = new HemisphereLight();
  private readonly key = new DirectionalLight('#ffffff');
  private readonly fill = new DirectionalLight('#ffffff');
  private readonly sun = new DirectionalLight('#fff2dc');

  constructor() {
    this.key.position.set(-6, 7, 3);
    this.fill.position.set(3, 3, -7);
    this.sun.shadow.mapSize.set(2048, 2048);
    this.sun.shadow.bias = -0.0004;
    this.sun.shadow.normalBias = 0.02;
    this.root.add(this.sky, this.key, this.fill, this.sun, this.sun.target);
  }

  be({ inside, sun }: Pick<Shown, 'inside' | 'sun'>, reach: Reach): void {
    const up = sun ? sun.up : 0;
    // in the dusk the sky still gives light
    const day = sun ? Math.min(1, Math.max(0, (up + 0.1) / 0.3)) : 1;
    this.sky.color = new Color(sun ? (up > 0 ? '#eaf2ff' : '#8f9bc0') : inside ? '#fffefb' : '#ffffff');
    this.sky.groundColor = new Color(inside ? '#f4ecdf' : '#dccdb9');
    const even = inside ? 2.35 : 2.1;
    this.sky.intensity = sun ? 0.5 + (inside ? 1.55 : 1.25) * day : even;
    this.key.intensity = sun ? 0.25 * day : inside ? 0.75 : 1.1;
    this.fill.intensity = sun ? 0.15 * day : inside ? 0.35 : 0.4;
    this.sun.visible = sun !== null && up > 0;
    this.sun.castShadow = this.sun.visible;
    if (!sun || up <= 0) return;
    this.sun.intensity = 2.4 * Math.min(1, 0.3 + 2 * up);
    const { x, y, z, radius } = reach;
    this.sun.target.position.set(x, y, z);
    this.sun.position.set(x + sun.x * 2 * radius, y + sun.up * 2 * radius, z + sun.y * 2 * radius);
    const { camera } = this.sun.shadow;
    if (camera.right !== radius) {
      Object.assign(camera, {
        left: -radius,
        right: radius,
        top: radius,
        bottom: -radius,
        near: radius / 2,
        far: 4 * radius,
      });
      camera.updateProjectionMatrix();
    }
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

/** What is chosen of it, from outside. */
export type How = Omit<Shown, 'inside' | 'sun'>;

/** Patterns that come within so long are drawn at once, ms. */
const AT_ONCE = 700;

/** Between floors drawn apart, mm. */
const APART = 2500;

interface Made {
  readonly thing: ThingToDraw;
  readonly stamp: string;
  readonly group: Group;
  readonly solid: Mesh;
  /** As it is made: one for what is of one colour, others for patterns. */
  readonly materials: Material | Material[];
  readonly lines: LineSegments | null;
}

/** The house in space: one group for each thing, made anew only where its stamp is another. Metres; floors over each other. */
export class HouseInSpace {
  readonly root = new Group();
  private readonly made = new Map<string, Made>();
  private reach: Reach = { x: 0, y: 0, z: 0, radius: 10 };
  private readonly solid = solidMaterial();
  private readonly patterns = new Map<string, MeshLambertMaterial>();
  private plane: Plane | null = null;
  /** Patterns that are not there yet, and when the house was drawn with some that had come, ms. */
  private toCome = 0;
  private drawnAt = 0;
  /** Everything that lies on the house is there. */
  dressed: Promise<void> = Promise.resolve();
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
  /** Not seen, but it throws a shadow. */
  private readonly unseen = new MeshBasicMaterial({ colorWrite: false, depthWrite: false });
  private readonly light = new LightOfHouse();
  private readonly ink = new LineBasicMaterial({ color: '#3A1D3F', transparent: true, opacity: 0.55 });
  private readonly brass = new LineBasicMaterial({ color: '#B9852B', depthTest: false, transparent: true });
  private readonly marked = new LineSegments(new BufferGeometry(), this.brass);
  private readonly pale = new LineBasicMaterial({ color: '#3A1D3F', transparent: true, opacity: 0.22 });

  constructor() {
    this.root.add(this.light.root);
  }

  /** Takes on what is there now. */
  take(house: HouseToDraw, again: () => void): void {
    for (const pattern of patternsLaid()) if (!this.patterns.has(pattern.key)) this.lay(pattern, again);
    const there = new Set<string>();
    for (const floor of house.floors)
      for (const thing of floor.things) {
        const name = `${floor.floor} ${thing.key}`;
        there.add(name);
        const drawn = drawingOf(thing.stamp);
        const known = this.made.get(name);
        if (known && known.stamp === thing.stamp) this.made.set(name, { ...known, thing });
        else if (drawn) {
          if (known) this.drop(name, known);
          this.put(name, thing, drawn);
        }
      }
    for (const [name, made] of this.made) if (!there.has(name)) this.drop(name, made);
    this.reach = reachOf(house);
  }

  /** A pattern comes to be there: first what it is on the whole, then as it is made, one after the other. Several that come soon after each other are drawn at once. */
  private lay({ key, colour, picture }: Pattern, again: () => void): void {
    const material = solidMaterial();
    material.color.set(colour);
    this.cutOne(material, this.plane);
    this.patterns.set(key, material);
    this.toCome += 1;
    this.dressed = this.dressed.then(async () => {
      const map = await (picture === null ? patternOf(key).then(madeTexture) : pictureTexture(picture)).catch(
        () => null,
      );
      this.toCome -= 1;
      if (map) {
        material.map = map;
        material.color.set('#ffffff');
        material.needsUpdate = true;
      }
      if (this.toCome > 0 && performance.now() < this.drawnAt + AT_ONCE) return;
      this.drawnAt = performance.now();
      again();
    });
  }

  private put(name: string, thing: ThingToDraw, drawn: Drawn): void {
    const geometry = new BufferGeometry();
    geometry.setAttribute('position', new BufferAttribute(drawn.positions, 3));
    geometry.setAttribute('normal', new BufferAttribute(drawn.normals, 3));
    geometry.setAttribute('color', new BufferAttribute(drawn.colours, 3));
    const patterned = drawn.surfaces.some(({ pattern }) => pattern !== null);
    let materials: Material | Material[] = thing.part === 'glass' ? this.glass : this.solid;
    if (patterned) {
      geometry.setAttribute('uv', new BufferAttribute(drawn.places, 2));
      const all = [...new Set(drawn.surfaces.map(({ pattern }) => pattern))];
      materials = all.map((key) => (key === null ? this.solid : (this.patterns.get(key) ?? this.solid)));
      for (const { from, count, pattern } of drawn.surfaces) geometry.addGroup(from, count, all.indexOf(pattern));
    }
    const solid = new Mesh(geometry, materials);
    if (thing.part === 'glass') solid.renderOrder = 1;
    // glass lets the sun in
    solid.castShadow = thing.part !== 'glass';
    solid.receiveShadow = true;
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
    this.made.set(name, { thing, stamp: thing.stamp, group, solid, materials, lines });
  }

  private drop(name: string, { group, solid, lines }: Made): void {
    this.root.remove(group);
    solid.geometry.dispose();
    lines?.geometry.dispose();
    this.made.delete(name);
  }

  /** Shows what is to show, seen from a place of the sheet; metres. What lies towards who looks is lifted away. */
  show(house: HouseToDraw, shown: Shown, eye: { readonly x: number; readonly y: number; readonly z: number }): void {
    this.light.be(shown, this.reach);
    house.floors.forEach((floor, i) => {
      const on = shown.floor === null || shown.floor === floor.floor;
      const lift = shown.apart && shown.floor === null ? (i * APART) / 1000 : 0;
      const up = floor.elevation / 1000 + lift;
      const covered = shown.floor === null && shown.room === null && !shown.apart && i + 1 < house.floors.length;
      for (const { key } of floor.things) {
        const made = this.made.get(`${floor.floor} ${key}`);
        if (!made) continue;
        const { thing, group, solid, materials, lines } = made;
        group.position.y = up;
        const near = shown.openSide && !shown.inside && isNear(thing, shown, eye);
        const lid =
          (thing.part === 'ceilings' || thing.part === 'cornices') &&
          !shown.inside &&
          shown.openSide &&
          !(covered && !near);
        const seen = isOf(thing, shown) && !lid;
        // in the sun what is lifted away still stands in its way
        group.visible = on && (seen || shown.sun !== null) && (shown.furnished || !thing.loose);
        // of what is lifted away its edges stay
        solid.visible = shown.sun !== null || !near;
        if (lines) {
          lines.visible = seen && (!near || thing.part === 'walls');
          lines.material = near || shown.seeThrough ? this.pale : this.ink;
        }
        solid.material = this.materialOf(thing, shown, seen && !near) ?? materials;
      }
    });
  }

  private materialOf({ part }: ThingToDraw, { seeThrough }: Shown, seen: boolean) {
    if (!seen) return this.unseen;
    return part === 'walls' && seeThrough ? this.through : null;
  }

  /** Everything over a height is cut away; null: nothing. */
  cut(plane: Plane | null): void {
    this.plane = plane;
    for (const material of [this.through, this.glass, this.ink, this.pale]) clipped(material, plane);
    for (const material of [this.solid, ...this.patterns.values()]) this.cutOne(material, plane);
  }

  private cutOne(material: MeshLambertMaterial, plane: Plane | null): void {
    clipped(material, plane);
    material.side = plane ? DoubleSide : FrontSide;
  }

  /** The surface a ray meets first, and of which thing; null: none. */
  hit(ray: Raycaster): { readonly surface: string; readonly thing: ThingToDraw } | null {
    let best: { surface: string; thing: ThingToDraw; away: number } | null = null;
    for (const { thing, group, solid } of this.made.values()) {
      if (!group.visible || !solid.visible || solid.material === this.unseen || solid.material === this.glass) continue;
      for (const { distance, faceIndex, point } of ray.intersectObject(solid, false)) {
        if (this.plane && this.plane.distanceToPoint(point) < 0) continue;
        if (faceIndex === null || faceIndex === undefined || (best && best.away <= distance)) continue;
        const surfaces = drawingOf(thing.stamp)?.surfaces ?? [];
        const on = surfaces.find(({ from, count }) => 3 * faceIndex >= from && 3 * faceIndex < from + count);
        if (on) best = { surface: on.surface, thing, away: distance };
      }
    }
    return best;
  }

  /** Draws a line round a surface that is chosen; null: round none. */
  mark(surface: string | null): void {
    this.root.remove(this.marked);
    this.marked.geometry.dispose();
    if (surface === null) return;
    const ends: number[] = [];
    for (const { thing, group } of this.made.values()) {
      const drawn = drawingOf(thing.stamp);
      for (const { from, count } of drawn?.surfaces.filter((each) => each.surface === surface) ?? [])
        for (const end of rimOf(drawn!.positions, from, count)) ends.push(end.x, end.y + group.position.y, end.z);
    }
    const geometry = new BufferGeometry();
    geometry.setAttribute('position', new BufferAttribute(new Float32Array(ends), 3));
    this.marked.geometry = geometry;
    this.root.add(this.marked);
  }

  dispose(): void {
    for (const [name, made] of this.made) this.drop(name, made);
    for (const material of this.patterns.values()) {
      material.map?.dispose();
      material.dispose();
    }
    this.mark(null);
    for (const material of [this.solid, this.through, this.glass, this.ink, this.pale, this.unseen]) material.dispose();
    this.brass.dispose();
  }
}

function clipped(material: Material, plane: Plane | null): void {
  material.clippingPlanes = plane ? [plane] : null;
  material.needsUpdate = true;
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
