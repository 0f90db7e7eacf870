import {
  type DerivedFloor,
  type DrawingPart,
  type DrawingStyle,
  type Mark,
  type Point,
  type LetterBox,
  FLOORS,
  WALLS,
  drawFloorInParts,
} from '@velvet-tape/core';
import { lazy, memo, useMemo, useRef } from 'react';
import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';
import Svg from 'react-native-svg';
import { drawAlterations, drawPiecesOn, withoutGone } from '../../core-later/to-come';
import { useAppDispatch, useAppSelector } from '../../store/store';
import { BarButton } from '../../ui/BarButton';
import { Quiet } from '../../ui/Part';
import { G, Path } from '../../ui/svg';
import { type HouseColours, useColours } from '../../ui/theme';
import { takeTool } from './commands';
import { OtherFloorLayer } from './floors/OtherFloorLayer';
import { Magnifier } from './Magnifier';
import { MarkView } from './MarkView';
import { roomForSuspects, suspectsOnPlan } from './overlay/misclosure-words';
import { Overlay } from './overlay/Overlay';
import { useMisclosures } from './readings/use-misclosures';
import {
  selectFace,
  selectFloor,
  selectLook,
  selectOption,
  selectParted,
  selectShownFloor,
  selectFinishes,
  selectShownPieces,
} from './selectors';
import { bendHandle } from './tools/grips';
import { TOOL_HINTS } from './tool-names';
import { UnderlayLayer } from './underlay/UnderlayLayer';
import { selectUnderlays } from './underlay/selectors';
import { REACH, useSheetInput } from './use-sheet-input';
import { LETTERING, letteringStep } from './viewport';

const DRAWING = 'sheet-drawing';

const PlanOutline = lazy(() => import('./outline/PlanOutline'));

/** The sheet: the plan drawn to fill it, with a finger or the mouse working the chosen tool. */
export const PlanCanvas = memo(function PlanCanvas() {
  const host = useRef<View>(null);
  const colours = useColours();
  const floor = useAppSelector(selectShownFloor);
  const view = useAppSelector((state) => state.view.view);
  const width = useAppSelector((state) => state.view.width);
  const height = useAppSelector((state) => state.view.height);
  const crosshair = useAppSelector((state) => state.view.crosshair);
  const tool = useAppSelector((state) => state.plan.tool);
  useSheetInput(host);
  const transform = `matrix(${view.scale} 0 0 ${view.scale} ${-view.x * view.scale} ${-view.y * view.scale})`;

  return (
    <View
      ref={host}
      testID="sheet"
      style={[
        styles.sheet,
        { backgroundColor: colours.sheet, cursor: tool === 'choose' ? 'auto' : 'crosshair' } as object,
      ]}
    >
      {width > 0 && floor && (
        <Svg
          width={width}
          height={height}
          accessibilityLabel={`Plan of ${floor.name}, ${floor.rooms.length} rooms`}
          role="img"
        >
          <G id={DRAWING} transform={transform}>
            <ShownDrawing lettering={LETTERING / letteringStep(view.scale)} colours={colours} />
            <Overlay floor={floor} colours={colours} px={1 / view.scale} reach={REACH.touch / view.scale} />
          </G>
          {crosshair && <Crosshair x={width / 2} y={height / 2} colour={colours.clay} />}
        </Svg>
      )}
      <Outline />
      <Magnifier drawing={DRAWING} />
    </View>
  );
});

/** The plan in words, left alone while the sheet is moved. */
const Outline = memo(function Outline() {
  return (
    <Quiet>
      <PlanOutline />
    </Quiet>
  );
});

/** On an empty sheet: what to do with the tool in hand, and the other way to begin. */
export function EmptySheet() {
  const dispatch = useAppDispatch();
  const colours = useColours();
  const tool = useAppSelector((state) => state.plan.tool);
  const empty = useAppSelector(
    (state) =>
      state.plan.proposal === null &&
      selectShownFloor(state)?.network.walls.length === 0 &&
      selectUnderlays(state).length === 0,
  );
  if (!empty) return null;
  return (
    <View pointerEvents="box-none" style={styles.empty}>
      <Text variant="titleMedium" pointerEvents="none" style={{ color: colours.inkSoft, textAlign: 'center' }}>
        {TOOL_HINTS[tool]}
      </Text>
      {(tool === 'box' || tool === 'choose') && (
        <View style={styles.or}>
          <BarButton icon="image-outline" label="Or trace a picture" onPress={() => dispatch(takeTool('underlay'))} />
        </View>
      )}
    </View>
  );
}

interface Look {
  /** mm of the house. */
  lettering: number;
  colours: HouseColours;
}

/** The plan itself. While a part of it is dragged the rest is left alone, and the part is painted between and over it. */
const ShownDrawing = memo(function ShownDrawing(look: Look) {
  const shown = useAppSelector(selectShownFloor);
  const parted = useAppSelector(selectParted);
  const over = useLaidOver(look.lettering / LETTERING);
  const laid = useLaidOut(parted?.rest ?? shown, look.lettering, parted !== null, over, useNotes());
  const whole = useInOption(laid);
  const part = useLaidOut(parted?.part ?? null, look.lettering, true, over, null);
  const standing = usePieces(look.lettering);
  const altered = useAltered(look.lettering);
  const layers = useMemo(() => inLayers(whole), [whole]);
  const dragged = useMemo(() => inLayers(part), [part]);
  return (
    <>
      <Parts parts={dragged.floors} {...look} />
      <Parts parts={layers.floors} {...look} />
      <OtherFloorLayer colours={look.colours} />
      <UnderlayLayer colours={look.colours} px={look.lettering / LETTERING} />
      <Parts parts={layers.under} {...look} />
      <Parts parts={standing} {...look} />
      <Parts parts={layers.walls} {...look} />
      <Parts parts={altered} {...look} />
      <Parts parts={dragged.under} {...look} />
      <Parts parts={dragged.walls} {...look} />
    </>
  );
});

/** The parts of a drawing as they lie over each other: floors, what lies on them, and from the walls on. */
function inLayers(parts: readonly DrawingPart[]): Record<'floors' | 'under' | 'walls', readonly DrawingPart[]> {
  const over = parts.filter(({ key }) => key !== FLOORS);
  const at = Math.max(
    0,
    over.findIndex(({ key }) => key === WALLS),
  );
  return { floors: parts.filter(({ key }) => key === FLOORS), under: over.slice(0, at), walls: over.slice(at) };
}

/** Where what is written is taken from: the floor, and the part of it that is dragged; nothing until what draws it has come. */
function useNotes(): DrawingStyle['notes'] {
  const came = useAppSelector((state) => state.view.roomsCame > 0);
  const shown = useAppSelector(selectShownFloor);
  const parted = useAppSelector(selectParted);
  const chosen = useAppSelector(({ plan: { selection } }) => (selection.kind === 'note' ? selection.id : null));
  return useMemo(
    () => (came && shown ? { whole: shown, near: parted?.part ?? null, chosen } : null),
    [came, shown, parted, chosen],
  );
}

/** What stands in the rooms, laid out by itself: while a piece is dragged the plan is left alone. */
function usePieces(lettering: number): readonly DrawingPart[] {
  const came = useAppSelector((state) => state.view.roomsCame > 0);
  const floor = useAppSelector(selectShownFloor);
  const near = useAppSelector(selectParted)?.part ?? null;
  const pieces = useAppSelector(selectShownPieces);
  const finishes = useAppSelector(selectFinishes);
  const vantages = useAppSelector((state) => state.plan.plan?.vantages);
  const look = useAppSelector(selectLook);
  return useMemo(() => {
    if (!came || !floor) return NOTHING;
    return drawPiecesOn(floor, {
      lettering,
      pieces,
      finishes,
      ...(vantages && { vantages }),
      notes: { whole: floor, near },
      ...look,
    });
  }, [came, floor, near, pieces, finishes, vantages, look, lettering]);
}

/** Without the doors and windows that are not there in the option that is looked at. */
function useInOption(parts: readonly DrawingPart[]): readonly DrawingPart[] {
  const plan = useAppSelector((state) => state.plan.plan);
  const option = useAppSelector(selectOption);
  return useMemo(() => (plan && option !== null ? withoutGone(parts, plan, option) : parts), [parts, plan, option]);
}

/** What the option that is looked at alters of the house. */
function useAltered(lettering: number): readonly DrawingPart[] {
  const came = useAppSelector((state) => state.view.roomsCame > 0);
  const floor = useAppSelector(selectFloor);
  const plan = useAppSelector((state) => state.plan.plan);
  const option = useAppSelector(selectOption);
  return useMemo(
    () => (came && plan && floor && option !== null ? drawAlterations(plan, floor, option, lettering) : NOTHING),
    [came, plan, floor, option, lettering],
  );
}

/** A floor laid out; anew when it or the step of zoom changes, not when the sheet is moved. */
function useLaidOut(
  floor: DerivedFloor | null,
  lettering: number,
  part: boolean,
  over: readonly LetterBox[],
  notes: DrawingStyle['notes'],
): readonly DrawingPart[] {
  const look = useAppSelector(selectLook);
  return useMemo(() => {
    if (!floor) return NOTHING;
    const style: DrawingStyle = { lettering, units: floor.plan.job.units, part, over, notes, ...look };
    return drawFloorInParts(floor, style);
  }, [floor, lettering, part, over, notes, look]);
}

/** What is laid over the drawing, and figures make room for: that a reading may have slipped, and the handles of the chosen wall. */
function useLaidOver(px: number): readonly LetterBox[] {
  const floor = useAppSelector(selectFloor);
  const misclosures = useMisclosures(floor);
  const face = useAppSelector((state) => (state.plan.selection.kind === 'wall' ? selectFace(state) : null));
  return useMemo(() => {
    if (!floor) return NOTHING_OVER;
    const handles = face ? [handleBox(bendHandle(face, REACH.touch * px, floor.rooms), px)] : [];
    const over = [...roomForSuspects(suspectsOnPlan(floor, misclosures, px), px), ...handles];
    return over.length > 0 ? over : NOTHING_OVER;
  }, [floor, misclosures, face, px]);
}

/** px */
const HANDLE = 14;
const handleBox = (at: Point, px: number): LetterBox => ({
  at,
  d: { x: 1, y: 0 },
  long: HANDLE * px,
  high: HANDLE * px,
  far: Math.SQRT2 * HANDLE * px,
});

const NOTHING_OVER: readonly LetterBox[] = [];

const NOTHING: readonly DrawingPart[] = [];

const Parts = memo(function Parts({ parts, lettering, colours }: Look & { parts: readonly DrawingPart[] }) {
  return parts.flatMap(({ key, apart, marks }) =>
    (apart ? sheaves(marks) : [marks]).map(
      (sheaf, i) =>
        sheaf.length > 0 && <Sheaf key={`${key}.${i}`} marks={sheaf} colours={colours} lettering={lettering} />,
    ),
  );
});

/** Marks are painted in sheaves: of one in which no mark changed nothing is looked at. */
const SHEAVES = 16;

/** The same mark is always in the same sheaf, whatever others come and go. */
function sheaves(marks: readonly Mark[]): readonly (readonly Mark[])[] {
  const list: Mark[][] = Array.from({ length: SHEAVES }, () => []);
  for (const mark of marks) {
    let sum = 0;
    for (let i = 0; i < mark.key.length; i += 1) sum = (sum * 31 + mark.key.charCodeAt(i)) % 65_536;
    list[sum % SHEAVES]!.push(mark);
  }
  return list;
}

const Sheaf = memo(
  function Sheaf({ marks, colours, lettering }: { marks: readonly Mark[]; colours: HouseColours; lettering: number }) {
    return marks.map((mark) => (
      <MarkView key={`${mark.key}/${mark.role}`} mark={mark} colours={colours} lettering={lettering} />
    ));
  },
  (a, b) =>
    a.colours === b.colours &&
    a.lettering === b.lettering &&
    a.marks.length === b.marks.length &&
    a.marks.every((mark, i) => mark === b.marks[i]),
);

/** Where drawing by keyboard begins. */
function Crosshair({ x, y, colour }: { x: number; y: number; colour: string }) {
  return (
    <Path
      testID="crosshair"
      d={`M ${x - 14} ${y} h 28 M ${x} ${y - 14} v 28`}
      stroke={colour}
      strokeWidth={2}
      fill="none"
    />
  );
}

const styles = StyleSheet.create({
  sheet: { flex: 1, overflow: 'hidden' },
  or: { position: 'absolute', bottom: 14, left: 0, right: 0, alignItems: 'center', pointerEvents: 'box-none' },
  empty: { position: 'absolute', top: 0, bottom: 0, left: 40, right: 40, justifyContent: 'center' },
});
