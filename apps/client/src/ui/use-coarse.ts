import { useEffect, useState } from 'react';

const COARSE = '(pointer: coarse)';

/** Is it worked by fingers rather than by mouse and keyboard? Follows when that changes. */
export function useCoarse(): boolean {
  const [coarse, setCoarse] = useState(() => globalThis.matchMedia?.(COARSE).matches ?? false);
  useEffect(() => {
    const query = globalThis.matchMedia?.(COARSE);
    if (!query) return;
    const follow = () => setCoarse(query.matches);
    query.addEventListener('change', follow);
    return () => query.removeEventListener('change', follow);
  }, []);
  return coarse;
}
