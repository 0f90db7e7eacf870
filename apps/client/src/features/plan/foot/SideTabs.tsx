import { Pressable, StyleSheet, View } from 'react-native';
import { Icon, Text } from 'react-native-paper';
import { useAppDispatch, useAppSelector } from '../../../store/store';
import { BarIcon } from '../../../ui/BarButton';
import { FONTS, TOUCH, useColours } from '../../../ui/theme';
import type { Side } from '../chosen/parts';
import { stepWall } from '../commands';
import { planActions } from '../plan-slice';

/** The sides of what is chosen, all named in view; of a wall also the way to the walls beside it. */
export function SideTabs({ sides, shown }: { sides: readonly Side[]; shown: Side | null }) {
  const dispatch = useAppDispatch();
  const wall = useAppSelector((state) => state.plan.selection.kind === 'wall');
  const named = sides.filter(({ under }) => under === undefined);
  if (named.length < 2) return null;
  const on = shown?.under ?? shown?.panel ?? null;
  return (
    <View style={styles.row}>
      {wall && <BarIcon icon="chevron-left" says="Wall before" onPress={() => dispatch(stepWall(-1))} />}
      <View style={styles.tabs} role="tablist" accessibilityLabel="Sides of what is chosen">
        {named.map((side) => (
          <Tab key={side.label} side={side} on={side.panel === on} />
        ))}
      </View>
      {wall && <BarIcon icon="chevron-right" says="Next wall" onPress={() => dispatch(stepWall(1))} />}
    </View>
  );
}

function Tab({ side: { panel, label, icon }, on }: { side: Side; on: boolean }) {
  const dispatch = useAppDispatch();
  const colours = useColours();
  return (
    <Pressable
      role="tab"
      aria-selected={on}
      accessibilityLabel={label}
      onPress={() => dispatch(planActions.panelShown(panel))}
      style={[styles.tab, { borderColor: on ? colours.brassDeep : 'transparent' }]}
    >
      <Icon source={icon} size={18} color={on ? colours.ink : colours.inkSoft} />
      <Text
        style={{ fontFamily: on ? FONTS.strong : FONTS.sans, fontSize: 14, color: on ? colours.ink : colours.inkSoft }}
        numberOfLines={1}
      >
        {label}
      </Text>
    </Pressable>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', alignItems: 'stretch', paddingHorizontal: 2 },
  tabs: { flex: 1, flexDirection: 'row', flexWrap: 'wrap', alignItems: 'stretch' },
  tab: {
    flex: 1,
    flexBasis: 'auto',
    minHeight: TOUCH,
    flexDirection: 'row',
    alignItems: 'center',
    justifyContent: 'center',
    gap: 5,
    borderBottomWidth: 3,
  },
});
