import { useMemo } from 'react';
import Svg, { G } from 'react-native-svg';
import type { PieceKind, Size } from '@velvet-tape/core/pieces';
import { laterRooms } from '../../../core-later/to-come';
import { useColours } from '../../../ui/theme';
import { lent } from '../later/lent';

const { MarkView } = lent();

/** A kind as the plan has it, alone, its back at the top. */
export function PieceSign({ kind, of, size }: { kind: PieceKind; of?: Size; size: number }) {
  const colours = useColours();
  const { pieceSign, usualSize } = laterRooms();
  const { width, depth } = of ?? usualSize(kind);
  const marks = useMemo(() => pieceSign(kind, of), [kind, of, pieceSign]);
  const k = (size - 3) / Math.max(width, depth, 1);
  return (
    <Svg width={size} height={size}>
      <G transform={`matrix(${k} 0 0 ${k} ${size / 2} ${size / 2})`}>
        {marks.map((mark) => (
          <MarkView key={mark.key} mark={mark} colours={colours} lettering={100} />
        ))}
      </G>
    </Svg>
  );
}
