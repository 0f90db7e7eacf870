import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';
import { BarButton } from '../../../ui/BarButton';
import { Tile, Tiles } from '../../../ui/Tile';
import { FONTS, useColours } from '../../../ui/theme';
import { lent } from '../later/lent';

const { edit, formatLength, planActions, remove, selectFloor, selectSlope, slopeInWords } = lent();
const { useAppDispatch, useAppSelector, wrongHeightInWords } = lent();

/** The chosen slope in words: what has yet to be read, where its heights contradict each other; and what can be done with it. */
export default function SlopeTiles() {
  const dispatch = useAppDispatch();
  const colours = useColours();
  const on = useAppSelector(selectSlope);
  const floor = useAppSelector(selectFloor);
  const plan = useAppSelector((state) => state.plan.plan);
  if (!on || !plan) return null;
  const { slope, heights, wants, wrong } = on;
  const { units } = plan.job;
  const room = floor?.rooms.find(({ ceiling }) => ceiling.slopes.some((each) => each.slope.id === slope.id))?.room.id;
  const several = Object.values(plan.slopes).filter(({ roof }) => roof === slope.roof).length > 1;
  const misses = heights.filter(({ residual, control }) => Math.abs(residual) >= 0.5 && control > 0.05);
  const roof = slope.room === null;
  return (
    <View style={styles.all}>
      <Text testID="slope-words" style={[styles.words, { color: wants ? colours.clay : colours.ink }]}>
        {wants ? `Not known yet: it needs ${wants}.` : slopeInWords(on, units)}
      </Text>
      {wrong ? (
        <View accessibilityRole="alert" style={[styles.wrong, { borderColor: colours.clay }]}>
          <Text style={[styles.words, { color: colours.clay }]}>{wrongHeightInWords(wrong, units)}</Text>
          {wrong.slip && (
            <BarButton
              label={`It is ${formatLength(wrong.slip.value, units)}`}
              onPress={() => {
                const { value } = wrong.slip!;
                const read = {
                  ...wrong.height,
                  value,
                  text: formatLength(value, units),
                  time: new Date().toISOString(),
                };
                dispatch(edit({ kind: 'readSlope', slope: slope.id, at: { up: 0 }, again: wrong.height.id, read }));
              }}
            />
          )}
        </View>
      ) : (
        misses.length > 0 && (
          <Text style={[styles.small, { color: colours.inkSoft }]}>
            {`Its ${heights.length} heights agree to ${formatLength(Math.max(...misses.map(({ residual }) => Math.abs(residual))), units)}.`}
          </Text>
        )
      )}
      <Tiles>
        {room !== undefined && (
          <Tile
            icon="table"
            label="The room"
            onPress={() => dispatch(planActions.selected({ kind: 'room', id: room }))}
          />
        )}
        <Tile
          icon="home-roof"
          label={roof ? 'Only this room' : 'Over all rooms'}
          onPress={() => dispatch(edit({ kind: 'changeSlope', slope: slope.id, everywhere: !roof }))}
        />
        {slope.stand.kind === 'wall' && (
          <Tile
            icon="angle-acute"
            label={slope.level ? 'Foot not level' : 'Foot level'}
            says={slope.level ? 'It lies as its heights say' : 'Its foot is level'}
            onPress={() => dispatch(edit({ kind: 'changeSlope', slope: slope.id, level: !slope.level }))}
          />
        )}
        {slope.pitch !== null && (
          <Tile
            icon="lock-open-variant-outline"
            label="Loosen pitch"
            says="The pitch follows from the heights"
            onPress={() => dispatch(edit({ kind: 'changeSlope', slope: slope.id, pitch: null }))}
          />
        )}
        <Tile icon="delete-outline" label="Remove" says="Remove this slope" onPress={() => dispatch(remove)} />
        {roof && several && (
          <Tile
            icon="delete-outline"
            label="Remove the roof"
            onPress={() => dispatch(edit({ kind: 'removeSlope', slope: slope.id, roof: true }))}
          />
        )}
      </Tiles>
    </View>
  );
}

const styles = StyleSheet.create({
  all: { gap: 6, paddingHorizontal: 8, paddingVertical: 6 },
  words: { fontFamily: FONTS.strong, fontSize: 15, lineHeight: 20 },
  small: { fontSize: 14, lineHeight: 18 },
  wrong: { borderLeftWidth: 4, paddingLeft: 8, gap: 6 },
});
