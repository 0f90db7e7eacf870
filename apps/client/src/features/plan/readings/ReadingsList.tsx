import {
  type DerivedFloor,
  type Reading,
  misclosuresOn,
  placeInWords,
  roomOfReading,
  valueInWords,
} from '@velvet-tape/core';
import { useState } from 'react';
import { Pressable, ScrollView, StyleSheet, View } from 'react-native';
import { IconButton, Text } from 'react-native-paper';
import { useAppDispatch, useAppSelector } from '../../../store/store';
import { BarButton, BarIcon } from '../../../ui/BarButton';
import { FONTS, TOUCH, useColours } from '../../../ui/theme';
import { downloadReadings } from '../downloads';
import { edit } from '../edit';
import { planActions } from '../plan-slice';
import { selectFloor, selectRoom } from '../selectors';
import { hold, measureAgain } from './commands';

type Order = 'room' | 'off' | 'control' | 'time';
type Shown = 'all' | 'here' | 'doubtful';

interface Line {
  readonly reading: Reading;
  readonly room: string;
  /** Fitted less read, mm or degrees. */
  readonly off: number;
  readonly control: number;
  readonly doubtful: boolean;
}

/** All readings of the floor: what was read, what the plan has, how far they differ, how well each is controlled. */
export function ReadingsList() {
  const listing = useAppSelector((state) => state.plan.listing);
  const floor = useAppSelector(selectFloor);
  return listing && floor ? <List floor={floor} /> : null;
}

function List({ floor }: { floor: DerivedFloor }) {
  const dispatch = useAppDispatch();
  const colours = useColours();
  const here = useAppSelector(selectRoom);
  const [order, setOrder] = useState<Order>('room');
  const [shown, setShown] = useState<Shown>('all');
  const lines = sorted(linesOf(floor), order).filter(
    ({ room, doubtful }) => shown === 'all' || (shown === 'doubtful' ? doubtful : room === (here?.room.name ?? '')),
  );
  return (
    <View
      testID="readings"
      accessibilityLabel="Readings"
      style={[styles.panel, { backgroundColor: colours.chalk, borderColor: colours.brassDeep }]}
    >
      <View style={styles.head}>
        <Text style={[styles.title, { color: colours.ink }]}>Readings</Text>
        <BarIcon icon="download" says="Readings as CSV" onPress={() => downloadReadings(floor)} />
        <IconButton
          icon="close"
          accessibilityLabel="Close readings"
          onPress={() => dispatch(planActions.listed(false))}
        />
      </View>
      <ScrollView
        horizontal
        showsHorizontalScrollIndicator={false}
        contentContainerStyle={styles.bar}
        style={styles.bars}
      >
        {ORDERS.map(([name, label]) => (
          <BarButton key={name} label={label} chosen={order === name} onPress={() => setOrder(name)} />
        ))}
        {SHOWN.map(([name, label]) => (
          <BarButton
            key={name}
            label={label}
            chosen={shown === name}
            onPress={() => setShown(shown === name ? 'all' : name)}
          />
        ))}
      </ScrollView>
      <ScrollView>
        {lines.map((line) => (
          <ReadingLine key={line.reading.id} line={line} units={floor.plan.job.units} />
        ))}
        {lines.length === 0 && (
          <Text style={[styles.none, { color: colours.inkSoft }]}>
            {floor.readings.length === 0 ? 'Nothing was read on this floor yet.' : 'No reading is like that.'}
          </Text>
        )}
      </ScrollView>
    </View>
  );
}

const ORDERS: readonly (readonly [Order, string])[] = [
  ['room', 'By room'],
  ['off', 'Furthest off'],
  ['control', 'Least controlled'],
  ['time', 'Latest'],
];
const SHOWN: readonly (readonly [Shown, string])[] = [
  ['here', 'This room'],
  ['doubtful', 'Doubtful'],
];

function linesOf(floor: DerivedFloor): Line[] {
  const suspects = new Set(misclosuresOn(floor).flatMap((each) => each.suspects.map(({ reading }) => reading)));
  return floor.readings.map((reading) => ({
    reading,
    room: roomOfReading(floor, reading)?.room.name ?? '',
    off: floor.survey.residual(reading),
    control: floor.survey.control(reading),
    doubtful: suspects.has(reading),
  }));
}

function sorted(lines: Line[], order: Order): Line[] {
  const by: Record<Order, (a: Line, b: Line) => number> = {
    room: (a, b) => a.room.localeCompare(b.room),
    off: (a, b) => Math.abs(b.off) - Math.abs(a.off),
    control: (a, b) => a.control - b.control,
    time: (a, b) => b.reading.time.localeCompare(a.reading.time),
  };
  return [...lines].sort(by[order]);
}

function ReadingLine({ line, units }: { line: Line; units: DerivedFloor['plan']['job']['units'] }) {
  const dispatch = useAppDispatch();
  const colours = useColours();
  const { reading, room, off, control, doubtful } = line;
  const say = (value: number) => valueInWords(reading, value, units);
  const amount =
    Math.abs(off) < (reading.kind === 'angle' ? 0.05 : 0.5) ? 'as read' : `${off > 0 ? '+' : '−'}${say(Math.abs(off))}`;
  const controlled = control < 0.02 ? 'not controlled' : `${Math.round(100 * control)} % controlled`;
  return (
    <View style={[styles.row, { borderColor: colours.linenDeep }]}>
      <Pressable
        accessibilityRole="button"
        accessibilityLabel={`${room} ${placeInWords(reading)} ${say(reading.value)}, ${amount}, ${controlled}. Measure again`}
        onPress={() => dispatch(measureAgain(reading))}
        style={styles.what}
      >
        <Text style={[styles.value, { color: doubtful ? colours.clay : colours.ink }]}>
          {say(reading.value)}
          {doubtful ? ' ?' : ''}
        </Text>
        <Text style={[styles.small, { color: colours.inkSoft }]}>
          {[room, placeInWords(reading), reading.instrument, reading.held && 'held'].filter(Boolean).join(' · ')}
        </Text>
        <Text style={[styles.small, { color: colours.inkSoft }]}>
          {`${amount} · ${controlled}`}
          {reading.history.length > 0 ? ` · before: ${reading.history.map(({ text }) => text).join(', ')}` : ''}
        </Text>
      </Pressable>
      <BarIcon
        icon={reading.held ? 'lock' : 'lock-open-variant-outline'}
        says={reading.held ? 'Hold no longer' : 'Hold this one'}
        onPress={() => dispatch(hold(reading.id, !reading.held))}
      />
      <BarIcon
        icon="delete-outline"
        says="Delete reading"
        onPress={() => dispatch(edit({ kind: 'loosenReading', reading: reading.id }))}
      />
    </View>
  );
}

const styles = StyleSheet.create({
  panel: {
    position: 'absolute',
    top: 0,
    bottom: 0,
    right: 0,
    width: '100%',
    maxWidth: 420,
    borderLeftWidth: 2,
    zIndex: 3,
  },
  head: { flexDirection: 'row', alignItems: 'center', paddingLeft: 14 },
  title: { flex: 1, fontFamily: FONTS.serif, fontSize: 20 },
  bars: { flexGrow: 0, flexShrink: 0, minHeight: TOUCH + 12 },
  bar: { gap: 6, paddingHorizontal: 10, paddingBottom: 8 },
  row: { flexDirection: 'row', alignItems: 'center', borderBottomWidth: StyleSheet.hairlineWidth, paddingLeft: 14 },
  what: { flex: 1, minHeight: TOUCH, paddingVertical: 6 },
  value: { fontFamily: FONTS.strong, fontSize: 17, fontVariant: ['tabular-nums'] },
  small: { fontSize: 13, lineHeight: 17 },
  none: { padding: 16, fontSize: 15 },
});
