import { type DerivedFloor } from '@velvet-tape/core';
import { lazy, memo } from 'react';
import { Quiet } from '../../../ui/Part';
import { G } from '../../../ui/svg';
import type { HouseColours } from '../../../ui/theme';
import { useAppSelector } from '../../../store/store';
import { selectGhost } from '../chosen/kinds';
import { ChosenMarks } from '../chosen/parts';
import { CheckMarks } from './CheckMarks';
import { GhostMarks } from './GhostMarks';
import { MisclosureMarks, Pins } from './ReadingMarks';
import { UnderlayMarks } from '../underlay/MarksOnSheet';
import { SketchMarks } from './SketchMarks';

const AreasOnPlan = lazy(() => import('../areas/AreasOnPlan'));

interface Props {
  floor: DerivedFloor;
  colours: HouseColours;
  /** mm of the house per screen pixel */
  px: number;
  /** How far a finger may miss, mm. */
  reach: number;
}

/** What is laid over the drawing: the selection with its handles, the ghost of what is typed, what is being drawn. */
export const Overlay = memo(function Overlay({ floor, colours, px, reach }: Props) {
  const after = useAppSelector(selectGhost)?.floor ?? null;
  const counting = useAppSelector((state) => state.plan.tool === 'areas');
  const paint = { colours, px };
  return (
    <G>
      <ChosenMarks floor={floor} reach={reach} {...paint} />
      {after && <GhostMarks before={floor} after={after} {...paint} />}
      <CheckMarks {...paint} />
      <MisclosureMarks {...paint} />
      <Pins floor={floor} {...paint} />
      <UnderlayMarks {...paint} />
      {counting && (
        <Quiet>
          <AreasOnPlan {...paint} />
        </Quiet>
      )}
      <SketchMarks {...paint} floor={floor} />
    </G>
  );
});
