import { type RefObject, useEffect } from 'react';
import type { View } from 'react-native';
import type { Gait } from './gait';

const KEYS = ['ArrowUp', 'ArrowDown', 'ArrowLeft', 'ArrowRight', '+', '-', 'Shift'];

/** Keys that are held while the view has the focus. */
export function useHeldKeys(glass: RefObject<View | null>, gait: Gait): void {
  useEffect(() => {
    const element = glass.current as unknown as HTMLElement | null;
    if (!element) return undefined;
    const down = (event: KeyboardEvent) => {
      if (!KEYS.includes(event.key)) return;
      event.preventDefault();
      event.stopPropagation();
      gait.press(event.key);
    };
    const up = (event: KeyboardEvent) => gait.release(event.key);
    const rest = () => gait.rest();
    element.addEventListener('keydown', down);
    element.addEventListener('keyup', up);
    element.addEventListener('blur', rest);
    return () => {
      element.removeEventListener('keydown', down);
      element.removeEventListener('keyup', up);
      element.removeEventListener('blur', rest);
    };
  }, [glass, gait]);
}
