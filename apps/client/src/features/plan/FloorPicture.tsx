import { type Plan, deriveFloor, drawFloor, drawnBox, floorsInOrder } from '@velvet-tape/core';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import Svg from 'react-native-svg';
import { G } from '../../ui/svg';
import { useColours } from '../../ui/theme';
import { MarkView } from './MarkView';

/** Lettering on such a picture, px. */
const LETTERING = 11;

/** A floor drawn to fill its place, only to be looked at: the one nearest to the ground. */
export function FloorPicture({ plan, height }: { plan: Plan; height: number }) {
  const colours = useColours();
  const [width, setWidth] = useState(0);
  const drawn = useMemo(() => {
    const ground = [...floorsInOrder(plan)].sort((a, b) => Math.abs(a.level) - Math.abs(b.level))[0];
    if (!ground || width === 0) return null;
    const floor = deriveFloor(plan, ground.id);
    const box = drawnBox(drawFloor(floor, { lettering: 1, units: plan.job.units }), 1);
    if (!box) return null;
    // room for what is written round the house
    const scale = Math.min((width - 60) / (box.maxX - box.minX), (height - 60) / (box.maxY - box.minY));
    const lettering = LETTERING / scale;
    const x = width / 2 - (scale * (box.minX + box.maxX)) / 2;
    const y = height / 2 - (scale * (box.minY + box.maxY)) / 2;
    const marks = drawFloor(floor, { lettering, units: plan.job.units });
    return { marks, lettering, transform: `matrix(${scale} 0 0 ${scale} ${x} ${y})` };
  }, [plan, width, height]);
  return (
    <View
      style={{ height, backgroundColor: colours.sheet }}
      onLayout={({ nativeEvent }) => setWidth(nativeEvent.layout.width)}
    >
      {drawn && (
        <Svg width={width} height={height} accessibilityLabel="Plan as it was" role="img">
          <G transform={drawn.transform}>
            {drawn.marks.map((mark) => (
              <MarkView key={`${mark.key}/${mark.role}`} mark={mark} colours={colours} lettering={drawn.lettering} />
            ))}
          </G>
        </Svg>
      )}
    </View>
  );
}
