import {
  type Box,
  type Plan,
  type Point,
  type Ring,
  deriveFloor,
  drawFloor,
  drawnBox,
  groundFloor,
} from '@velvet-tape/core';
import { pathData } from '@velvet-tape/formats';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import Svg from 'react-native-svg';
import { G, Path } from '../../ui/svg';
import { useColours } from '../../ui/theme';
import { fitted } from './fitted';
import { MarkView } from './MarkView';

/** Lettering on such a picture, px. */
const LETTERING = 11;
/** Round what is drawn there is room for what is written beside the house, px. */
const RIM = 60;
/** Where several stand beside each other there is less. */
const SMALL_RIM = 26;
/** How far a tap may miss, px. */
const REACH = 16;

interface Props {
  plan: Plan;
  /** The ground floor unless said. */
  floor?: string;
  height: number;
  /** What is to be seen of it, mm; all that is drawn unless said. */
  box?: Box;
  says: string;
  /** Outlines that are marked, mm. */
  marked?: readonly Ring[];
  /** Those of rooms, tinted under their names, mm. */
  tinted?: readonly Ring[];
  /** A place was tapped, mm; how far that may miss. */
  tapped?(at: Point, reach: number): void;
}

/** A floor drawn to fill its place, to be looked at, or to choose on. */
export function FloorPicture({ plan, floor, height, box: part, says, marked = [], tinted = [], tapped }: Props) {
  const colours = useColours();
  const [width, setWidth] = useState(0);
  const drawn = useMemo(() => {
    if (width === 0) return null;
    const id = floor ?? groundFloor(plan).id;
    const own = deriveFloor(plan, id);
    const { units } = plan.job;
    const box = part ?? drawnBox(drawFloor(own, { lettering: 1, units }), 1);
    if (!box) return null;
    const fit = fitted(box, width, height, part ? SMALL_RIM : RIM);
    const lettering = LETTERING / fit.scale;
    return { marks: drawFloor(own, { lettering, units }), lettering, ...fit };
  }, [plan, floor, part, width, height]);
  const press = (event: { currentTarget: unknown; clientX: number; clientY: number }) => {
    if (!drawn) return;
    const { left, top } = (event.currentTarget as HTMLElement).getBoundingClientRect();
    const { x, y, scale } = drawn;
    tapped?.({ x: (event.clientX - left - x) / scale, y: (event.clientY - top - y) / scale }, REACH / scale);
  };
  return (
    <View
      testID="floor-picture"
      style={{ height, backgroundColor: colours.sheet }}
      onLayout={({ nativeEvent }) => setWidth(nativeEvent.layout.width)}
      {...(tapped && ({ onClick: press } as object))}
    >
      {drawn && (
        <Svg width={width} height={height} accessibilityLabel={says} role="img">
          <G transform={drawn.transform}>
            {drawn.marks.map((mark) => (
              <MarkView key={`${mark.key}/${mark.role}`} mark={mark} colours={colours} lettering={drawn.lettering} />
            ))}
            {tinted.length > 0 && (
              <Path
                testID="tinted"
                d={pathData(tinted, true)}
                fill={colours.brass}
                fillOpacity={0.3}
                fillRule="evenodd"
              />
            )}
            {marked.length > 0 && (
              <Path
                testID="marked"
                d={pathData(marked, true)}
                fill={colours.brass}
                stroke={colours.brassDeep}
                strokeWidth={1 / drawn.scale}
              />
            )}
          </G>
        </Svg>
      )}
    </View>
  );
}
