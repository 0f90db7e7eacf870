import { type Opening, type OpeningSpec, formSign } from '@velvet-tape/core';
import { useMemo } from 'react';
import Svg, { G } from 'react-native-svg';
import { useColours } from '../../../ui/theme';
import { MarkView } from '../MarkView';

/** How much of the width of an opening is shown beside it and before it: a leaf stands as far out as it is wide. */
const AROUND = 1.7;

/** The sign of an opening as the plan has it, alone: the wall from left to right, the room below. */
export function FormSign({
  spec,
  turns,
  size,
}: {
  spec: OpeningSpec;
  turns?: Pick<Opening, 'hinge' | 'swing'>;
  size: number;
}) {
  const colours = useColours();
  const marks = useMemo(() => formSign(spec, turns), [spec, turns]);
  const k = size / (spec.width * AROUND);
  return (
    <Svg width={size} height={size}>
      <G
        transform={`matrix(${k} 0 0 ${k} ${size / 2} ${size * (turns?.swing === 'left' ? 0.78 : turns ? 0.22 : 0.3)})`}
      >
        {marks.map((mark) => (
          <MarkView key={mark.key} mark={mark} colours={colours} lettering={100} />
        ))}
      </G>
    </Svg>
  );
}
