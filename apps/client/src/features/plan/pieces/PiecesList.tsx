import type { DerivedFloor, DerivedRoom } from '@velvet-tape/core';
import type { PieceLine, PieceOnFloor, PieceOrder } from '@velvet-tape/core/pieces';
import { useMemo, useState } from 'react';
import { Pressable, ScrollView, StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';
import { laterRooms } from '../../../core-later/to-come';
import { BarButton } from '../../../ui/BarButton';
import { FONTS, TOUCH, useColours } from '../../../ui/theme';
import { OrderMenu } from '../later/OrderMenu';
import { ListBar, ListPanel } from '../later/ListPanel';
import { lent } from '../later/lent';
import { AdviceLine } from './Advice';
import { goToPiece } from './commands';
import { PieceSign } from './PieceSign';
import { useAdvice } from './use-advice';
import { standingNow } from './standing';

const { capital, decimals, downloadPieces, edit, formatArea, formatLength, takeTool, planActions } = lent();
const { selectPieces, useAppDispatch, useAppSelector } = lent();

type Shown = 'all' | 'checks' | 'rooms';
const ORDERS: readonly PieceOrder[] = ['number', 'name', 'room', 'price'];

/** What stands on the floor, by numbers or rooms; what is to be said of it; what space is left. */
export default function PiecesList({ floor }: { floor: DerivedFloor }) {
  const dispatch = useAppDispatch();
  const colours = useColours();
  const [shown, setShown] = useState<Shown>('all');
  const [order, setOrder] = useState<PieceOrder>('number');
  const all = useAppSelector(standingNow);
  const pieces = useAppSelector(selectPieces);
  const { units } = floor.plan.job;
  const advice = useAdvice();
  const { orderedPieces, priceOf } = laterRooms();
  const lines = useMemo(() => laterRooms().pieceLines(floor, all), [floor, all]);
  const { total, unknown } = priceOf(lines);
  const find = (id: string) => all.find(({ piece }) => piece.id === id);
  return (
    <ListPanel
      title="Pieces"
      testID="pieces"
      downloads={[
        {
          icon: 'table-large',
          says: 'Pieces as a workbook (XLSX)',
          now: () => void dispatch(downloadPieces(floor, pieces, 'book')),
        },
        {
          icon: 'download',
          says: 'Pieces as CSV',
          now: () => void dispatch(downloadPieces(floor, pieces, 'table')),
        },
      ]}
    >
      <ListBar>
        <BarButton label={`All (${lines.length})`} chosen={shown === 'all'} onPress={() => setShown('all')} />
        <BarButton
          label={advice.length > 0 ? `To check (${advice.length})` : 'Checks'}
          chosen={shown === 'checks'}
          onPress={() => setShown('checks')}
        />
        <BarButton label="Space left" chosen={shown === 'rooms'} onPress={() => setShown('rooms')} />
        {shown === 'all' && lines.length > 1 && <OrderMenu order={order} orders={ORDERS} set={setOrder} />}
      </ListBar>
      <ScrollView>
        {shown === 'all' && orderedPieces(lines, order).map((line) => <Line key={line.on.piece.id} line={line} />)}
        {shown === 'all' && lines.length > 0 && (
          <Text style={[styles.none, { color: colours.inkSoft }]}>
            {`${lines.length === 1 ? '1 piece' : `${lines.length} pieces`}${total > 0 ? `, ${decimals(total, 2)} in all` : ''}${total > 0 && unknown > 0 ? `; ${unknown} without a price` : ''}.`}
          </Text>
        )}
        {shown === 'all' && lines.length === 0 && (
          <View>
            <Text style={[styles.none, { color: colours.inkSoft }]}>Nothing stands on this floor yet.</Text>
            <ListBar>
              <BarButton
                strong
                icon="sofa-outline"
                label="Put something down"
                onPress={() => {
                  dispatch(takeTool('pieces'));
                  dispatch(planActions.listed(null));
                }}
              />
            </ListBar>
          </View>
        )}
        {shown === 'checks' &&
          advice.map((each) => {
            const on = find(each.piece);
            return (
              <AdviceLine key={`${each.piece} ${each.key}`} advice={each}>
                {on && <BarButton label="Show" says={`Show: ${each.words}`} onPress={() => dispatch(goToPiece(on))} />}
              </AdviceLine>
            );
          })}
        {shown === 'checks' && advice.length === 0 && (
          <Text style={[styles.none, { color: colours.inkSoft }]}>Nothing to be said against them.</Text>
        )}
        {shown === 'checks' && (
          <Heard
            all={all}
            again={(id, key) => dispatch(edit({ kind: 'hearAdvice', piece: id, advice: key, heard: false }))}
          />
        )}
        {shown === 'rooms' &&
          floor.rooms.map((room) => <Space key={room.room.id} room={room} all={all} units={units} />)}
      </ScrollView>
    </ListPanel>
  );
}

/** What was heard can be said again. */
function Heard({ all, again }: { all: readonly PieceOnFloor[]; again(id: string, key: string): void }) {
  const colours = useColours();
  const heard = all.flatMap(({ piece }) =>
    piece.heard.map((key) => ({ id: piece.id, key, name: laterRooms().pieceName(piece) })),
  );
  if (heard.length === 0) return null;
  return (
    <View>
      <Text style={[styles.none, { color: colours.inkSoft }]}>{`${heard.length} heard and not said again.`}</Text>
      <ListBar>
        <BarButton label="Say all again" onPress={() => heard.forEach(({ id, key }) => again(id, key))} />
      </ListBar>
    </View>
  );
}

function Line({ line: { on, number, name, room } }: { line: PieceLine }) {
  const dispatch = useAppDispatch();
  const colours = useColours();
  const { units } = useAppSelector((state) => state.plan.plan!.job);
  const { piece, kind } = on;
  const long = (mm: number) => formatLength(mm, units);
  const size = [piece.width, ...(kind.round ? [] : [piece.depth]), piece.height].map(long).join(' × ');
  const more = [room || 'outside', piece.fixed ? 'fixed' : '', piece.maker, piece.note].filter(Boolean).join(', ');
  return (
    <Pressable
      accessibilityRole="button"
      accessibilityLabel={`${number}: ${name}, ${size}, ${more}. Show on the plan`}
      onPress={() => dispatch(goToPiece(on))}
      style={[styles.line, { borderColor: colours.linenDeep }]}
    >
      <Text style={[styles.number, { color: colours.ink }]}>{number}</Text>
      <PieceSign kind={kind} of={piece} size={34} />
      <View style={styles.what}>
        <Text style={[styles.name, { color: colours.ink }]}>{capital(name)}</Text>
        <Text style={[styles.small, { color: colours.inkSoft }]}>{size}</Text>
        <Text style={[styles.small, { color: colours.inkSoft }]}>{capital(more)}</Text>
      </View>
      {piece.price !== null && <Text style={[styles.price, { color: colours.ink }]}>{decimals(piece.price, 2)}</Text>}
    </Pressable>
  );
}

/** What is left free of a room. */
function Space({
  room,
  all,
  units,
}: {
  room: DerivedRoom;
  all: readonly PieceOnFloor[];
  units: 'metric' | 'imperial';
}) {
  const colours = useColours();
  const { TURNING_CIRCLE } = laterRooms();
  const { free, share, rectangle, circle } = useMemo(() => laterRooms().roomSpace(room, all), [room, all]);
  const long = (mm: number) => formatLength(mm, units);
  const across = circle ? 2 * circle.radius : 0;
  const says = [
    `${formatArea(free, units)} free, ${Math.round(100 * share)} % of its floor`,
    ...(rectangle ? [`largest free rectangle ${long(rectangle.width)} × ${long(rectangle.depth)}`] : []),
    across >= TURNING_CIRCLE
      ? `a circle of ${long(TURNING_CIRCLE)} to turn in has room (${long(across)})`
      : `no circle of ${long(TURNING_CIRCLE)} to turn in: ${long(across)} at most`,
  ];
  return (
    <View style={[styles.line, { borderColor: colours.linenDeep }]}>
      <View style={styles.what}>
        <Text style={[styles.name, { color: colours.ink }]}>{room.room.name || 'Unnamed room'}</Text>
        {says.map((words) => (
          <Text key={words} style={[styles.small, { color: colours.inkSoft }]}>
            {capital(words)}
          </Text>
        ))}
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  line: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: 10,
    paddingHorizontal: 12,
    paddingVertical: 6,
    minHeight: TOUCH,
    borderTopWidth: 1,
  },
  number: { fontFamily: FONTS.strong, fontSize: 15, minWidth: 24, fontVariant: ['tabular-nums'] },
  what: { flex: 1 },
  name: { fontFamily: FONTS.strong, fontSize: 15, lineHeight: 19 },
  small: { fontSize: 13.5, lineHeight: 17, fontVariant: ['tabular-nums'] },
  price: { fontSize: 15, fontVariant: ['tabular-nums'] },
  none: { padding: 14, fontSize: 14.5, lineHeight: 19 },
});
