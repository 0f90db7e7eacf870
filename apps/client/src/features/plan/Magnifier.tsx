import { StyleSheet, View } from 'react-native';
import Svg, { Circle, G, Path, Use } from 'react-native-svg';
import { useAppSelector } from '../../store/store';
import { useColours } from '../../ui/theme';

/** Width of the glass and how much larger things are in it, px. */
const GLASS = 116;
const LARGER = 2;
/** How far from the finger it hovers, px: above and towards the middle of the sheet, clear of walls that run up or across; near the top beside it. */
const ABOVE = 88;
const ASIDE = 74;

/** What a working finger covers, larger, beside it. `drawing` is the id of the drawn sheet. */
export function Magnifier({ drawing }: { drawing: string }) {
  const finger = useAppSelector((state) => state.view.finger);
  const width = useAppSelector((state) => state.view.width);
  const colours = useColours();
  if (!finger) return null;
  const aside = finger.x > width / 2 ? -ASIDE : ASIDE;
  const above = finger.y > ABOVE + GLASS / 2 + 6;
  const centre = above
    ? { x: finger.x + aside, y: finger.y - ABOVE }
    : { x: finger.x + 1.4 * aside, y: Math.max(finger.y, GLASS / 2) };
  const left = Math.min(width - GLASS - 4, Math.max(4, centre.x - GLASS / 2));
  const half = GLASS / 2;
  return (
    <View
      testID="magnifier"
      pointerEvents="none"
      style={[
        styles.glass,
        { left, top: Math.max(4, centre.y - half), borderColor: colours.brass, backgroundColor: colours.sheet },
      ]}
    >
      <Svg width={GLASS} height={GLASS}>
        <G transform={`translate(${half - finger.x * LARGER} ${half - finger.y * LARGER}) scale(${LARGER})`}>
          <Use href={`#${drawing}`} />
        </G>
        <Circle cx={half} cy={half} r={3} fill="none" stroke={colours.clay} strokeWidth={1.5} />
        <Path
          d={`M ${half - 16} ${half} h 10 M ${half + 6} ${half} h 10 M ${half} ${half - 16} v 10 M ${half} ${half + 6} v 10`}
          stroke={colours.clay}
          strokeWidth={1.5}
        />
      </Svg>
    </View>
  );
}

const styles = StyleSheet.create({
  glass: {
    position: 'absolute',
    width: GLASS,
    height: GLASS,
    borderRadius: GLASS / 2,
    borderWidth: 3,
    overflow: 'hidden',
  },
});
