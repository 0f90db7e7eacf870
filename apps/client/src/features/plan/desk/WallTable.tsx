import type { DerivedFloor, DerivedRoom, Units, WallFace } from '@velvet-tape/core';
import { memo } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';
import { FONTS, useColours } from '../../../ui/theme';
import { lent } from '../later/lent';

const { finenessOf, formatLength, formatSize, goToFace, lengthToSay, roughly, useAppDispatch, useAppSelector } = lent();

const COLUMNS = ['No.', 'Length', 'From', '±', 'In it', 'Thick'] as const;
type Cells = Record<(typeof COLUMNS)[number], string>;

/** The walls of the room in order: how long, where that comes from and how sure it is, what stands in them. What is chosen here is chosen on the plan, and the other way about. */
export function WallTable({ room, floor }: { room: DerivedRoom; floor: DerivedFloor }) {
  const colours = useColours();
  const units = floor.plan.job.units;
  const selection = useAppSelector((state) => state.plan.selection);
  return (
    <View accessibilityLabel="Walls of the room">
      <View style={[styles.row, { borderColor: colours.brassDeep }]} aria-hidden>
        {COLUMNS.map((name) => (
          <Text key={name} style={[styles.head, WIDTHS[name], { color: colours.inkSoft }]}>
            {name}
          </Text>
        ))}
      </View>
      {room.faces.map((face, i) => (
        <Row
          key={face.key}
          face={face.key}
          {...inCells(face, i + 1, floor, units)}
          on={selection.kind === 'wall' && selection.face === face.key}
        />
      ))}
    </View>
  );
}

function inCells(face: WallFace, number: number, floor: DerivedFloor, units: Units): { cells: Cells; says: string } {
  const { provenance, openings } = face;
  const { wall } = face.halves[0]!;
  const chalk = wall.kind === 'chalk';
  const length = roughly(provenance === 'rough', formatLength(lengthToSay(face), units, finenessOf(provenance)));
  const sigma = provenance === 'rough' ? null : floor.survey.faceDeviation(face);
  const standing = openings.map(({ opening }) => opening.label);
  const sure = sigma === null ? '' : formatSize(Math.max(1, sigma), units);
  const says = [
    `${chalk ? 'Chalk line' : 'Wall'} ${number}: ${length}, ${provenance}`,
    ...(standing.length > 0 ? [`in it ${standing.join(', ')}`] : []),
  ].join(', ');
  const thick = chalk ? 'chalk' : formatSize(wall.left + wall.right, units);
  return {
    says,
    cells: {
      'No.': String(number),
      Length: length,
      From: provenance,
      '±': sure,
      'In it': standing.join(' '),
      Thick: thick,
    },
  };
}

/** One wall of the table; painted again only when its words change. */
const Row = memo(
  function Row({ face, cells, says, on }: { face: string; cells: Cells; says: string; on: boolean }) {
    const dispatch = useAppDispatch();
    const colours = useColours();
    return (
      <Pressable
        accessibilityRole="button"
        accessibilityLabel={says}
        aria-pressed={on}
        onPress={() => dispatch(goToFace(face))}
        style={[
          styles.row,
          { borderColor: colours.linenDeep, backgroundColor: on ? colours.linenDeep : 'transparent' },
        ]}
      >
        {COLUMNS.map((name) => (
          <Text
            key={name}
            style={[
              name === 'Length' ? styles.strong : styles.cell,
              WIDTHS[name],
              { color: name === 'Length' ? colours.ink : colours.inkSoft },
            ]}
          >
            {cells[name]}
          </Text>
        ))}
      </Pressable>
    );
  },
  (a, b) => a.face === b.face && a.on === b.on && a.says === b.says && COLUMNS.every((n) => a.cells[n] === b.cells[n]),
);

const styles = StyleSheet.create({
  row: {
    flexDirection: 'row',
    alignItems: 'center',
    minHeight: 36,
    borderBottomWidth: StyleSheet.hairlineWidth,
    gap: 4,
  },
  head: { fontSize: 12 },
  cell: { fontSize: 13, fontVariant: ['tabular-nums'] },
  strong: { fontSize: 14, fontFamily: FONTS.strong, fontVariant: ['tabular-nums'] },
});

const WIDTHS: Record<(typeof COLUMNS)[number], object> = {
  'No.': { width: 22, paddingLeft: 4 },
  Length: { flex: 1.5 },
  From: { flex: 1.3 },
  '±': { flex: 0.8 },
  'In it': { flex: 1 },
  Thick: { flex: 1 },
};
