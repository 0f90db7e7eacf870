import { useEffect } from 'react';

/** What the page is called, in the browser's tab and to whoever listens. */
export function useTitle(...parts: readonly string[]): void {
  const title = [...parts, 'Velvet Tape'].filter(Boolean).join(' · ');
  useEffect(() => {
    if (typeof document !== 'undefined') document.title = title;
  }, [title]);
}
