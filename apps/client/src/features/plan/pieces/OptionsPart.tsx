import type { DerivedFloor, Mark, Option, Plan } from '@velvet-tape/core';
import type { OptionFigures } from '@velvet-tape/core/options';
import { useEffect, useMemo, useRef, useState } from 'react';
import { ScrollView, StyleSheet, View, useWindowDimensions } from 'react-native';
import { Text } from 'react-native-paper';
import Svg from 'react-native-svg';
import { laterRooms } from '../../../core-later/to-come';
import { BarButton, BarIcon } from '../../../ui/BarButton';
import { G } from '../../../ui/svg';
import { FONTS, WIDE, useColours } from '../../../ui/theme';
import { ListBar, ListPanel } from '../later/ListPanel';
import { lent } from '../later/lent';
import { alteredInWords, optionName, useOptions } from './OptionBar';

const {
  DropMenu,
  MarkView,
  Written,
  capital,
  decimals,
  drawFloor,
  drawFloorInParts,
  drawnBox,
  edit,
  fitted,
  formatArea,
  formatLength,
  formatVolume,
} = lent();
const { lookOf, planActions, useAppDispatch, useAppSelector } = lent();

/** As many beside each other. */
const MOST = 4;
/** Lettering on a picture, px. */
const LETTERING = 10;
const [HIGH, HIGH_WIDE] = [290, 300];

/** How all pictures lie: they move together. */
interface Lie {
  readonly zoom: number;
  readonly x: number;
  readonly y: number;
}
const AT_REST: Lie = { zoom: 1, x: 0, y: 0 };

/** The options beside each other, and what they come to: two to four on a wide screen, one after the other on a phone. */
export default function OptionsPart({ floor }: { floor: DerivedFloor }) {
  const dispatch = useAppDispatch();
  const colours = useColours();
  const wide = useWindowDimensions().width >= WIDE;
  const options = useOptions();
  const shownOption = useAppSelector((state) => state.plan.option);
  const [out, setOut] = useState<ReadonlySet<string>>(new Set());
  const [at, setAt] = useState(() =>
    Math.max(
      0,
      options.findIndex(({ id }) => id === shownOption),
    ),
  );
  const [lie, setLie] = useState<Lie>(AT_REST);
  const beside = options.filter(({ id }) => !out.has(id)).slice(0, MOST);
  const one = Math.min(at, Math.max(0, options.length - 1));
  const shown = wide ? beside : options.slice(one, one + 1);
  const turnTo = (next: number) => setAt(Math.min(options.length - 1, Math.max(0, next)));
  return (
    <ListPanel title="Options" testID="options" downloads={[]}>
      <ScrollView>
        <ListBar>
          <BarButton
            icon="plus"
            label={options.length === 0 ? 'Begin with an option A' : 'New'}
            says="A new option"
            onPress={() => dispatch(edit({ kind: 'addOption', like: null }))}
          />
          {wide &&
            options.length > 1 &&
            options.map(({ id, name }) => (
              <BarButton
                key={id}
                label={optionName(name)}
                says={`Show ${optionName(name)} beside the others`}
                chosen={beside.some((each) => each.id === id)}
                onPress={() => {
                  const next = new Set(out);
                  if (!next.delete(id)) next.add(id);
                  setOut(next);
                }}
              />
            ))}
          {!wide && options.length > 1 && (
            <>
              <BarIcon icon="chevron-left" says="The option before" onPress={() => turnTo(one - 1)} />
              <Text style={[styles.page, { color: colours.ink }]}>{`${one + 1} of ${options.length}`}</Text>
              <BarIcon icon="chevron-right" says="The next option" onPress={() => turnTo(one + 1)} />
            </>
          )}
          <BarIcon icon="plus" says="Closer" onPress={() => setLie({ ...lie, zoom: Math.min(8, lie.zoom * 1.4) })} />
          <BarIcon icon="minus" says="Farther" onPress={() => setLie({ ...lie, zoom: Math.max(1, lie.zoom / 1.4) })} />
        </ListBar>
        {options.length === 0 && (
          <Text style={[styles.says, { color: colours.inkSoft }]}>
            An option is one way the house could be: its own loose pieces, walls taken away or added. What is measured
            stays as it is, and a corrected reading reaches all of them. What stands loose in the house now will be in
            the first.
          </Text>
        )}
        <View style={styles.row}>
          {shown.map((option) => (
            <View key={option.id} style={[styles.cell, wide && { minWidth: '22%' }]}>
              <Cell
                option={option}
                floor={floor}
                lie={lie}
                setLie={setLie}
                swiped={wide ? null : (by) => turnTo(one + by)}
              />
            </View>
          ))}
        </View>
        {options.length > 0 && <Compared options={wide ? beside : options} />}
      </ScrollView>
    </ListPanel>
  );
}

interface CellProps {
  option: Option;
  floor: DerivedFloor;
  lie: Lie;
  setLie(lie: Lie): void;
  /** Pushed aside on a phone, the next one comes; null: it is moved. */
  swiped: ((by: number) => void) | null;
}

function Cell({ option, floor, lie, setLie, swiped }: CellProps) {
  const dispatch = useAppDispatch();
  const colours = useColours();
  const plan = useAppSelector((state) => state.plan.plan)!;
  const alterations = Object.values(plan.alterations).filter((each) => each.option === option.id);
  const { houseOfOption } = laterRooms();
  const undone = alterations.length > 0 ? houseOfOption(plan, option.id).undone : [];
  const look = () => {
    dispatch(planActions.optionShown(option.id));
    dispatch(planActions.listed(null));
  };
  return (
    <View
      style={[styles.card, { borderColor: option.chosen ? colours.brassDeep : colours.linenDeep }]}
      testID={`option ${option.name}`}
    >
      <View style={styles.head}>
        <Written
          key={option.name}
          label={option.chosen ? 'Chosen' : 'Option'}
          value={option.name}
          keep={(name) => dispatch(edit({ kind: 'changeOption', option: option.id, name })).ok}
          style={styles.name}
        />
        <DropMenu
          icon="dots-vertical"
          says={`More of ${optionName(option.name)}`}
          entries={[
            { title: 'Work on it', onPress: look },
            { title: 'Choose it', onPress: () => dispatch(edit({ kind: 'chooseOption', option: option.id })) },
            { title: 'Copy it', onPress: () => dispatch(edit({ kind: 'addOption', like: option.id })) },
            { title: 'Discard it', onPress: () => dispatch(edit({ kind: 'removeOption', option: option.id })) },
          ]}
        />
      </View>
      <Picture plan={plan} option={option} floor={floor} lie={lie} setLie={setLie} swiped={swiped} />
      {alterations.map(({ id, altered }) => {
        const why = undone.find(({ alteration }) => alteration === id)?.words;
        return (
          <View key={id} style={styles.alteration}>
            <Text style={[styles.small, { color: why ? colours.clay : colours.inkSoft }]}>
              {capital(alteredInWords(altered))}
              {why ? `: ${why}` : ''}
            </Text>
            <BarIcon
              icon="delete-outline"
              says={`Leave as measured: ${alteredInWords(altered)}`}
              onPress={() => dispatch(edit({ kind: 'unalterHouse', alteration: id }))}
            />
          </View>
        );
      })}
      <ListBar>
        <BarButton strong label="Work on it" says={`Work on ${optionName(option.name)}`} onPress={look} />
      </ListBar>
    </View>
  );
}

/** The floor as the option has it; what is dragged moves in all of them. */
function Picture({ plan, option, floor, lie, setLie, swiped }: CellProps & { plan: Plan }) {
  const colours = useColours();
  const host = useRef<View>(null);
  const wide = useWindowDimensions().width >= WIDE;
  const high = wide ? HIGH_WIDE : HIGH;
  const [width, setWidth] = useState(0);
  const drawn = useMemo(() => {
    const { drawAlterations, piecesOfOption, withoutGone } = laterRooms();
    const { units } = plan.job;
    const box = drawnBox(drawFloor(floor, { lettering: 1, units }), 1);
    if (!box || width === 0) return null;
    const fit = fitted(box, width, high, 20);
    const lettering = LETTERING / fit.scale;
    const style = {
      lettering,
      units,
      pieces: piecesOfOption(plan.pieces, option.id),
      ...lookOf(plan, 'for the client'),
    };
    const bare = {
      ...style,
      sizes: false,
      without: new Set([...style.without].filter((part) => part !== 'pieces')),
      hides: new Set([...style.hides, 'room.area' as const]),
    };
    const marks: Mark[] = [
      ...withoutGone(drawFloorInParts(floor, bare), plan, option.id).flatMap((part) => part.marks),
      ...drawAlterations(plan, floor, option.id, lettering).flatMap((part) => part.marks),
    ];
    return { marks, lettering, ...fit };
  }, [plan, option.id, floor, width, high]);
  const now = useRef({ lie, setLie, swiped });
  useEffect(() => {
    now.current = { lie, setLie, swiped };
  });
  useEffect(() => {
    const element = host.current as unknown as HTMLElement | null;
    if (!element) return;
    const stop = new AbortController();
    const { signal } = stop;
    let from: { x: number; y: number; lie: Lie } | null = null;
    element.style.touchAction = 'pan-y';
    element.addEventListener(
      'pointerdown',
      (event) => {
        from = { x: event.clientX, y: event.clientY, lie: now.current.lie };
        element.setPointerCapture(event.pointerId);
      },
      { signal },
    );
    element.addEventListener(
      'pointermove',
      (event) => {
        if (!from || (now.current.swiped && from.lie.zoom === 1)) return;
        const { lie: was } = from;
        now.current.setLie({ ...was, x: was.x + event.clientX - from.x, y: was.y + event.clientY - from.y });
      },
      { signal },
    );
    const end = (event: PointerEvent) => {
      const by = from ? event.clientX - from.x : 0;
      if (now.current.swiped && from?.lie.zoom === 1 && Math.abs(by) > SWIPE) now.current.swiped(by < 0 ? 1 : -1);
      from = null;
    };
    element.addEventListener('pointerup', end, { signal });
    element.addEventListener('pointercancel', end, { signal });
    return () => stop.abort();
  }, []);
  const transform = drawn
    ? `translate(${width / 2 + lie.x} ${high / 2 + lie.y}) scale(${lie.zoom}) translate(${-width / 2} ${-high / 2}) ${drawn.transform}`
    : '';
  return (
    <View
      ref={host}
      testID={`option-picture ${option.name}`}
      style={{ height: high, backgroundColor: colours.sheet, overflow: 'hidden' }}
      onLayout={({ nativeEvent }) => setWidth(nativeEvent.layout.width)}
    >
      {drawn && (
        <Svg width={width} height={high} role="img" accessibilityLabel={`Plan of ${optionName(option.name)}`}>
          <G transform={transform}>
            {drawn.marks.map((mark) => (
              <MarkView key={`${mark.key}/${mark.role}`} mark={mark} colours={colours} lettering={drawn.lettering} />
            ))}
          </G>
        </Svg>
      )}
    </View>
  );
}

/** px */
const SWIPE = 50;

type Say = (figures: OptionFigures, plan: Plan) => string;
const ROWS: readonly (readonly [string, Say])[] = [
  ['Free floor', ({ freeFloor }, { job }) => formatArea(freeFloor, job.units)],
  [
    'Storage',
    // small in cubic metres
    ({ storage }, { job: { units } }) =>
      units === 'metric' ? `${decimals(storage / 1e9, 2)} m³` : formatVolume(storage, units),
  ],
  ['Shelf', ({ shelf }, { job }) => formatLength(shelf, job.units)],
  ['Worktop', ({ worktop }, { job }) => formatLength(worktop, job.units)],
  ['Seats', ({ seats }) => String(seats)],
  ['Price', ({ price, unpriced }) => `${decimals(price, 2)}${unpriced > 0 ? ` (${unpriced} without)` : ''}`],
  [
    'Narrowest way',
    ({ narrowest }, { job }) => (narrowest === null ? 'nothing in the way' : formatLength(narrowest, job.units)),
  ],
  ['To check', ({ checks, undone }) => String(checks + undone)],
];

/** What was worked out of a plan, by option. */
const figures = new WeakMap<Plan, Map<string, OptionFigures>>();

/** The figures of some options, worked out one after the other while the page goes on; null: not yet. */
function useFigures(plan: Plan, options: readonly Option[]): readonly (OptionFigures | null)[] {
  const [, again] = useState(0);
  let known = figures.get(plan);
  if (!known) figures.set(plan, (known = new Map()));
  const next = options.find(({ id }) => !known.has(id))?.id;
  useEffect(() => {
    if (next === undefined) return;
    const timer = setTimeout(() => {
      figures.get(plan)?.set(next, laterRooms().figuresOf(plan, next));
      again((n) => n + 1);
    });
    return () => clearTimeout(timer);
  }, [plan, next]);
  return options.map(({ id }) => known.get(id) ?? null);
}

/** What they come to, side by side. */
function Compared({ options }: { options: readonly Option[] }) {
  const colours = useColours();
  const plan = useAppSelector((state) => state.plan.plan)!;
  const columns = useFigures(plan, options);
  const cell = [styles.figure, { color: colours.ink }];
  return (
    <View style={styles.table} testID="options-compared">
      <View style={[styles.line, { borderColor: colours.brassDeep }]}>
        <Text style={[styles.what, { color: colours.inkSoft }]}>All floors</Text>
        {options.map(({ id, name }) => (
          <Text key={id} style={[cell, styles.strong]}>
            {name}
          </Text>
        ))}
      </View>
      {ROWS.map(([label, say]) => (
        <View key={label} style={[styles.line, { borderColor: colours.linenDeep }]}>
          <Text style={[styles.what, { color: colours.inkSoft }]}>{label}</Text>
          {columns.map((figures, i) => (
            <Text key={options[i]!.id} style={cell}>
              {figures ? say(figures, plan) : '…'}
            </Text>
          ))}
        </View>
      ))}
    </View>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', gap: 10, paddingHorizontal: 10, alignItems: 'flex-start' },
  cell: { flex: 1 },
  card: { borderWidth: 2, borderRadius: 10, overflow: 'hidden' },
  head: { flexDirection: 'row', alignItems: 'center', paddingLeft: 8, paddingVertical: 4 },
  name: { flex: 1, fontFamily: FONTS.sans, height: 42 },
  page: { alignSelf: 'center', fontSize: 15 },
  says: { paddingHorizontal: 14, paddingBottom: 10, fontSize: 15, lineHeight: 20, maxWidth: 640 },
  alteration: { flexDirection: 'row', alignItems: 'center', paddingLeft: 12 },
  small: { flex: 1, fontSize: 13.5, lineHeight: 17 },
  table: { padding: 12 },
  line: { flexDirection: 'row', borderBottomWidth: 1, paddingVertical: 6, gap: 8 },
  what: { width: 110, fontSize: 14 },
  figure: { flex: 1, fontSize: 14.5, fontVariant: ['tabular-nums'] },
  strong: { fontFamily: FONTS.strong },
});
