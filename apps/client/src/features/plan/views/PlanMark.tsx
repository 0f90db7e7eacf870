import type { Walkable } from '@velvet-tape/core/raised';
import { Pressable, StyleSheet, View } from 'react-native';
import Svg, { G, Path } from 'react-native-svg';
import { useColours } from '../../../ui/theme';
import type { Standing } from './walking';

/** px */
const SIZE = 116;

/** The floor one stands on, small, with a mark where that is; a tap on a room goes there. */
export function PlanMark({
  walkable,
  floor,
  where,
  go,
}: {
  walkable: Walkable;
  floor: string | null;
  where: { at: Standing; heading: number };
  go(room: string): void;
}) {
  const colours = useColours();
  const own = walkable.floors.find((each) => each.floor === floor);
  const points = own?.rooms.flatMap(({ rings }) => rings.flat()) ?? [];
  if (!own || points.length === 0) return null;
  const [minX, maxX] = [Math.min(...points.map(({ x }) => x)), Math.max(...points.map(({ x }) => x))];
  const [minY, maxY] = [Math.min(...points.map(({ y }) => y)), Math.max(...points.map(({ y }) => y))];
  const k = (SIZE - 20) / Math.max(maxX - minX, maxY - minY, 1);
  const x = (mm: number) => 10 + (mm - minX) * k;
  const y = (mm: number) => 10 + (mm - minY) * k;
  const high = (maxY - minY) * k + 20;
  const { at, heading } = where;
  const way = (turn: number, far: number) =>
    `${x(at.x) + far * Math.cos(heading + turn)},${y(at.y) + far * Math.sin(heading + turn)}`;
  return (
    <View
      testID="plan-mark"
      style={[
        styles.plan,
        { width: (maxX - minX) * k + 20, height: high, backgroundColor: colours.chalk, borderColor: colours.rim },
      ]}
    >
      <Svg width="100%" height="100%">
        <G>
          {own.rooms.map(({ room, rings }) => (
            <Path
              key={room}
              d={rings.map((ring) => `M${ring.map((p) => `${x(p.x)},${y(p.y)}`).join('L')}Z`).join('')}
              fill={colours.linenDeep}
              stroke={colours.velvet}
              strokeWidth={1.5}
              fillRule="evenodd"
            />
          ))}
          <Path d={`M${way(0, 16)}L${way(2.5, 7)}L${way(-2.5, 7)}Z`} fill={colours.clay} />
        </G>
      </Svg>
      {own.rooms.map(({ room, name, rings }) => {
        const ring = rings[0] ?? [];
        const [l, r] = [Math.min(...ring.map((p) => p.x)), Math.max(...ring.map((p) => p.x))];
        const [t, b] = [Math.min(...ring.map((p) => p.y)), Math.max(...ring.map((p) => p.y))];
        return (
          <Pressable
            key={room}
            accessibilityRole="button"
            accessibilityLabel={`Stand in ${name}`}
            onPress={() => go(room)}
            style={{ position: 'absolute', left: x(l), top: y(t), width: (r - l) * k, height: (b - t) * k }}
          />
        );
      })}
    </View>
  );
}

const styles = StyleSheet.create({
  plan: {
    position: 'absolute',
    top: 10,
    right: 10,
    borderRadius: 8,
    borderWidth: 1,
    opacity: 0.94,
    overflow: 'hidden',
  },
});
