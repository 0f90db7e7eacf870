import {
  type DerivedFloor,
  type OpeningCheck,
  type ScheduleLine,
  formatArea,
  formatLength,
  openingChecks,
  openingSchedule,
} from '@velvet-tape/core';
import { useMemo, useState } from 'react';
import { Pressable, ScrollView, StyleSheet, View } from 'react-native';
import { Icon, Text } from 'react-native-paper';
import { useAppDispatch, useAppSelector } from '../../../store/store';
import { BarButton } from '../../../ui/BarButton';
import { FONTS, TOUCH, useColours } from '../../../ui/theme';
import { downloadOpenings } from '../downloads';
import { ListBar, ListPanel } from '../ListPanel';
import { selectFloor } from '../selectors';
import { goToOpening, goToRoom } from './commands';

type Shown = 'all' | 'door' | 'window' | 'checks';

/** The doors and windows of the floor by their numbers, and what should be seen before they are built. */
export function ScheduleList() {
  const listing = useAppSelector((state) => state.plan.listing);
  const floor = useAppSelector(selectFloor);
  return listing === 'openings' && floor ? <List floor={floor} /> : null;
}

function List({ floor }: { floor: DerivedFloor }) {
  const colours = useColours();
  const [shown, setShown] = useState<Shown>('all');
  const lines = useMemo(() => openingSchedule(floor), [floor]);
  const checks = useMemo(() => openingChecks(floor), [floor]);
  const wrong = checks.filter(({ advice }) => !advice).length;
  const tabs: readonly (readonly [Shown, string])[] = [
    ['all', `All (${lines.length})`],
    ['door', 'Doors'],
    ['window', 'Windows'],
    ['checks', wrong > 0 ? `To check (${wrong})` : 'Checks'],
  ];
  const rows = shown === 'checks' ? [] : lines.filter(({ opening }) => shown === 'all' || opening.kind === shown);
  return (
    <ListPanel
      title="Doors and windows"
      testID="schedule"
      download={{ says: 'Doors and windows as CSV', now: () => downloadOpenings(floor) }}
    >
      <ListBar>
        {tabs.map(([name, label]) => (
          <BarButton key={name} label={label} chosen={shown === name} onPress={() => setShown(name)} />
        ))}
      </ListBar>
      <ScrollView>
        {rows.map((line) => (
          <Row key={line.opening.id} line={line} checks={checksOf(line, checks)} units={floor.plan.job.units} />
        ))}
        {shown === 'checks' && checks.map((check) => <Check key={check.words} check={check} />)}
        {shown !== 'checks' && rows.length === 0 && (
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

const checksOf = ({ opening }: ScheduleLine, checks: readonly OpeningCheck[]): readonly OpeningCheck[] =>
  checks.filter(({ openings, advice }) => !advice && openings.includes(opening.id));

function Row({
  line,
  checks,
  units,
}: {
  line: ScheduleLine;
  checks: readonly OpeningCheck[];
  units: DerivedFloor['plan']['job']['units'];
}) {
  const dispatch = useAppDispatch();
  const colours = useColours();
  const { label, width, height, sill, head, hand, rooms, glazing } = line;
  const long = (mm: number) => formatLength(mm, units);
  const names = rooms.map((room) => (room ? room.room.name || 'unnamed room' : 'outside'));
  const size = `${long(width)} × ${long(height)}`;
  const where = hand ? `into ${names[0]} from ${names[1]}, hinges on the ${hand}` : names.join(' / ');
  const levels =
    glazing === null ? `head ${long(head)}` : `sill ${long(sill)}, head ${long(head)}, ${formatArea(glazing, units)}`;
  return (
    <Pressable
      accessibilityRole="button"
      accessibilityLabel={`${label}, ${size}, ${where}. Show on the plan`}
      onPress={() => dispatch(goToOpening(line))}
      style={[styles.row, { borderColor: colours.linenDeep }]}
    >
      <Text style={[styles.label, { color: colours.ink }]}>{label}</Text>
      <View style={styles.what}>
        <Text style={[styles.size, { color: colours.ink }]}>{size}</Text>
        <Text style={[styles.small, { color: colours.inkSoft }]}>{where}</Text>
        <Text style={[styles.small, { color: colours.inkSoft }]}>{levels}</Text>
        {checks.map(({ words }) => (
          <Text key={words} style={[styles.small, { color: colours.clay }]}>
            {words}
          </Text>
        ))}
      </View>
    </Pressable>
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
  label: { width: 36, fontFamily: FONTS.strong, fontSize: 17 },
  what: { flex: 1 },
  size: { fontFamily: FONTS.strong, fontSize: 17, fontVariant: ['tabular-nums'] },
  small: { fontSize: 13, lineHeight: 17 },
  words: { flex: 1, fontSize: 15, lineHeight: 20 },
  none: { padding: 16, fontSize: 15 },
});
