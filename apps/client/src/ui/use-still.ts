import { useEffect, useState } from 'react';
import { AccessibilityInfo } from 'react-native';

/** Whoever uses the device wants things to appear and not to move. */
export function useStill(): boolean {
  const [still, setStill] = useState(false);
  useEffect(() => {
    void AccessibilityInfo.isReduceMotionEnabled().then(setStill);
    const listener = AccessibilityInfo.addEventListener('reduceMotionChanged', setStill);
    return () => listener?.remove();
  }, []);
  return still;
}
