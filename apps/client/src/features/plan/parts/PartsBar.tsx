import { memo } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { Icon, Text } from 'react-native-paper';
import { useAppDispatch, useAppSelector } from '../../../store/store';
import { rem } from '../../../ui/rem';
import { FONTS, TOUCH, useColours } from '../../../ui/theme';
import { planActions } from '../plan-slice';
import { PARTS, type PartName, partAt } from './parts';

/** From one part of the job to another: under the header of a phone while nothing is worked on, in the header of a wide screen always. */
export const PartsBar = memo(function PartsBar({ wide }: { wide: boolean }) {
  const colours = useColours();
  const shown = useAppSelector((state) => partAt(state.plan.listing));
  const resting = useAppSelector(
    ({ plan }) =>
      plan.listing !== null ||
      (plan.selection.kind === 'nothing' && plan.proposal === null && plan.naming === null && !plan.toolsOpen),
  );
  if (!wide && !resting) return null;
  return (
    <View
      role="tablist"
      accessibilityLabel="Parts of the job"
      style={wide ? styles.wide : [styles.bar, { backgroundColor: colours.chalk, borderColor: colours.linenDeep }]}
    >
      {PARTS.filter((part) => wide || !part.wide).map(({ name, label, icon }) => (
        <PartTab key={name} {...{ name, label, icon, wide }} on={name === shown} />
      ))}
    </View>
  );
});

const PartTab = memo(function PartTab({
  name,
  label,
  icon,
  on,
  wide,
}: {
  name: PartName;
  label: string;
  icon: string;
  on: boolean;
  wide: boolean;
}) {
  const dispatch = useAppDispatch();
  const colours = useColours();
  const ink = wide ? colours.onVelvet : on ? colours.ink : colours.inkSoft;
  return (
    <Pressable
      role="tab"
      aria-selected={on}
      accessibilityLabel={label}
      onPress={() => dispatch(planActions.listed(name === 'plan' ? null : name))}
      style={[
        wide ? styles.wideTab : styles.tab,
        { borderColor: !on ? 'transparent' : wide ? colours.brass : colours.brassDeep },
      ]}
    >
      <Icon source={icon} size={18} color={ink} />
      <Text style={[styles.label, { color: ink, fontFamily: on ? FONTS.strong : FONTS.sans }]} numberOfLines={1}>
        {label}
      </Text>
    </Pressable>
  );
});

const styles = StyleSheet.create({
  bar: {
    position: 'absolute',
    top: 0,
    left: 0,
    right: 0,
    zIndex: 4,
    flexDirection: 'row',
    flexWrap: 'wrap',
    borderBottomWidth: 1,
  },
  wide: { flexDirection: 'row', alignSelf: 'stretch', marginRight: 12 },
  tab: {
    flex: 1,
    minWidth: rem(51),
    minHeight: TOUCH,
    alignItems: 'center',
    justifyContent: 'center',
    borderBottomWidth: 3,
  },
  wideTab: {
    flexDirection: 'row',
    gap: 6,
    paddingHorizontal: 10,
    minHeight: TOUCH,
    alignItems: 'center',
    borderBottomWidth: 3,
  },
  label: { fontSize: 12, lineHeight: 16 },
});
