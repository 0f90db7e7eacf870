/** What pictures are brought in from. */
export const PICTURES = 'image/jpeg,image/png,image/webp,application/pdf,.jpg,.jpeg,.png,.webp,.pdf';

/** Asks the person for files: from the device, or straight from its camera. An empty list when none was taken. */
export function pickFiles({
  accept,
  camera = false,
  several,
}: {
  accept: string;
  camera?: boolean;
  several: boolean;
}): Promise<File[]> {
  return new Promise((resolve) => {
    const input = document.createElement('input');
    input.type = 'file';
    input.accept = camera ? 'image/*' : accept;
    input.multiple = several;
    if (camera) input.setAttribute('capture', 'environment');
    input.onchange = () => resolve([...(input.files ?? [])]);
    input.oncancel = () => resolve([]);
    input.click();
  });
}
