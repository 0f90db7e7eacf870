import type { ReactNode } from 'react';
import { useEffect, useMemo } from 'react';
import { Provider, useStore } from 'react-redux';
import type { RootState } from '../../store/store';

/** How often figures beside the sheet follow a drag, ms: faster than anyone reads them. */
const EVERY = 120;

/**
 * What is in here follows the store at once, but while something is dragged only so often that the sheet under the
 * finger has the time of a frame to itself.
 */
export function Calm({ children }: { children: ReactNode }) {
  const store = useStore<RootState>();
  const calm = useMemo(() => calmed(store), [store]);
  useEffect(() => calm.follow(), [calm]);
  return <Provider store={calm.store as never}>{children}</Provider>;
}

type Store = ReturnType<typeof useStore<RootState>>;

/** A store that shows its state a little later while something is dragged. `follow` begins, and gives what ends it. */
export function calmed(store: Pick<Store, 'getState' | 'subscribe' | 'dispatch'>) {
  let shown = store.getState();
  let last = 0;
  let timer: ReturnType<typeof setTimeout> | null = null;
  const listeners = new Set<() => void>();
  const show = () => {
    if (timer) clearTimeout(timer);
    timer = null;
    last = Date.now();
    shown = store.getState();
    for (const listener of [...listeners]) listener();
  };
  const changed = () => {
    const dragging = shown.plan.preview !== null && store.getState().plan.preview !== null;
    const wait = dragging ? last + EVERY - Date.now() : 0;
    if (wait <= 0) show();
    else timer ??= setTimeout(show, wait);
  };
  return {
    store: {
      ...store,
      getState: () => shown,
      subscribe: (listener: () => void) => {
        listeners.add(listener);
        return () => listeners.delete(listener);
      },
    },
    follow: () => {
      if (shown !== store.getState()) show();
      const stop = store.subscribe(changed);
      return () => {
        stop();
        if (timer) clearTimeout(timer);
      };
    },
  };
}
