import { Color, PCFSoftShadowMap, PerspectiveCamera, type Scene, WebGLRenderer } from 'three';
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
}

interface OnScreen {
  readonly scene: Scene;
  readonly space: HouseInSpace;
  readonly house: HouseToDraw;
  /** Draws the screen once more. */
  again(): void;
}

/** Of a picture so much is drawn at a time, px: a long side of 3840 is more than some cards draw at once. */
const TILE = 512;
/** Each px is drawn as so many by so many. */
const FINER = 2;

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
    const background = new Color(wanted.background);
    const sheet = document.createElement('canvas');
    sheet.width = width;
    sheet.height = height;
    const onto = sheet.getContext('2d');
    if (!onto) throw new Error('There is no room for so large a picture.');
    onto.imageSmoothingQuality = 'high';
    const renderer = new WebGLRenderer({ antialias: true, preserveDrawingBuffer: true });
    try {
      renderer.localClippingEnabled = true;
      renderer.shadowMap.enabled = shown.sun !== null;
      renderer.shadowMap.type = PCFSoftShadowMap;
      renderer.setPixelRatio(1);
      renderer.setSize(TILE * FINER, TILE * FINER, false);
      const camera = new PerspectiveCamera(50, width / height, 0.05, 300);
      const tiles = tilesOf(width, height);
      for (const [i, { x, y }] of tiles.entries()) {
        camera.setViewOffset(width, height, x, y, TILE, TILE);
        camera.aspect = width / height;
        lookFrom(camera, pose, lens);
        // the screen may have drawn another view in between
        set.space.show(set.house, shown, camera.position);
        const before = set.scene.background;
        set.scene.background = background;
        renderer.render(set.scene, camera);
        set.scene.background = before;
        onto.drawImage(renderer.domElement, 0, 0, TILE * FINER, TILE * FINER, x, y, TILE, TILE);
        progress((i + 1) / tiles.length);
        await new Promise((next) => setTimeout(next));
      }
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

function tilesOf(width: number, height: number): { x: number; y: number }[] {
  const tiles: { x: number; y: number }[] = [];
  for (let y = 0; y < height; y += TILE) for (let x = 0; x < width; x += TILE) tiles.push({ x, y });
  return tiles;
}
