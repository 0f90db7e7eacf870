import { useEffect } from 'react';
import { lent } from '../later/lent';

const { bringIn, takeTool, useAppDispatch } = lent();

/** Pictures and PDFs that are dropped on the page or pasted come in as underlays. */
export function useFiles(): void {
  const dispatch = useAppDispatch();
  useEffect(() => {
    const stop = new AbortController();
    const { signal } = stop;
    const take = (event: Event, data: DataTransfer | null) => {
      const files = [...(data?.files ?? [])];
      if (files.length === 0) return;
      event.preventDefault();
      dispatch(takeTool('underlay'));
      void dispatch(bringIn(files));
    };
    // without this the browser opens the file in the place of the application
    const over = (event: DragEvent) => event.dataTransfer?.types.includes('Files') && event.preventDefault();
    globalThis.addEventListener('dragover', over, { signal });
    globalThis.addEventListener('drop', (event) => take(event, event.dataTransfer), { signal });
    globalThis.addEventListener('paste', (event) => take(event, event.clipboardData), { signal });
    return () => stop.abort();
  }, [dispatch]);
}
