import { Document, type Material, type Node, WebIO } from '@gltf-transform/core';
import type { Plan } from '@velvet-tape/core';
import { linearOf } from '@velvet-tape/core/finishes';
import { type RaisedFloor, drawable, materialOf, raisedHouse } from '@velvet-tape/core/raised';

/**
 * A house as binary glTF 2.0 (ISO/IEC 12113): metres, y up, z towards the foot of the sheet. A node for each floor, at its height, in it one for each room, in that what belongs to it alone; what rooms
 * share is the floor’s. What is glass is seen through.
 */
export async function houseAsGltf(plan: Plan, house: readonly RaisedFloor[] = raisedHouse(plan)): Promise<Uint8Array> {
  const document = new Document();
  document.getRoot().getAsset().generator = 'Velvet Tape';
  // an empty buffer would be a fault
  const buffer = house.some(({ things }) => things.length > 0) ? document.createBuffer() : null;
  const scene = document.createScene(plan.job.name || 'House');
  document.getRoot().setDefaultScene(scene);
  const materials = new Map<string, Material>();
  const materialFor = (surface: string): Material => {
    const { key, colour, roughness, metallic, opacity } = materialOf(surface, plan);
    let made = materials.get(key);
    if (!made) {
      made = document
        .createMaterial(key)
        .setBaseColorFactor([...linearOf(colour), opacity])
        .setRoughnessFactor(roughness)
        .setMetallicFactor(metallic)
        .setAlphaMode(opacity < 1 ? 'BLEND' : 'OPAQUE');
      materials.set(key, made);
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
      const { positions, normals, surfaces } = drawable(mesh);
      if (surfaces.length === 0) continue;
      const made = document.createMesh(called);
      // surfaces of one material are drawn in one go
      const byMaterial = new Map<Material, { from: number; count: number }[]>();
      for (const { surface, from, count } of surfaces) {
        const material = materialFor(surface);
        byMaterial.set(material, [...(byMaterial.get(material) ?? []), { from, count }]);
      }
      for (const [material, stretches] of byMaterial) {
        const gathered = (from: Float32Array): Float32Array<ArrayBuffer> => {
          const all = new Float32Array(stretches.reduce((sum, { count }) => sum + 3 * count, 0));
          let at = 0;
          for (const stretch of stretches) {
            all.set(from.subarray(3 * stretch.from, 3 * (stretch.from + stretch.count)), at);
            at += 3 * stretch.count;
          }
          return all;
        };
        const accessor = (values: Float32Array<ArrayBuffer>) =>
          document.createAccessor().setType('VEC3').setArray(values).setBuffer(buffer);
        made.addPrimitive(
          document
            .createPrimitive()
            .setMaterial(material)
            .setAttribute('POSITION', accessor(gathered(positions)))
            .setAttribute('NORMAL', accessor(gathered(normals))),
        );
      }
      const parent = (seen.length === 1 ? rooms.get(seen[0]!) : undefined) ?? storey;
      parent.addChild(document.createNode(called).setMesh(made));
    }
    // a room with nothing of its own is no node
    for (const node of rooms.values()) if (node.listChildren().length === 0) node.dispose();
  }
  return new WebIO().writeBinary(document);
}
