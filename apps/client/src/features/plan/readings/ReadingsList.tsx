import type { DerivedFloor, Misclosure, ReadingLine } from '@velvet-tape/core';
import { useState } from 'react';
import { Pressable, ScrollView, StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';
import { BarButton, BarIcon } from '../../../ui/BarButton';
import { FONTS, TOUCH, useColours } from '../../../ui/theme';
import { ListBar, ListPanel } from '../later/ListPanel';
import { lent } from '../later/lent';

const { NoteField, downloadReadings, edit, hold, readingLines, selectRoom, takeAgain, useAppDispatch } = lent();
const { useAppSelector, useMisclosures, valueInWords } = lent();

type Order = 'room' | 'off' | 'control' | 'time';
type Shown = 'all' | 'here' | 'doubtful';

interface Line {
  readonly line: ReadingLine;
  readonly doubtful: boolean;
}

/** All readings of the floor: what was read, what the plan has, how far they differ, how well each is controlled. */
export default function ReadingsList({ floor }: { floor: DerivedFloor }) {
  const dispatch = useAppDispatch();
  const colours = useColours();
  const here = useAppSelector(selectRoom);
  const [order, setOrder] = useState<Order>('room');
  const [shown, setShown] = useState<Shown>('all');
  const misclosures = useMisclosures(floor);
  const lines = sorted(linesOf(floor, misclosures), order).filter(
    ({ line: { room }, doubtful }) =>
      shown === 'all' || (shown === 'doubtful' ? doubtful : room === (here?.room.name ?? '')),
  );
  return (
    <ListPanel
      title="Readings"
      testID="readings"
      downloads={[{ icon: 'download', says: 'Readings as CSV', now: () => void dispatch(downloadReadings(floor)) }]}
    >
      <ListBar>
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
      </ListBar>
      <ScrollView>
        {lines.map((line) => (
          <Row key={line.line.id} {...line} units={floor.plan.job.units} />
        ))}
        {lines.length === 0 && (
          <Text style={[styles.none, { color: colours.inkSoft }]}>
            {lines.length === 0 && shown === 'all' ? 'Nothing was read on this floor yet.' : 'No reading is like that.'}
          </Text>
        )}
      </ScrollView>
    </ListPanel>
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

function linesOf(floor: DerivedFloor, misclosures: readonly Misclosure[]): Line[] {
  const suspects = new Set(misclosures.flatMap((each) => each.suspects.map(({ reading }) => reading.id)));
  return readingLines(floor).map((line) => ({ line, doubtful: suspects.has(line.id) }));
}

function sorted(lines: Line[], order: Order): Line[] {
  const by: Record<Order, (a: ReadingLine, b: ReadingLine) => number> = {
    room: (a, b) => a.room.localeCompare(b.room),
    off: (a, b) => Math.abs(b.off) - Math.abs(a.off),
    control: (a, b) => a.control - b.control,
    time: (a, b) => b.time.localeCompare(a.time),
  };
  return [...lines].sort((a, b) => by[order](a.line, b.line));
}

function Row({ line, doubtful, units }: Line & { units: DerivedFloor['plan']['job']['units'] }) {
  const dispatch = useAppDispatch();
  const colours = useColours();
  const [noting, setNoting] = useState(false);
  const { off, control, note, held } = line;
  const say = (value: number) => valueInWords({ kind: line.angle ? 'angle' : 'length' }, value, units);
  const amount =
    Math.abs(off) < (line.angle ? 0.05 : 0.5)
      ? 'as read'
      : `${say(line.value + off)} on the plan, ${off > 0 ? '+' : '−'}${say(Math.abs(off))}`;
  const controlled = control < 0.02 ? 'not controlled' : `${Math.round(100 * control)} % controlled`;
  return (
    <View style={[styles.row, { borderColor: colours.linenDeep }]}>
      <View style={styles.line}>
        <Pressable
          accessibilityRole="button"
          accessibilityLabel={`${line.room} ${line.what} ${say(line.value)}, ${amount}, ${controlled}. Measure again`}
          onPress={() => dispatch(takeAgain(line))}
          style={styles.what}
        >
          <Text style={[styles.value, { color: doubtful ? colours.clay : colours.ink }]}>
            {say(line.value)}
            {doubtful ? ' ?' : ''}
          </Text>
          <Text style={[styles.small, { color: colours.inkSoft }]}>
            {[line.room, line.what, line.instrument, held && 'held'].filter(Boolean).join(' · ')}
          </Text>
          <Text style={[styles.small, { color: colours.inkSoft }]}>
            {`${amount} · ${controlled}`}
            {line.history.length > 0 ? ` · before: ${line.history.map(({ text }) => text).join(', ')}` : ''}
          </Text>
          {note !== '' && !noting && <Text style={[styles.small, { color: colours.ink }]}>{note}</Text>}
        </Pressable>
        <BarIcon
          icon={note === '' ? 'note-plus-outline' : 'note-edit-outline'}
          says={note === '' ? 'Add a note' : `Note: ${note}. Change`}
          onPress={() => setNoting(!noting)}
        />
        {'reading' in line.of && (
          <BarIcon
            icon={held ? 'lock' : 'lock-open-variant-outline'}
            says={held ? 'Hold no longer' : 'Hold this one'}
            onPress={() => dispatch(hold(line.id, !held))}
          />
        )}
        <BarIcon
          icon="delete-outline"
          says="Delete reading"
          onPress={() => dispatch(edit({ kind: 'loosenReading', reading: line.id }))}
        />
      </View>
      {noting && (
        <NoteField
          note={note}
          keep={(text) => dispatch(edit({ kind: 'changeReading', reading: line.id, change: { note: text } })).ok}
          done={() => setNoting(false)}
        />
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  row: { borderBottomWidth: StyleSheet.hairlineWidth, paddingLeft: 14 },
  line: { flexDirection: 'row', alignItems: 'center' },
  what: { flex: 1, minHeight: TOUCH, paddingVertical: 6 },
  value: { fontFamily: FONTS.strong, fontSize: 17, fontVariant: ['tabular-nums'] },
  small: { fontSize: 13, lineHeight: 17 },
  none: { padding: 16, fontSize: 15 },
});
