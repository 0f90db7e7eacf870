import type { Box } from '@velvet-tape/core';
import { useEffect, useRef, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { BarIcon } from '../../../ui/BarButton';
import { listenToPointers } from '../../../ui/pointer-listeners';
import { useColours } from '../../../ui/theme';
import type { PageShown } from '../../../workers/files.worker';
import { lent } from '../later/lent';
import { svgInPage } from './svg-in-page';

const { edit, useAppDispatch } = lent();

/** Round the page, px; how far a finger may move and still tap. */
const AIR = 10;
const SLACK = 6;
/** Looked at closely a page is so many times as large. */
const CLOSE = 3;

interface Drag {
  readonly id: string;
  readonly from: { readonly x: number; readonly y: number };
  readonly by: { readonly x: number; readonly y: number };
}

/** The page as it will print, as large as there is room for; its parts are chosen by a tap and moved by finger. */
export function PageView({
  page,
  chosen,
  choose,
}: {
  page: PageShown;
  chosen: string | null;
  choose(frame: string | null): void;
}) {
  const dispatch = useAppDispatch();
  const colours = useColours();
  const [room, setRoom] = useState({ width: 0, height: 0 });
  const [close, setClose] = useState(false);
  const perMm = Math.max(0, Math.min((room.width - 2 * AIR) / page.width, (room.height - 2 * AIR) / page.height));
  const sheet = useRef<View>(null);
  const [drag, setDrag] = useState<Drag | null>(null);
  useEffect(() => {
    const element = sheet.current as unknown as HTMLElement | null;
    if (!element || perMm === 0 || close) return;
    let now: Drag | null = null;
    const show = (next: Drag | null) => setDrag((now = next));
    const at = (px: { x: number; y: number }) => ({ x: px.x / perMm, y: px.y / perMm });
    const under = (p: { x: number; y: number }) =>
      page.frames
        .filter(({ box }) => p.x >= box.minX && p.x <= box.maxX && p.y >= box.minY && p.y <= box.maxY)
        .sort((a, b) => areaOf(a.box) - areaOf(b.box))[0];
    let pressed: { x: number; y: number } | null = null;
    return listenToPointers(element, {
      down: (px, event) => {
        element.setPointerCapture(event.pointerId);
        pressed = px;
        const found = under(at(px));
        if (found) show({ id: found.id, from: at(px), by: { x: 0, y: 0 } });
      },
      move: (px) => {
        if (!now || !pressed) return;
        const far = Math.hypot(px.x - pressed.x, px.y - pressed.y) >= SLACK;
        if (!far && now.by.x === 0 && now.by.y === 0) return;
        const p = at(px);
        show({ ...now, by: { x: inSteps(p.x - now.from.x), y: inSteps(p.y - now.from.y) } });
      },
      up: () => {
        const done = now;
        show(null);
        pressed = null;
        choose(done?.id ?? null);
        const frame = page.frames.find(({ id }) => id === done?.id)?.frame;
        if (!done || !frame || (done.by.x === 0 && done.by.y === 0)) return;
        const to = { at: { x: frame.at.x + done.by.x, y: frame.at.y + done.by.y } };
        dispatch(edit({ kind: 'changeFrame', frame: frame.id, to }));
      },
      lost: () => show(null),
    });
  }, [choose, close, dispatch, page, perMm]);
  const [left, top] = [(room.width - page.width * perMm) / 2, (room.height - page.height * perMm) / 2];
  const size = { width: page.width * perMm, height: page.height * perMm };
  const says = `${page.title}: ${page.frames.map(({ name }) => name).join(', ')}`;
  const nearer = (
    <View style={styles.nearer}>
      <BarIcon
        icon={close ? 'fit-to-screen-outline' : 'arrow-expand-horizontal'}
        says={close ? 'All of the page' : 'Look closer'}
        onPress={() => setClose(!close)}
      />
    </View>
  );
  if (close)
    return (
      <View style={StyleSheet.absoluteFill}>
        <View tabIndex={0} style={[StyleSheet.absoluteFill, styles.panned]}>
          <View role="img" accessibilityLabel={says} style={{ width: size.width * CLOSE, height: size.height * CLOSE }}>
            <Svg svg={page.svg} />
          </View>
        </View>
        {nearer}
      </View>
    );
  return (
    <View style={StyleSheet.absoluteFill} onLayout={({ nativeEvent }) => setRoom(nativeEvent.layout)}>
      <View
        ref={sheet}
        testID="page"
        role="img"
        accessibilityLabel={says}
        style={[styles.sheet, size, { left, top, borderColor: colours.linenDeep }]}
      >
        <Svg svg={page.svg} />
        {page.frames.map(({ id, box, fits, name }) => {
          const by = drag?.id === id ? drag.by : null;
          const moving = by !== null && (by.x !== 0 || by.y !== 0);
          const on = chosen === id || moving;
          return (
            <View
              key={id}
              testID={`frame ${name}`}
              style={[
                styles.frame,
                placeOf(box, perMm, by),
                {
                  borderColor: !fits ? colours.clay : on ? colours.brassDeep : 'transparent',
                  borderStyle: fits ? 'solid' : 'dashed',
                  backgroundColor: moving ? 'rgba(217, 166, 46, 0.18)' : 'transparent',
                },
              ]}
            />
          );
        })}
      </View>
      {nearer}
    </View>
  );
}

/** A part is moved in whole millimetres of paper. */
const inSteps = (mm: number): number => Math.round(mm);

const areaOf = (box: Box): number => (box.maxX - box.minX) * (box.maxY - box.minY);

const placeOf = (box: Box, perMm: number, by: Drag['by'] | null) => ({
  left: (box.minX + (by?.x ?? 0)) * perMm,
  top: (box.minY + (by?.y ?? 0)) * perMm,
  width: (box.maxX - box.minX) * perMm,
  height: (box.maxY - box.minY) * perMm,
});

/** The very SVG that leaves, in the page. */
function Svg({ svg }: { svg: string }) {
  const place = useRef<View>(null);
  useEffect(() => {
    const element = place.current as unknown as HTMLElement | null;
    if (!element) return;
    element.innerHTML = svgInPage(svg);
    const drawn = element.firstElementChild;
    drawn?.setAttribute('width', '100%');
    drawn?.setAttribute('height', '100%');
    drawn?.setAttribute('aria-hidden', 'true');
  }, [svg]);
  return <View ref={place} style={styles.svg} />;
}

const styles = StyleSheet.create({
  sheet: { position: 'absolute', borderWidth: StyleSheet.hairlineWidth },
  /** Under the finger, whichever way. */
  panned: { overflow: 'scroll' },
  nearer: { position: 'absolute', right: 4, top: 4 },
  svg: { ...StyleSheet.absoluteFill, pointerEvents: 'none' },
  frame: { position: 'absolute', borderWidth: 2, borderRadius: 4, pointerEvents: 'none' },
});
