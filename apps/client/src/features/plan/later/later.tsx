import { type ComponentType, type LazyExoticComponent, type ReactElement, lazy } from 'react';
import { roomsCome } from '../../../core-later/come';
import { Part } from '../../../ui/Part';

/** A piece of the application that comes when it is first shown, after the rooms of the core that come later. */
export const piece = <Props,>(
  load: () => Promise<{ default: (props: Props) => ReactElement | null }>,
): LazyExoticComponent<(props: Props) => ReactElement | null> => lazy(() => roomsCome().then(load));

/** A part of the plan in a piece of its own. */
export function later(load: () => Promise<{ default: ComponentType }>): () => ReactElement {
  const Own = piece(load as () => Promise<{ default: () => ReactElement | null }>);
  return function Later() {
    return (
      <Part>
        <Own />
      </Part>
    );
  };
}
