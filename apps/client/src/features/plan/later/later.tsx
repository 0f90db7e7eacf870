import { type ComponentType, type ReactElement, lazy } from 'react';
import { Part } from '../../../ui/Part';

/** A part of the plan in a piece of its own, which comes when it is first shown. */
export function later(piece: () => Promise<{ default: ComponentType }>): () => ReactElement {
  const Own = lazy(piece);
  return function Later() {
    return (
      <Part>
        <Own />
      </Part>
    );
  };
}
