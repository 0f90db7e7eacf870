import { Refused, fetchPicture, sendPicture } from './api';
import { device } from './device';

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
 * Sends what waits. Throws `Offline` when the server can't be reached; what waits goes on waiting. One that the server will not have stays on the
 * device and holds nothing up; why is given back.
 */
export async function sendPictures(): Promise<string | null> {
  let refused: string | null = null;
  for (const { id, blob } of await device.pictures.where('waiting').equals(1).toArray()) {
    try {
      await sendPicture(id, blob);
      await device.pictures.update(id, { waiting: 0 });
    } catch (error) {
      if (!(error instanceof Refused)) throw error;
      refused = error.message;
    }
  }
  return refused;
}
