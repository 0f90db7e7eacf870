import { memo } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { Icon, Text } from 'react-native-paper';
import { roomsCome } from '../../../core-later/come';
import { BarButton, BarIcon } from '../../../ui/BarButton';
import { FONTS, TOUCH, useColours } from '../../../ui/theme';
import { lent } from '../later/lent';

const { deriveFloor, edit, elevationOf, floorsInOrder, formatArea, formatLevel, goToFloor, planActions, roughly } =
  lent();
const { useAppDispatch, useAppSelector } = lent();

/** The floors of the house as they lie over each other, the one that is worked on marked: to another one, a new one above or below, one hidden. */
export const FloorStrip = memo(function FloorStrip() {
  const dispatch = useAppDispatch();
  const colours = useColours();
  const plan = useAppSelector((state) => state.plan.plan);
  const own = useAppSelector((state) => state.plan.floor);
  if (!plan) return null;
  const { units } = plan.job;
  const floors = [...floorsInOrder(plan)].reverse();
  const add = (side: 'above' | 'below') => {
    const now = () => {
      const done = dispatch(edit({ kind: 'addFloor', of: own, side }));
      if (done.ok && done.made) dispatch(goToFloor(done.made));
    };
    // what does it comes later than the desk; where it can't be had that is said
    roomsCome().then(now, now);
  };
  return (
    <View accessibilityLabel="Floors of the house" role="group" style={styles.all}>
      {floors.length > 1 &&
        floors.map(({ id, name, hidden }) => {
          const { area, rough } = deriveFloor(plan, id);
          const level = formatLevel(elevationOf(plan, id), units);
          const size = roughly(rough, formatArea(area, units));
          return (
            <View key={id} style={[styles.row, { borderColor: id === own ? colours.velvet : colours.linenDeep }]}>
              <Pressable
                accessibilityRole="button"
                accessibilityLabel={`${name}, ${level}, ${size}`}
                aria-pressed={id === own}
                onPress={() => dispatch(goToFloor(id))}
                style={styles.what}
              >
                {id === own && <Icon source="check" size={16} color={colours.velvet} />}
                <Text style={[styles.name, { color: hidden ? colours.inkSoft : colours.ink }]} numberOfLines={1}>
                  {name}
                </Text>
                <Text style={[styles.level, { color: colours.inkSoft }]}>{level}</Text>
              </Pressable>
              <BarIcon
                icon={hidden ? 'eye-off-outline' : 'eye-outline'}
                says={hidden ? `Show ${name}` : `Hide ${name}`}
                onPress={() => dispatch(edit({ kind: 'changeFloor', floor: id, hidden: !hidden }))}
              />
            </View>
          );
        })}
      <View style={styles.add}>
        <BarButton icon="arrow-up" label="Above" says="Add a floor above this one" onPress={() => add('above')} />
        <BarButton icon="arrow-down" label="Below" says="Add a floor below this one" onPress={() => add('below')} />
        {floors.length > 1 && (
          <BarButton
            icon="layers-outline"
            label="All"
            says="All floors"
            onPress={() => dispatch(planActions.listed('floors'))}
          />
        )}
      </View>
    </View>
  );
});

const styles = StyleSheet.create({
  all: { marginBottom: 10, gap: 2 },
  row: { flexDirection: 'row', alignItems: 'center', borderLeftWidth: 4, paddingLeft: 6 },
  what: { flex: 1, minHeight: TOUCH, flexDirection: 'row', alignItems: 'center', gap: 6 },
  name: { flex: 1, fontSize: 15 },
  level: { fontFamily: FONTS.strong, fontSize: 13.5, fontVariant: ['tabular-nums'] },
  add: { flexDirection: 'row', flexWrap: 'wrap', gap: 6, paddingTop: 4 },
});
