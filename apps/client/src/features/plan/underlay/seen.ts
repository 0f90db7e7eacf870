import type { Grey, SeenUnderlay, TracedLine, Underlay } from '@velvet-tape/core';
import { createSelector } from '@reduxjs/toolkit';
import { workOn } from '../../../pictures/work';
import type { RootState } from '../../../store/store';
import { pictureOf } from '../../../sync/pictures';
import { selectTraced } from './selectors';

/** Lines under the pencil are looked for on the picture with no more px than this along its longer side. */
const LOOKED_AT = 2400;

const greys = new Map<string, Grey | 'loading'>();

/** Makes the lines of a picture ready to be caught; a picture that is not there is tried again the next time. */
export function prepareLines(picture: string): void {
  if (greys.has(picture) || typeof Worker === 'undefined') return;
  greys.set(picture, 'loading');
  void pictureOf(picture)
    .then((blob) => workOn((pictures) => pictures.grey(blob, LOOKED_AT)).done)
    .then((grey) => greys.set(picture, grey))
    .catch(() => greys.delete(picture));
}

/** The underlay with its grey values; null while they are not ready. */
export function seenUnderlay(underlay: Underlay | null): SeenUnderlay | null {
  const grey = underlay && greys.get(underlay.picture);
  return underlay && grey && grey !== 'loading' ? { underlay, grey } : null;
}

/** What walls that are drawn now are traced off; null where nothing lies under them, or tracing is off. */
export const selectTracing = createSelector(
  [
    (state: RootState) => state.plan.choices.trace,
    selectTraced,
    // lines that come ready are seen with the next thing that happens
    (state: RootState) => greys.get(selectTraced(state)?.picture ?? ''),
  ],
  (line, underlay): { line: TracedLine; underlay: Underlay; seen: SeenUnderlay | null } | null =>
    line === 'off' || !underlay ? null : { line, underlay, seen: seenUnderlay(underlay) },
);
