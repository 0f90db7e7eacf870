import { logoSchema } from '@velvet-tape/contract';
import type { PictureDetails } from '@velvet-tape/core';
import { fetchLogo, putLogo } from '../../sync/api';
import { recall, remember } from '../../ui/remembered';

const KEY = 'logo';
/** What the server has not been told yet. */
const WAITING = 'logo.waiting';

/** The logo new jobs of the workspace begin with: on the device at once, on the server as soon as it can be reached. */
export function keepLogo(logo: PictureDetails | null): void {
  remember(KEY, JSON.stringify({ logo }));
  remember(WAITING, 'yes');
  void tell(logo);
}

const tell = (logo: PictureDetails | null): Promise<unknown> =>
  putLogo(logo).then(
    () => remember(WAITING, ''),
    // a new job tells it again
    () => undefined,
  );

/** As the server has it; without a connection as this device knew it last. */
export async function keptLogo(): Promise<PictureDetails | null> {
  const own = logoSchema.safeParse(parsed(recall(KEY)));
  const known = own.success ? own.data.logo : null;
  if (recall(WAITING)) {
    void tell(known);
    return known;
  }
  try {
    const { logo } = logoSchema.parse(await fetchLogo());
    remember(KEY, JSON.stringify({ logo }));
    return logo;
  } catch {
    return known;
  }
}

function parsed(text: string | null): unknown {
  try {
    return JSON.parse(text ?? '');
  } catch {
    return null;
  }
}
