import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';
import { BarButton } from '../../../ui/BarButton';
import { Tile, Tiles } from '../../../ui/Tile';
import { FONTS, useColours } from '../../../ui/theme';
import { lent } from '../later/lent';

const { BREAK_NAMES, edit, formatLength, headroomInWords, planActions, selectRoom, slopeInWords, slopesSeen } = lent();
const { useAppDispatch, useAppSelector } = lent();

/** What is over the chosen room: its flat ceiling, the slopes that count, dormers and beams, how high its floor lies. */
export default function RoomCeiling() {
  const dispatch = useAppDispatch();
  const colours = useColours();
  const room = useAppSelector(selectRoom);
  const plan = useAppSelector((state) => state.plan.plan);
  if (!room || !plan) return null;
  const { units } = plan.job;
  const { id, toRidge, underRoof, step } = room.room;
  const { slopes, breaks, level } = room.ceiling;
  const pending = Object.values(plan.slopes).filter(
    (slope) => slope.room === id && !slopes.some((on) => on.slope.id === slope.id),
  );
  const roofs = Object.values(plan.slopes).some((slope) => slope.floor === room.room.floor && slope.room === null);
  const loose = Object.values(plan.heights).filter(
    (height) => height.room === id && height.at && height.slope === null,
  );
  const choose = (selection: Parameters<typeof planActions.selected>[0]) => () =>
    dispatch(planActions.selected(selection));
  const take = (ceiling: 'slope' | 'gable' | 'dormer' | 'beam' | 'step') => () => {
    dispatch(planActions.choicesMade({ ceiling }));
    dispatch(planActions.toolChosen('ceiling'));
  };
  return (
    <View style={styles.all}>
      <Text testID="headroom" style={[styles.words, { color: colours.ink }]}>
        {level
          ? `Flat, ${formatLength(room.ceilingHeight, units)} high.`
          : `Headroom from ${headroomInWords(room, units)}.`}
      </Text>
      {slopesSeen(room).map((on) => (
        <BarButton
          key={on.slope.id}
          icon="slope-uphill"
          label={slopeInWords(on, units)}
          onPress={choose({ kind: 'slope', id: on.slope.id })}
        />
      ))}
      {pending.map(({ id: slope }) => (
        <BarButton
          key={slope}
          icon="slope-uphill"
          label="A slope that is not known yet"
          onPress={choose({ kind: 'slope', id: slope })}
        />
      ))}
      {breaks.map(({ broken }) => (
        <BarButton
          key={broken.id}
          icon="crop-free"
          label={`${BREAK_NAMES[broken.form]}, ${formatLength(Math.abs(broken.height), units)}`}
          onPress={choose({ kind: 'break', id: broken.id })}
        />
      ))}
      <Tiles>
        {slopes.length > 0 && (
          <Tile
            icon={toRidge ? 'minus' : 'home-roof'}
            label={toRidge ? 'Flat at its height' : 'Open to the ridge'}
            says={toRidge ? 'A flat ceiling cuts the slopes off' : 'The slopes go up to their ridge'}
            onPress={() => dispatch(edit({ kind: 'changeCeiling', room: id, toRidge: !toRidge }))}
          />
        )}
        {roofs && (
          <Tile
            icon="home-roof"
            label={underRoof ? 'Not under the roof' : 'Under the roof'}
            says={underRoof ? 'Its ceiling is flat whatever the roof' : 'It takes its ceiling from the roof'}
            onPress={() => dispatch(edit({ kind: 'changeCeiling', room: id, underRoof: !underRoof }))}
          />
        )}
        {loose.length >= 3 && (
          <Tile
            strong
            icon="slope-uphill"
            label={`Slope through ${loose.length} heights`}
            onPress={() => {
              const made = dispatch(edit({ kind: 'slopeThrough', room: id, heights: loose.map((each) => each.id) }));
              if (made.ok && made.made) dispatch(planActions.selected({ kind: 'slope', id: made.made }));
            }}
          />
        )}
        <Tile icon="slope-uphill" label="Slope" says="A slope from a wall" onPress={take('slope')} />
        <Tile icon="home-roof" label="Roof" says="A roof over all rooms" onPress={take('gable')} />
        <Tile icon="home-outline" label="Dormer" onPress={take('dormer')} />
        <Tile icon="minus" label="Beam" onPress={take('beam')} />
        <Tile icon="stairs" label="Step" says="A step in the floor" onPress={take('step')} />
        <Tile
          icon="swap-vertical"
          label="Floor ±"
          says="How much its floor lies higher"
          onPress={() => dispatch(planActions.fieldChosen('step'))}
        />
        {step !== 0 && (
          <Tile
            icon="swap-vertical"
            label={step > 0 ? 'Floor down' : 'Floor up'}
            says={step > 0 ? 'Its floor lies lower instead' : 'Its floor lies higher instead'}
            onPress={() => dispatch(edit({ kind: 'stepRoom', room: id, step: -step }))}
          />
        )}
        <Tile
          icon="ruler"
          label="Height here"
          says="Read a height over a point of the floor"
          onPress={() => dispatch(planActions.toolChosen('measure'))}
        />
      </Tiles>
    </View>
  );
}

const styles = StyleSheet.create({
  all: { gap: 6, paddingHorizontal: 8, paddingVertical: 6 },
  words: { fontFamily: FONTS.strong, fontSize: 16, lineHeight: 21 },
});
