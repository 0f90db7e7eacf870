import { memo } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { Icon, Text } from 'react-native-paper';
import { useAppDispatch, useAppSelector } from '../../../store/store';
import { FONTS, useColours } from '../../../ui/theme';
import { enter } from '../commands';
import { planActions } from '../plan-slice';

interface Key {
  readonly label: string;
  /** What it types; the label itself unless said. */
  readonly types?: string;
  readonly says?: string;
  readonly grow?: number;
}

const digit = (label: string, grow = 1): Key => ({ label, grow });
const METRIC: Key[][] = [
  [digit('7'), digit('8'), digit('9'), { label: 'm', types: ' m ', says: 'metres' }],
  [digit('4'), digit('5'), digit('6'), { label: 'cm', types: ' cm ', says: 'centimetres' }],
  [digit('1'), digit('2'), digit('3'), { label: 'mm', types: ' mm', says: 'millimetres' }],
  [digit('0', 2), { label: '.', says: 'point' }, { label: '+', types: ' + ', says: 'plus' }],
];
const IMPERIAL: Key[][] = [
  ['1/8', '1/4', '3/8', '1/2', '5/8', '3/4', '7/8'].map((label) => ({ label, types: ` ${label}` })),
  [digit('7'), digit('8'), digit('9'), { label: 'ft', types: ' ft ', says: 'feet' }],
  [digit('4'), digit('5'), digit('6'), { label: 'in', types: ' in', says: 'inches' }],
  [digit('1'), digit('2'), digit('3'), { label: '/', says: 'over' }],
  [
    digit('0'),
    { label: '.', says: 'point' },
    { label: 'space', types: ' ' },
    { label: '+', types: ' + ', says: 'plus' },
  ],
];

/** A turn is typed in degrees, to the left or to the right. */
const TURN: Key[][] = [
  [digit('7'), digit('8'), digit('9'), { label: 'left', types: ' left' }],
  [digit('4'), digit('5'), digit('6'), { label: 'right', types: ' right' }],
  [digit('1'), digit('2'), digit('3'), { label: '45°', types: '45', says: 'forty-five degrees' }],
  [digit('0', 2), { label: '.', says: 'point' }, { label: '90°', types: '90', says: 'ninety degrees' }],
];

/** The keys for lengths: big, and never the system's keyboard. */
export function NumberPad() {
  const dispatch = useAppDispatch();
  const text = useAppSelector((state) => state.plan.pad.text);
  const units = useAppSelector((state) => state.plan.plan?.job.units ?? 'metric');
  const turn = useAppSelector((state) => state.plan.pad.field === 'turn');
  const last = useAppSelector((state) => state.plan.lastRead);
  const layout = turn ? TURN : units === 'metric' ? METRIC : IMPERIAL;
  const colours = useColours();
  const type = (types: string) => dispatch(planActions.typed((text + types).replace(/ {2,}/g, ' ').replace(/^ /, '')));
  return (
    <View style={[styles.pad, { backgroundColor: colours.velvet }]} accessibilityLabel="Number pad">
      <View style={styles.keys}>
        {layout.map((row) => (
          <View key={row[0]!.label} style={styles.row}>
            {row.map((key) => (
              <PadKey
                key={key.label}
                label={key.label}
                says={key.says ?? key.label}
                grow={key.grow ?? 1}
                small={row.length > 4}
                onPress={() => type(key.types ?? key.label)}
              />
            ))}
          </View>
        ))}
      </View>
      <View style={styles.side}>
        <PadKey
          icon="backspace-outline"
          says="Backspace"
          label="⌫"
          grow={1}
          onPress={() => dispatch(planActions.typed(text.trimEnd().slice(0, -1)))}
          onLongPress={() => dispatch(planActions.typed(''))}
        />
        {last && text === '' && (
          <PadKey label={last} says={`The last reading, ${last}`} grow={1} small onPress={() => type(last)} />
        )}
        <PadKey icon="check-bold" says="Enter" label="Enter" grow={2} strong onPress={() => dispatch(enter)} />
      </View>
    </View>
  );
}

interface PadKeyProps {
  label: string;
  says: string;
  grow: number;
  icon?: string;
  strong?: boolean;
  small?: boolean;
  onPress(): void;
  onLongPress?(): void;
}

const PadKey = memo(function PadKey({ label, says, grow, icon, strong, small, onPress, onLongPress }: PadKeyProps) {
  const colours = useColours();
  const ink = strong ? '#211524' : '#F8F2E7';
  return (
    <Pressable
      accessibilityRole="button"
      accessibilityLabel={says}
      onPress={onPress}
      onLongPress={onLongPress}
      style={({ pressed }) => [
        styles.key,
        { flexGrow: grow, backgroundColor: strong ? colours.brass : colours.deepVelvet, opacity: pressed ? 0.6 : 1 },
      ]}
    >
      {icon ? (
        <Icon source={icon} size={26} color={ink} />
      ) : (
        <Text style={{ color: ink, fontFamily: FONTS.strong, fontSize: small ? 15 : label.length > 3 ? 18 : 22 }}>
          {label}
        </Text>
      )}
    </Pressable>
  );
});

const styles = StyleSheet.create({
  pad: { flexDirection: 'row', gap: 6, paddingHorizontal: 8, paddingBottom: 8, paddingTop: 6 },
  keys: { flex: 1, gap: 6 },
  row: { flexDirection: 'row', columnGap: 6 },
  side: { width: 78, gap: 6 },
  key: { flexBasis: 0, minHeight: 48, minWidth: 0, borderRadius: 8, alignItems: 'center', justifyContent: 'center' },
});
