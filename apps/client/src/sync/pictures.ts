import { fetchPicture, sendPicture } from './api';
import { device } from './device';
import { Refused } from './http';

/** Keeps a picture, on the device first. */
export async function keepPicture(id: string, blob: Blob): Promise<void> {
  await device.pictures.put({ id, blob, waiting: 1 });
}

/** A picture: from the device, else from the server, and then kept here too. Throws `Offline` or `Refused`. */
export async function pictureOf(id: string): Promise<Blob> {
  const here = await device.pictures.get(id);
  if (here) return here.blob;
  const blob = await fetchPicture(id);
  await device.pictures.put({ id, blob, waiting: 0 });
  return blob;
}

/**
 * Sends those of these that wait. Throws `Offline` or `Broken`; what waits goes on waiting. One that the server will not have stays on the device and is
 * not sent again by itself; why is given back.
 */
export async function sendPictures(ids: readonly string[]): Promise<string | null> {
  let refused: string | null = null;
  for (const picture of await device.pictures.bulkGet([...new Set(ids)])) {
    if (!picture?.waiting) continue;
    try {
      if (picture.refused === undefined) {
        await sendPicture(picture.id, picture.blob);
        await device.pictures.update(picture.id, { waiting: 0 });
      } else refused = picture.refused;
    } catch (error) {
      if (!(error instanceof Refused)) throw error;
      refused = error.message;
      await device.pictures.update(picture.id, { refused });
    }
  }
  return refused;
}
