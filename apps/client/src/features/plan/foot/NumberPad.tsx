import { decimalMark } from '@velvet-tape/core';
import { memo } from 'react';
import { Platform, Pressable, StyleSheet, View, useWindowDimensions } from 'react-native';
import { Icon, Text } from 'react-native-paper';
import { type Command, useAppDispatch, useAppSelector } from '../../../store/store';
import { FONTS, LOW, useColours } from '../../../ui/theme';
import { enter } from '../commands';
import { planActions } from '../plan-slice';
import { IMPERIAL, METRIC, TURN, typedBehind, withKey } from './keys';

/** The keys for lengths: big, and never the system's keyboard. At a key nothing of them is drawn anew. */
export function NumberPad() {
  const blank = useAppSelector((state) => state.plan.pad.text === '');
  const units = useAppSelector((state) => state.plan.plan?.job.units ?? 'metric');
  const turn = useAppSelector((state) => state.plan.pad.field === 'turn');
  const last = useAppSelector((state) => state.plan.lastRead);
  const layout = turn ? TURN : units === 'metric' ? METRIC : IMPERIAL;
  const colours = useColours();
  const low = useWindowDimensions().height < LOW;
  const left = useAppSelector((state) => state.plan.choices.left);
  return (
    <View
      style={[styles.pad, left && styles.left, low && styles.low, { backgroundColor: colours.velvet }]}
      accessibilityLabel="Number pad"
    >
      <View style={styles.keys}>
        {layout.map((row) => (
          <View key={row[0]!.label} style={styles.row}>
            {row.map((key) => (
              <PadKey
                low={low}
                key={key.label}
                label={key.label === '.' ? decimalMark() : key.label}
                says={key.says ?? key.label}
                grow={key.grow ?? 1}
                small={key.label.length > 2 && row.length > 4}
                does={key.types ?? key.label}
              />
            ))}
          </View>
        ))}
      </View>
      <View style={styles.side}>
        <PadKey icon="backspace-outline" says="Backspace" label="⌫" grow={1} does={rubOut} held={rubOutAll} />
        {last && blank && <PadKey label={last} says={`The last reading, ${last}`} grow={1} small does={last} />}
        <PadKey icon="check-bold" says="Enter" label="Enter" grow={2} strong does={enter} />
      </View>
    </View>
  );
}

const typeKey =
  (types: string): Command =>
  (dispatch, getState) =>
    dispatch(planActions.typed(withKey(typedBehind(getState().plan.pad, types), types)));

const rubOut: Command = (dispatch, getState) =>
  dispatch(planActions.typed(getState().plan.pad.text.trimEnd().slice(0, -1)));

const rubOutAll: Command = (dispatch) => dispatch(planActions.typed(''));

/** Keys grow with what is chosen in the browser, as far as they hold it. */
const KEY_SIZES = {
  small: capped(15, 20),
  long: capped(18, 24),
  usual: capped(22, 32),
};
function capped(px: number, most: number): number {
  return Platform.OS === 'web' ? (`min(${px / 16}rem, ${most}px)` as unknown as number) : px;
}

interface PadKeyProps {
  label: string;
  says: string;
  grow: number;
  icon?: string;
  strong?: boolean;
  small?: boolean;
  /** The window is low: no higher than it must be. */
  low?: boolean;
  /** What is typed by it, or what it does. */
  does: string | Command;
  /** What it does when it is held down. */
  held?: Command;
}

const PadKey = memo(function PadKey({ label, says, grow, icon, strong, small, low, does, held }: PadKeyProps) {
  const dispatch = useAppDispatch();
  const colours = useColours();
  const ink = strong ? '#211524' : '#F8F2E7';
  return (
    <Pressable
      accessibilityRole="button"
      accessibilityLabel={says}
      onPress={() => dispatch(typeof does === 'string' ? typeKey(does) : does)}
      {...(held && { onLongPress: () => dispatch(held) })}
      style={({ pressed }) => [
        styles.key,
        low && styles.lowKey,
        { flexGrow: grow, backgroundColor: strong ? colours.brass : colours.deepVelvet, opacity: pressed ? 0.6 : 1 },
      ]}
    >
      {icon ? (
        <Icon source={icon} size={26} color={ink} />
      ) : (
        <Text
          style={{
            color: ink,
            fontFamily: FONTS.strong,
            fontSize: KEY_SIZES[small ? 'small' : label.length > 3 ? 'long' : 'usual'],
          }}
        >
          {label}
        </Text>
      )}
    </Pressable>
  );
});

const styles = StyleSheet.create({
  pad: { flexDirection: 'row', gap: 6, paddingHorizontal: 8, paddingBottom: 8, paddingTop: 6 },
  /** Enter stands where the thumb is. */
  left: { flexDirection: 'row-reverse' },
  low: { paddingTop: 4, paddingBottom: 4 },
  lowKey: { minHeight: 44 },
  keys: { flex: 1, gap: 6 },
  row: { flexDirection: 'row', columnGap: 6 },
  side: { width: 78, gap: 6 },
  key: { flexBasis: 0, minHeight: 48, minWidth: 0, borderRadius: 8, alignItems: 'center', justifyContent: 'center' },
});
