import {
  type DerivedRoom,
  closesWithin,
  formatArea,
  formatLength,
  formatSize,
  formatVolume,
  headroomInWords,
  misclosuresIn,
  misclosuresOn,
  openAbove,
  roughly,
} from '@velvet-tape/core';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import { useAppDispatch, useAppSelector } from '../../store/store';
import { BarButton, BarIcon } from '../../ui/BarButton';
import { rem } from '../../ui/rem';
import { FONTS, TOUCH, useColours } from '../../ui/theme';
import { goToWall } from './commands';
import { NamePrompt } from './NamePrompt';
import { planActions } from './plan-slice';
import { WhatNext } from './readings/WhatNext';
import { LARGE } from './readings/use-misclosures';
import { selectFloor, selectRoom } from './selectors';

/** The selected room: its name, its figures, and the way round its walls, unless those stand beside it. */
export function RoomCard({ walls = false }: { walls?: boolean }) {
  const room = useAppSelector(selectRoom);
  if (!room) return null;
  return <Card key={room.room.id} room={room} walls={walls} />;
}

function Card({ room, walls }: { room: DerivedRoom; walls: boolean }) {
  const dispatch = useAppDispatch();
  const colours = useColours();
  const units = useAppSelector((state) => state.plan.plan!.job.units);
  const [renaming, setRenaming] = useState(false);
  const down = useAppSelector((state) => !walls && state.plan.choices.cardDown);
  const { measures, rough } = room;
  const floor = useAppSelector(selectFloor);
  const deviation = !rough && floor ? floor.survey.areaDeviation(room.faces) : null;
  const sure = deviation === null ? '' : ` ± ${formatArea(Math.max(deviation, 5000), units).split(' ')[0]}`;
  const figures: [string, string][] = [
    [
      'Net internal floor area',
      room.room.overVoid ? 'open to below' : `${roughly(rough, formatArea(measures.area, units))}${sure}`,
    ],
    ['Perimeter', roughly(rough, formatLength(measures.perimeter, units, rough ? 'coarse' : 'fine'))],
    ['Wall area less openings', roughly(rough, formatArea(measures.wallArea, units))],
    ['Skirting less doors', roughly(rough, formatLength(measures.skirting, units, rough ? 'coarse' : 'fine'))],
    ['Volume', roughly(rough, formatVolume(measures.volume, units))],
  ];
  const plan = useAppSelector((state) => state.plan.plan!);
  if (!room.ceiling.level) figures.push(['Headroom', headroomInWords(room, units)]);
  const high = openAbove(plan, room);
  if (high) figures.push(['Open above, so high', formatLength(high.height, units)]);
  const open = room.outline.area - measures.area;
  if (open > 1000 && !room.room.overVoid) figures.push(['Open for stairs', formatArea(open, units)]);
  const closes = floor && floor.readings.length <= LARGE && misclosuresIn(misclosuresOn(floor), room).length === 0;
  const within = closes ? closesWithin(floor, room) : null;
  if (within !== null) figures.push(['Readings close within', formatSize(Math.max(1, within), units)]);
  const toTape = room.faces.filter((face) => face.provenance === 'rough').length;
  const first = room.faces.find((face) => face.provenance === 'rough') ?? room.faces[0];
  if (renaming) return <NamePrompt room={room.room.id} name={room.room.name} done={() => setRenaming(false)} />;
  return (
    <View style={styles.card}>
      <View style={styles.head}>
        <Text style={[styles.name, { color: colours.ink }]} numberOfLines={1}>
          {room.room.name || 'Unnamed room'}
        </Text>
        {down && <Text style={[styles.value, { color: colours.ink }]}>{figures[0]![1]}</Text>}
        {!down && (
          <Button
            mode="text"
            icon="pencil-outline"
            textColor={colours.ink}
            contentStyle={styles.tall}
            onPress={() => setRenaming(true)}
          >
            Name
          </Button>
        )}
        {!walls && (
          <BarIcon
            icon={down ? 'chevron-up' : 'chevron-down'}
            says={down ? 'All figures' : 'Draw down to one line'}
            onPress={() => dispatch(planActions.choicesMade({ cardDown: !down }))}
          />
        )}
      </View>
      {!down && (
        <>
          <View style={styles.figures}>
            {figures.map(([label, value]) => (
              <View key={label} style={styles.figure} accessible accessibilityLabel={`${label}: ${value}`}>
                <Text style={[styles.label, { color: colours.inkSoft }]}>{label}</Text>
                <Text style={[styles.value, { color: colours.ink }]}>{value}</Text>
              </View>
            ))}
          </View>
          {first && !walls && (
            <BarButton
              strong
              icon="tape-measure"
              label={toTape > 0 ? `Tape the walls (${toTape} still rough)` : 'Go round the walls'}
              onPress={() => dispatch(goToWall(first))}
            />
          )}
          {floor && floor.readings.length > 0 && <WhatNext floor={floor} room={room} />}
        </>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  card: { paddingHorizontal: 14, paddingVertical: 8, gap: 8 },
  head: { flexDirection: 'row', alignItems: 'center', justifyContent: 'space-between' },
  name: { flex: 1, fontFamily: FONTS.serif, fontSize: 22, lineHeight: 28 },
  figures: { flexDirection: 'row', flexWrap: 'wrap', rowGap: 8 },
  figure: { flexBasis: '45%', flexGrow: 1, minWidth: rem(140) },
  label: { fontSize: 13 },
  value: { fontFamily: FONTS.strong, fontSize: 18, fontVariant: ['tabular-nums'] },
  tall: { minHeight: TOUCH },
});
