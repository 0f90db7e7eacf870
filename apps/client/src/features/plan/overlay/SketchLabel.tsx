import type { Point } from '@velvet-tape/core';
import { HaloText } from './HaloText';
import type { Paint } from './paint';

/** A word or a figure at what is being drawn. */
export function SketchLabel({
  at,
  text,
  colours,
  px,
  soft = false,
}: Paint & { at: Point; text: string; soft?: boolean }) {
  return (
    <HaloText
      id="sketch-label"
      at={{ x: at.x, y: at.y - 8 * px }}
      text={text}
      size={soft ? 13 : 16}
      strong={!soft}
      fill={soft ? colours.moss : colours.ink}
      colours={colours}
      px={px}
    />
  );
}
