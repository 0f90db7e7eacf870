import { type KeptType, keptTypeListSchema } from '@velvet-tape/contract';
import { forgetType, keepType, listKeptTypes } from './api';
import { device } from './device';
import { Refused } from './http';

/** The types kept for later jobs, as far as this device knows them. */
export const keptTypes = async (): Promise<KeptType[]> =>
  (await device.keptTypes.toArray())
    .filter(({ forgotten }) => !forgotten)
    .map(({ id, name, spec }) => ({ id, name, spec }));

/** Keeps a type, on the device first. */
export async function keep(type: KeptType): Promise<void> {
  await device.keptTypes.put({ ...type, forgotten: false, waiting: 1 });
}

export async function forget(id: string): Promise<void> {
  await device.keptTypes.update(id, { forgotten: true, waiting: 1 });
}

/** Sends what waits, then takes in what the server has. Throws `Offline` when it can't be reached; what waits goes on waiting. */
export async function syncKeptTypes(): Promise<void> {
  for (const { id, name, spec, forgotten } of await device.keptTypes.where('waiting').equals(1).toArray()) {
    try {
      if (forgotten) await forgetType(id);
      else await keepType({ id, name, spec });
      await device.keptTypes.update(id, { waiting: 0 });
    } catch (error) {
      // one the server will never take is not tried again, and stays on this device
      if (!(error instanceof Refused)) throw error;
      await device.keptTypes.update(id, { waiting: 0 });
      return;
    }
  }
  const { types } = keptTypeListSchema.parse(await listKeptTypes());
  await device.transaction('rw', device.keptTypes, async () => {
    await device.keptTypes.where('waiting').equals(0).delete();
    const waiting = new Set(await device.keptTypes.toCollection().primaryKeys());
    await device.keptTypes.bulkAdd(
      types.filter(({ id }) => !waiting.has(id)).map((type) => ({ ...type, forgotten: false, waiting: 0 as const })),
    );
  });
}
