import type { DerivedFloor, Mark } from '@velvet-tape/core';
import type { ReactElement } from 'react';
import { laterRooms } from '../../../core-later/to-come';
import { Circle, G, Path } from '../../../ui/svg';
import type { HouseColours } from '../../../ui/theme';
import { lent } from '../later/lent';
import { pointsOf } from './chosen-note';

const { LETTERING, THIN, boxOf, cornersOf, letteringStep, pathData, useAppSelector } = lent();

interface Props {
  floor: DerivedFloor;
  colours: HouseColours;
  px: number;
}

/** The chosen note in brass, and what of it can be taken hold of. */
export default function NoteMarks({ floor, colours, px }: Props): ReactElement | null {
  const chosen = useAppSelector((state) => state.plan.selection);
  if (chosen.kind !== 'note') return null;
  const { annotationsOn, drawAnnotation, drawnDimensions, placeOf, turnHandle } = laterRooms();
  const lettering = LETTERING / letteringStep(1 / px);
  const annotation = annotationsOn(floor).find(({ id }) => id === chosen.id);
  const marks: readonly Mark[] = annotation
    ? drawAnnotation(annotation, lettering)
    : (drawnDimensions(floor, lettering).get(chosen.id)?.marks ?? []);
  const handles = annotation
    ? [
        turnHandle(annotation, lettering),
        annotation.to,
        annotation.form === 'arrow' || annotation.form === 'line' ? annotation.at : null,
      ].filter((p) => p !== null)
    : pointsOf(floor.plan, chosen.id).flatMap(({ stand }) => placeOf(floor, stand) ?? []);
  const lines = marks.flatMap((mark) => (mark.kind === 'path' ? mark.rings : []));
  const letters = marks.flatMap((mark) => (mark.kind === 'text' ? [cornersOf(boxOf(mark, lettering))] : []));
  return (
    <G testID="chosen-note">
      {letters.length > 0 && <Path d={pathData(letters, true)} fill={colours.brass} fillOpacity={0.35} stroke="none" />}
      {lines.length > 0 && (
        <Path d={pathData(lines, false)} fill="none" stroke={colours.brassDeep} strokeWidth={3} {...THIN} />
      )}
      {handles.map((at, i) => (
        <Circle
          key={i}
          cx={at.x}
          cy={at.y}
          r={6 * px}
          fill={colours.chalk}
          stroke={colours.brassDeep}
          strokeWidth={2 * px}
        />
      ))}
    </G>
  );
}
