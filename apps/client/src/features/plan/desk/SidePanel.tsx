import { type ReactNode, useEffect, useRef, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { BarIcon } from '../../../ui/BarButton';
import { listenToPointers } from '../../../ui/pointer-listeners';
import { recall, remember } from '../../../ui/remembered';
import { useColours } from '../../../ui/theme';

/** px */
const NARROWEST = 220;
const WIDEST = 560;
/** So far an arrow key moves the edge, px. */
const STEP = 20;

interface Props {
  /** What its width is remembered by. */
  name: string;
  title: string;
  side: 'left' | 'right';
  /** px */
  usual: number;
  children: ReactNode;
}

/** A panel beside the sheet: its edge is dragged, or moved by the arrow keys; it is folded away, and is as it was left when one comes back. */
export function SidePanel({ name, title, side, usual, children }: Props) {
  const colours = useColours();
  const [{ width, folded }, set] = useState(() => kept(name, usual));
  const edge = useRef<View>(null);
  const now = useRef(width);
  const makeWidth = (to: number) => {
    now.current = Math.min(WIDEST, Math.max(NARROWEST, to));
    set((state) => ({ ...state, width: now.current }));
  };
  useEffect(() => keep(name, { width, folded }), [name, width, folded]);
  useEffect(() => {
    const element = edge.current as unknown as HTMLElement | null;
    if (!element) return;
    element.style.cursor = 'col-resize';
    let from: { x: number; width: number } | null = null;
    return listenToPointers(element, {
      down: (_, event) => {
        element.setPointerCapture(event.pointerId);
        from = { x: event.clientX, width: now.current };
      },
      move: (_, event) => {
        if (from) makeWidth(from.width + (side === 'left' ? 1 : -1) * (event.clientX - from.x));
      },
      up: () => (from = null),
      lost: () => (from = null),
    });
  }, [side, folded]);
  const fold = (
    <BarIcon
      icon={(side === 'left') === folded ? 'chevron-right' : 'chevron-left'}
      says={`${folded ? 'Unfold' : 'Fold away'} the ${title.toLowerCase()}`}
      onPress={() => set({ width, folded: !folded })}
    />
  );
  const border = side === 'left' ? styles.onRight : styles.onLeft;
  if (folded) return <View style={[styles.folded, border, { borderColor: colours.linenDeep }]}>{fold}</View>;
  const wider = side === 'left' ? 'ArrowRight' : 'ArrowLeft';
  const narrower = side === 'left' ? 'ArrowLeft' : 'ArrowRight';
  const separator = {
    role: 'separator',
    tabIndex: 0,
    'aria-orientation': 'vertical',
    'aria-label': `Edge of the ${title.toLowerCase()}`,
    'aria-valuenow': Math.round(width),
    'aria-valuemin': NARROWEST,
    'aria-valuemax': WIDEST,
    onKeyDown: (event: { key: string }) => {
      if (event.key === wider) makeWidth(width + STEP);
      if (event.key === narrower) makeWidth(width - STEP);
    },
  } as object;
  return (
    <View
      role="complementary"
      accessibilityLabel={title}
      style={[styles.panel, border, { width, borderColor: colours.linenDeep, backgroundColor: colours.chalk }]}
    >
      <View style={[styles.head, side === 'right' && styles.headRight]}>{fold}</View>
      <View style={styles.fill}>{children}</View>
      <View ref={edge} style={[styles.edge, side === 'left' ? styles.edgeRight : styles.edgeLeft]} {...separator} />
    </View>
  );
}

interface Kept {
  readonly width: number;
  readonly folded: boolean;
}

function kept(name: string, usual: number): Kept {
  try {
    const was = JSON.parse(recall(`panel.${name}`) ?? 'null') as Partial<Kept> | null;
    const width = typeof was?.width === 'number' && Number.isFinite(was.width) ? was.width : usual;
    return { width: Math.min(WIDEST, Math.max(NARROWEST, width)), folded: was?.folded === true };
  } catch {
    return { width: usual, folded: false };
  }
}

const keep = (name: string, state: Kept): void => remember(`panel.${name}`, JSON.stringify(state));

const styles = StyleSheet.create({
  panel: { minHeight: 0 },
  fill: { flex: 1, minHeight: 0 },
  folded: { width: 48, alignItems: 'center' },
  onRight: { borderRightWidth: 1 },
  onLeft: { borderLeftWidth: 1 },
  head: { position: 'absolute', top: 2, right: 8, zIndex: 2 },
  headRight: { right: undefined, left: 8 },
  edge: { position: 'absolute', top: 0, bottom: 0, width: 10, zIndex: 3 },
  edgeRight: { right: -5 },
  edgeLeft: { left: -5 },
});
