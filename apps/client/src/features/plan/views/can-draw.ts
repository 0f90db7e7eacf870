let draws: boolean | null = null;

/** Can this browser draw in space? Asked once: a browser gives only so many glasses to draw on. */
export function canDraw(): boolean {
  if (draws === null) {
    const glass = document.createElement('canvas').getContext('webgl2');
    draws = glass !== null;
    glass?.getExtension('WEBGL_lose_context')?.loseContext();
  }
  return draws;
}
