import { useEffect, useRef } from 'react';
import { StyleSheet, View } from 'react-native';
import { useColours } from '../../../../ui/theme';
import { lent } from '../../later/lent';
import type { Standing } from '../walking';

const { useAppSelector } = lent();

/** px */
const SIZE = 48;
/** So far from the middle a finger turns it instead of taking it along, px. */
const GRIP = 15;
/** With the arrow keys: mm, radians. */
const STEP = 100;
const TURN = Math.PI / 36;

export interface MarkedEye {
  readonly at: Standing;
  readonly heading: number;
}

/** The eye of the small view on the sheet: its middle is taken along, its tip turned; arrow keys do both. */
export function CameraMark({ eye, put }: { eye: MarkedEye; put(to: { x: number; y: number; heading: number }): void }) {
  const colours = useColours();
  const view = useAppSelector((state) => state.view.view);
  const host = useRef<View>(null);
  const now = useRef({ eye, view, put });
  useEffect(() => {
    now.current = { eye, view, put };
  }, [eye, view, put]);
  useEffect(() => {
    const element = host.current as unknown as HTMLElement | null;
    if (!element) return undefined;
    let held: { turns: boolean; x: number; y: number } | null = null;
    const middle = () => {
      const box = element.getBoundingClientRect();
      return { x: box.left + box.width / 2, y: box.top + box.height / 2 };
    };
    const down = (event: PointerEvent) => {
      event.stopPropagation();
      const { x, y } = middle();
      held = {
        turns: Math.hypot(event.clientX - x, event.clientY - y) > GRIP,
        ...{ x: event.clientX, y: event.clientY },
      };
      element.setPointerCapture(event.pointerId);
    };
    const move = (event: PointerEvent) => {
      if (!held) return;
      event.stopPropagation();
      const { eye, view, put } = now.current;
      const { x, y } = middle();
      if (held.turns) put({ ...eye.at, heading: Math.atan2(event.clientY - y, event.clientX - x) });
      else {
        const [dx, dy] = [(event.clientX - held.x) / view.scale, (event.clientY - held.y) / view.scale];
        put({ x: eye.at.x + dx, y: eye.at.y + dy, heading: eye.heading });
        held = { ...held, x: event.clientX, y: event.clientY };
      }
    };
    const up = (event: PointerEvent) => {
      event.stopPropagation();
      held = null;
    };
    const pressed = (event: KeyboardEvent) => {
      const { eye, put } = now.current;
      const go = event.key === 'ArrowUp' ? STEP : event.key === 'ArrowDown' ? -STEP : 0;
      const turn = event.key === 'ArrowRight' ? TURN : event.key === 'ArrowLeft' ? -TURN : 0;
      if (go === 0 && turn === 0) return;
      event.preventDefault();
      event.stopPropagation();
      const heading = eye.heading + turn;
      put({ x: eye.at.x + go * Math.cos(heading), y: eye.at.y + go * Math.sin(heading), heading });
    };
    const stop = new AbortController();
    const { signal } = stop;
    element.style.touchAction = 'none';
    element.addEventListener('pointerdown', down, { signal });
    element.addEventListener('pointermove', move, { signal });
    element.addEventListener('pointerup', up, { signal });
    element.addEventListener('pointercancel', up, { signal });
    element.addEventListener('keydown', pressed, { signal });
    return () => stop.abort();
  }, []);
  const left = (eye.at.x - view.x) * view.scale - SIZE / 2;
  const top = (eye.at.y - view.y) * view.scale - SIZE / 2;
  return (
    <View
      ref={host}
      testID="camera-mark"
      role={'application' as 'none'}
      aria-label="The eye of the small view. Arrow keys go on and turn."
      tabIndex={0}
      style={[styles.mark, { left, top, transform: [{ rotate: `${eye.heading}rad` }] }]}
    >
      <View style={[styles.eye, { backgroundColor: colours.clay, borderColor: colours.chalk }]} />
      <View style={[styles.tip, { borderLeftColor: colours.clay }]} />
    </View>
  );
}

const styles = StyleSheet.create({
  mark: { position: 'absolute', width: SIZE, height: SIZE, cursor: 'grab' as 'pointer' },
  eye: { position: 'absolute', left: 14, top: 14, width: 20, height: 20, borderRadius: 10, borderWidth: 2 },
  tip: {
    ...{ position: 'absolute', left: 35, top: 15, width: 0, height: 0 },
    ...{ borderTopWidth: 9, borderBottomWidth: 9, borderLeftWidth: 13 },
    ...{ borderTopColor: 'transparent', borderBottomColor: 'transparent' },
  },
});
