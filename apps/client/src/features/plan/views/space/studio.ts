import { Color, PCFShadowMap, PerspectiveCamera, type Scene, WebGLRenderer } from 'three';
import { EffectComposer } from 'three/addons/postprocessing/EffectComposer.js';
import { GTAOPass } from 'three/addons/postprocessing/GTAOPass.js';
import { OutputPass } from 'three/addons/postprocessing/OutputPass.js';
import { RenderPass } from 'three/addons/postprocessing/RenderPass.js';
import type { HouseToDraw } from '../../../../workers/raise.worker';
import type { Pose } from '../gait';
import { type Lens, lookFrom } from './lens';
import type { HouseInSpace, Shown } from './things';

/** A picture that is wanted: where from, through which lens, what shows, how large in px. */
export interface Wanted {
  readonly pose: Pose;
  readonly lens: Lens;
  readonly shown: Shown;
  readonly width: number;
  readonly height: number;
  readonly type: 'image/png' | 'image/jpeg';
  /** What is behind the house. */
  readonly background: string;
  /** Where things meet it is a little darker, as light comes from all round. */
  readonly shade: boolean;
}

interface OnScreen {
  readonly scene: Scene;
  readonly space: HouseInSpace;
  readonly house: HouseToDraw;
  /** Draws the screen once more. */
  again(): void;
}

/** Of a picture so much is drawn at a time at most, px: with what is round it, finer, it is the 2048 px that every card draws at once. */
const TILE = 960;
/** Round what is shaded so much more is drawn and thrown away: what is just beside a px shades it too, px. */
const ROUND = 32;
/** Each px is drawn as so many by so many. */
const FINER = 2;

interface Size {
  readonly wide: number;
  readonly high: number;
}

/** Takes pictures of the house as it stands on the screen, piece by piece, finer than it is drawn there. */
export class Studio {
  private set: OnScreen | null = null;

  /** This is on the screen; null: nothing is. */
  open(set: OnScreen | null): void {
    this.set = set;
  }

  /** `progress`: 0 to 1. Rejects where the browser can't draw it. */
  async take(wanted: Wanted, progress: (share: number) => void): Promise<Blob> {
    const { set } = this;
    if (!set) throw new Error('There is nothing to take a picture of.');
    const { width, height, pose, lens, shown, type } = wanted;
    await set.space.dressed;
    const background = new Color(wanted.background);
    const sheet = document.createElement('canvas');
    sheet.width = width;
    sheet.height = height;
    const onto = sheet.getContext('2d');
    if (!onto) throw new Error('There is no room for so large a picture.');
    onto.imageSmoothingQuality = 'high';
    // what is lifted away but throws a shadow would shade too
    const shaded = wanted.shade && (shown.inside || shown.sun === null);
    const renderer = new WebGLRenderer({ antialias: !shaded, preserveDrawingBuffer: true });
    try {
      renderer.localClippingEnabled = true;
      renderer.shadowMap.enabled = shown.sun !== null;
      renderer.shadowMap.type = PCFShadowMap;
      renderer.setPixelRatio(1);
      const camera = new PerspectiveCamera(50, width / height, 0.05, 300);
      const round = shaded ? ROUND : 0;
      const tile = { wide: evenly(width), high: evenly(height) };
      const drawn = { wide: tile.wide + 2 * round, high: tile.high + 2 * round };
      renderer.setSize(drawn.wide * FINER, drawn.high * FINER, false);
      const composer = shaded ? composerFor(renderer, set.scene, camera, drawn) : null;
      const tiles = tilesOf(width, height, tile);
      for (const [i, { x, y }] of tiles.entries()) {
        camera.setViewOffset(width, height, x - round, y - round, drawn.wide, drawn.high);
        camera.aspect = width / height;
        lookFrom(camera, pose, lens);
        // the screen may have drawn another view in between
        set.space.show(set.house, shown, camera.position);
        const before = set.scene.background;
        set.scene.background = background;
        if (composer) composer.render();
        else renderer.render(set.scene, camera);
        set.scene.background = before;
        // nothing moves from piece to piece: shadows stay as they fell
        renderer.shadowMap.autoUpdate = false;
        const [from, wide, high] = [round * FINER, tile.wide * FINER, tile.high * FINER];
        onto.drawImage(renderer.domElement, from, from, wide, high, x, y, tile.wide, tile.high);
        progress((i + 1) / tiles.length);
        await new Promise((next) => setTimeout(next));
      }
      composer?.dispose();
    } finally {
      renderer.dispose();
      renderer.forceContextLoss();
      set.again();
    }
    return new Promise((resolve, reject) => {
      sheet.toBlob((blob) => (blob ? resolve(blob) : reject(new Error('The picture could not be kept.'))), type, 0.92);
    });
  }
}

/** The scene, then how much of the light from all round each place sees, within an arm’s length. */
function composerFor(
  renderer: WebGLRenderer,
  scene: Scene,
  camera: PerspectiveCamera,
  { wide, high }: Size,
): EffectComposer {
  const composer = new EffectComposer(renderer);
  composer.setPixelRatio(1);
  composer.setSize(wide * FINER, high * FINER);
  composer.addPass(new RenderPass(scene, camera));
  const shade = new GTAOPass(scene, camera, wide, high);
  shade.updateGtaoMaterial({ radius: 0.35, distanceExponent: 1.5, thickness: 0.6, scale: 1.1, samples: 12 });
  shade.updatePdMaterial({ lumaPhi: 10, depthPhi: 2, normalPhi: 3, radius: 8, rings: 2, samples: 12 });
  shade.blendIntensity = 0.9;
  composer.addPass(shade);
  composer.addPass(new OutputPass());
  // coarser than the picture: it is soft
  shade.setSize(wide, high);
  return composer;
}

/** The least of equal pieces that are small enough, px: so that little is drawn past the rim. */
const evenly = (long: number): number => Math.ceil(long / Math.ceil(long / TILE));

function tilesOf(width: number, height: number, { wide, high }: Size): { x: number; y: number }[] {
  const tiles: { x: number; y: number }[] = [];
  for (let y = 0; y < height; y += high) for (let x = 0; x < width; x += wide) tiles.push({ x, y });
  return tiles;
}
