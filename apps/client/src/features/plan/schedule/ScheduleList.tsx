import type { DerivedFloor, OpeningCheck, ScheduleLine, ScheduleOrder, Units } from '@velvet-tape/core';
import { Suspense, lazy, useMemo, useState } from 'react';
import { Pressable, ScrollView, StyleSheet, View } from 'react-native';
import { Icon, Text } from 'react-native-paper';
import { BarButton, BarIcon } from '../../../ui/BarButton';
import { FONTS, TOUCH, useColours } from '../../../ui/theme';
import { OrderMenu } from '../later/OrderMenu';
import { ListBar, ListPanel } from '../later/ListPanel';
import { lent } from '../later/lent';
import type { GlazedRoom } from './GlazingChart';
import { Spinner } from '../../../ui/Spinner';

const { GLAZING_RULES, NoteField, downloadOpenings, downloadWorkbook, edit, formatArea, formatLength } = lent();
const { glazingByRoom, goToOpening, goToRoom, openingSchedule, orderedSchedule, scheduleTotals, selectFloor } = lent();
const { useAppDispatch, useAppSelector, useChecks } = lent();

/** With its library only when it is wanted. */
const GlazingChart = lazy(() => import('./GlazingChart'));

type Shown = 'all' | 'door' | 'window' | 'checks' | 'glazing';

/** The doors and windows of the floor by their numbers, and what should be seen before they are built. */
export default function ScheduleList({ floor }: { floor: DerivedFloor }) {
  const colours = useColours();
  const dispatch = useAppDispatch();
  const [shown, setShown] = useState<Shown>('all');
  const [order, setOrder] = useState<ScheduleOrder>('number');
  const lines = useMemo(() => openingSchedule(floor), [floor]);
  const checks = useChecks(floor);
  const wrong = checks.filter(({ advice }) => !advice).length;
  const tabs: readonly (readonly [Shown, string])[] = [
    ['all', `All (${lines.length})`],
    ['door', 'Doors'],
    ['window', 'Windows'],
    ['checks', wrong > 0 ? `To check (${wrong})` : 'Checks'],
    ['glazing', 'Glazing'],
  ];
  const listed = shown !== 'checks' && shown !== 'glazing';
  const rows = listed
    ? orderedSchedule(lines, order).filter(({ opening }) => shown === 'all' || opening.kind === shown)
    : [];
  return (
    <ListPanel
      title="Doors and windows"
      testID="schedule"
      downloads={[
        {
          icon: 'table-large',
          says: 'Doors and windows as a workbook (XLSX)',
          now: () => void dispatch(downloadWorkbook(floor)),
        },
        { icon: 'download', says: 'Doors and windows as CSV', now: () => void dispatch(downloadOpenings(floor)) },
      ]}
    >
      <ListBar>
        {tabs.map(([name, label]) => (
          <BarButton key={name} label={label} chosen={shown === name} onPress={() => setShown(name)} />
        ))}
        {listed && <OrderMenu order={order} orders={ORDERS} set={setOrder} />}
      </ListBar>
      <ScrollView>
        {rows.map((line) => (
          <Row key={line.opening.id} line={line} checks={checksOf(line, checks)} units={floor.plan.job.units} />
        ))}
        {shown === 'checks' && checks.map((check) => <Check key={check.words} check={check} />)}
        {shown === 'glazing' && (
          <Suspense fallback={<Spinner style={styles.none} />}>
            <GlazingChart rooms={glazedRooms(floor)} rules={GLAZING_RULES} />
          </Suspense>
        )}
        {listed && rows.length > 0 && (
          <Text style={[styles.none, { color: colours.inkSoft }]}>{totalsInWords(rows, floor.plan.job.units)}</Text>
        )}
        {listed && rows.length === 0 && (
          <Text style={[styles.none, { color: colours.inkSoft }]}>
            None on this floor yet. Choose a wall, then “Door” or “Window”.
          </Text>
        )}
        {shown === 'checks' && checks.length === 0 && (
          <Text style={[styles.none, { color: colours.inkSoft }]}>Nothing to be said against them.</Text>
        )}
      </ScrollView>
    </ListPanel>
  );
}

const ORDERS: readonly ScheduleOrder[] = ['number', 'type', 'room', 'width', 'glazing'];

function totalsInWords(lines: readonly ScheduleLine[], units: Units): string {
  const { doors, windows, openings, glazing } = scheduleTotals(lines);
  const counted = [
    [doors, 'door'],
    [windows, 'window'],
    [openings, 'plain opening'],
  ] as const;
  const words = counted.flatMap(([n, what]) => (n > 0 ? [`${n} ${what}${n > 1 ? 's' : ''}`] : []));
  return [...words, ...(glazing > 0 ? [`${formatArea(glazing, units)} of glass`] : [])].join(', ');
}

const checksOf = ({ opening }: ScheduleLine, checks: readonly OpeningCheck[]): readonly OpeningCheck[] =>
  checks.filter(({ openings, advice }) => !advice && openings.includes(opening.id));

function Row({ line, checks, units }: { line: ScheduleLine; checks: readonly OpeningCheck[]; units: Units }) {
  const dispatch = useAppDispatch();
  const colours = useColours();
  const floor = useAppSelector((state) => state.plan.floor);
  const [noting, setNoting] = useState(false);
  const { label, width, height, sill, head, hand, rooms, glazing, clear, structural, called, alike } = line;
  const { id, note, kind } = line.opening;
  const long = (mm: number) => formatLength(mm, units);
  const names = rooms.map((room) => (room ? room.room.name || 'unnamed room' : 'outside'));
  const size = `${long(width)} × ${long(height)}`;
  const where = hand ? `into ${names[0]} from ${names[1]}, hinges on the ${hand}` : names.join(' / ');
  const sizes = [
    kind === 'window' ? `sill ${long(sill)}, head ${long(head)}` : `clear ${long(clear!)}`,
    `hole ${long(structural.width)} × ${long(structural.height)}`,
    ...(glazing > 0 ? [`glass ${formatArea(glazing, units)}`] : []),
  ].join(', ');
  return (
    <View style={[styles.line, { borderColor: colours.linenDeep }]}>
      <View style={styles.across}>
        <Pressable
          accessibilityRole="button"
          accessibilityLabel={`${label}, ${size}, ${where}. Show on the plan`}
          onPress={() => dispatch(goToOpening(line))}
          style={styles.pressed}
        >
          <Text style={[styles.label, { color: colours.ink }]}>{label}</Text>
          <View style={styles.what}>
            <Text style={[styles.size, { color: colours.ink }]}>{size}</Text>
            <Text style={[styles.small, { color: colours.inkSoft }]}>
              {alike > 1 ? `${called}, one of ${alike}` : called}
            </Text>
            <Text style={[styles.small, { color: colours.inkSoft }]}>{where}</Text>
            <Text style={[styles.small, { color: colours.inkSoft }]}>{sizes}</Text>
            {note !== '' && !noting && <Text style={[styles.small, { color: colours.ink }]}>{note}</Text>}
            {checks.map(({ words }) => (
              <Text key={words} style={[styles.small, { color: colours.clay }]}>
                {words}
              </Text>
            ))}
          </View>
        </Pressable>
        <BarIcon
          icon={note === '' ? 'note-plus-outline' : 'note-edit-outline'}
          says={note === '' ? `Add a note to ${label}` : `Note to ${label}: ${note}. Change`}
          onPress={() => setNoting(!noting)}
        />
      </View>
      {noting && (
        <NoteField
          note={note}
          keep={(text) => dispatch(edit({ kind: 'changeOpening', floor, opening: id, note: text })).ok}
          done={() => setNoting(false)}
        />
      )}
    </View>
  );
}

function Check({ check }: { check: OpeningCheck }) {
  const dispatch = useAppDispatch();
  const colours = useColours();
  const floor = useAppSelector(selectFloor);
  const show = () => {
    const [first] = check.openings;
    const line = floor && openingSchedule(floor).find(({ opening }) => opening.id === first);
    if (line) dispatch(goToOpening(line));
    else if (check.room) dispatch(goToRoom(check.room));
  };
  return (
    <Pressable
      accessibilityRole="button"
      accessibilityLabel={`${check.words} Show on the plan`}
      onPress={show}
      style={[styles.row, { borderColor: colours.linenDeep }]}
    >
      <Icon
        source={check.advice ? 'information-outline' : 'alert-outline'}
        size={22}
        color={check.advice ? colours.inkSoft : colours.clay}
      />
      <Text style={[styles.words, { color: colours.ink }]}>{check.words}</Text>
    </Pressable>
  );
}

const styles = StyleSheet.create({
  row: {
    flexDirection: 'row',
    gap: 10,
    alignItems: 'flex-start',
    minHeight: TOUCH,
    paddingHorizontal: 14,
    paddingVertical: 8,
    borderBottomWidth: StyleSheet.hairlineWidth,
  },
  line: { borderBottomWidth: StyleSheet.hairlineWidth, paddingLeft: 14 },
  across: { flexDirection: 'row', alignItems: 'center' },
  pressed: { flex: 1, flexDirection: 'row', gap: 10, minHeight: TOUCH, paddingVertical: 8 },
  label: { minWidth: 60, fontFamily: FONTS.strong, fontSize: 17 },
  what: { flex: 1 },
  size: { fontFamily: FONTS.strong, fontSize: 17, fontVariant: ['tabular-nums'] },
  small: { fontSize: 13, lineHeight: 17 },
  words: { flex: 1, fontSize: 15, lineHeight: 20 },
  none: { padding: 16, fontSize: 15 },
});

const glazedRooms = (floor: DerivedFloor): GlazedRoom[] =>
  glazingByRoom(floor).map(({ room: { room }, glazing, share }) => ({
    id: room.id,
    name: room.name,
    glazing: glazing > 0 ? formatArea(glazing, floor.plan.job.units) : null,
    share,
  }));
