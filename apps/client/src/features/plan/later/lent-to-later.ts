/** What the parts that come later take of the plan: see `lent.ts`. */
export {
  BONDS,
  DIMENSION_ENDS,
  FINISH_STUFFS,
  MOTIFS,
  SHEENS,
  STARTS,
  TRIM_PROFILES,
  MODULE_FILLS,
  GLAZING_RULES,
  HATCHES,
  LABEL_PARTS,
  LABEL_SIZES,
  LETTERING_ON_PAPER,
  SHOWINGS,
  SHOWN_PARTS,
  SIGNS,
  USUAL_LABELS,
  isShown,
  lookContent,
  lookName,
  outOfReach,
  AREA_RULES,
  BREAK_NAMES,
  walkEndInWords,
  LOOKS,
  ROOM_COLOURS,
  ROUND,
  PAPERS,
  sheetsInOrder,
  ROOM_USES,
  areaInWords,
  surfaceContains,
  OPENING_FORMS,
  headroomInWords,
  drawFloor,
  drawFloorInParts,
  drawnBox,
  lookOf,
  drawSection,
  slopeInWords,
  slopesSeen,
  wrongHeightInWords,
  clearWidth,
  kindOfForm,
  structuralSize,
  traySpecs,
  typeName,
  usualSpec,
  usualSpecs,
  standOnFace,
  faceByKey,
  alongOf,
  boxOf,
  cornersOf,
  changeBetween,
  hitAt,
  faceAt,
  changeInWords,
  deriveFloor,
  elevationOf,
  finenessOf,
  floorBeside,
  floorHeight,
  decimalMark,
  decimals,
  floorsInOrder,
  perPixelAt,
  scaleOf,
  formatArea,
  formatVolume,
  formatLength,
  formatLevel,
  formatSize,
  glazingByRoom,
  jobTotals,
  lengthToSay,
  openingSchedule,
  overBelow,
  overBelowInWords,
  orderedSchedule,
  parseArea,
  parseLength,
  readingLines,
  ringsBox,
  roughly,
  roundedTo,
  scheduleTotals,
  stairChecks,
  stepsInWords,
  valueInWords,
  vantagesInOrder,
  wallsToCarry,
} from '@velvet-tape/core';
export { pathData } from '@velvet-tape/formats';
export { viewActions } from '../view-slice';
export { standAt } from '../views/stand-at';
export { ofViews } from '../views/views-room';
export { piece } from './later';
export { PICTURES, pickFiles } from '../../../pictures/pick';
export { fetchHistory, fetchRevision, nameRevision } from '../../../sync/api';
export { randomSeed } from '../../../store/seed';
export { store, useAppDispatch, useAppSelector } from '../../../store/store';
export { pictureOf } from '../../../sync/pictures';
export { capital } from '../../../ui/capital';
export { DropMenu } from '../../../ui/DropMenu';
export { inWords } from '../../../ui/in-words';
export { Calm } from '../Calm';
export { remove } from '../chosen/kinds';
export { SideTiles, UnderlayPanel, hasStrip, useSides } from '../chosen/parts';
export { fitAll, goToFace, goToFloor, takeTool } from '../commands';
export { useAreas } from '../areas/use-areas';
export {
  download,
  downloadBook,
  downloadOpenings,
  downloadPieces,
  downloadReadings,
  downloadTable,
  downloadWorkbook,
  fileName,
} from '../downloads';
export { filesWorker, stopFiles } from '../files-worker';
export { HaloText } from '../overlay/HaloText';
export { THIN } from '../overlay/paint';
export { dropProposal, keepProposal } from '../sketching/keep';
export { ProposalBelow } from '../sketching/parts';
export { endOfWalk } from '../sketching/walk';
export { chooseLine } from '../sketching/walk-commands';
export { edit, preview } from '../edit';
export { fitted } from '../fitted';
export { FloorsOver } from '../floors/FloorsOver';
export { FloorPicture } from '../FloorPicture';
export { FirstSteps } from '../first-steps/FirstSteps';
export { FieldBar } from '../foot/FieldBar';
export { field } from '../foot/fields';
export { NumberPad } from '../foot/NumberPad';
export { SideTabs } from '../foot/SideTabs';
export { WideToolbar } from '../foot/Toolbar';
export { Header } from '../Header';
export { bringBack } from '../history/commands';
export { Naming } from '../NamePrompt';
export { NoteField } from '../NoteField';
export { Notice } from '../Notice';
export { OpenEnds } from '../OpenEnds';
export { OpeningWords } from '../openings/OpeningWords';
export { addSpec, changeType, placeSpec, placing, takeType } from '../openings/commands';
export { dropSpotAt, pointOnSheet } from '../openings/drop-targets';
export { FormSign } from '../openings/FormSign';
export {
  forgetKept,
  keepFinish,
  keepForLater,
  keepPiece,
  useKeptFinishes,
  useKeptPieces,
  useKeptTypes,
} from '../openings/kept-types';
export { useChecks } from '../openings/use-checks';
export { EmptySheet, PlanCanvas } from '../PlanCanvas';
export { planActions } from '../plan-slice';
export { hold, takeAgain } from '../readings/commands';
export { Contradiction } from '../readings/Contradiction';
export { useMisclosures } from '../readings/use-misclosures';
export { PRINTED } from '../printing';
export { RoomCard } from '../RoomCard';
export { goToOpening, goToRoom } from '../schedule/commands';
export { MarkView } from '../MarkView';
export {
  selectBreak,
  selectFace,
  selectFloor,
  selectOpening,
  selectOption,
  selectPieces,
  selectProposal,
  selectRoom,
  selectShownFloor,
  selectShownPieces,
  selectShownRooms,
  selectSlope,
  selectStairs,
} from '../selectors';
export { KEYS } from '../shortcuts';
export { CalmStrip } from '../strip/CalmStrip';
export { isTap } from '../tools/tool';
export { TOOL_WORDS } from '../tool-names';
export {
  bringIn,
  changeChosen,
  chooseUnderlay,
  forgetDistance,
  forgetMark,
  keepMarks,
  pictureFrom,
  mark,
  nudgeMark,
  removeChosen,
  setMarks,
  showUnderlay,
  slippedBy,
  turnChosen,
} from '../underlay/commands';
export { dropSeen, findOnUnderlay, takeAllSeen } from '../underlay/find-commands';
export { MarksWords } from '../underlay/pieces';
export { WANTED, distancesOf, sidesOf } from '../underlay/marks';
export { selectUnderlay, selectUnderlays } from '../underlay/selectors';
export { underlayActions } from '../underlay/underlay-slice';
export { markWords, placeWords, scaleWords, underlayWords } from '../underlay/words';
export { OptionBar } from '../pieces/OptionBarShown';
export { WorkBar } from '../underlay/WorkBar';
export { WalkClosing, WalkList } from '../walk/pieces';
export { ZoomButtons } from '../ZoomButtons';
export { Listing } from './Listing';
export { LETTERING, letteringStep, toHouse } from '../viewport';
export { sheetBench } from '../sheet-bench';
export { keepLogo } from '../../jobs/kept-logo';
export { Written } from '../Written';
