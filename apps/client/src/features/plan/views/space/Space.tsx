import { Canvas, useFrame, useThree } from '@react-three/fiber';
import { useEffect, useMemo, useRef } from 'react';
import { type Camera, MathUtils, type PerspectiveCamera, Plane, Vector3 } from 'three';
import { OrbitControls } from 'three/addons/controls/OrbitControls.js';
import type { HouseToDraw } from '../../../../workers/raise.worker';
import type { Gait, Pose } from '../gait';
import type { Standing } from '../walking';
import { EyeRig, turnedByDrag } from './eye-rig';
import type { Lens } from './lens';
import type { Studio } from './studio';
import { HouseInSpace, type Shown } from './things';
import { useTap } from './use-tap';

interface From {
  readonly eye: number;
  readonly lens: Lens;
}

interface Props {
  readonly house: HouseToDraw;
  readonly shown: Shown;
  /** Cut at so much over the floor that is shown, or the lowest, mm; null: not at all. */
  readonly cut: number | null;
  /** Standing somewhere and looking out of eyes so high, through a lens; null: from outside. */
  readonly from: From | null;
  readonly gait: Gait;
  /** Where one has come to. */
  moved(at: Standing, heading: number): void;
  readonly background: string;
  readonly studio: Studio;
  /** The surface that is chosen, and what a tap on one does; null: nothing. */
  readonly chosen: string | null;
  readonly tapped: ((surface: string) => void) | null;
}

/** The house in space. */
export function Space({ house, shown, cut, from, gait, moved, background, studio, chosen, tapped }: Props) {
  return (
    <Canvas
      frameloop="demand"
      flat
      shadows={shown.sun !== null ? 'percentage' : false}
      dpr={[1, 2]}
      camera={{ fov: FROM_OUTSIDE, near: 0.05, far: 300 }}
      gl={{ antialias: true, localClippingEnabled: true } as object}
      onCreated={({ gl }) => {
        gl.localClippingEnabled = true;
      }}
    >
      <color attach="background" args={[background]} />
      <House house={house} shown={shown} cut={cut} studio={studio} chosen={chosen} tapped={tapped} />
      {from ? (
        <Inside house={house} from={from} gait={gait} moved={moved} />
      ) : (
        <Around house={house} shown={shown} gait={gait} />
      )}
    </Canvas>
  );
}

type OfHouse = Pick<Props, 'house' | 'shown' | 'cut' | 'studio' | 'chosen' | 'tapped'>;

function House({ house, shown, cut, studio, chosen, tapped }: OfHouse) {
  const space = useMemo(() => new HouseInSpace(), []);
  const invalidate = useThree((state) => state.invalidate);
  useEffect(() => () => space.dispose(), [space]);
  useEffect(() => {
    space.take(house, invalidate);
    invalidate();
  }, [space, house, invalidate]);
  useEffect(() => {
    const floor = house.floors.find((each) => each.floor === shown.floor) ?? house.floors[0];
    const high = ((floor?.elevation ?? 0) + (cut ?? 0)) / 1000;
    space.cut(cut === null || shown.inside ? null : new Plane(new Vector3(0, -1, 0), high));
    invalidate();
  }, [space, house, cut, shown, invalidate]);
  useFrame(({ camera }) => space.show(house, shown, camera.position));
  useTap(space, tapped);
  useEffect(() => {
    space.mark(chosen);
    invalidate();
  }, [space, house, chosen, invalidate]);
  return (
    <>
      <primitive object={space.root} />
      <ForPictures house={house} studio={studio} space={space} />
    </>
  );
}

/** Which walls are near is told by where the eyes are in this very frame. */
const BEFORE_THE_HOUSE = -1;

/** What is seen up and down from outside, degrees. */
const FROM_OUTSIDE = 50;

function ofFov(camera: PerspectiveCamera, degrees: number): PerspectiveCamera {
  camera.fov = degrees;
  camera.updateProjectionMatrix();
  return camera;
}

/** Where a camera is and looks, as a place of the sheet. */
function poseOf(camera: Camera): Pose {
  const d = camera.getWorldDirection(new Vector3());
  const { x, y, z } = camera.position;
  return {
    ...{ x: 1000 * x, y: 1000 * z, z: 1000 * y },
    ...{ heading: Math.atan2(d.z, d.x), pitch: Math.asin(Math.min(1, Math.max(-1, d.y))) },
  };
}

/** What is looked at: its middle and how far it reaches, metres. */
function extentOf(house: HouseToDraw, shown: Shown): { middle: Vector3; radius: number } {
  const floors = house.walkable.floors.filter(({ floor }) => shown.floor === null || floor === shown.floor);
  const points = floors.flatMap(({ rooms, elevation }) =>
    rooms
      .filter(({ room }) => shown.room === null || room === shown.room)
      .flatMap(({ rings }) => rings.flat().map(({ x, y }) => [x, elevation, y] as const)),
  );
  if (points.length === 0) return { middle: new Vector3(), radius: 6 };
  const low = [0, 1, 2].map((k) => Math.min(...points.map((p) => p[k]!)));
  const high = [0, 1, 2].map((k) => Math.max(...points.map((p) => p[k]!)));
  const top = high[1]! + 2500 + (shown.apart && shown.floor === null ? 2500 * (floors.length - 1) : 0);
  const middle = new Vector3((low[0]! + high[0]!) / 2000, (low[1]! + top) / 2000, (low[2]! + high[2]!) / 2000);
  const radius = Math.hypot(high[0]! - low[0]!, top - low[1]!, high[2]! - low[2]!) / 2000;
  return { middle, radius: Math.max(2, radius) };
}

/** From outside: turned with a finger, pinched, pushed with two. */
function Around({ house, shown, gait }: Pick<Props, 'house' | 'shown' | 'gait'>) {
  const { camera, gl, invalidate, size } = useThree();
  const controls = useRef<OrbitControls | null>(null);
  const { floor, room, apart } = shown;
  const rooms = house.walkable.floors.map(({ rooms }) => rooms.length).join();
  useEffect(() => {
    const made = new OrbitControls(camera, gl.domElement);
    made.enableDamping = false;
    made.maxPolarAngle = Math.PI * 0.495;
    made.minDistance = 0.5;
    made.maxDistance = 150;
    made.addEventListener('change', () => invalidate());
    controls.current = made;
    return () => {
      made.dispose();
      controls.current = null;
    };
  }, [camera, gl, invalidate]);
  useEffect(() => {
    const made = controls.current;
    if (!made) return;
    const { middle, radius } = extentOf(house, shown);
    const lens = ofFov(camera as PerspectiveCamera, FROM_OUTSIDE);
    const across = 2 * Math.atan(Math.tan(MathUtils.degToRad(lens.fov) / 2) * Math.min(1, size.width / size.height));
    const away = radius / Math.sin(across / 2);
    const from = new Vector3(-0.5, 0.75, 0.75).normalize().multiplyScalar(away);
    camera.position.copy(middle).add(from);
    made.target.copy(middle);
    made.update();
    invalidate();
    // the way one looks stays while the house is changed
    // oxlint-disable-next-line react-hooks/exhaustive-deps
  }, [camera, invalidate, floor, room, apart, rooms, size.width, size.height]);
  useFrame((_, delta) => {
    const made = controls.current;
    gait.sees(poseOf(camera));
    if (!made || !gait.isMoving()) return;
    const { turn, go, nearer } = gait.now();
    const off = camera.position.clone().sub(made.target);
    off.applyAxisAngle(new Vector3(0, 1, 0), -turn * delta * 1.2);
    const side = new Vector3(off.z, 0, -off.x).normalize();
    const tilted = off.clone().applyAxisAngle(side, go * delta);
    if (tilted.y > 0.02 * tilted.length() && Math.hypot(tilted.x, tilted.z) > 0.05 * tilted.length()) off.copy(tilted);
    off.multiplyScalar(Math.exp(-nearer * delta));
    camera.position.copy(made.target).add(off);
    made.update();
    invalidate();
  }, BEFORE_THE_HOUSE);
  return null;
}

/** At eye height: a drag turns the head, a thumb or the arrow keys walk. */
function Inside({ house, from, gait, moved }: Pick<Props, 'house' | 'gait' | 'moved'> & { readonly from: From }) {
  const { camera, gl, invalidate } = useThree();
  const rig = useMemo(() => new EyeRig(gait), [gait]);
  useEffect(() => turnedByDrag(gl.domElement, gait), [gl, gait]);
  useEffect(() => gait.heard(invalidate), [gait, invalidate]);
  useEffect(() => invalidate(), [from, invalidate]);
  useFrame((_, delta) => {
    const seconds = Math.min(delta, 0.3);
    const { goesOn, walks } = rig.frame(camera as PerspectiveCamera, house.walkable, { ...from, seconds });
    if (walks) moved(gait.at, gait.heading);
    if (goesOn) invalidate();
  }, BEFORE_THE_HOUSE);
  return null;
}

/** Gives the studio what pictures are taken of. */
function ForPictures({ house, studio, space }: Pick<Props, 'house' | 'studio'> & { readonly space: HouseInSpace }) {
  const { scene, invalidate } = useThree();
  useEffect(() => {
    studio.open({ scene, space, house, again: invalidate });
    return () => studio.open(null);
  }, [studio, scene, space, house, invalidate]);
  return null;
}
