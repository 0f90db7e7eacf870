import { type Painter, painted } from '@velvet-tape/core';
import { INKS, LETTERING, TEXT_FONT, TITLE_FONT, paperStyle } from '@velvet-tape/formats/paper-style';
import { arcData, pathData } from '@velvet-tape/formats/path-data';
import type { PageDrawn } from '@velvet-tape/formats/page-svg';

type Context = OffscreenCanvasRenderingContext2D;

/** A page on a canvas, `perMm` px to a millimetre; its faces are there already. */
export function paintPage(
  context: Context,
  { width, height, marks }: PageDrawn,
  perMm: number,
  pictures: ReadonlyMap<string, ImageBitmap>,
): void {
  context.setTransform(1, 0, 0, 1, 0, 0);
  context.fillStyle = '#FFFFFF';
  context.fillRect(0, 0, width * perMm, height * perMm);
  context.scale(perMm, perMm);
  const painter = canvasPainter(context, pictures);
  for (const mark of marks) painted(painter, mark);
}

function canvasPainter(context: Context, pictures: ReadonlyMap<string, ImageBitmap>): Painter<void> {
  const drawn = (d: string, { fill, stroke, width, opacity, dashes, round }: ReturnType<typeof paperStyle>) => {
    const path = new Path2D(d);
    if (fill) {
      context.fillStyle = fill;
      context.fill(path, 'evenodd');
    }
    if (!stroke) return;
    context.strokeStyle = stroke;
    context.lineWidth = width;
    context.lineCap = round ? 'round' : 'butt';
    context.setLineDash(dashes ? [...dashes] : []);
    context.globalAlpha = opacity;
    context.stroke(path);
    context.globalAlpha = 1;
  };
  return {
    path: ({ rings, closed, colour }, style) => drawn(pathData(rings, closed), paperStyle(style, colour)),
    arc: (mark, style) => drawn(arcData(mark), paperStyle(style)),
    text: ({ at, turn, size, align, text: words }, { text }) => {
      context.save();
      context.translate(at.x, at.y);
      context.rotate((turn * Math.PI) / 180);
      // browsers have no lettering lower than some px: it is written ten times as high
      context.scale(0.1, 0.1);
      context.font = `${10 * LETTERING * size}px "${text?.face === 'title' ? TITLE_FONT : TEXT_FONT}"`;
      context.textAlign = align ?? 'center';
      context.textBaseline = 'middle';
      context.fillStyle = INKS[text?.ink ?? 'ink'];
      context.fillText(words, 0, 0);
      context.restore();
    },
    picture: ({ picture, width, height, shown, matrix, look }) => {
      const bitmap = pictures.get(picture);
      if (!bitmap) return;
      context.save();
      context.transform(...matrix);
      context.beginPath();
      context.rect(shown.left, shown.top, shown.width, shown.height);
      context.clip();
      context.globalAlpha = look.opacity;
      context.filter = `brightness(${look.brightness}) contrast(${look.contrast})${look.inverted ? ' invert(1)' : ''}`;
      context.drawImage(bitmap, 0, 0, width, height);
      context.restore();
    },
  };
}
