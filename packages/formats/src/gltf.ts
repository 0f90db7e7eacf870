import { Document, type Material, type Node, type Texture, WebIO } from '@gltf-transform/core';
import { type FinishLook, type Id, type Plan, deriveFloor } from '@velvet-tape/core';
import { linearOf, textureOf } from '@velvet-tape/core/finishes';
import { type Material as Made, type RaisedFloor, drawable, patterned, raisedHouse } from '@velvet-tape/core/raised';
import { encode } from 'fast-png';

/** A picture of one’s own that is a finish: its bytes. */
export interface OwnPicture {
  readonly bytes: Uint8Array;
  readonly type: 'image/png' | 'image/jpeg';
}

/**
 * A house as binary glTF 2.0 (ISO/IEC 12113): metres, y up, z towards the foot of the sheet. A node for each floor, at its height, in it one for each room, in that what belongs to it alone; what rooms
 * share is the floor’s. What is glass is seen through. It is dressed: patterns are textures of their true size. A picture of one’s own that is not given is its colour.
 */
export async function houseAsGltf(
  plan: Plan,
  house: readonly RaisedFloor[] = raisedHouse(plan),
  pictures: ReadonlyMap<Id, OwnPicture> = new Map(),
): Promise<Uint8Array> {
  const document = new Document();
  document.getRoot().getAsset().generator = 'Velvet Tape';
  // an empty buffer would be a fault
  const buffer = house.some(({ things }) => things.length > 0) ? document.createBuffer() : null;
  const scene = document.createScene(plan.job.name || 'House');
  document.getRoot().setDefaultScene(scene);
  const materials = new Map<string, Material>();
  const picturesOwn = new Set<Material>();
  const textureFor = (name: string, look: FinishLook): Texture | null => {
    const made = look.picture ? null : textureOf(look);
    if (made) {
      const { width, height, data } = made;
      const image = encode({ width, height, channels: 4, data: new Uint8Array(data) });
      return document
        .createTexture(name)
        .setImage(image as Uint8Array<ArrayBuffer>)
        .setMimeType('image/png');
    }
    const picture = look.picture === null ? undefined : pictures.get(look.picture);
    if (!picture) return null;
    return document
      .createTexture(name)
      .setImage(picture.bytes as Uint8Array<ArrayBuffer>)
      .setMimeType(picture.type);
  };
  const materialFor = ({ key, look, colour, roughness, metallic, opacity }: Made): Material => {
    let made = materials.get(key);
    if (!made) {
      const name = look ? look.name || look.stuff : key;
      const texture = look && textureFor(name, look);
      made = document
        .createMaterial(name)
        .setBaseColorFactor(texture ? [1, 1, 1, opacity] : [...linearOf(colour), opacity])
        .setBaseColorTexture(texture)
        .setRoughnessFactor(roughness)
        .setMetallicFactor(metallic)
        .setAlphaMode(opacity < 1 ? 'BLEND' : 'OPAQUE');
      materials.set(key, made);
      if (look?.picture) picturesOwn.add(made);
    }
    return made;
  };
  for (const { floor, name, elevation, things } of house) {
    const storey = document.createNode(name).setTranslation([0, elevation / 1000, 0]);
    scene.addChild(storey);
    const rooms = new Map<string, Node>();
    for (const { id, name: called } of Object.values(plan.rooms).filter((room) => room.floor === floor)) {
      const node = document.createNode(called || 'Unnamed room');
      rooms.set(id, node);
      storey.addChild(node);
    }
    for (const { name: called, rooms: seen, mesh } of things) {
      const drawn = drawable(mesh);
      const { positions, normals, surfaces } = drawn;
      if (surfaces.length === 0) continue;
      const { places, materials: looks } = patterned(drawn, deriveFloor(plan, floor), plan);
      const made = document.createMesh(called);
      // surfaces of one material are drawn in one go
      const byMaterial = new Map<Material, { from: number; count: number }[]>();
      for (const [k, { from, count }] of surfaces.entries()) {
        const material = materialFor(looks[k]!);
        byMaterial.set(material, [...(byMaterial.get(material) ?? []), { from, count }]);
      }
      for (const [material, stretches] of byMaterial) {
        const gathered = (from: Float32Array, wide: 2 | 3): Float32Array<ArrayBuffer> => {
          const all = new Float32Array(stretches.reduce((sum, { count }) => sum + wide * count, 0));
          let at = 0;
          for (const stretch of stretches) {
            all.set(from.subarray(wide * stretch.from, wide * (stretch.from + stretch.count)), at);
            at += wide * stretch.count;
          }
          return all;
        };
        const accessor = (values: Float32Array<ArrayBuffer>, type: 'VEC2' | 'VEC3') =>
          document.createAccessor().setType(type).setArray(values).setBuffer(buffer);
        const primitive = document
          .createPrimitive()
          .setMaterial(material)
          .setAttribute('POSITION', accessor(gathered(positions, 3), 'VEC3'))
          .setAttribute('NORMAL', accessor(gathered(normals, 3), 'VEC3'));
        if (material.getBaseColorTexture()) {
          const at = gathered(places, 2);
          // what is made begins at the foot, a picture at its head
          if (picturesOwn.has(material)) for (let i = 1; i < at.length; i += 2) at[i] = 1 - at[i]!;
          primitive.setAttribute('TEXCOORD_0', accessor(at, 'VEC2'));
        }
        made.addPrimitive(primitive);
      }
      const parent = (seen.length === 1 ? rooms.get(seen[0]!) : undefined) ?? storey;
      parent.addChild(document.createNode(called).setMesh(made));
    }
    // a room with nothing of its own is no node
    for (const node of rooms.values()) if (node.listChildren().length === 0) node.dispose();
  }
  return new WebIO().writeBinary(document);
}
