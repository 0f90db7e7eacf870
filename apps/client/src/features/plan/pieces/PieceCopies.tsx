import type { Plan } from '@velvet-tape/core';
import type { Pattern, PieceOnFloor } from '@velvet-tape/core/pieces';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Text, TextInput } from 'react-native-paper';
import { laterRooms } from '../../../core-later/to-come';
import { BarButton, BarIcon } from '../../../ui/BarButton';
import { FONTS, useColours } from '../../../ui/theme';
import { ListBar } from '../later/ListPanel';
import { lent } from '../later/lent';
import { clearOf } from './chosen-piece';
import { chosenOf, standingNow } from './standing';

const { edit, parseLength, planActions, store, useAppDispatch, useAppSelector } = lent();

const WAYS = [
  ['row', 'In a row'],
  ['file', 'One before the other'],
  ['grid', 'Grid'],
  ['round', 'Round what is nearest'],
] as const;
type Way = (typeof WAYS)[number][0];
type Units = Plan['job']['units'];

/** Equal copies of a piece: in a row, in a grid, round a table. */
export default function PieceCopies() {
  const dispatch = useAppDispatch();
  const colours = useColours();
  const chosen = useAppSelector((state) => state.plan.selection);
  const all = useAppSelector(standingNow);
  const { units } = useAppSelector((state) => state.plan.plan!.job);
  const [way, setWay] = useState<Way>('row');
  const [count, setCount] = useState(4);
  const [rows, setRows] = useState(2);
  const [gap, setGap] = useState('0');
  const held = chosen.kind === 'piece' ? chosenOf(all, chosen) : [];
  const [one, other] = held;
  if (!one) return null;
  // of two that are alike one is the first and one the last
  const last = other && held.length === 2 && other.piece.form === one.piece.form ? other : null;
  const read = /^0*$/.test(gap.trim()) ? 0 : parseLength(gap, units === 'metric' ? 'mm' : 'in');
  const between = typeof read === 'number' ? read : read.ok ? read.mm : null;
  const about = nearestBeside(one, all);
  const clear = clearOf(store.getState(), one);
  const free = Math.max(clear[way === 'file' ? 'front' : 'left'] ?? 0, clear[way === 'file' ? 'back' : 'right'] ?? 0);
  const size = (way === 'file' ? one.piece.depth : one.piece.width) + (between ?? 0);
  const make = () => {
    if (between === null) {
      const reason = typeof read === 'number' || read.ok ? '' : read.reason;
      dispatch(planActions.said({ text: reason, tone: 'refused' }));
      return;
    }
    const pattern = last
      ? betweenTwo(one, last, count)
      : patternOf(one, way, { count, rows, gap: between, about, clear });
    if (!pattern) {
      dispatch(planActions.said({ text: 'There is nothing beside it to go round.', tone: 'refused' }));
      return;
    }
    const result = dispatch(
      edit({ kind: 'arrayPiece', piece: one.piece.id, pattern, ...(last && { last: last.piece.id }) }),
    );
    if (result.ok) {
      const { group } = result.plan.pieces[one.piece.id]!;
      const ids = Object.values(result.plan.pieces).flatMap((each) => (each.group === group ? [each.id] : []));
      dispatch(planActions.selected({ kind: 'piece', ids }));
    }
  };
  const total = way === 'grid' && !last ? count * rows : count;
  return (
    <View testID="piece-copies">
      {last && (
        <Text style={[styles.how, { color: colours.inkSoft }]}>From the one to the other, both of them counted.</Text>
      )}
      {!last && (
        <ListBar>
          {WAYS.map(([each, label]) => (
            <BarButton key={each} label={label} chosen={way === each} onPress={() => setWay(each)} />
          ))}
        </ListBar>
      )}
      <ListBar>
        <Count label={way === 'grid' && !last ? 'In a row' : 'In all'} value={count} change={setCount} />
        {way === 'grid' && !last && <Count label="Rows" value={rows} change={setRows} />}
        {way !== 'round' && !last && (
          <TextInput
            mode="outlined"
            dense
            label={units === 'metric' ? 'Between, mm' : 'Between, in'}
            accessibilityLabel="Between them"
            value={gap}
            onChangeText={setGap}
            style={styles.gap}
          />
        )}
      </ListBar>
      <ListBar>
        <BarButton strong label={`Make it ${total}`} says={`Make it ${total} pieces`} onPress={make} />
        {!last && (way === 'row' || way === 'file') && count > 1 && (
          <BarButton
            label="As far as there is room"
            says="Spread them as far as there is room"
            onPress={() => setGap(spreadOver(free, way === 'file' ? one.piece.depth : one.piece.width, count, units))}
          />
        )}
        {held.length > 2 && (
          <BarButton
            label="Space them equally"
            onPress={() => dispatch(edit({ kind: 'placePieces', places: spaced(held) }))}
          />
        )}
      </ListBar>
      <Text style={[styles.how, { color: colours.inkSoft }]}>
        {way === 'round' || last ? '' : `There is room for ${1 + Math.floor((free + 0.5) / size)}. `}They are a group:
        they are chosen and moved together, until it is ungrouped.
      </Text>
    </View>
  );
}

function Count({ label, value, change }: { label: string; value: number; change(to: number): void }) {
  const colours = useColours();
  return (
    <View style={styles.count} accessibilityLabel={`${label}: ${value}`}>
      <BarIcon icon="minus" says={`${label}: fewer`} onPress={() => change(Math.max(1, value - 1))} />
      <Text style={[styles.figure, { color: colours.ink }]}>{`${label}: ${value}`}</Text>
      <BarIcon icon="plus" says={`${label}: more`} onPress={() => change(Math.min(60, value + 1))} />
    </View>
  );
}

/** So many from one to another, both of them counted: the last is there already. */
function betweenTwo(one: PieceOnFloor, last: PieceOnFloor, count: number): Pattern {
  const { middleOfPiece, stepBetween } = laterRooms();
  const step = stepBetween(middleOfPiece(one), middleOfPiece(last), count);
  return { kind: 'row', count: Math.max(1, count - 1), step };
}

/** What is between so many that the last stands where the room ends, as it is typed: mm, or inches. */
function spreadOver(free: number, size: number, count: number, units: Units): string {
  const gap = Math.max(0, (free - (count - 1) * size) / (count - 1));
  return units === 'metric' ? String(Math.floor(gap * 10) / 10) : String(Math.floor((gap / 25.4) * 16) / 16);
}

interface Told {
  count: number;
  rows: number;
  gap: number;
  about: PieceOnFloor | null;
  clear: Clear;
}
type Clear = ReturnType<typeof clearOf>;

/** To the side where there is more room. */
function patternOf({ piece, frame }: PieceOnFloor, way: Way, told: Told): Pattern | null {
  const { count, rows, gap, about, clear } = told;
  const { d } = frame;
  const [right, front] = [
    (clear.left ?? 0) > (clear.right ?? 0) ? -1 : 1,
    (clear.back ?? 0) > (clear.front ?? 0) ? -1 : 1,
  ];
  const [by, out] = [right * (piece.width + gap), front * (piece.depth + gap)];
  const along = { x: d.x * by, y: d.y * by };
  const down = { x: -d.y * out, y: d.x * out };
  switch (way) {
    case 'row':
      return { kind: 'row', count, step: along };
    case 'file':
      return { kind: 'row', count, step: down };
    case 'grid':
      return { kind: 'grid', columns: count, rows, column: along, row: down };
    case 'round':
      return about && roundIt(about, count);
  }
}

/** What is round is gone round in a circle, anything else along its sides. */
function roundIt(about: PieceOnFloor, count: number): Pattern {
  const { middleOfPiece } = laterRooms();
  const { width, depth } = about.piece;
  return about.kind.round
    ? { kind: 'round', count, about: middleOfPiece(about) }
    : { kind: 'sides', count, frame: about.frame, width, depth };
}

/** What stands nearest: a table, for a chair. */
function nearestBeside(one: PieceOnFloor, all: readonly PieceOnFloor[]): PieceOnFloor | null {
  const { middleOfPiece } = laterRooms();
  const own = middleOfPiece(one);
  const beside = all
    .filter(({ piece }) => piece.id !== one.piece.id && piece.form !== one.piece.form)
    .map((on) => ({ on, p: middleOfPiece(on) }))
    .map(({ on, p }) => ({ on, off: Math.hypot(p.x - own.x, p.y - own.y) }))
    .sort((a, b) => a.off - b.off)[0];
  return beside && beside.off < 3000 ? beside.on : null;
}

/** Those between the first and the last at equal distances, in the order they stand. */
function spaced(held: readonly PieceOnFloor[]) {
  const { middleOfPiece, shiftPiece } = laterRooms();
  const { d } = held[0]!.frame;
  const along = (on: PieceOnFloor) => {
    const p = middleOfPiece(on);
    return p.x * d.x + p.y * d.y;
  };
  const row = [...held].sort((a, b) => along(a) - along(b));
  const [first, last] = [along(row[0]!), along(row.at(-1)!)];
  return row.map((on, i) => {
    const by = first + ((last - first) * i) / (row.length - 1) - along(on);
    const own = on.frame.d.x * d.x + on.frame.d.y * d.y;
    const across = on.frame.d.x * d.y - on.frame.d.y * d.x;
    return shiftPiece(on, { x: by * own, y: by * across });
  });
}

const styles = StyleSheet.create({
  count: { flexDirection: 'row', alignItems: 'center' },
  figure: { fontFamily: FONTS.sans, fontSize: 15, minWidth: 74, textAlign: 'center', fontVariant: ['tabular-nums'] },
  gap: { width: 130, fontFamily: FONTS.sans },
  how: { paddingHorizontal: 14, paddingBottom: 6, fontSize: 13.5, lineHeight: 17 },
});
