import type { DerivedFloor } from '@velvet-tape/core';
import { useEffect, useMemo, useRef, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Text, TextInput } from 'react-native-paper';
import { BarButton, BarIcon } from '../../../ui/BarButton';
import { Waiting } from '../../../ui/Waiting';
import { FONTS, TOUCH, useColours } from '../../../ui/theme';
import { lent } from '../later/lent';
import { Gait } from './gait';
import { PlanMark } from './PlanMark';
import { gltfOf, useRaised } from './raising';
import { Space } from './space/Space';
import type { Shown } from './space/things';
import { ThumbPad } from './ThumbPad';
import { type Standing, floorAt, openWay, roomAt, standIn } from './walking';

const { DropMenu, download, fileName, floorsInOrder, formatLength, parseLength, planActions, selectOption } = lent();
const { useAppDispatch, useAppSelector } = lent();

/** Eyes of somebody who stands, mm (common practice, no source). */
const STANDING_EYE = 1600;

/** The house raised: looked at from outside, or stepped into. */
export default function ViewsPart(_: { floor: DerivedFloor }) {
  const dispatch = useAppDispatch();
  const colours = useColours();
  const plan = useAppSelector((state) => state.plan.plan)!;
  const option = useAppSelector(selectOption);
  const chosenRoom = useAppSelector(({ plan: { selection } }) => (selection.kind === 'room' ? selection.id : null));
  const left = useAppSelector((state) => state.plan.choices.left);
  const { units } = plan.job;
  const { house, failed } = useRaised(plan, option);
  const [gait] = useState(() => new Gait());
  const [how, setHow] = useState<Omit<Shown, 'inside'>>({
    ...{ floor: null, room: chosenRoom, openSide: true, seeThrough: false, apart: false },
  });
  const [inside, setInside] = useState(false);
  const [eye, setEye] = useState(STANDING_EYE);
  const [cut, setCut] = useState<number | null>(null);
  const [where, setWhere] = useState<{ at: Standing; heading: number } | null>(null);
  const glass = useRef<View>(null);
  const has3d = canDraw();
  const change = (to: Partial<typeof how>) => setHow({ ...how, ...to });
  const shown = useMemo(
    (): Shown => ({ ...how, ...(inside && { floor: null, room: null, apart: false, seeThrough: false }), inside }),
    [how, inside],
  );
  useKeys(glass, gait);

  const say = (text: string) => dispatch(planActions.said({ text, tone: 'refused' }));
  const stand = (room: string | null): boolean => {
    if (!house) return false;
    const { walkable } = house;
    const rooms = [room, ...largestFirst(walkable.floors.flatMap((floor) => floor.rooms))].filter((id) => id !== null);
    for (const id of rooms) {
      const at = standIn(walkable, id);
      if (!at) continue;
      gait.stand(at, openWay(walkable, at));
      setWhere({ at, heading: gait.heading });
      return true;
    }
    say('There is no room yet that one could stand in.');
    return false;
  };
  const stepInside = () => {
    if (!inside && stand(how.room)) setInside(true);
  };
  const leave = () => {
    gltfOf(plan, option)
      .then((bytes) => download(`${fileName(plan.job.name)}.glb`, 'model/gltf-binary', bytes as BlobPart))
      .catch(() => say('The file could not be made. Load the page again, then try once more.'));
  };
  const typed = (text: string, keep: (mm: number) => void): void => {
    const read = parseLength(text, units === 'metric' ? 'm' : 'ft');
    if (read.ok) keep(read.mm);
    else say(read.reason);
  };
  const here = inside && where && house ? roomAt(house.walkable, where.at) : null;
  const rooms = house?.walkable.floors.filter(({ floor }) => how.floor === null || floor === how.floor) ?? [];
  const roomName = rooms.flatMap((floor) => floor.rooms).find(({ room }) => room === how.room)?.name;
  const empty = house !== null && house.floors.every(({ things }) => things.length === 0);
  const floors = floorsInOrder(plan);
  return (
    <View testID="views" accessibilityLabel="Views" style={styles.part}>
      <View
        ref={glass}
        style={[styles.glass, { backgroundColor: colours.sheet }]}
        tabIndex={0}
        role={'application' as 'none'}
        testID="space"
        aria-label={
          inside
            ? 'Inside the house. Arrow keys walk and turn, with Shift to the side.'
            : 'The house. Arrow keys turn it, plus and minus come nearer.'
        }
      >
        {!has3d ? (
          <Words text="This browser draws nothing in space: WebGL is off, or there is none. The plan, its sheets and the glTF file are there all the same." />
        ) : failed ? (
          <Words text="The house could not be raised here. Without a connection what does it may not be on the device yet." />
        ) : !house ? (
          <Waiting />
        ) : empty ? (
          <Words text="There is nothing to raise yet. Draw a room, and it stands here with its walls as high as its ceiling." />
        ) : (
          <Space
            house={house}
            shown={shown}
            cut={cut}
            inside={inside ? { eye } : null}
            gait={gait}
            moved={(at, heading) => setWhere({ at, heading })}
            background={inside ? '#E9EEF0' : colours.sheet}
          />
        )}
        {inside && where && house && (
          <>
            <View style={[styles.caption, { backgroundColor: colours.velvet }]} role="status" testID="standing-in">
              <Text style={[styles.captionText, { color: colours.onVelvet }]}>
                {here ? here.name : 'Between rooms'}
              </Text>
            </View>
            <PlanMark
              walkable={house.walkable}
              where={where}
              go={(room) => stand(room)}
              floor={floorAt(house.walkable, where.at.level)?.floor ?? null}
            />
            <ThumbPad gait={gait} left={left} />
          </>
        )}
      </View>
      <View style={[styles.foot, { backgroundColor: colours.chalk, borderColor: colours.linenDeep }]}>
        <View style={styles.bar} role="group" aria-label="How it is seen">
          <BarButton label="Look at it" chosen={!inside} onPress={() => setInside(false)} />
          <BarButton label="Step inside" chosen={inside} disabled={!house} onPress={stepInside} />
          <View style={styles.grow} />
          <BarIcon icon="download" says="The house as glTF" onPress={leave} />
        </View>
        {inside ? (
          <View style={styles.bar}>
            <Typed
              label="Height of the eyes"
              value={formatLength(eye, units)}
              keep={(text) =>
                typed(text, (mm) =>
                  mm >= 300 && mm <= 2500 ? setEye(mm) : say('Eyes are between 0.30 m and 2.50 m over the floor.'),
                )
              }
            />
            <Text style={[styles.words, { color: colours.inkSoft }]}>
              Drag to look round. The ring walks; so do the arrow keys.
            </Text>
          </View>
        ) : (
          <View style={styles.bar}>
            {floors.length > 1 && (
              <DropMenu
                icon="menu-down"
                label={floors.find(({ id }) => id === how.floor)?.name ?? 'All floors'}
                says="Which floor is shown. Change."
                entries={[
                  {
                    title: 'All floors',
                    icon: how.floor === null ? 'check' : 'blank',
                    onPress: () => change({ floor: null, room: null }),
                  },
                  ...floors.map(({ id, name }) => ({
                    title: name,
                    icon: how.floor === id ? 'check' : 'blank',
                    onPress: () => change({ floor: id, room: null }),
                  })),
                ]}
              />
            )}
            <DropMenu
              icon="menu-down"
              label={roomName ?? 'All rooms'}
              says="Which room is shown. Change."
              entries={[
                {
                  title: 'All rooms',
                  icon: how.room === null ? 'check' : 'blank',
                  onPress: () => change({ room: null }),
                },
                ...rooms.flatMap((floor) =>
                  floor.rooms.map(({ room, name }) => ({
                    title: name,
                    icon: how.room === room ? 'check' : 'blank',
                    onPress: () => change({ room }),
                  })),
                ),
              ]}
            />
            <BarButton label="Open side" chosen={how.openSide} onPress={() => change({ openSide: !how.openSide })} />
            <BarButton
              label="See through"
              says="See through walls"
              chosen={how.seeThrough}
              onPress={() => change({ seeThrough: !how.seeThrough })}
            />
            {floors.length > 1 && how.floor === null && (
              <BarButton
                label="Apart"
                says="Floors drawn apart"
                chosen={how.apart}
                onPress={() => change({ apart: !how.apart })}
              />
            )}
            <Typed
              key={String(cut)}
              label="Cut at"
              value={cut === null ? '' : formatLength(cut, units)}
              keep={(text) => {
                if (text.trim() === '') setCut(null);
                else
                  typed(text, (mm) =>
                    mm <= 20_000 ? setCut(mm) : say('That is higher than any floor. Check the unit.'),
                  );
              }}
            />
          </View>
        )}
      </View>
    </View>
  );
}

const largestFirst = (
  rooms: readonly { readonly room: string; readonly rings: readonly (readonly { x: number; y: number }[])[] }[],
): string[] =>
  [...rooms]
    .map(({ room, rings }) => ({ room, size: sizeOf(rings[0] ?? []) }))
    .sort((a, b) => b.size - a.size)
    .map(({ room }) => room);

const sizeOf = (ring: readonly { x: number; y: number }[]): number => {
  const [xs, ys] = [ring.map(({ x }) => x), ring.map(({ y }) => y)];
  return (Math.max(...xs) - Math.min(...xs)) * (Math.max(...ys) - Math.min(...ys));
};

let drawn: boolean | null = null;

/** Can this browser draw in space? Asked once: a browser gives only so many glasses to draw on. */
function canDraw(): boolean {
  if (drawn === null) {
    const glass = document.createElement('canvas').getContext('webgl2');
    drawn = glass !== null;
    glass?.getExtension('WEBGL_lose_context')?.loseContext();
  }
  return drawn;
}

const KEYS = ['ArrowUp', 'ArrowDown', 'ArrowLeft', 'ArrowRight', '+', '-', 'Shift'];

/** Keys that are held while the view has the focus. */
function useKeys(glass: React.RefObject<View | null>, gait: Gait): void {
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

function Words({ text }: { text: string }) {
  const colours = useColours();
  return (
    <View style={styles.empty}>
      <Text style={[styles.emptyText, { color: colours.ink }]}>{text}</Text>
    </View>
  );
}

function Typed({ label, value, keep }: { label: string; value: string; keep(text: string): void }) {
  const [text, setText] = useState(value);
  return (
    <TextInput
      mode="outlined"
      dense
      label={label}
      accessibilityLabel={label}
      value={text}
      onChangeText={setText}
      onBlur={() => text !== value && keep(text)}
      onSubmitEditing={() => keep(text)}
      style={styles.typed}
    />
  );
}

const styles = StyleSheet.create({
  part: { flex: 1, minHeight: 0 },
  glass: { flex: 1, minHeight: 0, overflow: 'hidden' },
  foot: { borderTopWidth: 1, paddingTop: 8, gap: 6, paddingBottom: 6 },
  bar: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: 6, paddingHorizontal: 8 },
  grow: { flex: 1 },
  typed: { width: 124, height: TOUCH - 4, fontFamily: FONTS.sans },
  words: { flex: 1, minWidth: 180, fontSize: 14, lineHeight: 18 },
  caption: { position: 'absolute', top: 10, left: 10, borderRadius: 12, paddingHorizontal: 14, paddingVertical: 6 },
  captionText: { fontFamily: FONTS.serif, fontSize: 16 },
  empty: { flex: 1, alignItems: 'center', justifyContent: 'center', padding: 30 },
  emptyText: { fontSize: 16.5, lineHeight: 23, textAlign: 'center', maxWidth: 420 },
});
