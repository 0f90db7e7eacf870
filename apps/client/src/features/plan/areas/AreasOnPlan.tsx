import type { CountedPiece } from '@velvet-tape/core/areas';
import { G, Path } from '../../../ui/svg';
import type { HouseColours } from '../../../ui/theme';
import { lent } from '../later/lent';

const { HaloText, THIN, pathData, surfaceContains, useAppSelector, useAreas } = lent();

/** A share is written in a piece that has room for so much, px². */
const ROOM = 2600;

/** Pieces of the floor, tinted by how much of them counts, the share written in those that have room for it; the one that was asked about outlined. */
export default function AreasOnPlan({ colours, px }: { colours: HouseColours; px: number }) {
  const areas = useAreas();
  const floor = useAppSelector((state) => state.plan.floor);
  const pointed = useAppSelector((state) => state.plan.pointed);
  const [report] = areas && areas !== 'failed' ? areas.reports : [];
  const at = report?.table.floors.findIndex((each) => each.floor === floor) ?? -1;
  const pieces = report?.table.floors[at]?.pieces ?? [];
  return (
    <G testID="areas-on-plan">
      {pieces.map((piece, i) => {
        // a wall that does not count is a wall
        if (piece.room === null && piece.share === 0 && piece.apart === undefined) return null;
        const asked = pointed !== null && surfaceContains(piece.rings, pointed);
        return (
          <G key={i}>
            <Path
              d={pathData(piece.rings, true)}
              fill={tint(piece, colours)}
              fillOpacity={asked ? 0.6 : 0.3}
              fillRule="evenodd"
              stroke={asked ? colours.ink : 'none'}
              strokeWidth={2}
              {...THIN}
            />
            {piece.area > ROOM * px * px && (piece.share < 1 || piece.apart !== undefined) && piece.room !== null && (
              <HaloText
                at={report!.marks[at]![i]!}
                text={shareInWords(piece)}
                size={12}
                strong
                fill={colours.ink}
                colours={colours}
                px={px}
              />
            )}
          </G>
        );
      })}
    </G>
  );
}

const tint = ({ share, apart }: CountedPiece, colours: HouseColours): string => {
  if (apart !== undefined) return colours.velvet;
  return share >= 1 ? colours.moss : share > 0 ? colours.brass : colours.clay;
};

const shareInWords = ({ share, apart }: CountedPiece): string =>
  apart === undefined ? `${Math.round(share * 100)} %` : apart;
