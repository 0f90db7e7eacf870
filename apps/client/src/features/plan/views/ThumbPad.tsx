import { useEffect, useRef, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { useColours } from '../../../ui/theme';
import type { Gait } from './gait';

/** px */
const SIZE = 112;
const KNOB = 48;

/** A ring under the thumb: pushed, one walks that way, faster the farther. */
export function ThumbPad({ gait, left }: { gait: Gait; left: boolean }) {
  const colours = useColours();
  const ring = useRef<View>(null);
  const [knob, setKnob] = useState({ x: 0, y: 0 });
  useEffect(() => {
    const element = ring.current as unknown as HTMLElement;
    let held: number | null = null;
    const push = (event: PointerEvent) => {
      const box = element.getBoundingClientRect();
      const [dx, dy] = [event.clientX - box.left - box.width / 2, event.clientY - box.top - box.height / 2];
      const far = Math.hypot(dx, dy);
      const most = (SIZE - KNOB) / 2;
      const k = far > most ? most / far : 1;
      setKnob({ x: dx * k, y: dy * k });
      gait.push(far < 6 ? null : { side: (dx * k) / most, go: (-dy * k) / most });
    };
    const down = (event: PointerEvent) => {
      held = event.pointerId;
      element.setPointerCapture(held);
      event.preventDefault();
      event.stopPropagation();
      push(event);
    };
    const move = (event: PointerEvent) => {
      if (event.pointerId === held) push(event);
    };
    const up = (event: PointerEvent) => {
      if (event.pointerId !== held) return;
      held = null;
      gait.push(null);
      setKnob({ x: 0, y: 0 });
    };
    element.style.touchAction = 'none';
    element.addEventListener('pointerdown', down);
    element.addEventListener('pointermove', move);
    element.addEventListener('pointerup', up);
    element.addEventListener('pointercancel', up);
    return () => {
      gait.push(null);
      element.removeEventListener('pointerdown', down);
      element.removeEventListener('pointermove', move);
      element.removeEventListener('pointerup', up);
      element.removeEventListener('pointercancel', up);
    };
  }, [gait]);
  return (
    <View
      ref={ring}
      testID="thumb-pad"
      accessibilityLabel="Walk: push the ring the way you want to go"
      style={[styles.ring, left ? styles.left : styles.right, { borderColor: colours.brassDeep }]}
    >
      <View
        style={[
          styles.knob,
          { backgroundColor: colours.velvet, transform: [{ translateX: knob.x }, { translateY: knob.y }] },
        ]}
      />
    </View>
  );
}

const styles = StyleSheet.create({
  ring: {
    position: 'absolute',
    bottom: 14,
    width: SIZE,
    height: SIZE,
    borderRadius: SIZE / 2,
    borderWidth: 2,
    backgroundColor: 'rgba(255,255,255,0.55)',
    alignItems: 'center',
    justifyContent: 'center',
  },
  left: { left: 14 },
  right: { right: 14 },
  knob: { width: KNOB, height: KNOB, borderRadius: KNOB / 2 },
});
