import { type ReactNode, createElement } from 'react';

type Props = Record<string, unknown> & { testID?: string; children?: ReactNode };

/** An SVG element of the browser: the library's wrappers cost several times as much, and a plan has thousands of marks. */
const part = (element: 'circle' | 'g' | 'image' | 'path' | 'svg' | 'text') =>
  function Part({ testID, children, ...rest }: Props) {
    return createElement(element, testID ? { ...rest, 'data-testid': testID } : rest, children);
  };

export const Circle = part('circle');
export const G = part('g');
export const Image = part('image');
export const Path = part('path');
/** A part of a drawing with edges of its own. */
export const Window = part('svg');
export const Text = part('text');
