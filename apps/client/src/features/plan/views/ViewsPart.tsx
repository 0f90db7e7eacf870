import type { DerivedFloor } from '@velvet-tape/core';
import type { Drawing } from '@velvet-tape/core/axonometric';
import type { DayAndTime } from '@velvet-tape/core/sun';
import { useEffect, useMemo, useRef, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';
import { BarButton } from '../../../ui/BarButton';
import { laterRooms } from '../../../core-later/to-come';
import { Waiting } from '../../../ui/Waiting';
import { FONTS, useColours } from '../../../ui/theme';
import { lent } from '../later/lent';
import { InsideBar } from './bars/InsideBar';
import { LinesBar } from './bars/LinesBar';
import { LookBar } from './bars/LookBar';
import { PictureBar } from './bars/PictureBar';
import { SunBar } from './bars/SunBar';
import { VantageBar } from './bars/VantageBar';
import { canDraw } from './can-draw';
import { FinishBar } from './finishes/FinishBar';
import { type Subject, onOf, scopesOf } from './finishes/subject';
import { Gait } from './gait';
import { Lines } from './Lines';
import { PlanMark } from './PlanMark';
import { gltfOf, useLines, useRaised, useSun } from './raising';
import { Space } from './space/Space';
import { Studio } from './space/studio';
import type { How, Shown } from './space/things';
import { ThumbPad } from './ThumbPad';
import { useHeldKeys } from './use-held-keys';
import { NOTHING_YET, NOT_RAISED, NO_WEBGL, Words } from './Words';
import { isKnown, wantedPlace } from './wanted';
import { backgroundOf, lensOf, posed, shownFrom } from './vantage-view';
import { type Standing, floorAt, openWay, roomAt, roomsBySize, standIn } from './walking';

const {
  DropMenu,
  download,
  edit,
  fileName,
  planActions,
  selectOption,
  store,
  useAppDispatch,
  useAppSelector,
  vantagesInOrder,
} = lent();

const { finishLookOf, ofOption } = laterRooms();

/** Eyes of somebody who stands, mm (common practice, no source). */
const STANDING_EYE = 1600;
/** What one sees of a room without turning the head, mm on a film of 36 × 24 mm. */
const USUAL_LENS = { mm: 20, uprights: false };

/** Today, early in the afternoon. */
const NOW = (): DayAndTime => {
  const today = new Date();
  const day = Math.floor((Date.UTC(2026, today.getMonth(), today.getDate()) - Date.UTC(2026, 0, 1)) / 86_400_000) + 1;
  return { day: Math.min(365, day), minutes: 14 * 60 };
};

/** How one looks at the house: from outside, from where one walks, from a vantage that is kept, drawn in lines. */
type Mode = 'outside' | 'inside' | 'vantage' | 'lines';

/** The house raised: looked at from outside, stepped into, seen from its vantages. */
export function ViewsPart(_: { floor: DerivedFloor }) {
  const dispatch = useAppDispatch();
  const colours = useColours();
  const plan = useAppSelector((state) => state.plan.plan)!;
  const option = useAppSelector(selectOption);
  const chosenRoom = useAppSelector(({ plan: { selection } }) => (selection.kind === 'room' ? selection.id : null));
  const chosenFloor = useAppSelector((state) => state.plan.floor);
  const left = useAppSelector((state) => state.plan.choices.left);
  const { house, failed } = useRaised(plan, option);
  const [gait] = useState(() => new Gait());
  const [studio] = useState(() => new Studio());
  const [mode, setMode] = useState<Mode>('outside');
  const [how, setHow] = useState<How>({
    ...{ floor: null, room: chosenRoom, openSide: true, seeThrough: false, apart: false, furnished: true },
  });
  const [eye, setEye] = useState(STANDING_EYE);
  const [cut, setCut] = useState<number | null>(null);
  const [where, setWhere] = useState<{ at: Standing; heading: number } | null>(null);
  const [from, setFrom] = useState<string | null>(null);
  const [panel, setPanel] = useState<'picture' | 'sun' | 'finish' | null>(null);
  const [subject, setSubject] = useState<Subject | null>(null);
  const [picking, setPicking] = useState(false);
  const [time, setTime] = useState<DayAndTime | null>(null);
  const [drawing, setDrawing] = useState<Drawing>({
    ...{ form: 'isometric', corner: 0, floor: chosenFloor, cut: 1200, furnished: true },
  });
  const svg = useLines(mode === 'lines' ? plan : null, option, drawing);
  const over = useSun(plan, option, time);
  const sun = over?.towards ?? null;
  const glass = useRef<View>(null);
  const vantages = vantagesInOrder(plan);
  const vantage = mode === 'vantage' ? (vantages.find(({ id }) => id === from) ?? null) : null;
  const shown = useMemo((): Shown => {
    if (vantage) return shownFrom(vantage, sun);
    if (mode === 'outside') return { ...how, sun, inside: false };
    return { ...how, sun, floor: null, room: null, apart: false, seeThrough: false, inside: true };
  }, [how, mode, vantage, sun]);
  const seenFrom = useMemo(() => {
    if (vantage) return { eye: vantage.up, lens: lensOf(vantage) };
    return mode === 'inside' ? { eye, lens: USUAL_LENS } : null;
  }, [mode, vantage, eye]);
  useHeldKeys(glass, gait);

  const say = (text: string) => dispatch(planActions.said({ text, tone: 'refused' }));
  const stand = (room: string | null): boolean => {
    if (!house) return false;
    const { walkable } = house;
    for (const id of [...(room ? [room] : []), ...roomsBySize(walkable)]) {
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
    if (mode !== 'inside' && stand(how.room)) setMode('inside');
  };
  const goTo = (id: string) => {
    // one that was kept just now is in the plan, not on the screen yet
    const to = store.getState().plan.plan?.vantages[id];
    if (!house || !to) return;
    gait.stand(...posed(to, house.walkable));
    setFrom(id);
    setTime(to.sun);
    setMode('vantage');
  };
  const leave = () => {
    gltfOf(plan, option)
      .then((bytes) => download(`${fileName(plan.job.name)}.glb`, 'model/gltf-binary', bytes as BlobPart))
      .catch(() => say('The file could not be made. Load the page again, then try once more.'));
  };
  const tapped = (surface: string) => {
    if (scopesOf(surface).length === 0) return;
    if (!picking || !subject) {
      // as much as was chosen last, where there is as much
      const scope = scopesOf(surface).find(({ what }) => what === subject?.scope)?.what ?? scopesOf(surface)[0]!.what;
      setSubject({ surface, scope });
      return;
    }
    setPicking(false);
    const look = finishLookOf(surface, { finishes: ofOption(plan.finishes, option) });
    const on = onOf(subject);
    if (!look) say('Nothing was laid there that could be picked.');
    else if (on) dispatch(edit({ kind: 'layFinish', on: [on], along: on.what === 'wall', look, option }));
  };
  const light = {
    toFinish: () => setPanel('finish'),
    time,
    toSun: () => {
      setTime(time ?? NOW());
      setPanel('sun');
    },
  };
  // asked for with a tap on the plan: forgotten only when this is on the screen, as drawing it may be begun more than once
  const [asked] = useState(wantedPlace);
  useEffect(isKnown, []);
  const [went, setWent] = useState(false);
  if (asked !== null && house && !went) {
    setWent(true);
    const at = 'room' in asked ? standIn(house.walkable, asked.room) : null;
    if ('vantage' in asked) goTo(asked.vantage);
    if (at) {
      gait.stand(at, openWay(house.walkable, at));
      setWhere({ at, heading: gait.heading });
      setMode('inside');
    }
  }
  const inside = mode === 'inside' && house !== null && where !== null;
  const empty = house !== null && house.floors.every(({ things }) => things.length === 0);
  return (
    <View testID="views" accessibilityLabel="Views" style={styles.part}>
      <View
        ref={glass}
        style={[styles.glass, { backgroundColor: colours.sheet }]}
        tabIndex={0}
        role={'application' as 'none'}
        testID="space"
        aria-label={HOW_TO[mode]}
      >
        {mode === 'lines' ? (
          <Lines svg={svg} says="The house drawn in lines" />
        ) : !canDraw() ? (
          <Words text={NO_WEBGL} />
        ) : failed ? (
          <Words text={NOT_RAISED} />
        ) : !house ? (
          <Waiting />
        ) : empty ? (
          <Words text={NOTHING_YET} />
        ) : (
          <Space
            house={house}
            shown={shown}
            cut={mode === 'outside' ? cut : null}
            from={seenFrom}
            gait={gait}
            moved={(at, heading) => setWhere({ at, heading })}
            background={backgroundOf(shown, colours.sheet)}
            studio={studio}
            chosen={panel === 'finish' ? (subject?.surface ?? null) : null}
            tapped={panel === 'finish' ? tapped : null}
          />
        )}
        {inside && (
          <>
            <Caption text={roomAt(house.walkable, where.at)?.name ?? 'Between rooms'} testID="standing-in" />
            <PlanMark
              walkable={house.walkable}
              where={where}
              go={(room) => stand(room)}
              floor={floorAt(house.walkable, where.at.level)?.floor ?? null}
            />
            <ThumbPad gait={gait} left={left} />
          </>
        )}
        {vantage && <Caption text={vantage.name} testID="vantage" />}
      </View>
      <View style={[styles.foot, { backgroundColor: colours.chalk, borderColor: colours.linenDeep }]}>
        <View style={styles.bar} role="group" aria-label="How it is seen">
          <BarButton label="Look at it" chosen={mode === 'outside'} onPress={() => setMode('outside')} />
          <BarButton label="Step inside" chosen={mode === 'inside'} disabled={!house} onPress={stepInside} />
          {vantages.length > 0 && (
            <BarButton
              label="Vantages"
              chosen={mode === 'vantage'}
              disabled={!house}
              onPress={() => goTo(from ?? vantages[0]!.id)}
            />
          )}
          <View style={styles.grow} />
          <DropMenu
            icon="download"
            says="Pictures and files"
            entries={[
              { title: 'Take a picture', icon: 'camera-outline', onPress: () => setPanel('picture') },
              { title: 'Draw it in lines', icon: 'vector-square-plus', onPress: () => setMode('lines') },
              { title: 'The house as glTF', icon: 'cube-outline', onPress: leave },
            ]}
          />
        </View>
        {mode === 'lines' ? (
          <LinesBar drawing={drawing} draw={(to) => setDrawing({ ...drawing, ...to })} svg={svg} />
        ) : panel === 'finish' && house ? (
          <FinishBar
            house={house}
            subject={subject}
            choose={setSubject}
            picking={picking}
            setPicking={setPicking}
            room={inside ? (roomAt(house.walkable, where.at)?.room ?? null) : how.room}
            close={() => {
              setPicking(false);
              setPanel(null);
            }}
          />
        ) : panel === 'sun' && house && time ? (
          <SunBar
            house={house}
            time={time}
            setTime={setTime}
            over={over}
            close={() => setPanel(null)}
            off={() => {
              setTime(null);
              setPanel(null);
            }}
          />
        ) : panel === 'picture' && house ? (
          <PictureBar
            house={house}
            studio={studio}
            now={{ pose: () => gait.seen, lens: seenFrom?.lens ?? null, shown }}
            called={vantage?.name ?? null}
            close={() => setPanel(null)}
          />
        ) : vantage ? (
          <VantageBar {...light} vantage={vantage} goTo={goTo} now={() => gait.seen} left={() => setMode('outside')} />
        ) : mode === 'inside' ? (
          <InsideBar
            {...light}
            eye={eye}
            setEye={setEye}
            how={shown}
            setHow={(to) => setHow({ ...how, ...to })}
            now={() => gait.seen}
            kept={goTo}
          />
        ) : (
          <LookBar
            {...light}
            house={house}
            how={how}
            setHow={(to) => setHow({ ...how, ...to })}
            cut={cut}
            setCut={setCut}
            now={() => gait.seen}
            kept={goTo}
          />
        )}
      </View>
    </View>
  );
}

const HOW_TO: Record<Mode, string> = {
  outside: 'The house. Arrow keys turn it, plus and minus come nearer.',
  inside: 'Inside the house. Arrow keys walk and turn, with Shift to the side.',
  lines: 'The house drawn in lines.',
  vantage: 'The house from a vantage. Arrow keys turn and walk from there.',
};

function Caption({ text, testID }: { text: string; testID: string }) {
  const colours = useColours();
  return (
    <View style={[styles.caption, { backgroundColor: colours.velvet }]} role="status" testID={testID}>
      <Text style={[styles.captionText, { color: colours.onVelvet }]}>{text}</Text>
    </View>
  );
}

const styles = StyleSheet.create({
  part: { flex: 1, minHeight: 0 },
  glass: { flex: 1, minHeight: 0, overflow: 'hidden' },
  foot: { borderTopWidth: 1, paddingTop: 8, gap: 6, paddingBottom: 6 },
  bar: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: 6, paddingHorizontal: 8 },
  grow: { flex: 1 },
  caption: { position: 'absolute', top: 10, left: 10, borderRadius: 12, paddingHorizontal: 14, paddingVertical: 6 },
  captionText: { fontFamily: FONTS.serif, fontSize: 16 },
});
