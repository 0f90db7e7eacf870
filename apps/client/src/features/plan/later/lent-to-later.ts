/** What the parts that come later take of the plan: see `lent.ts`. */
export {
  GLAZING_RULES,
  LONGEST_NOTE,
  formatArea,
  formatLength,
  glazingByRoom,
  openingSchedule,
  orderedSchedule,
  readingLines,
  scheduleTotals,
  valueInWords,
} from '@velvet-tape/core';
export { useAppDispatch, useAppSelector } from '../../../store/store';
export { DropMenu } from '../../../ui/DropMenu';
export { NoteField } from '../NoteField';
export { downloadOpenings, downloadReadings, downloadWorkbook } from '../downloads';
export { edit } from '../edit';
export { useChecks } from '../openings/use-checks';
export { planActions } from '../plan-slice';
export { hold, takeAgain } from '../readings/commands';
export { useMisclosures } from '../readings/use-misclosures';
export { goToOpening, goToRoom } from '../schedule/commands';
export { selectFloor, selectRoom } from '../selectors';
